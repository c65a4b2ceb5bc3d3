import { signedArea, type Ring } from '../geometry/ring';

/** Area a ring encloses, whichever way round it goes. */
export const ringArea = (ring: Ring): number => Math.abs(signedArea(ring));

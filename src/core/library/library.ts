import type { Blank } from '../shop/blank';
import { FLAT_LIBRARY } from './flat';
import { ROUND_LIBRARY } from './round';

/** Generic blanks a shop starts with. Invented but geometrically sound; nobody's catalogue. */
export const LIBRARY: readonly Blank[] = [...ROUND_LIBRARY, ...FLAT_LIBRARY];

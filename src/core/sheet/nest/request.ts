import { nest, QUICK } from './nest';
import type { Nest, NestArea, NestShape } from './shape';

/** Pieces to be laid freely on an area: more than a keystroke should wait for. */
export interface NestRequest {
  readonly shapes: readonly NestShape[];
  readonly area: NestArea;
}

/** Layouts found, by the key of what was asked. */
export type Nests = Readonly<Record<string, Nest>>;

/** The same pieces on the same area have the same key. */
export const nestKey = ({ shapes, area }: NestRequest): string =>
  JSON.stringify([shapes.map((s) => [s.count, s.outline]), area]);

const KEPT = 24;
const known = new Map<string, Nest>();

/** A quick free layout, remembered: the same pieces are laid again at every change elsewhere. */
export function quickNest(request: NestRequest): Nest {
  const key = nestKey(request);
  const found = known.get(key) ?? nest(request.shapes, request.area, QUICK);
  known.set(key, found);
  const [oldest] = known.keys();
  if (known.size > KEPT && oldest !== undefined) known.delete(oldest);
  return found;
}

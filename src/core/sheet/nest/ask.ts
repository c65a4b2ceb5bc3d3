import { nest, QUICK } from './nest';
import type { Nest, NestArea, NestShape } from './shape';

/** Pieces to be laid freely on an area: more than a keystroke should wait for. */
export interface NestAsk {
  readonly shapes: readonly NestShape[];
  readonly area: NestArea;
}

/** Layouts found, by the key of what was asked. */
export type Nests = Readonly<Record<string, Nest>>;

/** The same pieces on the same area have the same key. */
export const nestKey = ({ shapes, area }: NestAsk): string =>
  JSON.stringify([shapes.map((s) => [s.count, s.outline]), area]);

const KEPT = 24;
const known = new Map<string, Nest>();

/** A quick free layout, remembered: the same pieces are laid again at every change elsewhere. */
export function quickNest(ask: NestAsk): Nest {
  const key = nestKey(ask);
  const found = known.get(key) ?? nest(ask.shapes, ask.area, QUICK);
  known.set(key, found);
  const [oldest] = known.keys();
  if (known.size > KEPT && oldest !== undefined) known.delete(oldest);
  return found;
}

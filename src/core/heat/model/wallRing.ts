import type { HeatCase } from './case';
import { conductorAlong } from '../conduction/along';
import { layerSpan, type Column } from '../conduction/column';
import { BODY } from './materials';
import type { HeatedPlace } from './places';

/** Heat going round the wall of a wrapped blank, depth by depth. Returns what carries it on by `dt` s, in place. */
export function wallRing(
  c: HeatCase,
  column: Column,
  places: readonly HeatedPlace[],
): (cells: Float64Array, dt: number) => void {
  const span = layerSpan(column, 'blank');
  const { round } = c;
  if (c.kind !== 'wrap' || !round || !span) return () => undefined;
  const { conductivity, capacity } = BODY[c.material];
  const perDegM = round.circumferenceMm / 1000 / 360;
  const conduct = conductorAlong({
    widthsM: places.map((p) => (p.toDeg - p.fromDeg) * perDegM),
    closed: places.every((p) => !p.mirrored),
  });
  const alpha = conductivity / capacity;
  return (cells, dt) => conduct(cells, span.from, span.to, alpha * dt);
}

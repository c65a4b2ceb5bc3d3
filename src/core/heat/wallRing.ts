import type { HeatCase } from './case';
import { conductRound } from './conduction/along';
import { layerSpan, type Column } from './conduction/column';
import { BODY } from './materials';
import { SECTORS, type HeatedPlace } from './places';

/** Heat goes round the wall slowly: it is moved on once so much of it is due (Fourier number of a sector). */
const DUE = 0.06;

/** Heat going round the wall of a wrapped blank, depth by depth. Returns what carries it on by `dt` s, in place. */
export function wallRing(
  c: HeatCase,
  column: Column,
  places: readonly HeatedPlace[],
): (cells: readonly Float64Array[], dt: number) => void {
  const span = layerSpan(column, 'blank');
  const { round } = c;
  if (c.kind !== 'wrap' || !round || !span) return () => undefined;
  const { conductivity, capacity } = BODY[c.material];
  const widthM = round.circumferenceMm / 1000 / SECTORS;
  const perSecond = conductivity / (capacity * widthM * widthM);
  const standsFor: number[] = [];
  places.forEach((p, j) => p.sectors.forEach((sector) => (standsFor[sector] = j)));
  const ring = new Float64Array(SECTORS);
  let dueS = 0;
  return (cells, dt) => {
    dueS += dt;
    if (perSecond * dueS < DUE) return;
    const number = perSecond * dueS;
    dueS = 0;
    for (let i = span.from; i < span.to; i += 1) {
      for (let k = 0; k < SECTORS; k += 1) ring[k] = cells[standsFor[k] ?? 0]?.[i] ?? 0;
      conductRound(ring, number);
      for (let k = 0; k < SECTORS; k += 1) {
        const own = cells[standsFor[k] ?? 0];
        if (own) own[i] = ring[k] ?? 0;
      }
    }
  };
}

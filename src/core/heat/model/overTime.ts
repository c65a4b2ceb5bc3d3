import type { HeatSettings } from '../../shop/heatSettings';
import type { RunDose } from '../../shop/run';
import { believedDose } from '../settings/fit';
import { believedUnknowns } from './outcome';
import type { Resolved } from '../settings/resolve';
import { dosesOf, simulateHeat } from './simulate';

/** How much longer or shorter than set a pass is tried, s; shorter ones as far as the pass has time. */
const OVER_S = [-60, -30, -15, -5, 0, 10, 20, 40, 80, 160, 320] as const;
const SHORTEST_S = 2;

type Point = RunDose['first'][number];

/** Doses where a pass stays closed longer or shorter than set, everything else as set. */
function points(
  r: Resolved,
  s: HeatSettings,
  setS: number,
  withDwell: (dwellS: number) => HeatSettings,
): Point[] {
  const unknowns = believedUnknowns(r);
  const shortest = Math.min(0, SHORTEST_S - setS);
  const tried = [...new Set(OVER_S.map((overS) => Math.max(shortest, overS)))];
  return tried.map((overS) => ({
    overS,
    ...dosesOf(simulateHeat(r.load, withDwell(setS + overS), { unknowns })),
  }));
}

/**
 * Tables of the doses of a load by how long the first pass, or those after it, are over. A later pass alone is over by its own time: where
 * there are several, each bears its share of what all of them together are tried with. Doses s at 200 °C.
 */
export function overTable(r: Resolved, s: HeatSettings): RunDose {
  const { needed, limit } = believedDose(r.belief);
  const laterS = s.laterDwellS ?? s.dwellS;
  const later = Math.max(1, s.passes - 1);
  const first = points(r, s, s.dwellS, (dwellS) =>
    s.passes > 1 ? { ...s, dwellS, laterDwellS: laterS } : { ...s, dwellS },
  );
  const others =
    s.passes > 1
      ? points(r, s, laterS, (dwellS) => ({ ...s, laterDwellS: dwellS })).map((p) => ({
          ...p,
          overS: p.overS * later,
        }))
      : first;
  return { neededS: needed.value, limitS: limit.value, first, later: others };
}

import type { HeatSettings } from '../../shop/heatSettings';
import type { HeatCase } from '../model/case';
import { chances, type Belief } from './fit';
import { doseSensitivity, logDoses, type LogDoses, type Spreads } from '../model/sensitivity';

/** Doses over temperature and time. Nodes in between are interpolated: logarithms of dose are smooth in °C and in ln s. */
export interface DoseGrid {
  readonly platenC: readonly number[];
  readonly dwellS: readonly number[];
  /** [temperature][time]. */
  readonly least: readonly (readonly number[])[];
  readonly most: readonly (readonly number[])[];
  /** Sensitivities at their own, fewer nodes. */
  readonly sensitivity: {
    readonly platenC: readonly number[];
    readonly dwellS: readonly number[];
    readonly at: readonly (readonly LogDoses[])[];
  };
}

export interface WindowRange {
  readonly platenC: readonly [number, number];
  readonly dwellS: readonly [number, number];
}

const GRIDS = {
  coarse: { temperatures: 3, times: 5, sensitivity: [1, 2] },
  fine: { temperatures: 5, times: 9, sensitivity: [2, 3] },
} as const;
export type GridKind = keyof typeof GRIDS;

const even = ([lo, hi]: readonly [number, number], n: number): number[] =>
  n === 1 ? [(lo + hi) / 2] : Array.from({ length: n }, (_, i) => lo + ((hi - lo) * i) / (n - 1));
const evenInLog = ([lo, hi]: readonly [number, number], n: number): number[] =>
  even([Math.log(lo), Math.log(hi)], n).map(Math.exp);

export function doseGrid(
  c: HeatCase,
  s: HeatSettings,
  sd: Spreads,
  { platenC, dwellS }: WindowRange,
  kind: GridKind,
): DoseGrid {
  const { temperatures, times, sensitivity } = GRIDS[kind];
  const cs = even(platenC, temperatures);
  const ts = evenInLog(dwellS, times);
  const nodes = cs.map((platen) => ts.map((dwell) => logDoses(c, { ...s, platenC: platen, dwellS: dwell })));
  const [sc, st] = [even(platenC, sensitivity[0]), evenInLog(dwellS, sensitivity[1])];
  return {
    platenC: cs,
    dwellS: ts,
    least: nodes.map((row) => row.map((n) => n.least)),
    most: nodes.map((row) => row.map((n) => n.most)),
    sensitivity: {
      platenC: sc,
      dwellS: st,
      at: sc.map((platen) =>
        st.map((dwell) => doseSensitivity(c, { ...s, platenC: platen, dwellS: dwell }, sd)),
      ),
    },
  };
}

/** Where a value lies among even nodes: the node before, and how far on to the next. */
function between(nodes: readonly number[], value: number): readonly [number, number] {
  const last = nodes.length - 1;
  if (last < 1) return [0, 0];
  const step = ((nodes[last] ?? 1) - (nodes[0] ?? 0)) / last;
  const at = (value - (nodes[0] ?? 0)) / step;
  const i = Math.min(last - 1, Math.max(0, Math.floor(at)));
  return [i, at - i];
}

/** Cubic through four even nodes about the place (Catmull and Rom 1974); nodes past an end are carried on straight. */
function cubic(of: (i: number) => number, count: number, [i, f]: readonly [number, number]): number {
  const at = (k: number): number =>
    k < 0 ? 2 * of(0) - of(1) : k >= count ? 2 * of(count - 1) - of(count - 2) : of(k);
  const [a, b, c, d] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
  return b + 0.5 * f * (c - a + f * (2 * a - 5 * b + 4 * c - d + f * (3 * (b - c) + d - a)));
}

const linear = (of: (i: number) => number, count: number, [i, f]: readonly [number, number]): number =>
  count < 2 ? of(0) : of(i) + f * (of(i + 1) - of(i));

/** Doses anywhere in the window. */
export function dosesAt(grid: DoseGrid, platenC: number, dwellS: number): LogDoses {
  const logs = grid.dwellS.map(Math.log);
  const ci = between(grid.platenC, platenC);
  const ti = between(logs, Math.log(dwellS));
  const of = (table: DoseGrid['least']): number =>
    cubic((i) => cubic((j) => table[i]?.[j] ?? 0, logs.length, ti), grid.platenC.length, ci);
  const { sensitivity: s } = grid;
  const clamp = ([i, f]: readonly [number, number]) => [i, Math.min(1, Math.max(0, f))] as const;
  const sc = clamp(between(s.platenC, platenC));
  const st = clamp(between(s.dwellS.map(Math.log), Math.log(dwellS)));
  const by = (key: 'leastBy' | 'mostBy'): number[] =>
    (s.at[0]?.[0]?.[key] ?? []).map((_, k) =>
      linear((i) => linear((j) => s.at[i]?.[j]?.[key][k] ?? 0, s.dwellS.length, st), s.platenC.length, sc),
    );
  return { least: of(grid.least), most: of(grid.most), leastBy: by('leastBy'), mostBy: by('mostBy') };
}

/** A window drawn: the probability of good over a rectangle of temperatures and times, row by row from the shortest time. */
export interface WindowMap extends WindowRange {
  readonly columns: number;
  readonly rows: number;
  readonly good: readonly number[];
  /** Where it is not good, more likely too much than too little: +1, −1. */
  readonly side: readonly (1 | -1)[];
}

const MAP_SIZE = 40;

export function windowMap(grid: DoseGrid, belief: Belief, range: WindowRange, size = MAP_SIZE): WindowMap {
  const good: number[] = [];
  const side: (1 | -1)[] = [];
  const ts = even(range.dwellS, size);
  const cs = even(range.platenC, size);
  for (const dwell of ts)
    for (const platen of cs) {
      const chance = chances(dosesAt(grid, platen, dwell), belief);
      good.push(chance.good);
      side.push(chance.over > chance.under ? 1 : -1);
    }
  return { ...range, columns: size, rows: size, good, side };
}

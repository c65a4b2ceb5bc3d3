import type { RunDose } from '../shop/run';
import type { StepTaken } from './loadThrough';
import { tookS } from './run';

/** How a pass that was opened early or late changes the dose of its load. */
export interface OverTime {
  /** Seconds past the set time, negative where it was opened early. */
  readonly overS: number;
  /** Share the least dose changes by: 0.12 is 12 % more. */
  readonly share: number;
  readonly inside: 'too little' | 'inside' | 'too much';
}

type Point = RunDose['first'][number];

/** Between the points of a table in a straight line, and on past its ends by their slope. */
function read(table: readonly Point[], overS: number, of: (p: Point) => number): number {
  const sorted = [...table].sort((a, b) => a.overS - b.overS);
  const i = Math.max(
    1,
    Math.min(
      sorted.length - 1,
      sorted.findIndex((p) => p.overS >= overS) === -1
        ? sorted.length - 1
        : sorted.findIndex((p) => p.overS >= overS),
    ),
  );
  const [a, b] = [sorted[i - 1], sorted[i]];
  if (!a || !b || b.overS === a.overS) return a ? of(a) : 0;
  return Math.max(0, of(a) + ((of(b) - of(a)) * (overS - a.overS)) / (b.overS - a.overS));
}

/**
 * What passes opened early or late come to, by the tables the run was begun with: each change from what is set is added, which holds while
 * they are small against the whole. Null where the run has no tables, or nothing was timed.
 */
export function overTime(
  dose: RunDose | null,
  passes: readonly { readonly pass: number; readonly overS: number }[],
): OverTime | null {
  if (!dose || passes.length === 0) return null;
  const set = { least: read(dose.first, 0, (p) => p.leastS), most: read(dose.first, 0, (p) => p.mostS) };
  const sum = passes.reduce(
    (at, { pass, overS }) => {
      const table = pass > 1 ? dose.later : dose.first;
      const by = (of: (p: Point) => number) => read(table, overS, of) - read(table, 0, of);
      return { least: at.least + by((p) => p.leastS), most: at.most + by((p) => p.mostS) };
    },
    { ...set },
  );
  const overS = passes.reduce((s, p) => s + p.overS, 0);
  return {
    overS,
    share: set.least > 0 ? sum.least / set.least - 1 : 0,
    inside: sum.least < dose.neededS ? 'too little' : sum.most > dose.limitS ? 'too much' : 'inside',
  };
}

/** Passes of a load as they really went: which, and how far past the set time. */
export const passesOf = (
  steps: readonly StepTaken[],
): readonly { readonly pass: number; readonly overS: number }[] =>
  steps
    .filter((s) => s.operation.timed)
    .map((s) => ({ pass: s.operation.needs.pass ?? 1, overS: tookS(s) - s.operation.plannedS }));

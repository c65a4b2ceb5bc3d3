import { nightAfter, openBetween, workedBy } from './calendar';
import { cycleS, handsS, type Problem, type Route, type Window, type Work } from './problem';

/** What no schedule can beat, and what holds it up. */
export interface Bound {
  /** No schedule packs the last piece before, s. */
  readonly leastS: number;
  readonly by: 'presses' | 'hands' | 'printer' | 'one job' | 'nothing';
  /** Presses, or the printer, that hold it up; empty for hands. */
  readonly which: readonly number[];
  /** Time they have to be busy between them, s. */
  readonly busyS: number;
}

const SUBSETS_OF = 8;
const NONE: Bound = { leastS: 0, by: 'nothing', which: [], busyS: 0 };

/** The soonest any load of a job can be ready for a press, s. */
function readyS(problem: Problem, w: Work): number {
  const one = Math.min(w.pieces, ...w.routes.map((r) => r.atOnce));
  if (w.taped >= one) return 0;
  const cutS = w.cut + w.taped >= one ? 0 : w.releaseS + w.printS + w.dryS;
  const handS = (w.cut + w.taped >= one ? 0 : w.trimS) + w.prepareS * (one - w.taped);
  // Two and more may tape one load between them.
  return workedBy(problem.windows, cutS, handS / Math.max(1, problem.people));
}

/** The soonest a press can be hot with one of some jobs in it, s. */
function pressFromS(problem: Problem, work: readonly Work[], press: number): number {
  const p = problem.presses[press];
  const hotS = p?.hotFromS ?? workedBy(problem.windows, 0, 0) + (p?.warmS ?? 0);
  const first = work.flatMap((w) =>
    w.routes.filter((r) => r.press === press).map((r) => Math.max(r.fromS, readyS(problem, w))),
  );
  return Math.max(hotS, Math.min(...first));
}

interface At {
  readonly fromS: number;
  readonly windows: readonly Window[];
}

/** The first moment by which some presses have worked so long between them, s. */
function togetherBy(presses: readonly At[], busyS: number): number {
  const at = presses.filter((p) => Number.isFinite(p.fromS));
  if (at.length === 0) return Infinity;
  const froms = at.map((p) => p.fromS);
  const enough = (atS: number) => at.reduce((s, p) => s + openBetween(p.windows, p.fromS, atS), 0) >= busyS;
  let [low, high] = [Math.min(...froms), at[0]?.windows.at(-1)?.toS ?? 0];
  if (!Number.isFinite(high)) high = Math.max(...froms) + busyS;
  if (!enough(high)) return Infinity;
  for (let i = 0; i < 60; i += 1) {
    const mid = (low + high) / 2;
    if (enough(mid)) high = mid;
    else low = mid;
  }
  return low;
}

/** What comes at the least after the last load of a job, s. */
const tailS = (problem: Problem, w: Work, fromS: number): number =>
  workedBy(problem.windows, fromS + w.coolS, w.finishS);

const pressS = (w: Work, routes: readonly Route[]): number => {
  const each = Math.min(...routes.map((r) => cycleS(r.cycle) / r.atOnce));
  const [first] = routes;
  return first && routes.every((r) => r.atOnce === first.atOnce)
    ? Math.ceil(w.pieces / first.atOnce) * each * first.atOnce
    : w.pieces * each;
};

/** A load may begin only where it is out in time, unless no stretch is long enough for it: then presses work through. */
const pressWindows = (problem: Problem, work: readonly Work[]): readonly Window[] => {
  const longest = Math.max(...problem.windows.map((w) => w.toS - w.fromS), 0);
  return work.every((w) => w.routes.every((r) => cycleS(r.cycle) <= longest))
    ? problem.windows
    : [{ fromS: 0, toS: Infinity }];
};

/** After a night a press has to warm up again before it takes a load. */
const warmedUp = (windows: readonly Window[], warmS: number): readonly Window[] =>
  windows.map((w, i) =>
    i > 0 && nightAfter(windows, i - 1) ? { ...w, fromS: Math.min(w.toS, w.fromS + warmS) } : w,
  );

function onPresses(
  problem: Problem,
  work: readonly Work[],
  which: readonly number[],
  by: Bound['by'],
): Bound {
  if (work.length === 0) return NONE;
  const busyS = work.reduce((s, w) => s + pressS(w, w.routes), 0);
  const windows = pressWindows(problem, work);
  const pressed = togetherBy(
    which.map((p) => ({
      fromS: pressFromS(problem, work, p),
      windows: warmedUp(windows, problem.presses[p]?.warmS ?? 0),
    })),
    busyS,
  );
  return { leastS: Math.min(...work.map((w) => tailS(problem, w, pressed))), by, which, busyS };
}

const pressesOf = (w: Work): readonly number[] =>
  [...new Set(w.routes.map((r) => r.press))].sort((a, b) => a - b);

/** Every set of presses that some jobs can go to and no others. */
function pressSets(problem: Problem): readonly (readonly number[])[] {
  const used = [...new Set(problem.work.flatMap(pressesOf))];
  if (used.length > SUBSETS_OF) return [used, ...problem.work.map(pressesOf)];
  return Array.from({ length: 2 ** used.length - 1 }, (_, m) => used.filter((_p, i) => ((m + 1) >> i) & 1));
}

function onHands(problem: Problem): Bound {
  const work = problem.work.filter((w) => w.pieces + w.toFinish > 0);
  if (work.length === 0 || problem.people < 1) return NONE;
  const each = (w: Work) =>
    w.sheets * w.trimS +
    Math.max(0, w.pieces - w.taped) * w.prepareS +
    (w.pieces > 0 ? w.pieces * Math.min(...w.routes.map((r) => handsS(r.cycle) / r.atOnce)) : 0) +
    (w.pieces + w.toFinish) * w.finishS;
  const busyS = work.reduce((s, w) => s + each(w), 0);
  const head = Math.min(
    ...work.map((w) => (w.cut + w.taped + w.toFinish > 0 ? 0 : w.releaseS + w.printS + w.dryS)),
  );
  // Hands stay with a hot press when the others leave.
  const stay = Math.max(0, ...work.flatMap((w) => w.routes.map((r) => cycleS(r.cycle))));
  const windows = problem.windows.map((w, i) => ({
    fromS: w.fromS,
    toS: Math.min(w.toS + stay, problem.windows[i + 1]?.fromS ?? Infinity),
  }));
  return { leastS: workedBy(windows, head, busyS / problem.people), by: 'hands', which: [], busyS };
}

function onPrinter(problem: Problem, index: number): Bound {
  const work = problem.work.filter((w) => w.printer === index && w.sheets > 0);
  if (work.length === 0) return NONE;
  const busyS = work.reduce((s, w) => s + w.sheets * w.printS, 0);
  const from = Math.min(...work.map((w) => w.releaseS));
  // What the last sheet makes has still to be pressed.
  const after = work.map((w) =>
    tailS(
      problem,
      w,
      from +
        busyS +
        w.dryS +
        w.trimS +
        (w.pieces > 0 ? Math.min(...w.routes.map((r) => cycleS(r.cycle))) : 0),
    ),
  );
  return { leastS: Math.min(...after), by: 'printer', which: [index], busyS };
}

/**
 * A lower bound of the makespan: the greatest of what each set of presses, the hands, each printer and each job alone must take, with the least
 * that comes before the first and after the last (Pinedo 2016, ch. 5: machine and job based bounds). Jobs without a way through any press are
 * left out.
 */
export function bound(problem: Problem): Bound {
  const going = problem.work.filter((w) => w.pieces > 0 && w.routes.length > 0);
  const all = [
    ...pressSets(problem).map((set) =>
      onPresses(
        problem,
        going.filter((w) => pressesOf(w).every((p) => set.includes(p))),
        set,
        'presses',
      ),
    ),
    ...going.map((w) => onPresses(problem, [w], pressesOf(w), 'one job')),
    onHands({ ...problem, work: problem.work.filter((w) => w.pieces === 0 || w.routes.length > 0) }),
    ...Array.from({ length: problem.printers }, (_, i) => onPrinter({ ...problem, work: going }, i)),
  ];
  return all.reduce((a, b) => (b.leastS > a.leastS + 1e-9 ? b : a), NONE);
}

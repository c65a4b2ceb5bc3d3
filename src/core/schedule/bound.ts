import { boundTogether, workersOf } from './boundTogether';
import { nightAfter, openBetween, workedBy } from './calendar';
import {
  routeKey,
  cycleS,
  handsS,
  type ScheduleInput,
  type Route,
  type WorkingTime,
  type Work,
} from './problem';

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
/** Of the weight of all, what makes a press count among those that hold the day up. */
const SLIGHT = 0.02;
const NONE: Bound = { leastS: 0, by: 'nothing', which: [], busyS: 0 };

/** The soonest any load of a job can be ready for a press, s. */
function readyS(problem: ScheduleInput, w: Work): number {
  const one = Math.min(w.pieces, ...w.routes.map((r) => r.atOnce));
  if (w.taped >= one) return 0;
  const cutS = w.cut + w.taped >= one ? 0 : w.releaseS + w.printS + w.dryS;
  const handS = (w.cut + w.taped >= one ? 0 : w.trimS) + w.prepareS * (one - w.taped);
  // Two and more may tape one load between them.
  return workedBy(problem.windows, cutS, handS / Math.max(1, problem.people));
}

/** The soonest a press can be hot with one of some jobs in it, s. */
function pressFromS(problem: ScheduleInput, work: readonly Work[], press: number): number {
  const p = problem.presses[press];
  const hotS = p?.hotFromS ?? workedBy(problem.windows, 0, 0) + (p?.warmS ?? 0);
  const first = work.flatMap((w) =>
    w.routes.filter((r) => r.press === press).map((r) => Math.max(r.fromS, readyS(problem, w))),
  );
  return Math.max(hotS, Math.min(...first));
}

interface At {
  readonly fromS: number;
  readonly windows: readonly WorkingTime[];
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
const tailS = (problem: ScheduleInput, w: Work, fromS: number): number =>
  workedBy(problem.windows, fromS + w.coolS, w.finishS);

const pressS = (w: Work, routes: readonly Route[]): number => {
  const each = Math.min(...routes.map((r) => cycleS(r.cycle) / r.atOnce));
  const [first] = routes;
  return first && routes.every((r) => r.atOnce === first.atOnce)
    ? Math.ceil(w.pieces / first.atOnce) * each * first.atOnce
    : w.pieces * each;
};

/** A load may begin only where it is out in time, unless no stretch is long enough for it: then presses work through. */
const pressWindows = (problem: ScheduleInput, work: readonly Work[]): readonly WorkingTime[] => {
  const longest = Math.max(...problem.windows.map((w) => w.toS - w.fromS), 0);
  return work.every((w) => w.routes.every((r) => cycleS(r.cycle) <= longest))
    ? problem.windows
    : [{ fromS: 0, toS: Infinity }];
};

/** After a night a press has to warm up again before it takes a load. */
const warmedUp = (windows: readonly WorkingTime[], warmS: number): readonly WorkingTime[] =>
  windows.map((w, i) =>
    i > 0 && nightAfter(windows, i - 1) ? { ...w, fromS: Math.min(w.toS, w.fromS + warmS) } : w,
  );

function onPresses(
  problem: ScheduleInput,
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
function pressSets(problem: ScheduleInput): readonly (readonly number[])[] {
  const used = [...new Set(problem.work.flatMap(pressesOf))];
  if (used.length > SUBSETS_OF) return [used, ...problem.work.map(pressesOf)];
  return Array.from({ length: 2 ** used.length - 1 }, (_, m) => used.filter((_p, i) => ((m + 1) >> i) & 1));
}

/** Hands away from the presses that a job asks for whatever its route, s. */
const awayS = (w: Work): number =>
  w.sheets * w.trimS + Math.max(0, w.pieces - w.taped) * w.prepareS + (w.pieces + w.toFinish) * w.finishS;

/** Hands at the press by the route that asks least of them, s. */
const atPressS = (w: Work): number =>
  w.pieces > 0 ? w.pieces * Math.min(...w.routes.map((r) => handsS(r.cycle) / r.atOnce)) : 0;

/** From when hands have anything to do, and when they are there: they stay with a hot press when the others leave. */
function handsThere(
  problem: ScheduleInput,
  work: readonly Work[],
): { readonly fromS: number; readonly windows: readonly WorkingTime[] } {
  const stay = Math.max(0, ...work.flatMap((w) => w.routes.map((r) => cycleS(r.cycle))));
  return {
    fromS: Math.min(
      ...work.map((w) => (w.cut + w.taped + w.toFinish > 0 ? 0 : w.releaseS + w.printS + w.dryS)),
    ),
    windows: problem.windows.map((w, i) => ({
      fromS: w.fromS,
      toS: Math.min(w.toS + stay, problem.windows[i + 1]?.fromS ?? Infinity),
    })),
  };
}

const toDo = (problem: ScheduleInput): readonly Work[] =>
  problem.work.filter((w) => w.pieces + w.toFinish > 0);

function onHands(problem: ScheduleInput): Bound {
  const work = toDo(problem);
  if (work.length === 0 || problem.people < 1) return NONE;
  const busyS = work.reduce((s, w) => s + awayS(w) + atPressS(w), 0);
  const there = handsThere(problem, work);
  return {
    leastS: workedBy(there.windows, there.fromS, busyS / problem.people),
    by: 'hands',
    which: [],
    busyS,
  };
}

/** Presses and all hands, counted together. */
function counted(problem: ScheduleInput, going: readonly Work[], fromS: number) {
  const work = toDo(problem);
  const windows = pressWindows(problem, going);
  // Whatever a press does last has still to cool and to be finished.
  const tailS = (press: number) =>
    Math.min(...going.flatMap((w) => (w.routes.some((r) => r.press === press) ? [w.coolS + w.finishS] : [])));
  const workers = workersOf(
    problem,
    problem.presses.map((p, press) => ({
      press,
      windows: warmedUp(windows, p.warmS),
      fromS: pressFromS(problem, going, press),
      tailS: tailS(press),
    })),
    handsThere(problem, work),
  );
  const away = work.reduce((s, w) => s + awayS(w), 0);
  return { workers, away, ...boundTogether(going, workers, away, fromS) };
}

/** Presses and hands counted together, over what is known of each alone. */
function onAll(problem: ScheduleInput, going: readonly Work[], known: Bound): Bound {
  const { workers, away, leastS, weights } = counted(problem, going, known.leastS);
  if (leastS <= known.leastS + 1) return known;
  const heavy = workers.map((w, i) => (weights[i] ?? 0) * w.many);
  const presses = workers.flatMap((w, i) => (w.press !== null && (heavy[i] ?? 0) > SLIGHT ? [w.press] : []));
  const onPresses = workers.reduce((s, w, i) => s + (w.press === null ? 0 : (heavy[i] ?? 0)), 0);
  if (onPresses < heavy.reduce((a, b) => a + b, 0) / 2)
    return { leastS, by: 'hands', which: [], busyS: away + going.reduce((s, w) => s + atPressS(w), 0) };
  const held = going.filter((w) => pressesOf(w).every((p) => presses.includes(p)));
  return {
    leastS,
    by: 'presses',
    which: presses,
    busyS: held.reduce((s, w) => s + pressS(w, w.routes), 0),
  };
}

const goingOf = (problem: ScheduleInput): readonly Work[] =>
  problem.work.filter((w) => w.pieces > 0 && w.routes.length > 0);

/** About the share of each job that each of its presses should take for all to end soon, 0..1, by work and press as in `routeKey`. */
export function fairShares(problem: ScheduleInput): ReadonlyMap<string, number> {
  const going = goingOf(problem);
  if (going.length === 0) return new Map();
  const { shares } = counted(problem, going, 0);
  return new Map(
    going.flatMap((w, i) =>
      w.routes.map((r, k) => [routeKey(problem.work.indexOf(w), r.press), shares[i]?.[k] ?? 0] as const),
    ),
  );
}

function onPrinter(problem: ScheduleInput, index: number): Bound {
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
export function bound(problem: ScheduleInput): Bound {
  const going = goingOf(problem);
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
  const known = all.reduce((a, b) => (b.leastS > a.leastS + 1e-9 ? b : a), NONE);
  return going.length > 0 && Number.isFinite(known.leastS) ? onAll(problem, going, known) : known;
}

import {
  routeKey,
  JOB_PRIORITY,
  type Done,
  type Policy,
  type PressOn,
  type ScheduleInput,
  type Route,
  type LoadStep,
} from './problem';

/*
 * The moving parts of a simulation. Changed in place: one simulation takes a few thousand events and is run thousands of times. None of it
 * leaves `simulate`.
 */

/** Times as they fall out this time: the usual where nothing is left to chance. */
export interface Chance {
  /** Time of a step of a kind, s. */
  readonly time: (usualS: number, logSd: number, kind: 'hands' | 'wait') => number;
  /** How many of so many pieces are spoiled. */
  readonly spoiled: (pieces: number, share: number) => number;
}
export const NO_CHANCE: Chance = { time: (s) => s, spoiled: () => 0 };

type HandKind = 'trim' | 'tape' | 'finish';

/** Something hands do away from the press: it can be left and taken up again. */
export interface Item {
  readonly kind: HandKind;
  readonly work: number;
  readonly part: number;
  readonly pieces: number;
  leftS: number;
  startedS: number;
}

export interface Person {
  item: Item | null;
  /** The job they last worked on; -1 for none. */
  last: number;
  /** The press they are at; -1 for none. */
  press: number;
  /** When what they do is over. */
  endS: number;
}

export interface ScheduledJob {
  sheetsLeft: number;
  sheetsDone: number;
  /** When sheets that were printed will be dry, in order; read from `dryFrom`. */
  readonly dry: number[];
  dryFrom: number;
  drySheets: number;
  sheetsTrimmed: number;
  /** Pieces of sheets that are being cut, or were laid down half cut. */
  beingCut: number;
  cut: number;
  taped: number;
  /** Of the pieces to press, those no press has taken yet. */
  pool: number;
  beingTaped: number;
  tapePart: number;
  loadPart: number;
  readonly coolAt: number[];
  readonly coolPieces: number[];
  coolFrom: number;
  toFinish: number;
  finishPart: number;
  /** Pieces that are not packed yet. */
  left: number;
  endS: number;
  readonly paused: Item[];
}

type PressState = 'off' | 'warming' | 'idle' | 'going';

export interface ScheduledPress {
  state: PressState;
  /** When it is to be looked at again while off, as found at a stamp. */
  againS: number;
  stamp: number;
  onS: number;
  hotS: number;
  /** What it goes through: a change of setting or a load. */
  segments: readonly LoadStep[];
  segment: number;
  /** What it is set to, and how many of its segments set it for the load that the others are. */
  setting: string | null;
  setSegments: number;
  /** The press goes on by itself until then; -1 while it needs hands. */
  untilS: number;
  /** What is left of a step by hand that was begun before, s; -1 where it is all of it. */
  begunLeftS: number;
  waitsSinceS: number;
  handled: boolean;
  route: Route | null;
  work: number;
  part: number;
  pieces: number;
  loadFromS: number;
  segmentFromS: number;
  /** Routes in the order they are taken. */
  readonly routes: readonly { readonly work: number; readonly route: Route }[];
}

interface Printer {
  untilS: number;
  work: number;
  /** The job it last printed; -1 for none. */
  last: number;
  part: number;
  fromS: number;
}

export interface Sim {
  readonly problem: ScheduleInput;
  readonly policy: Policy;
  readonly chance: Chance;
  readonly keep: boolean;
  nowS: number;
  window: number;
  open: boolean;
  readonly jobs: ScheduledJob[];
  readonly presses: ScheduledPress[];
  readonly printers: Printer[];
  readonly people: Person[];
  coolingNow: number;
  /** Grows whenever anything changes that a cold press waits for: sheets, cut and taped pieces, other presses, hours. */
  stamp: number;
  events: number;
  /** The longest stretch anybody is there. */
  readonly longestS: number;
  /** Jobs that are not packed yet. */
  unfinished: number;
  /** Sheets not yet printed, by printer. */
  readonly toPrint: number[];
  /** The next moment a sheet is dry or a load cool, s. */
  nextJobS: number;
  /** Moments a person set for a job at a press, in order. */
  readonly pinsS: readonly number[];
  pinFrom: number;
  /** Whether hands found nothing to do, and nothing has come to hand since. */
  nothing: boolean;
  /** Pieces a round of its presses takes, by job: used while hands choose. */
  readonly wants: number[];
  readonly busyS: number[];
  readonly printS: number[];
  handsS: number;
  printerChanges: number;
  readonly waited: { hands: number; taped: number; place: number };
  readonly done: Done[];
  readonly on: PressOn[];
}

/** Pieces the first so many sheets of a job make. */
export function fromSheets(total: number, sheets: number, k: number): number {
  return sheets <= 0 || k >= sheets ? total : Math.floor((total * k) / sheets);
}

function jobState(problem: ScheduleInput, index: number): ScheduledJob {
  const w = problem.work[index];
  const inPress = problem.presses.reduce((s, p) => (p.inPress?.work === index ? s + p.inPress.pieces : s), 0);
  const left = (w?.pieces ?? 0) + inPress + (w?.toFinish ?? 0);
  return {
    sheetsLeft: w?.sheets ?? 0,
    sheetsDone: 0,
    dry: [],
    dryFrom: 0,
    drySheets: 0,
    sheetsTrimmed: 0,
    beingCut: 0,
    cut: w?.cut ?? 0,
    taped: w?.taped ?? 0,
    pool: w?.pieces ?? 0,
    beingTaped: 0,
    tapePart: 0,
    loadPart: 0,
    coolAt: [],
    coolPieces: [],
    coolFrom: 0,
    toFinish: w?.toFinish ?? 0,
    finishPart: 0,
    left,
    endS: left === 0 ? 0 : Infinity,
    paused: [],
  };
}

/** Routes of a press in the order they are taken: those a person put there first, then by turn and the policy's order. */
function routesOf(problem: ScheduleInput, policy: Policy, press: number): ScheduledPress['routes'] {
  const turn = (work: number) => policy.turns.get(routeKey(work, press)) ?? JOB_PRIORITY.own;
  const all = policy.order.flatMap((work) =>
    (problem.work[work]?.routes ?? [])
      .filter((r) => r.press === press && turn(work) !== JOB_PRIORITY.never)
      .map((route) => ({ work, route })),
  );
  const later = all.filter((r) => r.route.fromS <= 0).sort((a, b) => turn(a.work) - turn(b.work));
  return [...all.filter((r) => r.route.fromS > 0), ...later];
}

function pressState(
  problem: ScheduleInput,
  routes: ScheduledPress['routes'],
  index: number,
  chance: Chance,
): ScheduledPress {
  const line = problem.presses[index];
  const inside = line?.inPress ?? null;
  const route = inside && (problem.work[inside.work]?.routes.find((r) => r.press === index) ?? null);
  const segment = route?.cycle[inside?.segment ?? 0];
  const on = line?.hotFromS ?? null;
  return {
    state: route && inside ? 'going' : on === null ? 'off' : on > 0 ? 'warming' : 'idle',
    againS: 0,
    stamp: -1,
    onS: 0,
    hotS: on ?? 0,
    segments: route?.cycle ?? [],
    segment: inside?.segment ?? 0,
    setSegments: 0,
    untilS: inside && segment && !segment.hands ? chance.time(inside.leftS, segment.logSd, 'wait') : -1,
    begunLeftS: inside && segment?.hands ? inside.leftS : -1,
    waitsSinceS: 0,
    handled: false,
    route: route ?? null,
    work: inside?.work ?? -1,
    part: -1,
    pieces: inside?.pieces ?? 0,
    loadFromS: 0,
    segmentFromS: 0,
    setting: line?.setting ?? null,
    routes,
  };
}

/** What is the same in every course of one problem under one policy. */
interface Fixed {
  readonly policy: Policy;
  readonly longestS: number;
  readonly pinsS: readonly number[];
  readonly routes: readonly ScheduledPress['routes'][];
}
const fixedOf = new WeakMap<ScheduleInput, Fixed>();

/** Calculated once for all plays of a plan. */
function fixed(problem: ScheduleInput, policy: Policy): Fixed {
  const known = fixedOf.get(problem);
  if (known?.policy === policy) return known;
  const made: Fixed = {
    policy,
    longestS: known?.longestS ?? longest(problem.windows),
    pinsS:
      known?.pinsS ??
      problem.work
        .flatMap((w) => [w.releaseS, ...w.routes.map((r) => r.fromS)])
        .filter((s) => s > 0)
        .sort((a, b) => a - b),
    routes: problem.presses.map((_, i) => routesOf(problem, policy, i)),
  };
  fixedOf.set(problem, made);
  return made;
}

const longest = (windows: ScheduleInput['windows']): number => {
  let s = 0;
  for (const w of windows) s = Math.max(s, w.toS - w.fromS);
  return s;
};

export function begin(problem: ScheduleInput, policy: Policy, chance: Chance, keep: boolean): Sim {
  const same = fixed(problem, policy);
  const jobs = problem.work.map((_, i) => jobState(problem, i));
  return {
    problem,
    policy,
    chance,
    keep,
    nowS: 0,
    window: 0,
    open: false,
    jobs,
    longestS: same.longestS,
    unfinished: jobs.filter((j) => j.left > 0).length,
    toPrint: Array.from({ length: problem.printers }, (_, p) =>
      problem.work.reduce((s, w) => (w.printer === p ? s + w.sheets : s), 0),
    ),
    nextJobS: Infinity,
    pinsS: same.pinsS,
    presses: problem.presses.map((_, i) => pressState(problem, same.routes[i] ?? [], i, chance)),
    printers: Array.from({ length: problem.printers }, () => ({
      untilS: Infinity,
      work: -1,
      last: -1,
      part: 0,
      fromS: 0,
    })),
    people: Array.from({ length: problem.people }, () => ({
      item: null,
      last: -1,
      press: -1,
      endS: Infinity,
    })),
    coolingNow: 0,
    stamp: 0,
    events: 0,
    pinFrom: 0,
    nothing: false,
    wants: problem.work.map(() => 0),
    busyS: problem.presses.map(() => 0),
    printS: Array.from({ length: problem.printers }, () => 0),
    handsS: 0,
    printerChanges: 0,
    waited: { hands: 0, taped: 0, place: 0 },
    done: [],
    on: [],
  };
}

/** Whether any of a job can be taped up soon: printed at the least. */
export const inHand = (job: ScheduledJob): boolean =>
  job.taped + job.cut + job.beingTaped + job.beingCut + job.drySheets > 0 || job.dryFrom < job.dry.length;

/** The job a press is for now: the first in its order that has pieces left and can go on, else the first that has pieces left. */
export function targetOf(sim: Sim, p: ScheduledPress): ScheduledPress['routes'][number] | null {
  let first: ScheduledPress['routes'][number] | null = null;
  for (const r of p.routes) {
    const job = sim.jobs[r.work];
    if (!job || job.pool <= 0 || r.route.fromS > sim.nowS) continue;
    if (inHand(job)) return r;
    first ??= r;
  }
  return first;
}

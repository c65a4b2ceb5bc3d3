import type { Job } from '../job/job';
import { keyOf } from '../memo/key';
import { memoizeOne } from '../memo/memo';
import { pressBlocked } from '../plan/press/newRun';
import type { Plan } from '../plan/planShape';
import { createPlanner } from '../plan/planner';
import { pressWork, timesAt, type PressWork, type WorkTimes } from '../plan/press/workTimes';
import type { ProvenCounts } from '../heat/settings/choose';
import type { PaceOf } from '../run/pace';
import { isOn, packedOf, runsOf, type RunWithState } from '../run/pieces';
import type { Blank } from '../shop/blank';
import { isWrapPress, type Press } from '../shop/press';
import type { Shop } from '../shop/shop';

/** One press a job can go to. */
interface JobRoute {
  readonly press: Press;
  readonly times: WorkTimes;
}

/** Why a job is not in the day. */
export type LeftOut =
  | { readonly why: 'packed' | 'waits' | 'no-blank' | 'no-press' | 'no-sheet' }
  | { readonly why: 'blocked'; readonly pressName: string };

/** An open job with all that its schedule is made from. */
export interface JobWork {
  readonly job: Job;
  readonly pieces: number;
  readonly good: number;
  readonly packed: number;
  /** Not yet pressed and in no press. */
  readonly toPress: number;
  readonly taped: number;
  /** Pieces whose print is there. */
  readonly printed: number;
  readonly toFinish: number;
  readonly printerId: string;
  readonly paperId: string;
  readonly blank: Blank;
  readonly times: WorkTimes;
  readonly routes: readonly JobRoute[];
  readonly runs: readonly RunWithState[];
}

/**
 * Presses a job can go to: those it is pinned to; else its chosen press and others of that kind; without a chosen press, every press that can
 * press it, the press of the plan first.
 */
function candidates(job: Job, shop: Shop, made: Plan): readonly Press[] {
  const pinned = job.day.pins.flatMap((p) => shop.presses.filter((x) => x.id === p.pressId));
  if (pinned.length > 0) return pinned;
  const own = made.heat.press;
  if (!own) return shop.presses;
  const others = shop.presses.filter((p) => p.id !== own.id);
  const twins = others.filter((p) => p.kind === own.kind && isWrapPress(p) === isWrapPress(own));
  return [own, ...(made.heat.chosenFor ? others : twins)];
}

/** What the schedule needs of a job and only a plan can tell; times do not yet depend on the person. */
interface JobBase {
  readonly blank: Blank | null;
  readonly pieces: number;
  readonly good: number;
  readonly spoiled: number;
  readonly reprints: number;
  /** Not yet pressed and in no press. */
  readonly free: number;
  readonly printerId: string;
  readonly paperId: string | null;
  readonly pressName: string | null;
  /** Every press it can go to, the one it is planned on first. */
  readonly works: readonly PressWork[];
}

function jobBase(job: Job, shop: Shop, proven: ProvenCounts): JobBase {
  // For another press the planner runs only the stages that depend on the press.
  const planner = createPlanner();
  const made = planner(job, shop, { proven });
  const { good, left, free, runs, seconds, spoiled, reprints } = made.press;
  return {
    blank: made.blank.blank,
    pieces: good + left,
    good,
    // What has a flaw, or soaks, has used its print as well.
    spoiled: spoiled + seconds + runs.reduce((n, r) => n + r.state.soaking.length, 0),
    reprints: reprints.length,
    free: free.length,
    printerId: made.sheet.printer.id,
    paperId: made.sheet.layout?.paper.id ?? null,
    pressName: made.heat.press?.name ?? null,
    works: candidates(job, shop, made).flatMap((press) => {
      const of =
        press.id === made.heat.press?.id ? made : planner({ ...job, pressId: press.id }, shop, { proven });
      const work = pressBlocked(of) ? null : pressWork(of, shop.settings.day);
      return work ? [work] : [];
    }),
  };
}

/** Bases made before, by job: another is made only where the job, its runs or a thing of the shop changed. */
export interface JobBases {
  readonly of: (job: Job, shop: Shop, proven: ProvenCounts) => JobBase;
}

export function createJobBases(): JobBases {
  const kept = new Map<string, { readonly key: string; readonly base: JobBase }>();
  const shopKey = memoizeOne(({ shop, proven }: { readonly shop: Shop; readonly proven: ProvenCounts }) =>
    keyOf({ ...shop, runs: [], log: [], proven }),
  );
  return {
    of: (job, shop, proven) => {
      const runs = shop.runs.filter((r) => r.jobId === job.id);
      const key = `${shopKey({ shop, proven })} ${keyOf([job, runs])}`;
      const known = kept.get(job.id);
      if (known?.key === key) return known.base;
      const base = jobBase(job, { ...shop, runs }, proven);
      kept.set(job.id, { key, base });
      return base;
    },
  };
}

/** On the presses of the shop as they are given: a base may have been made from an older copy of them. */
const routesAt = ({ works }: JobBase, shop: Shop, pace: PaceOf): readonly JobRoute[] =>
  works.flatMap((work) => {
    const press = shop.presses.find((p) => p.id === work.pressId);
    return press ? [{ press, times: timesAt(work, pace) }] : [];
  });

/** Pieces not yet pressed whose print is there: by sheets said to be printed, and where it is being pressed, all but what is made again. */
function printedOf(base: JobBase, times: WorkTimes, toPress: number, begun: boolean, sheets: number): number {
  const { good, spoiled, reprints } = base;
  const bySheets = Math.floor((sheets * times.sheetPieces) / Math.max(1, times.sheets)) - good - spoiled;
  const byRun = begun ? toPress - reprints : 0;
  return Math.max(0, Math.min(toPress, Math.max(bySheets, byRun)));
}

/** What lies between printer and press: sheets of the job that have been printed, and pieces that are taped up. */
interface OnTheWay {
  readonly sheets: number;
  readonly taped: number;
}

/** What the day knows of every job. */
export interface DayShop {
  readonly shop: Shop;
  readonly proven: ProvenCounts;
  readonly pace: PaceOf;
  readonly bases: JobBases;
}

/** A job as the day takes it, or why it does not. */
export function jobWork(
  job: Job,
  { shop, proven, pace, bases }: DayShop,
  { sheets, taped }: OnTheWay,
): { readonly work: JobWork } | { readonly left: LeftOut } {
  const runs = runsOf(shop.runs, job.id);
  const packed = packedOf(job, runs);
  const base = bases.of(job, shop, proven);
  const { blank, pieces, good, paperId, printerId } = base;
  if (packed >= pieces && pieces > 0) return { left: { why: 'packed' } };
  // What is on is on, whatever was said of it before.
  if (job.day.waits && !runs.some(isOn)) return { left: { why: 'waits' } };
  if (!blank) return { left: { why: 'no-blank' } };
  if (paperId === null) return { left: { why: 'no-sheet' } };
  const routes = routesAt(base, shop, pace);
  const [first] = routes;
  if (!first)
    return base.pressName === null
      ? { left: { why: 'no-press' } }
      : { left: { why: 'blocked', pressName: base.pressName } };
  const on = runs.filter(isOn);
  // A load that has not been put in yet is still to come.
  const waiting = on.reduce((s, r) => (r.state.stepIndex === 0 ? s + r.state.inLoad.length : s), 0);
  const toPress = base.free + waiting;
  return {
    work: {
      job,
      pieces,
      good,
      packed,
      toPress,
      taped: Math.min(toPress, taped),
      printed: printedOf(base, first.times, toPress, runs.length > 0, sheets),
      toFinish: Math.max(0, good - packed),
      printerId,
      paperId,
      blank,
      times: first.times,
      routes,
      runs,
    },
  };
}

import type { Job } from '../job/job';
import { pressBlocked } from '../plan/newRun';
import { plan, type Plan } from '../plan/plan';
import { workTimes, type WorkTimes } from '../plan/workTimes';
import type { ProvenCounts } from '../heat/choose';
import type { PaceOf } from '../run/pace';
import { isOn, runsOf, type RunWithState } from '../run/pieces';
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

/** Pieces packed so far: at the presses, and away from them. */
export const packedOf = (job: Job, runs: readonly RunWithState[]): number =>
  job.finish.packed + runs.reduce((s, r) => s + r.state.between.packed, 0);

/** Presses a job may go to: those a person pinned it to, else its own, else every one of which its plan has nothing against. */
function candidates(job: Job, shop: Shop, made: Plan): readonly Press[] {
  const pinned = job.day.pins.flatMap((p) => shop.presses.filter((x) => x.id === p.pressId));
  if (pinned.length > 0) return pinned;
  const own = made.heat.press;
  if (!own) return shop.presses;
  const twins = shop.presses.filter(
    (p) => p.id !== own.id && p.kind === own.kind && isWrapPress(p) === isWrapPress(own),
  );
  return [own, ...twins];
}

/** Every press a job can go to as it stands, the one it is planned on first. */
export function routesOf(
  job: Job,
  shop: Shop,
  made: Plan,
  pace: PaceOf,
  proven: ProvenCounts,
): readonly JobRoute[] {
  return candidates(job, shop, made).flatMap((press): JobRoute[] => {
    const of =
      press.id === made.heat.press?.id ? made : plan({ ...job, pressId: press.id }, shop, { proven });
    const times = pressBlocked(of) ? null : workTimes(of, shop, pace);
    return times ? [{ press, times }] : [];
  });
}

/** Pieces not yet pressed whose print is there: by sheets said to be printed, and where it is being pressed, all but what is made again. */
function printedOf(made: Plan, times: WorkTimes, toPress: number, begun: boolean, sheets: number): number {
  const { good, spoiled, reprints } = made.press;
  const bySheets = Math.floor((sheets * times.sheetPieces) / Math.max(1, times.sheets)) - good - spoiled;
  const byRun = begun ? toPress - reprints.length : 0;
  return Math.max(0, Math.min(toPress, Math.max(bySheets, byRun)));
}

/** What lies between printer and press: sheets of the job that have been printed, and pieces that are taped up. */
export interface OnTheWay {
  readonly sheets: number;
  readonly taped: number;
}

/** A job as the day takes it, or why it does not. */
export function jobWork(
  job: Job,
  shop: Shop,
  pace: PaceOf,
  proven: ProvenCounts,
  { sheets, taped }: OnTheWay,
): { readonly work: JobWork } | { readonly left: LeftOut } {
  const runs = runsOf(shop.runs, job.id);
  const made = plan(job, shop, { proven });
  const { blank } = made.blank;
  const { good, free } = made.press;
  const pieces = good + made.press.left;
  const packed = packedOf(job, runs);
  if (packed >= pieces && pieces > 0) return { left: { why: 'packed' } };
  // What is on is on, whatever was said of it before.
  if (job.day.waits && !runs.some(isOn)) return { left: { why: 'waits' } };
  if (!blank) return { left: { why: 'no-blank' } };
  if (!made.sheet.layout) return { left: { why: 'no-sheet' } };
  const routes = routesOf(job, shop, made, pace, proven);
  const [first] = routes;
  if (!first)
    return made.heat.press
      ? { left: { why: 'blocked', pressName: made.heat.press.name } }
      : { left: { why: 'no-press' } };
  const on = runs.filter(isOn);
  // A load that has not been put in yet is still to come.
  const waiting = on.reduce((s, r) => (r.state.stepIndex === 0 ? s + r.state.inLoad.length : s), 0);
  const toPress = free.length + waiting;
  return {
    work: {
      job,
      pieces,
      good,
      packed,
      toPress,
      taped: Math.min(toPress, taped),
      printed: printedOf(made, first.times, toPress, runs.length > 0, sheets),
      toFinish: Math.max(0, good - packed),
      printerId: made.sheet.printer.id,
      paperId: made.sheet.layout.paper.id,
      blank,
      times: first.times,
      routes,
      runs,
    },
  };
}

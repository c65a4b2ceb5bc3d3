import { say } from '../message/message';
import { fail, ok, type Result } from '../basics/result';
import { finish, type Steps } from '../basics/steps';
import type { Job } from '../job/job';
import type { ProvenCounts } from '../heat/settings/choose';
import { plan } from '../plan/plan';
import { USUAL_INK_PCT } from '../plan/sheet/cost';
import { workTimes } from '../plan/press/workTimes';
import { paceFrom, timedSteps, type PaceOf } from '../run/pace';
import { withState } from '../run/pieces';
import type { Shop } from '../shop/shop';
import type { Run } from '../shop/run';
import type { StockItem } from '../shop/stock';
import {
  atPrice,
  blankEachCents,
  priceOf,
  reprintCents,
  type CostGiven,
  type Price,
  type PriceWish,
  type PressedCounts,
  NONE_PRESSED,
  secondsAmong,
} from './cost';

export interface CostInput {
  readonly jobs: readonly Job[];
  readonly shop: Shop;
  readonly items: readonly StockItem[];
  readonly seen: Readonly<Record<string, PressedCounts>>;
  readonly proven: ProvenCounts;
  /** Mean ink of the art, percent, by job, where it has been analysed. */
  readonly inkPct: Readonly<Record<string, number>>;
}

/** What a job costs and what it is sold for. */
export interface JobCost {
  readonly jobId: string;
  readonly jobName: string;
  readonly blankName: string;
  /** The press it is calculated on where none is chosen yet; null where one is. */
  readonly supposedPress: string | null;
  readonly pieces: number;
  readonly given: CostGiven;
  readonly wish: PriceWish;
  /** Of all its pieces, at the price a person decided or else the calculated one. */
  readonly price: Price;
  readonly byHand: boolean;
  /** The calculated prices of one, a dozen, a case, and the order. */
  readonly ladder: readonly Price[];
  readonly inkKnown: boolean;
  /** Whether anybody said what a blank costs. */
  readonly blankPriced: boolean;
  readonly reprintPrintCents: number;
  readonly reprintAllCents: number;
  /** Pieces with a flaw to expect, and what one of them is sold for. */
  readonly seconds: { readonly expected: number; readonly eachCents: number };
}

const WHERE = say('common.cost');
const DOZEN = 12;

/** How a job is sold: its own wishes, else the shop’s. A counter keeps nothing. */
const wishOf = (job: Job, shop: Shop): PriceWish => ({
  from: job.sell.priceFrom,
  marginPct: job.sell.marginPct ?? shop.settings.money.marginPct,
  feePct: job.sell.way === 'market' ? (job.sell.feePct ?? shop.settings.money.marketFeePct) : 0,
});

/** How often a piece of this blank is taped again before it goes in. */
function retapesOf(runs: readonly Run[], blankId: string): number {
  const states = runs.filter((r) => r.blank.id === blankId).map((r) => withState(r).state);
  const through = states.reduce((n, s) => n + s.through, 0);
  return through === 0 ? 0 : states.reduce((n, s) => n + s.retaped, 0) / through;
}

function one(job: Job, ask: CostInput, pace: PaceOf): Result<JobCost> {
  const { shop } = ask;
  const made = plan(job, shop, { proven: ask.proven });
  const { blank } = made.blank;
  if (!blank) return fail(say('pricing.jobHasBlankYet'), WHERE, say('pricing.chooseOneMostCost'));
  const { layout, printer } = made.sheet;
  if (!layout) return fail(say('pricing.paperFitsYet'), WHERE, say('pricing.seeIssuesSheetStep'));
  const times = workTimes(made, shop.settings.day, pace);
  if (!times) return fail(say('pricing.pressFitsJob'), WHERE, say('pricing.chooseOneLabourEnergy'));
  const item = ask.items.find((i) => i.kind === 'blank' && i.ofId === blank.id) ?? null;
  const ink = ask.inkPct[job.id];
  const given: CostGiven = {
    times,
    layout,
    printer,
    money: shop.settings.money,
    inkPct: ink ?? USUAL_INK_PCT,
    item,
    blankCents: blank.costCents,
    seen: ask.seen[job.id] ?? NONE_PRESSED,
    retapes: retapesOf(ask.shop.runs, blank.id),
  };
  const pieces = made.press.good + made.press.left;
  const wish = wishOf(job, shop);
  const price = priceOf(given, pieces, wish);
  if (!price.ok) return price;
  const { priceCents } = job.sell;
  const sizes = [1, DOZEN, ...(item ? [Math.max(1, Math.floor(item.caseSize))] : []), pieces];
  const ladder = [...new Set(sizes)]
    .sort((a, b) => a - b)
    .flatMap((n) => {
      const p = priceOf(given, n, wish);
      return p.ok ? [p.value] : [];
    });
  const chosen =
    priceCents === null
      ? price.value
      : { ...price.value, ...atPrice(price.value.cost, priceCents, wish.feePct) };
  return ok({
    jobId: job.id,
    jobName: job.name,
    blankName: blank.name,
    // Where no press is chosen, the plan takes the best that fits: the cost is known then, and the screen says on which press.
    supposedPress: made.heat.chosenFor ? (made.heat.press?.name ?? null) : null,
    pieces,
    given,
    wish,
    price: chosen,
    byHand: priceCents !== null,
    ladder,
    inkKnown: ink !== undefined,
    blankPriced: blankEachCents(given) !== null,
    reprintPrintCents: reprintCents(given, false),
    reprintAllCents: reprintCents(given, true),
    seconds: {
      expected: secondsAmong(given.seen, price.value.cost.pressed),
      eachCents: job.sell.secondCents ?? Math.round((chosen.eachCents * shop.settings.money.secondPct) / 100),
    },
  });
}

export type JobCosts = readonly { readonly job: Job; readonly cost: Result<JobCost> }[];

/** Costs and prices of jobs, each or why not; may be left between two jobs. */
export function* costing(ask: CostInput): Steps<JobCosts> {
  const pace = paceFrom(timedSteps(ask.shop.runs.map(withState)));
  const costs: JobCosts[number][] = [];
  for (const job of ask.jobs) {
    costs.push({ job, cost: one(job, ask, pace) });
    yield;
  }
  return costs;
}

/** The same at once. */
export const jobCosts = (ask: CostInput): JobCosts => finish(costing(ask));

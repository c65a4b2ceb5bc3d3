import type { StockItem } from '../shop/stock';
import { roundedAmount, type Balance } from './ledger';

/** What a job will take of an item, and by when it has to lie there: the day its work begins. */
export interface StockNeed {
  readonly jobId: string;
  readonly jobName: string;
  readonly itemId: string;
  readonly count: number;
  /** ISO day; null where the job has no date. */
  readonly by: string | null;
}

/** An item with what becomes of it. */
export interface ItemForecast {
  readonly item: StockItem;
  readonly balance: Balance;
  readonly wants: readonly StockNeed[];
  /** All that jobs will take. */
  readonly taken: number;
  /** On hand less what jobs will take; below nothing, it is short. */
  readonly free: number;
  /** Cases to order so that nothing is short and what stays is not below the least; 0 for none. */
  readonly cases: number;
  /** The last day to order on, so that it is there in time; null where nothing is to be ordered or no date presses. */
  readonly orderBy: string | null;
  /** The first job it is short for. */
  readonly shortFor: string | null;
}

const DAY_MS = 86_400_000;

/** A day some days before another, both ISO. */
export const daysBefore = (day: string, days: number): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) - days * DAY_MS).toISOString().slice(0, 10);

const byDate = (a: StockNeed, b: StockNeed): number => (a.by ?? '9999').localeCompare(b.by ?? '9999');

/** The first need that neither stock nor orders cover in time, with how much is there by then. */
function firstShort(item: StockItem, b: Balance, wants: readonly StockNeed[]): StockNeed | null {
  let taken = 0;
  for (const w of wants) {
    taken += w.count;
    const arrived = b.orders
      .filter((o) => w.by === null || (o.expectedOn !== null && o.expectedOn <= w.by))
      .reduce((s, o) => s + o.left, 0);
    if (b.onHand + arrived < taken - 1e-9) return w;
  }
  return null;
}

/**
 * What to order of an item, in whole cases, by when. Orders on the way count; what jobs will take and the least the shop wants to keep do too.
 */
export function forecastItem(item: StockItem, balance: Balance, all: readonly StockNeed[]): ItemForecast {
  const wants = all.filter((w) => w.itemId === item.id).sort(byDate);
  const taken = roundedAmount(wants.reduce((s, w) => s + w.count, 0));
  const free = roundedAmount(balance.onHand - taken);
  const lacking = item.lowAt - (free + balance.onOrder);
  const cases = lacking > 1e-9 ? Math.ceil(lacking / item.caseSize - 1e-9) : 0;
  const short = firstShort(item, balance, wants);
  return {
    item,
    balance,
    wants,
    taken,
    free,
    cases,
    orderBy: cases > 0 && short?.by ? daysBefore(short.by, item.leadDays) : null,
    shortFor: short?.jobName ?? null,
  };
}

/** What one of an item costs by the case, its share of carriage with it, in hundredths, not rounded. */
export const eachCents = (item: StockItem): number => (item.caseCents + item.freightCents) / item.caseSize;

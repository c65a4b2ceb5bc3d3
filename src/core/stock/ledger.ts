import type { Movement, MovementKind, StockItem } from '../shop/stock';

const ORDER: ReadonlySet<MovementKind> = new Set(['ordered', 'cancelled']);

/** Amounts are kept to a thousandth: metres of roll and millilitres of ink are not whole. */
export const roundedAmount = (v: number): number => Math.round(v * 1000) / 1000;

/** What the ledger comes to for one item. */
export interface Balance {
  readonly onHand: number;
  readonly onOrder: number;
  /** On hand by lot, oldest first; what no lot is known of under ''. */
  readonly lots: readonly { readonly lot: string; readonly count: number }[];
  /** Open orders, the first expected first. */
  readonly orders: readonly {
    readonly orderId: string;
    readonly left: number;
    readonly expectedOn: string | null;
    readonly at: number;
  }[];
}

export const NO_BALANCE: Balance = { onHand: 0, onOrder: 0, lots: [], orders: [] };

interface Order {
  readonly orderId: string;
  left: number;
  expectedOn: string | null;
  readonly at: number;
}

/**
 * Lots as they can lie there: what was taken of no known lot, or more than a lot had, came out of the others, the oldest first. Only where there
 * is less than none in all is one below it.
 */
function settled(lots: ReadonlyMap<string, number>): Balance['lots'] {
  let owed = 0;
  for (const count of lots.values()) owed = roundedAmount(owed + Math.max(0, -count));
  const left: { lot: string; count: number }[] = [];
  for (const [lot, count] of lots) {
    const taken = Math.min(owed, Math.max(0, count));
    owed = roundedAmount(owed - taken);
    if (count - taken > 0) left.push({ lot, count: roundedAmount(count - taken) });
  }
  return owed > 0 ? [...left, { lot: '', count: -owed }] : left;
}

/** Adds up the lines of one item, in any order. */
export function balanceOf(lines: readonly Movement[]): Balance {
  const sorted = [...lines].sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));
  const lots = new Map<string, number>();
  const orders = new Map<string, Order>();
  for (const m of sorted) {
    if (m.orderId !== null) {
      const o = orders.get(m.orderId) ?? { orderId: m.orderId, left: 0, expectedOn: m.expectedOn, at: m.at };
      o.left = roundedAmount(o.left + (m.kind === 'received' ? -m.change : m.change));
      o.expectedOn = m.expectedOn ?? o.expectedOn;
      orders.set(m.orderId, o);
    }
    if (!ORDER.has(m.kind)) lots.set(m.lot, roundedAmount((lots.get(m.lot) ?? 0) + m.change));
  }
  const open = [...orders.values()].filter((o) => o.left > 0);
  return {
    onHand: roundedAmount([...lots.values()].reduce((a, b) => a + b, 0)),
    onOrder: roundedAmount(open.reduce((s, o) => s + o.left, 0)),
    lots: settled(lots),
    orders: open.sort(
      (a, b) => (a.expectedOn ?? '9999').localeCompare(b.expectedOn ?? '9999') || a.at - b.at,
    ),
  };
}

/** Balances of all items that have any line. */
export function balances(movements: readonly Movement[]): ReadonlyMap<string, Balance> {
  const by = new Map<string, Movement[]>();
  for (const m of movements) {
    const own = by.get(m.itemId);
    if (own) own.push(m);
    else by.set(m.itemId, [m]);
  }
  return new Map([...by].map(([id, lines]) => [id, balanceOf(lines)]));
}

/** The lot the next pieces are taken from: the oldest that has any. */
export const nextLot = (b: Balance): string => b.lots.find((l) => l.count > 0)?.lot ?? '';

/** What a line of the ledger says beside its item and its amount. */
export type LineGiven = Pick<Movement, 'id' | 'itemId' | 'at' | 'kind' | 'change'> & Partial<Movement>;
export const line = (given: LineGiven): Movement => ({
  lot: '',
  orderId: null,
  expectedOn: null,
  jobId: null,
  runId: null,
  by: null,
  note: '',
  ...given,
  change: roundedAmount(given.change),
});

/** Where a count puts what it found besides: in the lot there is, or in none where there are several to choose from. */
const foundIn = (b: Balance): string => (b.lots.length === 1 ? (b.lots[0]?.lot ?? '') : '');

/**
 * Lines that make the ledger agree with a count: of the lot it names, else of all together. What is missing of no lot in particular comes out of
 * the oldest. None where it agrees already.
 */
export function countedLines(
  b: Balance,
  counted: number,
  given: Pick<Movement, 'itemId' | 'at' | 'by'> & { readonly lot: string | null; readonly id: string },
): readonly Movement[] {
  const { lot, id, ...rest } = given;
  const has = lot === null ? b.onHand : (b.lots.find((l) => l.lot === lot)?.count ?? 0);
  const change = roundedAmount(counted - has);
  if (change === 0) return [];
  return [
    line({
      ...rest,
      id,
      kind: 'counted',
      change,
      lot: lot ?? (change > 0 ? foundIn(b) : nextLot(b)),
      note: `counted ${counted}`,
    }),
  ];
}

/** What pieces of a run have left the stock so far, and what its state says should have. */
export interface RunCounts {
  readonly good: number;
  readonly seconds: number;
  readonly spoiled: number;
}

/**
 * Lines by which the ledger follows a run: what it pressed and spoiled since the last time, or what was taken back. Run and ledger agree after
 * them, however often this is asked.
 */
export function runLines(
  own: readonly Movement[],
  now: RunCounts,
  given: Pick<Movement, 'itemId' | 'at' | 'jobId' | 'lot'> & {
    readonly runId: string;
    readonly newId: () => string;
  },
): readonly Movement[] {
  const { newId, runId, lot, ...rest } = given;
  const gone = (kind: 'pressed' | 'second' | 'spoiled') =>
    -own
      .filter((m) => m.runId === runId && (m.kind === kind || (m.kind === 'put-back' && m.note === kind)))
      .reduce((s, m) => s + m.change, 0);
  const steps = [
    { kind: 'pressed' as const, more: now.good - gone('pressed') },
    { kind: 'second' as const, more: now.seconds - gone('second') },
    { kind: 'spoiled' as const, more: now.spoiled - gone('spoiled') },
  ];
  // What is taken back goes to the lot it was taken from.
  const from = own.findLast((m) => m.runId === runId && m.change < 0)?.lot ?? lot;
  return steps.flatMap(({ kind, more }) =>
    more === 0
      ? []
      : [
          more > 0
            ? line({ ...rest, runId, lot, id: newId(), kind, change: -more })
            : line({ ...rest, runId, lot: from, id: newId(), kind: 'put-back', change: -more, note: kind }),
        ],
  );
}

/** Whether something is known against a lot. */
export const poorLot = (item: StockItem, lot: string): StockItem['lots'][number] | null =>
  item.lots.find((l) => l.lot === lot && l.poor) ?? null;

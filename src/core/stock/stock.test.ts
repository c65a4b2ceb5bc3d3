import fc from 'fast-check';
import { movementSchema, stockItemSchema, type Movement, type StockItem } from '../shop/stock';
import { balanceOf, balances, countedLines, line, NO_BALANCE, runLines } from './ledger';
import { daysBefore, eachCents, forecastItem } from './wants';

const MUG: StockItem = stockItemSchema.parse({
  id: 'mug',
  kind: 'blank',
  ofId: 'mug-325',
  name: 'Mug',
  unit: 'pieces',
  caseSize: 36,
  caseCents: 7560,
  freightCents: 900,
  leftOver: 'kept',
  leadDays: 5,
  lowAt: 12,
  lots: [],
});
let made = 0;
const id = () => `m-${(made += 1)}`;
const of = (kind: Movement['kind'], change: number, more: Partial<Movement> = {}) =>
  line({ id: id(), itemId: 'mug', at: (made += 1), kind, change, ...more });

test('what is on hand is what came in less what went out, by lot too', () => {
  const b = balanceOf([
    of('counted', 30, { lot: 'L7' }),
    of('ordered', 72, { orderId: 'o1', expectedOn: '2026-12-04' }),
    of('received', 36, { orderId: 'o1', lot: 'L8' }),
    of('pressed', -10, { lot: 'L7' }),
    of('spoiled', -2, { lot: 'L7' }),
    of('put-back', 1, { lot: 'L7', note: 'spoiled' }),
  ]);
  expect(b).toMatchObject({
    onHand: 55,
    onOrder: 36,
    lots: [
      { lot: 'L7', count: 19 },
      { lot: 'L8', count: 36 },
    ],
  });
  expect(b.orders).toMatchObject([{ orderId: 'o1', left: 36, expectedOn: '2026-12-04' }]);
});

test('what is taken of no known lot, or of more than a lot had, comes out of the others, the oldest first', () => {
  const [first, second] = [
    of('received', 10, { lot: 'L1', orderId: 'o1' }),
    of('received', 20, { lot: 'L2', orderId: 'o1' }),
  ];
  const lots = (...more: readonly Movement[]) => balanceOf([first, second, ...more]).lots;
  expect(lots(of('printed', -4))).toEqual([
    { lot: 'L1', count: 6 },
    { lot: 'L2', count: 20 },
  ]);
  expect(lots(of('pressed', -13, { lot: 'L1' }))).toEqual([{ lot: 'L2', count: 17 }]);
  expect(lots(of('used', -35))).toEqual([{ lot: '', count: -5 }]);
  // A count of no lot: what is missing comes out of the oldest, what is found is of none in particular where there are several.
  const given = { itemId: 'i', at: 99, by: null, lot: null, id: 'c' };
  const b = balanceOf([first, second]);
  expect(lots(...countedLines(b, 12, given))).toEqual([{ lot: 'L2', count: 12 }]);
  expect(lots(...countedLines(b, 33, given))).toEqual([
    { lot: 'L1', count: 10 },
    { lot: 'L2', count: 20 },
    { lot: '', count: 3 },
  ]);
  expect(countedLines(balanceOf([first]), 12, given)[0]).toMatchObject({ lot: 'L1', change: 2 });
});

test('an order that is cancelled or has all come is no longer open', () => {
  const order = of('ordered', 36, { orderId: 'o1' });
  expect(balanceOf([order, of('cancelled', -36, { orderId: 'o1' })]).orders).toEqual([]);
  expect(balanceOf([order, of('received', 36, { orderId: 'o1' })])).toMatchObject({ onHand: 36, onOrder: 0 });
});

test('any ledger sums: its balance is the sum of its lines in whatever order they are read', () => {
  const lineOf = fc.record({
    kind: fc.constantFrom('counted', 'received', 'pressed', 'spoiled', 'used', 'put-back', 'printed'),
    change: fc.integer({ min: -500, max: 500 }).map((n) => n / 8),
    lot: fc.constantFrom('', 'L1', 'L2'),
    itemId: fc.constantFrom('a', 'b'),
  });
  fc.assert(
    fc.property(fc.array(lineOf, { maxLength: 60 }), (given) => {
      const lines = given.map((g, i) => line({ ...g, id: `x-${i}`, at: i } as Movement));
      const both = balances([...lines].reverse());
      for (const item of ['a', 'b']) {
        const own = lines.filter((l) => l.itemId === item);
        const b = both.get(item) ?? NO_BALANCE;
        expect(b.onHand).toBeCloseTo(
          own.reduce((s, l) => s + l.change, 0),
          6,
        );
        expect(b.lots.reduce((s, l) => s + l.count, 0)).toBeCloseTo(b.onHand, 6);
        // No lot is below none while another has some.
        if (b.lots.some((l) => l.count < 0)) expect(b.lots).toHaveLength(1);
      }
    }),
  );
});

test('a count makes the ledger agree with it, by one line, and a second count of the same by none', () => {
  const lines = [of('received', 36, { lot: 'L8' }), of('pressed', -3, { lot: 'L8' })];
  const given = { itemId: 'mug', at: 9e9, by: 'Ines', lot: null, id: id() };
  const more = countedLines(balanceOf(lines), 31, given);
  expect(more).toMatchObject([{ kind: 'counted', change: -2, lot: 'L8', note: 'counted 31' }]);
  expect(countedLines(balanceOf([...lines, ...more]), 31, given)).toEqual([]);
  expect(balanceOf([...lines, ...more]).onHand).toBe(31);
});

describe('a run', () => {
  const follow = (own: readonly Movement[], good: number, spoiled: number, seconds = 0) => [
    ...own,
    ...runLines(
      own,
      { good, seconds, spoiled },
      { itemId: 'mug', at: (made += 1), jobId: 'j', lot: 'L8', runId: 'r', newId: id },
    ),
  ];
  test('takes its pieces from stock once, however often it is looked at', () => {
    let own = follow([], 3, 1);
    own = follow(own, 3, 1);
    own = follow(own, 5, 1);
    expect(balanceOf(own).onHand).toBe(-6);
    expect(own.map((m) => [m.kind, m.change])).toEqual([
      ['pressed', -3],
      ['spoiled', -1],
      ['pressed', -2],
    ]);
  });

  test('whatever is pressed and taken back, the ledger agrees with the run as it stands', () => {
    const states = fc.array(fc.record({ good: fc.nat(40), seconds: fc.nat(9), spoiled: fc.nat(9) }), {
      minLength: 1,
      maxLength: 20,
    });
    fc.assert(
      fc.property(states, (seen) => {
        const own = seen.reduce<readonly Movement[]>(
          (ledger, s) => follow(ledger, s.good, s.spoiled, s.seconds),
          [],
        );
        const last = seen.at(-1);
        expect(balanceOf(own).onHand).toBe(
          -(last?.good ?? 0) - (last?.seconds ?? 0) - (last?.spoiled ?? 0) || 0,
        );
        expect(own.every((m) => movementSchema.safeParse(m).success)).toBe(true);
      }),
    );
  });
});

describe('what to order', () => {
  const want = (count: number, by: string | null) => ({
    jobId: 'j',
    jobName: 'Market mugs',
    itemId: 'mug',
    count,
    by,
  });
  const have = (onHand: number) => balanceOf([of('counted', onHand)]);

  test('whole cases, in time for the job that is short, carriage days before it', () => {
    // 30 on hand, 60 taken, 12 to stay: 42 lacking, two cases of 36.
    const o = forecastItem(MUG, have(30), [want(60, '2026-12-10')]);
    expect(o).toMatchObject({
      taken: 60,
      free: -30,
      cases: 2,
      orderBy: '2026-12-05',
      shortFor: 'Market mugs',
    });
  });

  test('what is on its way in time is not ordered again; too late, it is short all the same', () => {
    const arriving = (expectedOn: string) => ({
      ...have(30),
      onOrder: 72,
      orders: [{ orderId: 'o', left: 72, expectedOn, at: 0 }],
    });
    expect(forecastItem(MUG, arriving('2026-12-08'), [want(60, '2026-12-10')])).toMatchObject({
      cases: 0,
      shortFor: null,
    });
    expect(forecastItem(MUG, arriving('2026-12-12'), [want(60, '2026-12-10')])).toMatchObject({
      cases: 0,
      shortFor: 'Market mugs',
    });
  });

  test('below the least it is ordered without a date; with enough of it, not at all', () => {
    expect(forecastItem(MUG, have(11), [])).toMatchObject({ cases: 1, orderBy: null, shortFor: null });
    expect(forecastItem(MUG, have(12), [])).toMatchObject({ cases: 0 });
    expect(forecastItem(MUG, have(-3), [])).toMatchObject({ cases: 1, free: -3 });
  });

  test('days and prices', () => {
    expect(daysBefore('2026-03-02', 3)).toBe('2026-02-27');
    expect(eachCents(MUG)).toBeCloseTo(235, 9);
  });
});

test('the border refuses what a ledger may not hold', () => {
  expect(movementSchema.safeParse(of('received', 0)).success).toBe(false);
  expect(movementSchema.safeParse(of('ordered', 36)).success).toBe(false);
  expect(stockItemSchema.safeParse({ ...MUG, caseSize: 0 }).success).toBe(false);
});

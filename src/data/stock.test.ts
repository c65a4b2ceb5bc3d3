import type { Message } from '@/core/message/message';
import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import 'fake-indexeddb/auto';
import { demoShop } from '@/core/demo/demoShop';
import { newRun } from '@/core/plan/press/newRun';
import { plan } from '@/core/plan/plan';
import { cycleOf } from '@/core/run/run';
import { readStockCsv, stockCsv } from '@/core/formats/stockCsv';
import { stateOf } from '@/core/shop/quote';
import type { RunEvent } from '@/core/shop/run';
import { MesaDb } from './db';
import { checkShopFile, restoreShop, shopFileText } from './files';
import { addQuote, moveQuote, quotesOf } from './quotes';
import { addRunEvent, startRun } from './runs';
import { seedIfEmpty } from './seed';
import {
  importStock,
  loadLastPrinted,
  cancelOrder,
  countItem,
  itemLines,
  loadItems,
  loadPrinted,
  loadStock,
  orderCases,
  putBackPrinted,
  receiveOrder,
  removeItem,
  restoreItem,
  takeParts,
  takePrinted,
} from './stock';
import { loadShop } from './shop';

const TODAY = new Date('2026-11-27T09:00:00Z');
let n = 0;
const demo = async () => {
  const d = new MesaDb(`stock-${(n += 1)}`);
  await seedIfEmpty(true, 'en', d, TODAY);
  return d;
};
const value = <T>(r: { ok: true; value: T } | { ok: false; problem: { what: Message } }): T => {
  if (!r.ok) throw new Error(english.text(r.problem.what));
  return r.value;
};
const mugs = async (d: MesaDb) => {
  const found = (await loadStock(d)).find((x) => x.item.id === 'shelf-mug-325');
  if (!found) throw new Error('no mugs');
  return found;
};

test('printed sheets take paper and ink from stock, and bring them back when that is taken back', async () => {
  const d = await demo();
  const has = async (id: string) => (await loadStock(d)).find((x) => x.item.id === id)?.balance.onHand;
  const [paper, ink] = [await has('shelf-letter'), await has('shelf-ink')];
  const printing = {
    jobId: 'constellation-mugs',
    paperId: 'letter',
    printerId: 'desk-printer',
    sheets: 4,
    rollM: 0,
    inkCents: 80,
  };
  const lines = value(await takePrinted(printing, d));
  expect(lines).toHaveLength(2);
  // The ledger knows when the printer last printed; undoing does not change that.
  const last = { id: 'desk-printer', only: false };
  expect(await loadLastPrinted(last, d)).toBe(lines[0]?.at);
  expect(await loadLastPrinted({ id: 'another', only: false }, d)).toBeNull();
  expect(await has('shelf-letter')).toBe((paper ?? 0) - 4);
  expect(await has('shelf-ink')).toBeCloseTo((ink ?? 0) - 5, 6);
  expect(await loadPrinted(d)).toEqual({ 'constellation-mugs': 4 });
  value(await putBackPrinted(lines, 'constellation-mugs', d));
  expect([await has('shelf-letter'), await has('shelf-ink')]).toEqual([paper, ink]);
  expect(await loadPrinted(d)).toEqual({ 'constellation-mugs': 0 });
  for (const sheets of [0, -2, 1.5, NaN])
    expect(inEnglish(await takePrinted({ ...printing, sheets }, d))).toMatchObject({
      ok: false,
      problem: { what: expect.stringMatching(/one sheet or more/) },
    });
});

describe('a run', () => {
  const begun = async () => {
    const d = await demo();
    const { jobs } = demoShop(TODAY);
    const job = jobs.find((j) => j.id === 'constellation-mugs');
    if (!job) throw new Error('no job');
    const run = newRun(job, plan(job, await loadShop(d)), { id: 'run-1', startedAt: 1000 });
    if (!run) throw new Error('no run');
    value(await startRun(run, d));
    let events = 0;
    const tap = async (event: RunEvent) => {
      expect(value(await addRunEvent('run-1', event, events, d))).toBe(true);
      events += 1;
    };
    return { d, run, tap };
  };

  test('takes every piece it presses or spoils from stock, and puts back what is taken back', async () => {
    const { d, run, tap } = await begun();
    const before = (await mugs(d)).balance.onHand;
    const cycle = cycleOf(run);
    let at = 2000;
    const through = async () => {
      for (const o of cycle) await tap({ kind: 'done', operationId: o.id, at: (at += 1000) });
    };
    await through();
    expect((await mugs(d)).balance.onHand).toBe(before - 1);
    await tap({ kind: 'done', operationId: cycle[0]?.id ?? '', at: (at += 1000) });
    await tap({ kind: 'spoiled', operationId: cycle[1]?.id ?? '', at: (at += 1000), why: 'ghost' });
    expect((await mugs(d)).balance.onHand).toBe(before - 2);
    await tap({ kind: 'undo', at: (at += 1000) });
    expect((await mugs(d)).balance.onHand).toBe(before - 1);
    const lines = await itemLines('shelf-mug-325', d);
    expect(lines.map((l) => l.kind).sort()).toEqual(['counted', 'pressed', 'put-back', 'spoiled']);
    // From the lot that lies there, and back to it.
    expect(new Set(lines.map((l) => l.lot))).toEqual(new Set(['M-121']));
    expect(lines.reduce((s, l) => s + l.change, 0)).toBe(before - 1);
  });

  test('of a blank that is not kept in stock changes nothing there', async () => {
    const { d, run, tap } = await begun();
    value(await removeItem('shelf-mug-325', d));
    const all = await d.movements.count();
    for (const [i, o] of cycleOf(run).entries()) await tap({ kind: 'done', operationId: o.id, at: 2000 + i });
    expect(await d.movements.count()).toBe(all);
  });
});

test('orders come in whole cases, arrive in parts and under a lot, and can be cancelled', async () => {
  const d = await demo();
  const { item } = await mugs(d);
  expect((await orderCases(item, 1.5, null, d)).ok).toBe(false);
  value(await orderCases(item, 2, '2026-12-04', d));
  const [order] = (await mugs(d)).balance.orders;
  if (!order) throw new Error('no order');
  expect(order).toMatchObject({ left: 72, expectedOn: '2026-12-04' });
  value(await receiveOrder(item.id, order.orderId, 36, 'M-130', d));
  expect((await mugs(d)).balance).toMatchObject({ onHand: 66, onOrder: 36 });
  value(await cancelOrder(item.id, order.orderId, 36, d));
  expect((await mugs(d)).balance).toMatchObject({ onOrder: 0, orders: [] });
  expect((await receiveOrder(item.id, order.orderId, 0, '', d)).ok).toBe(false);
});

test('a count below nothing is refused; any other makes the ledger agree', async () => {
  const d = await demo();
  expect(await countItem('shelf-mug-325', -1, null, null, d)).toMatchObject({ ok: false });
  expect(value(await countItem('shelf-mug-325', 27, 'Io', null, d))).toBe(-3);
  expect((await mugs(d)).balance.onHand).toBe(27);
  expect((await itemLines('shelf-mug-325', d))[0]).toMatchObject({ kind: 'counted', by: 'Io' });
});

test('what is taken from stock can be put back, lines and all', async () => {
  const d = await demo();
  const removed = value(await removeItem('shelf-mug-325', d));
  if (!removed) throw new Error('nothing removed');
  expect((await loadItems(d)).some((i) => i.id === 'shelf-mug-325')).toBe(false);
  value(await restoreItem(removed, d));
  expect((await mugs(d)).balance.onHand).toBe(30);
});

test('packed pieces take their parts with them, and bring them back', async () => {
  const d = await demo();
  const parts = [
    { part: 'float hanger', count: 2 },
    { part: 'nothing of stock', count: 1 },
  ];
  expect(value(await takeParts(parts, 'star-map-panel', 1, d))).toBe(1);
  const hanger = async () => (await loadStock(d)).find((x) => x.item.id === 'shelf-hanger')?.balance.onHand;
  expect(await hanger()).toBe(-1);
  value(await takeParts(parts, 'star-map-panel', -1, d));
  expect(await hanger()).toBe(1);
});

test('the stock and the quotes go with the shop file and come back as they were', async () => {
  const d = await demo();
  const given = {
    jobId: 'constellation-mugs',
    jobName: 'Constellation mugs',
    at: 5000,
    madeOn: '2026-11-27',
    validUntil: '2026-12-27',
    customer: '',
    currency: '$',
    what: 'Mug',
    pieces: 18,
    eachCents: 1200,
    postageCents: 0,
    postageWords: 'Postage',
    costCents: 9000,
    readyOn: null,
    terms: '',
    note: '',
  };
  const first = value(await addQuote(given, d));
  value(await moveQuote(first.id, 'sent', d));
  const second = value(await addQuote({ ...given, eachCents: 1150, at: 6000 }, d));
  expect(second.number).toBe(2);
  expect((await quotesOf('constellation-mugs', d)).map((q) => stateOf(q))).toEqual(['made', 'replaced']);
  const text = value(await shopFileText(d));
  const other = new MesaDb(`stock-${(n += 1)}`);
  value(await restoreShop(value(checkShopFile(text)), other));
  expect(await loadStock(other)).toEqual(await loadStock(d));
  expect(await quotesOf('constellation-mugs', other)).toEqual(await quotesOf('constellation-mugs', d));
});

describe('the table of stock', () => {
  const id = () => `new-${(n += 1)}`;
  test('written and read again says the same', async () => {
    const d = await demo();
    const stock = await loadStock(d);
    const text = stockCsv(stock.map((x) => ({ item: x.item, ...x.balance })));
    const rows = value(readStockCsv(text, await loadItems(d), id));
    expect(rows.map((r) => r.item)).toEqual(stock.map((x) => x.item));
    expect(rows.map((r) => r.onHand)).toEqual(stock.map((x) => x.balance.onHand));
    const lines = await d.movements.count();
    value(await importStock(rows, d));
    // Nothing was off: nothing was written.
    expect(await d.movements.count()).toBe(lines);
  });

  test('a table by hand needs names only; what it does not say stays', async () => {
    const own = await loadItems(await demo());
    const rows = value(readStockCsv('name;on hand;case\n325 ml mug;12;\nCork pads;200;100\n', own, id));
    expect(rows).toMatchObject([
      { item: { id: 'shelf-mug-325', caseSize: 36, caseCents: 7560 }, onHand: 12 },
      { item: { kind: 'part', caseSize: 100, caseCents: 0 }, onHand: 200 },
    ]);
  });

  test('what is wrong is said with its row', () => {
    const refused = (text: string) => {
      const r = readStockCsv(text, [], id);
      return r.ok ? 'read' : `${english.text(r.problem.where)}: ${english.text(r.problem.what)}`;
    };
    expect(inEnglish(refused('what,count\nmug,3'))).toMatch(/no column “name”/);
    expect(refused('name,on hand\nmug,-3')).toMatch(/row 2: What is on hand is 0 or more/);
    expect(refused('name,case\nmug,0')).toMatch(/row 2.*A case holds more than none/);
    expect(refused('name,case costs\nmug,12.345')).toMatch(/row 2.*12\.345.*no amount/);
    expect(refused('name\nmug\nmug\n')).toMatch(/row 3/);
    expect(refused('name\n')).toMatch(/no rows/);
  });
});

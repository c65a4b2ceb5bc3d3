import { STARTER_PAPERS } from '../demo/things';
import type { Paper } from '../shop/paper';
import { STARTER_PRINTER, type Printer } from '../shop/printer';
import { sheetOptions, type ToPrint } from './options';

const DESK: Printer = { ...STARTER_PRINTER, inkPerM2Cents: 0 };
const WIDE: Printer = { ...DESK, id: 'wide', name: 'Wide', widestMm: 620, rolls: true };
const A4 = STARTER_PAPERS.find((p) => p.id === 'a4') as Paper;
const A3 = STARTER_PAPERS.find((p) => p.id === 'a3') as Paper;
const ROLL: Paper = {
  ...A4,
  id: 'roll',
  name: 'Roll',
  kind: 'roll',
  widthMm: 610,
  heightMm: 5000,
  costCents: 200,
};
const toPrint = (width: number, height: number, pieces: number): ToPrint => ({
  box: { x: 0, y: 0, width, height },
  pieces,
  inkMm2: width * height,
});
const request = (t: ToPrint, over: Partial<Parameters<typeof sheetOptions>[2]> = {}) => ({
  toPrint: [t],
  gapMm: 4,
  mayRotate: true,
  inkPct: 100,
  ...over,
});
const ids = (o: ReturnType<typeof sheetOptions>) => o.map((x) => `${x.printer.id} ${x.paper.id}`);

test('a panel too big for the desk printer is whole on the wide one', () => {
  const o = sheetOptions([A4, A3, ROLL], [DESK, WIDE], request(toPrint(408, 608, 1)));
  expect(ids(o)).toEqual(['wide roll']);
  // One piece of 608 (or 408 turned) on 610 wide: turned it is too wide, so 608 of length and the page’s own margins.
  expect(o[0]?.metres).toBeGreaterThan(0.608);
  expect(o[0]?.metres).toBeLessThan(0.7);
});

test('the least money first, counted in whole sheets', () => {
  // Two up on A4, five or more on A3: 20 pieces are 10 of the one or fewer of the other.
  const cheapA4 = { ...A4, costCents: 1 };
  const dearA4 = { ...A4, costCents: 500 };
  const piece = toPrint(180, 120, 20);
  expect(ids(sheetOptions([cheapA4, A3], [DESK], request(piece)))[0]).toBe('desk-printer a4');
  expect(ids(sheetOptions([dearA4, A3], [DESK], request(piece)))[0]).toBe('desk-printer a3');
});

test('of equal cost the smaller paper; ink counts the same on every paper of one printer', () => {
  const free = [A3, A4].map((p) => ({ ...p, costCents: 0 }));
  const o = sheetOptions(free, [{ ...DESK, inkPerM2Cents: 1000 }], request(toPrint(100, 100, 4)));
  expect(ids(o)).toEqual(['desk-printer a4', 'desk-printer a3']);
  // 4 × 0.01 m² × 1000 cents.
  expect(o.map((x) => x.costCents)).toEqual([40, 40]);
});

test('what may not be turned is not turned', () => {
  const lying = toPrint(280, 120, 1);
  expect(ids(sheetOptions([A4], [DESK], request(lying)))).toEqual(['desk-printer a4']);
  expect(sheetOptions([A4], [DESK], request(lying, { mayRotate: false }))).toEqual([]);
});

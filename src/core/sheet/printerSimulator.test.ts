import { english } from '@/words/english';
import { apply, determinant, IDENTITY } from '../geometry/affine';
import { DRIVER_FAULTS, FAULT_WORDS, printedBox, simulatedPrint, type DriverFault } from './printerSimulator';
import { mirrorPage } from './mirrorPage';
import { paperOf } from './testSheets';

const printed = (faults: readonly DriverFault[], driverMirrors = false) =>
  simulatedPrint({
    widthMm: 297,
    heightMm: 420,
    marginsMm: { top: 3, right: 3, bottom: 15, left: 3 },
    driverMirrors,
    tray: { widthMm: 210, heightMm: 297 },
    faults,
  });
const bar = { x: 10, y: 400, width: 100, height: 2.4 };

test('with no fault the sheet is the page', () => {
  const s = printed([]);
  expect([s.widthMm, s.heightMm]).toEqual([297, 420]);
  expect(s.matrix).toEqual(IDENTITY);
  expect(printedBox(s, bar).width).toBeCloseTo(100, 9);
});

test('fit to page shrinks the bar across and along alike, into what can be printed', () => {
  const s = printed(['fit to page']);
  const k = Math.min(291 / 297, 402 / 420);
  expect(printedBox(s, bar).width).toBeCloseTo(100 * k, 9);
  expect(printedBox(s, { x: 0, y: 0, width: 1, height: 50 }).height).toBeCloseTo(50 * k, 9);
  expect(printedBox(s, { x: 0, y: 0, width: 297, height: 420 }).y).toBeGreaterThanOrEqual(3 - 1e-9);
});

test('a short feed is 99.4 % along and true across', () => {
  const s = printed(['short feed']);
  expect(printedBox(s, bar).width).toBeCloseTo(100, 9);
  expect(printedBox(s, { ...bar, height: 200 }).height).toBeCloseTo(198.8, 9);
});

test('mirror is right exactly once, and the fault undoes it either way', () => {
  expect(determinant(printed([]).matrix)).toBe(1);
  expect(determinant(printed([], true).matrix)).toBe(-1);
  expect(determinant(printed(['mirror']).matrix)).toBe(-1);
  expect(determinant(printed(['mirror'], true).matrix)).toBe(1);
  expect(apply(printed(['mirror']).matrix, { x: 0, y: 5 })).toEqual({ x: 297, y: 5 });
});

test('the wrong tray and a wide margin cut the ink off', () => {
  const small = printed(['wrong tray']);
  expect([small.widthMm, small.heightMm]).toEqual([210, 297]);
  expect(small.inked.width).toBeLessThan(210);
  const clipped = printed(['clipped margin']);
  expect(clipped.inked.x).toBeCloseTo(12, 9);
  expect(printed([]).inked).toEqual({ x: 3, y: 3, width: 291, height: 402 });
});

test('every fault says how it is seen and what to do', () => {
  for (const f of DRIVER_FAULTS) {
    const { label, seen, fix } = FAULT_WORDS[f];
    expect([label, seen, fix].every((t) => english.text(t).length > 8)).toBe(true);
  }
});

test('the tiny mirror page is not mirrored, small, and says both answers', () => {
  const page = mirrorPage(paperOf('a4'), 3, english.text);
  const texts = page.items.flatMap((i) => (i.kind === 'text' ? [i] : []));
  expect(texts.map((t) => t.text).join()).toMatch(/Reads right.*OFF.*backwards.*ON/);
  expect(texts.every((t) => determinant(t.matrix) === 1)).toBe(true);
  expect(page.trimBox.width * page.trimBox.height).toBeLessThan(2000);
});

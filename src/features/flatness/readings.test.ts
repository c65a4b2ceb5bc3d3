import { inEnglish } from '@/words/inEnglish';
import { demoShop } from '@/core/demo/demoShop';
import { pointAt, entryOf, mark } from '@/core/inspect/testInspections';
import { isFlatPress, type Flatness } from '@/core/shop/press';
import { betterBy, dyeFromMarks, NINE_PLACES, gridPlaceName, unevenMm, worked } from './readings';

const press = demoShop(new Date('2026-11-24T12:00:00Z')).shop.presses.find(isFlatPress);
if (!press) throw new Error('no flat press');
const points = (f: (x: number, y: number) => number): Flatness['points'] =>
  NINE_PLACES.map((s) => ({ ...s, gapMm: f(s.x, s.y) }));
const check = (f: (x: number, y: number) => number, packedCardMm: number | null): Flatness => ({
  id: 'c',
  at: 1,
  by: 'feeler',
  points: points(f),
  packedCardMm,
});

test('nine places of a platen, named as a hand finds them', () => {
  expect(NINE_PLACES).toHaveLength(9);
  expect(inEnglish([gridPlaceName(0), gridPlaceName(4), gridPlaceName(8)])).toEqual([
    'Back left',
    'Middle',
    'Front right',
  ]);
});

test('a corner that stands off is packed at that corner, and the piece is laid away from it', () => {
  const w = worked(
    points((x, y) => (x < 0.2 && y < 0.2 ? 0.5 : 0)),
    'feeler',
    press,
    0.1,
    {
      widthMm: 150,
      heightMm: 150,
    },
  );
  expect(w?.packing.sheets.length).toBeGreaterThanOrEqual(3);
  expect(w?.packing.sheetsAt(10, 10)).toBeGreaterThanOrEqual(3);
  expect(w?.packing.sheetsAt(press.platenWidthMm - 20, press.platenHeightMm - 20)).toBe(0);
  expect((w?.place?.xMm ?? 0) + (w?.place?.yMm ?? 0)).toBeGreaterThan(100);
  expect(worked(points(() => 0).slice(0, 3), 'feeler', press, 0.1, null)).toBeNull();
});

test('a second test says how much better it got, and nothing where none was packed', () => {
  const before = check((x) => 0.4 * x, 0.1);
  const after = check((x) => 0.1 * x, null);
  expect(unevenMm(before.points)).toBeCloseTo(0.4 * 0.88, 9);
  expect(betterBy([before, after])).toBeCloseTo(0.75, 9);
  expect(betterBy([{ ...before, packedCardMm: null }, after])).toBeNull();
  expect(betterBy([after])).toBeNull();
});

test('marks of pieces tell where the platen holds off, through where each lay', () => {
  const face = { form: 'flat' as const, widthMm: 100, heightMm: 100, rings: [] };
  const e = entryOf('e', {
    face,
    // Turned half round in the front right of the platen: its top left lies at the very front right.
    lay: {
      on: 'platen',
      widthMm: 400,
      heightMm: 400,
      pieces: [{ piece: null, to: [-1, 0, 0, -1, 400, 400] }],
    },
    marks: [mark('dye-left', pointAt(5, 5), { severity: 3 }), mark('ghost', pointAt(50, 50))],
  });
  expect(dyeFromMarks([e])).toEqual([0, 0, 0, 0, 0, 0, 0, 0, 3]);
  expect(dyeFromMarks([{ ...e, lay: null }])).toEqual(NINE_PLACES.map(() => 0));
});

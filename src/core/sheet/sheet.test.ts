import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import fc from 'fast-check';
import { apply, determinant } from '../geometry/affine';
import { type Rect, rectCorners } from '../geometry/plane';
import type { Pattern } from '../wrap/pattern';
import { straightPattern } from '../wrap/testWraps';
import { layoutSheet, needMm, type SheetPlacements, type SheetLayout } from './layout';
import { rulerFor, type PageLabel } from './pages';
import { drawPages, layoutInput, equalMargins, paperOf, printOf, type LayoutOverrides } from './testSheets';

const patternOf = straightPattern;

const A3 = paperOf('a3');
const input = (pattern: Pattern, over: LayoutOverrides = {}) => layoutInput(pattern, { pieces: 24, ...over });
const LABEL: PageLabel = {
  job: 'Night <job>',
  blank: 'straight steel',
  mirrored: true,
  rulerMm: 100,
  rulerText: '100 mm',
};

const first = (l: SheetLayout): SheetPlacements => l.sheets[0] as SheetPlacements;

const meet = (a: Rect, b: Rect): boolean =>
  a.x < b.x + b.width - 1e-9 &&
  b.x < a.x + a.width - 1e-9 &&
  a.y < b.y + b.height - 1e-9 &&
  b.y < a.y + a.height - 1e-9;

const anyLayout = fc.record({
  circumference: fc.double({ min: 70, max: 300, noNaN: true }),
  wall: fc.double({ min: 20, max: 260, noNaN: true }),
  bleed: fc.double({ min: 0, max: 8, noNaN: true }),
  pieces: fc.integer({ min: 1, max: 60 }),
  gapMm: fc.double({ min: 0, max: 12, noNaN: true }),
  mirror: fc.boolean(),
});

test('pieces never overlap, stay in the printable area and off the strip, and add up', () => {
  fc.assert(
    fc.property(anyLayout, ({ circumference, wall, bleed, pieces, gapMm, mirror }) => {
      const r = layoutSheet(input(patternOf(circumference, wall, bleed), { pieces, gapMm, mirror }));
      if (!r.ok) return;
      const { sheets, sheetCount, perSheet } = r.value;
      const { placements, strip } = first(r.value);
      const printed = sheets.reduce((n, sheet) => n + sheet.copies * sheet.placements.length, 0);
      const off = placements.filter(
        (s) =>
          s.box.x < 3 ||
          s.box.y < 3 ||
          s.box.x + s.box.width > 294 + 1e-9 ||
          s.box.y + s.box.height > 417 + 1e-9,
      );
      expect(off).toEqual([]);
      expect(placements.some((s) => meet(s.box, strip.rect))).toBe(false);
      expect(placements.some((s, i) => placements.slice(i + 1).some((o) => meet(s.box, o.box)))).toBe(false);
      expect(printed).toBe(pieces);
      expect(sheetCount).toBe(Math.ceil(pieces / perSheet));
    }),
  );
});

test('every placement is mirrored exactly once when this file mirrors, never otherwise', () => {
  fc.assert(
    fc.property(anyLayout, ({ circumference, wall, bleed, pieces, mirror }) => {
      const r = layoutSheet(input(patternOf(circumference, wall, bleed), { pieces, mirror }));
      if (!r.ok) return;
      expect(first(r.value).placements.every((s) => determinant(s.matrix) === (mirror ? -1 : 1))).toBe(true);
      expect(first(r.value).placements.every((s) => determinant(s.plain) === 1)).toBe(true);
    }),
  );
});

test('no mark touches any trim', () => {
  fc.assert(
    fc.property(anyLayout, ({ circumference, wall, bleed, pieces, gapMm }) => {
      const pattern = patternOf(circumference, wall, bleed);
      const r = layoutSheet(input(pattern, { pieces, gapMm }));
      if (!r.ok) return;
      const [page] = drawPages(r.value, [printOf(pattern)], LABEL);
      const inside = (p: { x: number; y: number }, placement: Rect) =>
        p.x > placement.x + bleed + 1e-6 &&
        p.x < placement.x + placement.width - bleed - 1e-6 &&
        p.y > placement.y + bleed + 1e-6 &&
        p.y < placement.y + placement.height - bleed - 1e-6;
      const trespassing = (page?.items ?? []).filter((item) => {
        const points =
          item.kind === 'line'
            ? [item.from, item.to]
            : item.kind === 'bar'
              ? rectCorners(item.rect).map((p) => apply(item.matrix, p))
              : item.kind === 'text'
                ? [apply(item.matrix, { x: 0, y: 0 })]
                : [];
        return points.some((p) => first(r.value).placements.some((s) => inside(p, s.box)));
      });
      expect(trespassing).toEqual([]);
    }),
  );
});

test('turning is chosen only where it holds more', () => {
  const tall = layoutSheet(input(patternOf(240, 180), { paper: { ...A3, widthMm: 210, heightMm: 297 } }));
  expect(tall.ok && tall.value.turned).toBe(true);
  const small = layoutSheet(input(patternOf(100, 100), { pieces: 1 }));
  expect(small.ok && small.value.turned).toBe(false);
});

test('too big: the smallest paper that would hold it is named, and it does hold it', () => {
  const pattern = patternOf(260, 196);
  expect(layoutSheet(input(pattern, { paper: { ...A3, name: 'A5', widthMm: 148, heightMm: 210 } })).ok).toBe(
    false,
  );
});

test('the stated need is just enough', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 70, max: 300, noNaN: true }),
      fc.double({ min: 20, max: 260, noNaN: true }),
      (circumference, wall) => {
        const pattern = patternOf(circumference, wall);
        const { shortMm, longMm } = needMm(pattern.whole, equalMargins(3));
        const on = (w: number, h: number) =>
          layoutSheet(input(pattern, { pieces: 1, paper: { ...A3, widthMm: w, heightMm: h } })).ok;
        expect(on(shortMm + 0.01, longMm + 0.01)).toBe(true);
        expect(on(shortMm - 0.1, shortMm - 0.1)).toBe(false);
      },
    ),
  );
});

test('margins that swallow the page are named', () => {
  const r = layoutSheet(input(patternOf(200, 100), { marginMm: 160 }));
  expect(inEnglish(!r.ok && english.text(r.problem.what))).toContain('margins leave nothing');
});

test('full sheets and the last one', () => {
  const pattern = patternOf(200, 90);
  const r = layoutSheet(input(pattern, { pieces: 7 }));
  if (!r.ok) throw new Error('should fit');
  const { perSheet, onLast, sheetCount } = r.value;
  expect(perSheet).toBeGreaterThan(1);
  const pages = drawPages(r.value, [printOf(pattern)], LABEL);
  expect(pages.reduce((n, p) => n + p.copies, 0)).toBe(sheetCount);
  expect(pages).toHaveLength(onLast === perSheet ? 1 : 2);
});

test('the label says who mirrors, and the ruler follows the shop’s unit', () => {
  const pattern = patternOf(200, 90);
  const r = layoutSheet(input(pattern, { mirror: false }));
  if (!r.ok) throw new Error('should fit');
  const texts = (mirrored: boolean) =>
    drawPages(r.value, [printOf(pattern)], { ...LABEL, mirrored }).flatMap((p) =>
      p.items.flatMap((i) => (i.kind === 'text' ? [i.text] : [])),
    );
  expect(texts(true).join()).toContain('driver mirror OFF');
  expect(texts(false).join()).toContain('driver mirror ON');
  expect(rulerFor(r.value, 'mm')).toEqual({ rulerMm: 100, rulerText: '100 mm' });
  expect(rulerFor(r.value, 'in').rulerMm).toBeCloseTo(101.6, 9);
});

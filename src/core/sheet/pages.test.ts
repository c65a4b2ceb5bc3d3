import { english } from '@/words/english';
import { apply, compose } from '../geometry/affine';
import { setText } from '../art/text';
import { placeText } from '../art/placedLayers';
import { textLayer } from '../job/art';
import type { SeamMethod } from '../shop/settings';
import type { Pattern } from '../wrap/pattern';
import { sizeRoundWrap } from '../wrap/roundWrap';
import { wrapInput } from '../wrap/testWraps';
import { layoutSheet, LABEL_STRIP_MM, type SheetLayout } from './layout';
import { pieceAlone, type Page, type PageItem } from './pages';
import { drawPages, layoutInput, paperOf, printOf, type LayoutOverrides } from './testSheets';

const A3 = paperOf('a3');
const A4 = paperOf('a4');
const LABEL = {
  job: 'Night guides',
  blank: 'straight steel',
  mirrored: true,
  rulerMm: 100,
  rulerText: '100 mm',
};
const WORDS = textLayer('w', 'Dome', { font: 'plain', capHeightMm: 10, dxMm: 30, dyMm: -40, along: 'line' });
const placedText = (pattern: Pattern) => [placeText(WORDS, { pattern, bend: null })];

const patternOf = (seamMethod: SeamMethod): Pattern => sizeRoundWrap(wrapInput({ seamMethod })).pattern;

function lay(pattern: Pattern, over: LayoutOverrides = {}): SheetLayout {
  const r = layoutSheet(layoutInput(pattern, over));
  if (!r.ok) throw new Error(english.text(r.problem.what));
  return r.value;
}

const of = <K extends PageItem['kind']>(page: Page | undefined, kind: K) =>
  (page?.items ?? []).filter((i): i is Extract<PageItem, { kind: K }> => i.kind === kind);
const origin = (i: Extract<PageItem, { kind: 'text' }>) => apply(i.matrix, { x: 0, y: 0 });

describe('marks', () => {
  test('four corners and the front; one more line where the ends will meet', () => {
    // Each line across has a tick at both ends: 2 trim ends + front = 3 lines down, 2 across.
    const count = (seamMethod: SeamMethod) => {
      const pattern = patternOf(seamMethod);
      return of(drawPages(lay(pattern), [printOf(pattern)], LABEL)[0], 'line').length;
    };
    expect(count('butt')).toBe(2 * 3 + 2 * 2);
    expect(count('over')).toBe(2 * 4 + 2 * 2);
  });

  test.each([
    ['upright', A3, false],
    ['turned', A4, true],
  ] as const)('%s: the word “rim” stands by the rim edge and reads, mirrored or not', (_, paper, turned) => {
    const pattern = patternOf('over');
    for (const mirror of [true, false]) {
      const layout = lay(pattern, { paper, mirror });
      expect(layout.turned).toBe(turned);
      const [page] = drawPages(layout, [printOf(pattern)], { ...LABEL, mirrored: mirror });
      const rim = of(page, 'text').find((t) => t.text === 'rim');
      const placement = layout.sheets[0]?.placements[0];
      if (!rim || !placement) throw new Error('no rim mark');
      const at = origin(rim);
      const rimEdge = apply(placement.matrix, { x: pattern.front?.x ?? NaN, y: pattern.bleed.y });
      expect(Math.hypot(at.x - rimEdge.x, at.y - rimEdge.y)).toBeLessThan(2.5);
      // Readable: the letters are never mirrored.
      expect(rim.matrix[0] * rim.matrix[3] - rim.matrix[1] * rim.matrix[2]).toBeCloseTo(1, 9);
    }
  });

  test('the ruler lies in the strip, blocks touching, exactly as long as it says', () => {
    const pattern = patternOf('butt');
    const layout = lay(pattern);
    const [page] = drawPages(layout, [printOf(pattern)], LABEL);
    const blocks = of(page, 'bar').map((b) => ({
      from: apply(b.matrix, { x: b.rect.x, y: b.rect.y }),
      to: apply(b.matrix, { x: b.rect.x + b.rect.width, y: b.rect.y + b.rect.height }),
    }));
    expect(blocks).toHaveLength(10);
    expect((blocks[9]?.to.x ?? 0) - (blocks[0]?.from.x ?? 0)).toBeCloseTo(100, 9);
    blocks.slice(1).forEach((b, i) => expect(b.from.x).toBeCloseTo(blocks[i]?.to.x ?? NaN, 9));
    const rect = layout.sheets[0]?.strip.rect ?? { x: NaN, y: NaN };
    for (const b of blocks) {
      expect(b.from.y).toBeGreaterThanOrEqual(rect.y);
      expect(b.to.y).toBeLessThanOrEqual(rect.y + LABEL_STRIP_MM);
    }
  });

  test('a very long name is cut, not run off the sheet', () => {
    const pattern = patternOf('butt');
    const [page] = drawPages(lay(pattern), [printOf(pattern)], { ...LABEL, job: 'x'.repeat(80) });
    const longest = Math.max(...of(page, 'text').map((t) => t.text.length));
    expect(longest).toBeLessThan(160);
    expect(of(page, 'text').some((t) => t.text.includes('…'))).toBe(true);
  });
});

describe('boxes and words', () => {
  test('trim lies inside bleed by the bleed, on the page', () => {
    const pattern = patternOf('over');
    for (const page of drawPages(lay(pattern), [printOf(pattern)], LABEL)) {
      const { trimBox, bleedBox } = page;
      expect(trimBox.x - bleedBox.x).toBeCloseTo(3, 9);
      expect(trimBox.y - bleedBox.y).toBeCloseTo(3, 9);
      expect(bleedBox.width - trimBox.width).toBeCloseTo(6, 9);
      expect(bleedBox.x).toBeGreaterThan(0);
      expect(bleedBox.x + bleedBox.width).toBeLessThan(page.widthMm);
    }
  });

  test('words are set where the plan puts them, mirrored with the picture', () => {
    const pattern = patternOf('butt');
    const set = setText(WORDS, pattern.trim);
    for (const mirrored of [true, false]) {
      const page = pieceAlone(pattern, placedText(pattern), mirrored);
      const [words] = of(page, 'letters');
      if (!words) throw new Error('no words');
      const first = words.letters[0]?.matrix;
      if (!first) throw new Error('no letters');
      const start = apply(compose(words.matrix, first), { x: 0, y: 0 });
      const fromLeft = set.box.x - pattern.bleed.x;
      expect(start.x).toBeCloseTo(mirrored ? page.widthMm - fromLeft : fromLeft, 9);
      expect(start.y).toBeCloseTo(set.box.y + set.box.height - pattern.bleed.y, 9);
      const end = apply(compose(words.matrix, first), { x: set.box.width, y: 0 });
      expect(Math.sign(end.x - start.x)).toBe(mirrored ? -1 : 1);
    }
  });

  test('a piece alone carries no mark at all', () => {
    const page = pieceAlone(patternOf('over'), placedText(patternOf('over')), true);
    expect(page.items.map((i) => i.kind)).toEqual(['letters']);
  });
});

import { english } from '@/words/english';
import fc from 'fast-check';
import { boardOf, placePictureLayer } from '../art/placedLayers';
import { layerBox } from '../art/size';
import { exact } from '../figures/uncertain';
import { templateSvg } from '../formats/templateSvg';
import { NO_ART, pictureLayer, type ArtTemplate, type PictureRef } from '../job/art';
import { sizeRoundWrap } from '../wrap/roundWrap';
import { wrapInput } from '../wrap/testWraps';
import { atTemplate, templateBox, templateFor, templateOf, templatePage } from './template';

const straight = sizeRoundWrap(wrapInput({ bleed: { rimMm: 2, footMm: 5, endsMm: 3 } })).pattern;
const tapered = sizeRoundWrap(wrapInput({ circumferenceFoot: exact(190) })).pattern;
const picture = (t: ArtTemplate, over: Partial<PictureRef> = {}): PictureRef => ({
  id: 'p',
  name: 'design',
  mime: 'image/png',
  widthPx: t.widthPx,
  heightPx: t.heightPx,
  orientation: 1,
  drawn: null,
  ...over,
});

test('the template is the piece out to its bleed, in whole pixels', () => {
  const t = templateOf(straight, 300, 5);
  // 230 mm round and π × 0.1 mm of paper, 3 mm of bleed at each end; 190 mm and 2 + 5 mm down.
  expect(t.widthMm).toBeCloseTo(230 + Math.PI * 0.1 + 6, 9);
  expect(t.heightMm).toBeCloseTo(197, 9);
  expect(t).toMatchObject({ savedAt: 5, ppi: 300, widthPx: Math.round((t.widthMm / 25.4) * 300) });
});

test('a design of the same pixels, or of the same size at another resolution, is known again; another is not', () => {
  const old = templateOf(straight, 300, 1);
  const saved = [old, { ...old, savedAt: 2 }];
  expect(templateFor(saved, picture(old))?.savedAt).toBe(2);
  expect(templateFor(saved, picture(old, { widthPx: old.widthPx + 1 }))).not.toBeNull();
  expect(templateFor(saved, picture(old, { widthPx: old.widthPx + 3 }))).toBeNull();
  const twice = { widthPx: 2 * old.widthPx, heightPx: 2 * old.heightPx };
  expect(templateFor(saved, picture(old, { ...twice, ppi: 600 }))).not.toBeNull();
  expect(templateFor(saved, picture(old, twice))).toBeNull();
  expect(templateFor([], picture(old))).toBeNull();
});

test.each([
  ['straight', straight],
  ['tapered', tapered],
] as const)(
  'a finished design on a %s wrap matches its template within 0.1 mm, at any resolution',
  (_, pattern) => {
    const board = boardOf(pattern, { ...NO_ART, warp: 'flat' });
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 720 }), (ppi) => {
        const t = templateOf(pattern, ppi, 0);
        const layer = atTemplate(pictureLayer('l', picture(t)), board, t);
        const box = layerBox(placePictureLayer(layer, board));
        const wanted = templateBox(pattern);
        for (const side of ['x', 'y', 'width', 'height'] as const)
          expect(Math.abs(box[side] - wanted[side])).toBeLessThan(0.1);
      }),
    );
  },
);

test('the lines of the page lie within it, and its boxes are those of cut line and bleed', () => {
  for (const pattern of [straight, tapered]) {
    const page = templatePage(pattern);
    expect(page.bleedBox.x).toBeCloseTo(0, 9);
    expect(page.bleedBox.width).toBeCloseTo(page.widthMm, 9);
    for (const item of page.items) {
      if (item.kind !== 'line') throw new Error(item.kind);
      for (const p of [item.from, item.to]) {
        expect(p.x).toBeGreaterThan(-0.01);
        expect(p.x).toBeLessThan(page.widthMm + 0.01);
        expect(p.y).toBeGreaterThan(-0.01);
        expect(p.y).toBeLessThan(page.heightMm + 0.01);
      }
    }
  }
});

test('the drawing has a layer for everything a designer has to mind, at the size of the bleed', () => {
  const svg = templateSvg(straight, 'Cups & more', english.text);
  for (const name of ['Art', 'Bleed', 'Cut line', 'Safe zone', 'Seam', 'front'])
    expect(svg).toContain(`<title>${name}</title>`);
  expect(svg).toMatch(/width="236\.3142mm" height="197mm"/);
  expect(svg).toContain('Cups &amp; more');
});

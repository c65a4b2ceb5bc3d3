import { inEnglish } from '@/words/inEnglish';
import { exactly } from '@/words/exactly';
import { DRAWN_PICTURES } from '../art/drawn';
import type { ImageCell, ImageAnalysis } from '../art/analyseImage';
import { demoShop } from '../demo/demoShop';
import { NO_ART, pictureLayer, textLayer, type Art, type PictureLayer, type PictureRef } from '../job/art';
import type { Job } from '../job/job';
import { plan } from '../plan/plan';
import type { Rect } from '../geometry/plane';
import { viewingMm, type Check } from './check';
import { fixed } from './fix';

const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const TUMBLERS = jobs.find((j) => j.id === 'star-party-tumblers') as Job;
const MUGS = jobs.find((j) => j.id === 'constellation-mugs') as Job;

/** A straight wrap with bleed all round: its trim and bleed on the board. */
const { trim, bleed } = plan(TUMBLERS, shop).wrap.pattern ?? { trim: null, bleed: null };
if (!trim || !bleed) throw new Error('the demo tumbler has no wrap');
const margin = -bleed.y;

const ref = (rest: Partial<PictureRef> = {}): PictureRef => ({
  ...(DRAWN_PICTURES[0] as PictureRef),
  id: 'p',
  name: 'art.png',
  drawn: null,
  // The shape of the bleed exactly, at 10 px to the millimetre, so that “cover” leaves nothing over.
  widthPx: Math.round(bleed.width * 10),
  heightPx: Math.round(bleed.height * 10),
  ...rest,
});
const layer = (rest: Partial<PictureLayer> = {}, of: Partial<PictureRef> = {}) =>
  pictureLayer('l', ref(of), rest);
const withArt = (art: Partial<Art>, job = TUMBLERS): Job => ({ ...job, art: { ...NO_ART, ...art } });
const moved = (dxMm: number, dyMm: number, scale = 1) =>
  withArt({ layers: [layer({ placement: { base: 'cover', scale, dxMm, dyMm, rotationDeg: 0 } })] });

const PLAIN: ImageCell = { clear: 0, white: 0, pale: 0, dark: 0.1, inkPct: 90 };
const look = (cellAt: (col: number, row: number) => Partial<ImageCell> = () => ({})): ImageAnalysis => ({
  widthPx: 2400,
  heightPx: Math.round((2400 * bleed.height) / bleed.width),
  cols: 24,
  rows: 20,
  cells: Array.from({ length: 480 }, (_, i) => ({ ...PLAIN, ...cellAt(i % 24, Math.floor(i / 24)) })),
  frames: [],
  finestPx: null,
});
const checks = (job: Job, analyses: Record<string, ImageAnalysis> = {}): readonly Check[] =>
  plan(job, shop, { analyses }).art.checks;
const one = (job: Job, id: string, analyses: Record<string, ImageAnalysis> = {}): Check => {
  const found = checks(job, analyses).find((c) => c.id === id);
  if (!found) throw new Error(`nothing found under ${id}`);
  return found;
};
const ids = (job: Job, analyses: Record<string, ImageAnalysis> = {}) =>
  checks(job, analyses).map((c) => c.id);
const said = (c: Check): string => exactly(c.text, (v) => v.toFixed(1));
const inside = (r: Rect, of: Rect): boolean =>
  r.x >= of.x - 0.01 &&
  r.y >= of.y - 0.01 &&
  r.x + r.width <= of.x + of.width + 0.01 &&
  r.y + r.height <= of.y + of.height + 0.01;

describe('what a picture leaves bare', () => {
  test('nothing, where it covers the bleed', () => {
    expect(ids(moved(0, 0))).not.toContain('bare');
    expect(ids(moved(0, 0))).not.toContain('bleed');
  });

  test.each([
    ['the left end', 9, 0],
    ['the right end', -9, 0],
    ['the rim edge', 0, 9],
    ['the foot edge', 0, -9],
  ])('%s: how far past the bleed, at that edge and no other', (edge, dx, dy) => {
    const c = one(moved(dx, dy), 'bare');
    expect(c.level).toBe('warning');
    const shown = 9 - margin;
    expect(inEnglish(said(c))).toContain(`${shown.toFixed(1)} at ${edge}`);
    expect(said(c).match(/ at the /g)).toHaveLength(1);
    const strips = c.at.filter((r) => r.width > 0.01 && r.height > 0.01);
    expect(strips.length).toBeGreaterThan(0);
    for (const r of strips) expect(Math.min(r.width, r.height)).toBeCloseTo(9, 1);
  });

  test('short of the bleed only: a lesser thing, reported by how much', () => {
    const c = one(moved(margin / 2, 0), 'bleed');
    expect(inEnglish(said(c))).toContain(`${(margin / 2).toFixed(1)} at the left end`);
    expect(ids(moved(margin / 2, 0))).not.toContain('bare');
  });

  test('one touch fills it and keeps how the picture is turned over', () => {
    const job = withArt({
      layers: [
        layer({
          flip: { across: true, down: false },
          placement: { base: 'fit', scale: 0.7, dxMm: 20, dyMm: -6, rotationDeg: 0 },
        }),
      ],
    });
    const c = one(job, 'bare');
    if (!c.fix) throw new Error('nothing to fix');
    const after = fixed(c.fix)(job);
    expect(ids(after)).not.toContain('bare');
    expect(after.art.layers[0]).toMatchObject({ flip: { across: true, down: false } });
  });

  test('fitted on purpose: reported as a note', () => {
    const narrow = { widthPx: 1200, heightPx: 2400 };
    const job = withArt({
      layers: [layer({ placement: { base: 'fit', scale: 1, dxMm: 0, dyMm: 0, rotationDeg: 0 } }, narrow)],
    });
    expect(one(job, 'bare').level).toBe('info');
  });

  test('a logo set to Fit: its clear ground and the blank beside it are meant, and no warning', () => {
    const clear = {
      ...look(() => ({ clear: 1 })),
      frames: [{ kind: 'clear', leftPx: 5, rightPx: 5, topPx: 5, bottomPx: 5 }],
    } as const;
    const placement = (base: 'fit' | 'cover') => ({ base, scale: 1, dxMm: 0, dyMm: 0, rotationDeg: 0 });
    const logo = (base: 'fit' | 'cover') => withArt({ layers: [layer({ placement: placement(base) })] });
    const levels = (base: 'fit' | 'cover') =>
      checks(logo(base), { p: clear })
        .filter((c) => ['frame', 'clear', 'bare', 'bleed'].includes(c.id))
        .map((c) => c.level);
    expect(levels('fit')).not.toContain('warning');
    expect(levels('cover')).toContain('warning');
  });
});

describe('what pixels show, at its place', () => {
  test('too much ink: only the squares that lay it', () => {
    const heavy = look((col, row) => (col >= 20 && row >= 15 ? { inkPct: 320 } : {}));
    const c = one(moved(0, 0), 'ink', { p: heavy });
    const corner = {
      x: bleed.x + (20 / 24) * bleed.width,
      y: bleed.y + (15 / 20) * bleed.height,
      width: (4 / 24) * bleed.width,
      height: (5 / 20) * bleed.height,
    };
    expect(c.at.length).toBeGreaterThan(0);
    for (const r of c.at) expect(inside(r, corner)).toBe(true);
    expect(c.text.values?.share).toMatchObject({ value: expect.closeTo(20 / 480, 9) as number });
  });

  test('heavy ink beyond the bleed prints nowhere and is not reported', () => {
    const offLeft = look((col) => (col < 6 ? { inkPct: 320 } : {}));
    const job = moved(-bleed.width * 0.75, 0, 2);
    // Twice as large and moved left by three quarters of the wrap: its left quarter has left the paper.
    expect(ids(job, { p: offLeft })).not.toContain('ink');
    expect(ids(moved(0, 0), { p: offLeft })).toContain('ink');
  });

  test('dark to the rim is looked for along the rim, not at the foot', () => {
    const atRim = look((_, row) => (row < 2 ? { dark: 0.95 } : {}));
    const atFoot = look((_, row) => (row > 17 ? { dark: 0.95 } : {}));
    expect(one(moved(0, 0), 'rim', { p: atRim }).at).toEqual([{ ...trim, height: 8 }]);
    expect(ids(moved(0, 0), { p: atFoot })).not.toContain('rim');
  });

  test('clear parts of the lowest picture show bare blank; of one above it, the picture under it', () => {
    const holes = look((col) => (col === 12 ? { clear: 0.9 } : {}));
    const above = { ...layer({}, { id: 'q' }), id: 'top' };
    expect(ids(withArt({ layers: [layer(), above] }), { p: look(), q: holes })).not.toContain('clear');
    const c = one(withArt({ layers: [layer(), above] }), 'clear', { p: holes, q: look() });
    for (const r of c.at) {
      expect(r.x).toBeCloseTo(bleed.x + (12 / 24) * bleed.width, 0);
      expect(r.width).toBeCloseTo(bleed.width / 24, 1);
    }
  });

  test('a frame as deep as it prints', () => {
    const plain = look();
    const frame = { kind: 'clear' as const, topPx: plain.heightPx / 20, rightPx: 0, bottomPx: 0, leftPx: 0 };
    const framed = { ...plain, frames: [frame] };
    const c = one(moved(0, 0), 'frame', { p: framed });
    // One row of pixels in twenty.
    expect(c.at).toHaveLength(1);
    expect(c.at[0]?.height).toBeCloseTo(bleed.height / 20, 1);
    expect(c.at[0]?.y).toBeCloseTo(bleed.y, 1);
    expect(said(c)).toMatch(/^A clear frame/);
    // Holes are not reported beside the frame they are.
    expect(ids(moved(0, 0), { p: framed })).not.toContain('clear');
  });

  test('fine lines grow with the picture', () => {
    const fine = { ...look(), finestPx: 1 };
    expect(ids(moved(0, 0), { p: fine })).toContain('hair');
    expect(ids(moved(0, 0, 8), { p: fine })).not.toContain('hair');
  });
});

describe('shape and size of a picture', () => {
  test.each([
    ['wider', { widthPx: 6000, heightPx: 1500 }, 'at the ends'],
    ['taller', { widthPx: 1500, heightPx: 4000 }, 'at rim and foot'],
  ])('%s than the wrap: how much is lost', (word, size, where) => {
    // A narrow picture alone would start as the wrap it needs: here somebody chose the whole way round.
    const round = { ...TUMBLERS, wrap: { ...TUMBLERS.wrap, seamMethod: 'over' } } as const;
    const c = one(withArt({ layers: [layer({}, size)] }, round), 'aspect');
    const k = size.widthPx / size.heightPx / (bleed.width / bleed.height);
    expect(said(c)).toContain(word);
    expect(said(c)).toContain(where);
    expect(inEnglish(said(c))).toContain((1 - Math.min(k, 1 / k)).toFixed(1));
  });

  test('a turned or repeated picture loses nothing by its shape', () => {
    const size = { widthPx: 6000, heightPx: 1500 };
    const turned = layer({ placement: { base: 'cover', scale: 1, dxMm: 0, dyMm: 0, rotationDeg: 90 } }, size);
    expect(ids(withArt({ layers: [turned] }))).not.toContain('aspect');
    expect(ids(withArt({ layers: [layer({ repeat: 'rows' }, size)] }))).not.toContain('aspect');
  });

  test('inches typed as pixels', () => {
    const inches = { widthPx: Math.round(trim.width / 25.4), heightPx: Math.round(trim.height / 25.4) };
    expect(said(one(withArt({ layers: [layer({}, inches)] }), 'unit'))).toMatch(/own inches/);
  });

  test('in the hand at 300 mm; a wall piece from one and a half times its diagonal', () => {
    const cup = shop.blanks.find((b) => b.shape.kind === 'round');
    const flat = shop.blanks.find((b) => b.shape.kind === 'flat');
    if (!cup || !flat) throw new Error('the demo shop has both');
    const box = { x: 0, y: 0, width: 300, height: 400 };
    expect(viewingMm(cup, box)).toBe(300);
    expect(viewingMm(flat, box)).toBe(750);
    expect(viewingMm(flat, { ...box, width: 30, height: 40 })).toBe(300);
  });
});

describe('text', () => {
  const words = (text: string, over = {}, job = TUMBLERS) =>
    withArt({ layers: [textLayer('w', text, { along: 'line', capHeightMm: 8, ...over })] }, job);

  test('letters the face lacks stop, each named once', () => {
    const c = one(words('Łódź Ł'), 'letters');
    expect(c.level).toBe('blocker');
    expect(said(c).match(/“Ł”/g)).toHaveLength(1);
  });

  test('past what is seen from the front: a note, by how far', () => {
    const front = plan(TUMBLERS, shop).wrap.pattern?.front;
    if (!front) throw new Error('a tumbler has a front');
    const job = words('Hi', { dxMm: front.wellMm / 2 });
    const c = one(job, 'front');
    expect(c.level).toBe('info');
    // Half of the words stands past the edge of what is seen well.
    expect(inEnglish(said(c))).toMatch(/\d+\.\d outside the front view/);
    const box = c.at[0];
    if (!box) throw new Error('no place');
    expect(Number(/([\d.]+) outside/.exec(said(c))?.[1])).toBeCloseTo(
      box.x + box.width - (front.x + front.wellMm / 2),
      1,
    );
  });

  test('under the handle’s no-go, or in the seam', () => {
    const pattern = plan(MUGS, shop).wrap.pattern;
    const zone = pattern?.seams[0] ?? pattern?.faces[0]?.exclusionZones[0]?.contour;
    expect(zone).toBeDefined();
    const ends = words('Hi', { dxMm: -(pattern?.trim.width ?? 0) / 2 }, MUGS);
    expect(ids(ends).some((id) => id === 'seam' || id === 'safe' || id === 'nogo')).toBe(true);
    const layers = [textLayer('a', 'One', { along: 'line', dyMm: -88 }), textLayer('b', 'Two', { dyMm: 0 })];
    expect(said(one(withArt({ layers }), 'safe'))).toMatch(/^“One” is/);
  });

  test('no art at all is a stop', () => {
    expect(one(withArt({}), 'none').level).toBe('blocker');
    expect(checks(withArt({}))).toHaveLength(1);
  });
});

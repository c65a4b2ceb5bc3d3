import { inEnglish } from '@/words/inEnglish';
import { exactly } from '@/words/exactly';
import { DRAWN_PICTURES } from '../art/drawn';
import type { ImageCell, ImageAnalysis } from '../art/analyseImage';
import { demoShop } from '../demo/demoShop';
import { NO_ART, pictureLayer, textLayer, type Art, type PictureLayer, type PictureRef } from '../job/art';
import type { Job } from '../job/job';
import { plan } from '../plan/plan';
import type { Shop } from '../shop/shop';
import { fixed } from './fix';
import type { Check } from './check';

const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const find = (id: string): Job => {
  const found = jobs.find((j) => j.id === id);
  if (!found) throw new Error(id);
  return found;
};
const TUMBLERS = find('star-party-tumblers');
const picture = (rest: Partial<PictureRef> = {}): PictureRef => ({
  ...(DRAWN_PICTURES[0] as PictureRef),
  id: 'p',
  name: 'art.png',
  drawn: null,
  ...rest,
});
const layer = (rest: Partial<PictureLayer> = {}, ref: Partial<PictureRef> = {}) =>
  pictureLayer('l', picture(ref), rest);
const withArt = (art: Partial<Art>, job = TUMBLERS): Job => ({ ...job, art: { ...NO_ART, ...art } });

const CELL: ImageCell = { clear: 0, white: 0, pale: 0, dark: 0.2, inkPct: 120 };
const look = (cell: Partial<ImageCell> = {}, rest: Partial<ImageAnalysis> = {}): ImageAnalysis => ({
  widthPx: 2900,
  heightPx: 2400,
  cols: 24,
  rows: 16,
  cells: Array.from({ length: 384 }, () => ({ ...CELL, ...cell })),
  frames: [],
  finestPx: null,
  ...rest,
});
const checks = (job: Job, analyses: Record<string, ImageAnalysis> = {}, s: Shop = shop): readonly Check[] =>
  plan(job, s, { analyses }).art.checks;
const found = (job: Job, id: string, analyses: Record<string, ImageAnalysis> = {}) =>
  checks(job, analyses).find((c) => c.id === id);
const text = (c: Check | undefined): string =>
  c ? exactly(c.text, (v) => String(Math.round(v * 100) / 100)) : '';

const fixedArt = (job: Job, c: Check | undefined): Job => {
  if (!c?.fix) throw new Error('nothing to fix');
  return fixed(c.fix)(job);
};

describe('each finding has its place and, where one touch will do, its fix', () => {
  test('a bare bleed is filled', () => {
    const job = withArt({
      layers: [layer({ placement: { base: 'cover', scale: 0.9, dxMm: 4, dyMm: 0, rotationDeg: 0 } })],
    });
    const c = found(job, 'bare');
    expect(c?.at.length).toBeGreaterThan(0);
    expect(found(fixedArt(job, c), 'bare')).toBeUndefined();
  });

  test('a white frame is grown past', () => {
    const frames = [{ kind: 'white' as const, topPx: 60, rightPx: 60, bottomPx: 60, leftPx: 60 }];
    const job = withArt({ layers: [layer()] });
    const c = found(job, 'frame', { p: look({}, { frames }) });
    expect(c?.at).toHaveLength(4);
    expect(found(fixedArt(job, c), 'frame', { p: look({}, { frames }) })).toBeUndefined();
  });

  test('words past the edge are moved in, or made to fit', () => {
    for (const over of [{ dyMm: -88 }, { capHeightMm: 60 }]) {
      const job = withArt({ layers: [textLayer('w', 'Dry Fork', { along: 'line', ...over })] });
      const c = checks(job).find((x) => x.fix?.kind === 'text');
      expect(c).toBeDefined();
      const after = fixedArt(job, c);
      expect(checks(after).filter((x) => ['safe', 'seam'].includes(x.id))).toEqual([]);
    }
  });

  test('a name that sounds mirrored is turned over once', () => {
    const job = withArt({ layers: [layer({}, { name: 'crew_MIRRORED.png' })] });
    const c = found(job, 'mirrored');
    expect(c?.level).toBe('warning');
    expect(found(fixedArt(job, c), 'mirrored')).toBeUndefined();
  });
});

test('pixels typed as millimetres, as inches at screen resolution', () => {
  const trim = plan(TUMBLERS, shop).wrap.pattern?.trim ?? { width: NaN, height: NaN };
  const px = (k: number) => ({ widthPx: Math.round(trim.width * k), heightPx: Math.round(trim.height * k) });
  expect(text(found(withArt({ layers: [layer({}, px(1))] }), 'unit'))).toMatch(/own millimetres/);
  expect(text(found(withArt({ layers: [layer({}, px(72 / 25.4))] }), 'unit'))).toMatch(/72.*for a screen/);
  expect(found(withArt({ layers: [layer({}, px(300 / 25.4))] }), 'unit')).toBeUndefined();
});

test('resolution is asked for the distance a piece is seen from', () => {
  const panel = find('star-map-panel');
  const at = (ppi: number, job: Job) => {
    const { bleed } = plan(job, shop).wrap.pattern ?? { bleed: { width: 1, height: 1 } };
    const ref = {
      widthPx: Math.round((bleed.width * ppi) / 25.4),
      heightPx: Math.round((bleed.height * ppi) / 25.4),
    };
    return checks(withArt({ layers: [layer({}, ref)] }, job)).map((c) => c.id);
  };
  expect(at(110, TUMBLERS)).toContain('ppi');
  expect(at(110, panel)).not.toContain('ppi');
  expect(at(25, panel)).toContain('ppi');
});

test('white on a tinted blank, dark to the rim, more ink than the paper takes, clear parts, fine lines', () => {
  const tinted = find('slate-trail-markers');
  const blanks = shop.blanks.map((b) =>
    b.id === tinted.blankId ? { ...b, coating: { ...b.coating, colour: '#d8cdb8' } } : b,
  );
  const pale = checks(
    { ...tinted, art: { ...NO_ART, layers: [layer()] } },
    { p: look({ white: 0.3 }) },
    { ...shop, blanks },
  );
  expect(inEnglish(text(pale.find((c) => c.id === 'tint')))).toMatch(
    /0.3 of the picture.*colour of the blank/,
  );
  const job = withArt({ layers: [layer()] });
  expect(found(job, 'rim', { p: look({ dark: 0.9 }) })?.at).toHaveLength(1);
  expect(text(found(job, 'ink', { p: look({ inkPct: 310 }) }))).toMatch(/1 of the picture.*3.1 ink.*2.6/);
  expect(found(job, 'ink', { p: look({ inkPct: 200 }) })).toBeUndefined();
  expect(found(job, 'clear', { p: look({ clear: 0.2 }) })?.level).toBe('info');
  expect(text(found(job, 'hair', { p: look({}, { finestPx: 1 }) }))).toMatch(/dye spreads/);
  expect(found(job, 'hair', { p: look({}, { finestPx: 12 }) })).toBeUndefined();
});

test('what must be seen is kept off the seam and inside the safe zone', () => {
  const kept = (x: number) =>
    withArt({ layers: [layer({ focalArea: { x, y: 0.4, width: 0.1, height: 0.2 } })] });
  expect(found(kept(0.45), 'keep')).toBeUndefined();
  expect(found(kept(0), 'keep')?.level).toBe('warning');
  expect(found(kept(0.7), 'keep')?.level).toBe('info');
});

describe('a names list', () => {
  const list = (names: readonly string[], over = {}): Job =>
    withArt({
      layers: [textLayer('w', 'Name', { along: 'line', field: 'Name', capHeightMm: 14, ...over })],
      names: { columns: ['Name'], rows: names.map((n) => [n]), countColumn: null, pictures: [] },
    });
  test('missing letters stop, and say which and where', () => {
    const c = found(list(['Amaro', 'Łucja']), 'names-letters');
    expect(c?.level).toBe('blocker');
    expect(text(c)).toMatch(/“Ł”.*“Łucja”/);
  });
  test('too long is reported; with room given, set smaller', () => {
    const long = ['Amaro', 'Bartholomew Abernethy-Okonkwo of Dry Fork'];
    expect(inEnglish(text(found(list(long, { mostMm: 60, overlong: 'flag' }), 'names-long')))).toMatch(
      /1 name too long/,
    );
    const job = list(long);
    const c = found(job, 'names-safe');
    expect(c?.fix?.kind).toBe('text');
    expect(found(fixedArt(job, c), 'names-safe')).toBeUndefined();
  });
  test('pictures named and not brought stop', () => {
    const job = withArt({
      layers: [layer({ field: 'Picture' })],
      names: {
        columns: ['Picture'],
        rows: [['moon.png'], ['art']],
        countColumn: null,
        pictures: [picture()],
      },
    });
    expect(inEnglish(text(found(job, 'names-pictures')))).toMatch(
      /1 picture named in the list but not imported: “moon.png”/,
    );
  });
});

test('worst first, every id its own', () => {
  const job = withArt({ layers: [textLayer('a', 'Ł', { dyMm: 90 }), textLayer('b', 'Ł', { dyMm: -90 })] });
  const all = checks(job);
  expect(new Set(all.map((c) => c.id)).size).toBe(all.length);
  const rank = { blocker: 0, warning: 1, info: 2 };
  expect(all.map((c) => rank[c.level])).toEqual(all.map((c) => rank[c.level]).sort((x, y) => x - y));
});

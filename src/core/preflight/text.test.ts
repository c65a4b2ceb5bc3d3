import { verbatim } from '@/core/message/message';
import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import type { PlacedText } from '../art/placedLayers';
import type { SetText } from '../art/text';
import { NO_ART, pictureLayer, textLayer, type Art } from '../job/art';
import { newJob } from '../job/job';
import { rectCorners, type Rect } from '../geometry/plane';
import { isListed, type Check, type CheckInput } from './check';
import { fixed } from './fix';
import { checkNames } from './names';
import { preflight } from './preflight';
import { checkText } from './text';
import { BOARD, TRIM, REF, placed, NONE, input, level, placeOf, words } from './testBoard';

describe('text, by its boxes', () => {
  const quads = (r: Rect) => [rectCorners(r)];
  const text = (r: Rect, over: Partial<SetText> = {}): PlacedText => ({
    kind: 'text',
    id: 't',
    on: 'both',
    font: 'plain',
    colour: '#000000',
    letters: [],
    set: {
      text: 'Dome',
      quads: quads(r),
      box: r,
      missing: [],
      overMm: 0,
      fitted: 1,
      emMm: 10,
      capHeightMm: 7,
      lengthMm: r.width,
      letters: [],
      ...over,
    } as unknown as SetText,
  });
  const layerT = textLayer('t', 'Dome', { dxMm: 1, dyMm: 2, capHeightMm: 10 });
  const art: Art = { ...NO_ART, layers: [layerT] };
  const textChecks = (r: Rect, over: Partial<SetText> = {}, rest: Partial<CheckInput> = {}) => {
    const l = text(r, over);
    return checkText(l, { ...input(placed()), art, placedLayers: [l], ...rest });
  };
  test('in the middle nothing is said', () =>
    expect(textChecks({ x: 80, y: 40, width: 40, height: 10 })).toEqual([]));

  test('past the safe zone: how far, and the move that brings it in', () => {
    const box = { x: 80, y: 2, width: 40, height: 10 };
    const c = textChecks(box).find((x) => x.id === 'safe');
    expect(c?.level).toBe('warning');
    expect(c?.at).toEqual([box]);
    expect(inEnglish(c?.fix)).toMatchObject({ label: 'Move them in', text: { dxMm: 1, dyMm: 6 } });
    const right = textChecks({ x: 170, y: 90, width: 30, height: 10 }).find((x) => x.id === 'safe');
    expect(right?.fix).toMatchObject({ text: { dxMm: 1 - 6, dyMm: 2 - 6 } });
  });

  test('too large for the safe zone: smaller letters, and never below a millimetre', () => {
    const wide = textChecks({ x: -10, y: 40, width: 220, height: 10 }).find(
      (x) => x.fix && english.text(x.fix.label) === 'Make them fit',
    );
    expect(inEnglish(wide?.fix)).toMatchObject({
      text: { capHeightMm: expect.closeTo((10 * 0.98 * 188) / 220, 9) as number },
    });
    const tall = textChecks({ x: 80, y: -30, width: 40, height: 176 }).find(
      (x) => x.fix && english.text(x.fix.label) === 'Make them fit',
    );
    expect(tall?.fix).toMatchObject({
      text: { capHeightMm: expect.closeTo((10 * 0.98 * 88) / 176, 9) as number },
    });
    const huge = textChecks({ x: -1000, y: 40, width: 9000, height: 10 }).find(
      (x) => x.fix && english.text(x.fix.label) === 'Make them fit',
    );
    expect(huge?.fix).toMatchObject({ text: { capHeightMm: 1 } });
  });

  test('on the stamp, in the seam, past the front', () => {
    const stamp = textChecks({ x: 85, y: 82, width: 30, height: 8 });
    expect(level(stamp, 'nogo')).toBe('warning');
    expect(placeOf(stamp, 'nogo')).toEqual([{ x: 85, y: 82, width: 30, height: 8 }]);
    const seam = textChecks({ x: 2, y: 40, width: 30, height: 8 });
    expect(level(seam, 'seam')).toBe('warning');
    expect(placeOf(seam, 'seam')).toHaveLength(1);
    const front = textChecks({ x: 60, y: 40, width: 60, height: 8 });
    expect(level(front, 'front')).toBe('info');
    expect(words(front, 'front')).toContain('10.00');
    expect(level(textChecks({ x: 70, y: 40, width: 60, height: 8 }), 'front')).toBeNull();
    expect(textChecks({ x: 60, y: 40, width: 60, height: 8 }, { quads: [] })).toEqual([]);
  });

  test('letters the font lacks block, each named, where the text stands', () => {
    const r = { x: 80, y: 40, width: 40, height: 10 };
    const checks = textChecks(r, { missing: ['Ł', 'ő'] });
    expect(level(checks, 'letters')).toBe('blocker');
    expect(words(checks, 'letters')).toContain('“Ł”, “ő”');
    expect(placeOf(checks, 'letters')).toEqual([r]);
  });

  test('longer than it may be: a twentieth of a millimetre is nothing', () => {
    const r = { x: 80, y: 40, width: 40, height: 10 };
    const long = (overMm: number) => textChecks(r, { overMm }).length;
    expect(long(0.05)).toBe(0);
    expect(long(0.06)).toBe(1);
  });

  test('of several texts each is called by its words', () => {
    const r = { x: 2, y: 40, width: 30, height: 8 };
    const other = { ...text({ x: 80, y: 20, width: 20, height: 8 }), id: 'u' };
    expect(words(textChecks(r), 'seam')).toContain('The text');
    const l = text(r);
    const two = checkText(l, { ...input(placed()), art, placedLayers: [l, other] });
    expect(words(two, 'seam')).toContain('“Dome”');
  });
});

describe('what the pictures leave bare', () => {
  const bare = (
    shortfallMm: Partial<Record<'top' | 'right' | 'bottom' | 'left', number>>,
    layer: Parameters<typeof pictureLayer>[2] = {},
  ) =>
    preflight(
      input(
        placed(),
        {
          bareAreas: {
            bare: [rectCorners({ x: -3, y: -3, width: 2, height: 106 })],
            shortfallMm: { ...NONE.shortfallMm, ...shortfallMm },
          },
        },
        layer,
      ),
    );
  test('short of the bleed at one edge or two, each by how much', () => {
    const checks = bare({ left: 2, top: 1 });
    expect(level(checks, 'bleed')).toBe('warning');
    expect(words(checks, 'bleed')).toContain('1.00 at the rim edge, 2.00 at the left end');
    expect(placeOf(checks, 'bleed')).toEqual([{ x: -3, y: -3, width: 2, height: 106 }]);
    expect(inEnglish(checks.find((c) => c.id === 'bleed')?.fix)).toMatchObject({
      label: 'Fill the wrap',
      layer: 'l',
    });
  });
  test('more than the bleed: white will show, by what is past it; a fitted picture may mean it', () => {
    expect(level(bare({ left: 3.05 }), 'bare')).toBeNull();
    expect(words(bare({ left: 4, right: 1 }), 'bare')).toContain(
      'White will show at these edges: 1.00 at the left end. Move',
    );
    expect(level(bare({ left: 4 }), 'bare')).toBe('warning');
    const fit = bare({ left: 4 }, { placement: { base: 'fit', scale: 1, dxMm: 0, dyMm: 0, rotationDeg: 0 } });
    expect(level(fit, 'bare')).toBe('info');
    expect(words(fit, 'bare')).toContain('Choose Cover');
  });
  test('a twentieth of a millimetre is nothing', () => {
    const short = (left: number) =>
      preflight(input(placed(), { bareAreas: { bare: [], shortfallMm: { ...NONE.shortfallMm, left } } }));
    expect(level(short(0.05), 'bleed')).toBeNull();
    expect(level(short(0.06), 'bleed')).toBe('warning');
  });
});

test('a check stands beside the drawing where it has a place or a fix', () => {
  const c: Check = { id: 'x', level: 'info', text: verbatim(''), at: [], fix: null };
  expect(isListed(c)).toBe(false);
  expect(isListed({ ...c, at: [TRIM] })).toBe(true);
  expect(isListed({ ...c, fix: { kind: 'flip', label: verbatim('Flip it'), layer: 'l' } })).toBe(true);
});

describe('a fix changes its own layer, and only a layer of its kind', () => {
  const job = {
    ...newJob('j', 'J'),
    art: { ...NO_ART, layers: [pictureLayer('a', REF), pictureLayer('b', REF), textLayer('t', 'Dome')] },
  };
  const layers = (fix: Parameters<typeof fixed>[0]) => fixed(fix)(job).art.layers;
  test('a placement keeps what it does not say', () => {
    const [a, b] = layers({ kind: 'picture', label: verbatim(''), layer: 'a', placement: { scale: 2 } });
    expect(a).toMatchObject({ placement: { base: 'cover', scale: 2, dxMm: 0, dyMm: 0 } });
    expect(b).toEqual(job.art.layers[1]);
  });
  test('a flip turns it over; text takes its figures', () => {
    expect(layers({ kind: 'flip', label: verbatim(''), layer: 'b' })[1]).toMatchObject({
      flip: { across: true, down: false },
    });
    expect(layers({ kind: 'flip', label: verbatim(''), layer: 'b' })[0]).toEqual(job.art.layers[0]);
    expect(layers({ kind: 'text', label: verbatim(''), layer: 't', text: { dxMm: 7 } })[2]).toMatchObject({
      dxMm: 7,
      text: 'Dome',
    });
  });
  test('meant for a layer of another kind, it changes nothing', () => {
    expect(layers({ kind: 'text', label: verbatim(''), layer: 'a', text: { dxMm: 7 } })).toEqual(
      job.art.layers,
    );
    expect(layers({ kind: 'picture', label: verbatim(''), layer: 't', placement: { scale: 2 } })).toEqual(
      job.art.layers,
    );
    expect(layers({ kind: 'flip', label: verbatim(''), layer: 't' })).toEqual(job.art.layers);
  });
});

describe('a names list, against the room its names are set in', () => {
  const named = (rows: readonly string[], over: Partial<ReturnType<typeof textLayer>> = {}) => {
    const layer = textLayer('t', 'Name', { field: 'Name', capHeightMm: 10, ...over });
    const names = { columns: ['Name'], rows: rows.map((r) => [r]), countColumn: null, pictures: [] };
    return preflight({
      ...input(placed()),
      ofNames: checkNames({ names, layers: [layer], pattern: BOARD.pattern }),
      art: { ...NO_ART, layers: [pictureLayer('l', REF), layer], names },
    });
  };
  test('names that fit have nothing said of them; an empty cell is no name', () =>
    expect(named(['Amaro', '', 'Brisa']).filter((c) => c.id.startsWith('names'))).toEqual([]));

  test('letters the font lacks: which, and in whose names, three by name', () => {
    const checks = named(['Łoś', 'Łuk', 'Łza', 'Łan', 'Amaro', 'Łan']);
    expect(level(checks, 'names-letters')).toBe('blocker');
    expect(words(checks, 'names-letters')).toMatch(/“Łoś”, “Łuk”, “Łza” and 1 more/);
    expect(placeOf(checks, 'names-letters')).toHaveLength(1);
    expect(words(named(['Łoś', 'Łuk', 'Łza']), 'names-letters')).not.toContain('more');
  });

  test('too long for the room, only pointed out: the fix shrinks them; shrunk, it is said as a note', () => {
    const flagged = named(['Al', 'Bartholomew the Elder'], { mostMm: 20, overlong: 'flag' });
    expect(words(flagged, 'names-long')).toMatch(/1.* too long for the space: “Bartholomew the Elder”/);
    expect(flagged.find((c) => c.id === 'names-long')?.fix).toMatchObject({ text: { overlong: 'fit' } });
    const shrunk = named(['Al', 'Bartholomew the Elder'], { mostMm: 80, overlong: 'fit' });
    expect(level(shrunk, 'names-long')).toBeNull();
    expect(words(shrunk, 'names-fitted')).toMatch(/1.* shrunk to fit: “Bartholomew the Elder”/);
    expect(level(named(['Al'], { mostMm: 40 }), 'names-fitted')).toBeNull();
  });

  test('past the safe zone: the fix keeps them inside it', () => {
    const checks = named(['Al', 'Bartholomew the Elder of the northern rim'], {
      capHeightMm: 16,
      along: 'line',
    });
    expect(words(checks, 'names-safe')).toContain('“Bartholomew the Elder of the northern rim”');
    // 188 mm of safe zone, two hundredths left over.
    expect(checks.find((c) => c.id === 'names-safe')?.fix).toMatchObject({
      text: { mostMm: 184, overlong: 'fit' },
    });
    expect(level(named(['Al']), 'names-safe')).toBeNull();
  });

  test('pictures the list names and nobody imported: each once, three by name', () => {
    const layer = pictureLayer('l', REF, { field: 'Art' });
    const lost = (cells: readonly string[]) =>
      preflight({
        ...input(placed()),
        art: {
          ...NO_ART,
          layers: [layer],
          names: { columns: ['Art'], rows: cells.map((c) => [c]), countColumn: null, pictures: [REF] },
        },
      });
    expect(level(lost(['art.png', 'ART', '']), 'names-pictures')).toBeNull();
    const checks = lost(['a', 'b', 'a', 'c', 'd', 'art']);
    expect(level(checks, 'names-pictures')).toBe('blocker');
    expect(words(checks, 'names-pictures')).toMatch(/^4 pictures.*“a”, “b”, “c” and 1 more/);
    expect(words(lost(['a', 'b', 'c']), 'names-pictures')).not.toContain('more');
    expect(level(preflight(input(placed())), 'names-pictures')).toBeNull();
  });

  test('the same thing found of two layers has two ids, the worst first', () => {
    const a = textLayer('t', 'Ł', { dxMm: 0 });
    const b = textLayer('u', 'Łł', { dxMm: 0 });
    const one = (id: string): PlacedText =>
      ({
        kind: 'text',
        id,
        set: {
          text: id,
          quads: [],
          box: { x: 0, y: 0, width: 1, height: 1 },
          missing: ['Ł'],
          overMm: 0,
          fitted: 1,
        },
      }) as unknown as PlacedText;
    const checks = preflight({
      ...input(placed({}, 0.2)),
      art: { ...NO_ART, layers: [pictureLayer('l', REF), a, b] },
      placedLayers: [placed({}, 0.2), one('t'), one('u')],
    });
    expect(checks.map((c) => c.id).slice(0, 3)).toEqual(['letters', 'letters-2', 'ppi']);
  });
});

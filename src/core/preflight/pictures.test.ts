import { inEnglish } from '@/words/inEnglish';
import { LIBRARY } from '../library/library';
import type { PlacedText } from '../art/placedLayers';
import { type pictureLayer } from '../job/art';
import type { Rect } from '../geometry/plane';
import type { Pattern } from '../wrap/pattern';
import type { CheckInput } from './check';
import {
  TRIM,
  BLEED,
  blank,
  pattern,
  BOARD,
  placed,
  found,
  level,
  placeOf,
  words,
  analysis,
  seen,
  first,
} from './testBoard';

test('a picture that fills its bleed at 254 ppi has nothing said of it', () => {
  expect(seen(analysis())).toEqual([]);
});

describe('resolution in the hand', () => {
  const k = (ppi: number) => 25.4 / ppi;
  test.each([
    [200.1, null],
    [199.9, 'soft'],
    [120.1, 'soft'],
    [119.9, 'pixelated'],
  ])('%s ppi', (ppi, says) => {
    const checks = found(placed({}, k(ppi)));
    expect(level(checks, 'ppi')).toBe(says === null ? null : 'warning');
    if (says) expect(words(checks, 'ppi')).toContain(says);
    expect(words(checks, 'ppi')).not.toContain('seen from');
  });
  test('its place is what of it is printed', () => {
    expect(placeOf(found(placed({}, 0.2)), 'ppi')).toEqual([BLEED]);
  });
  test('a flat piece of 500 mm on the diagonal is seen from 750 mm, where two fifths will do', () => {
    const panel = LIBRARY.find((b) => b.shape.kind === 'flat');
    if (!panel) throw new Error('no panel');
    const board = { ...BOARD, pattern: { ...pattern, trim: { x: 0, y: 0, width: 400, height: 300 } } };
    const at = (ppi: number) => found(placed({}, k(ppi)), { blank: panel, board });
    expect(level(at(80.1), 'ppi')).toBeNull();
    expect(level(at(79.9), 'ppi')).toBe('warning');
    expect(words(at(79.9), 'ppi')).toContain('seen from 750');
    expect(words(at(47.9), 'ppi')).toContain('pixelated');
  });
});

describe('pixels that are the wrap’s own size', () => {
  const unit = (widthPx: number, heightPx: number) => words(found(placed({ widthPx, heightPx })), 'unit');
  test.each([
    [200, 100, /millimetres/],
    [206, 106, /millimetres/],
    [194, 97, /millimetres/],
    [79, 39, /inches/],
    [8, 4, /inches/],
    [567, 283, /72\.00.*screen/],
    [756, 378, /96\.00.*screen/],
  ])('%i × %i', (w, h, says) => expect(inEnglish(unit(w, h))).toMatch(says));
  test.each([
    [2000, 1000],
    [200, 300],
    [500, 100],
    [193, 90],
  ])('%i × %i is a picture like another', (w, h) => expect(unit(w, h)).toBe(''));
});

describe('another shape than the wrap', () => {
  const lost = (widthPx: number, layer: Parameters<typeof pictureLayer>[2] = {}) =>
    words(found(placed({ widthPx }), {}, layer), 'aspect');
  test('more than three tenths cut away is said, and where', () => {
    // The bleed is 206 : 106; a picture 3 000 px wide and 1 060 tall loses 1 − 2 060/3 000 = 31.3 %.
    expect(inEnglish(lost(3000))).toMatch(/wider than the wrap: 0\.31 .*at the ends/);
    expect(lost(2900)).toBe('');
    expect(lost(1400)).toMatch(/taller than the wrap: 0\.32 .*at rim and foot/);
    expect(lost(1500)).toBe('');
  });
  test('not where it is fitted, turned, repeated or made small on purpose', () => {
    const placement = { base: 'cover', scale: 1, dxMm: 0, dyMm: 0, rotationDeg: 0 } as const;
    expect(lost(3000, { placement: { ...placement, base: 'fit' } })).toBe('');
    expect(lost(3000, { placement: { ...placement, rotationDeg: 90 } })).toBe('');
    expect(lost(3000, { repeat: 'rows' })).toBe('');
    expect(lost(3000, { placement: { ...placement, scale: 0.89 } })).toBe('');
    expect(lost(3000, { placement: { ...placement, scale: 0.9 } })).not.toBe('');
  });
});

describe('a name that sounds mirrored', () => {
  test.each([
    'moon mirrored.png',
    'Flipped.png',
    'fliped.png',
    'reverse.png',
    'reversed.png',
    'backwards.png',
    'RTL.png',
  ])('%s', (name) => {
    const checks = found(placed({ name }));
    expect(level(checks, 'mirrored')).toBe('warning');
    expect(placeOf(checks, 'mirrored')).toEqual([BLEED]);
    expect(checks.find((c) => c.id === 'mirrored')?.fix).toMatchObject({ kind: 'flip', layer: 'l' });
    // Flipped here already, it is as it should be.
    expect(
      level(found(placed({ name }), {}, { flip: { across: true, down: false } }), 'mirrored'),
    ).toBeNull();
  });
  test('another does not', () => expect(level(found(placed({ name: 'moon.png' })), 'mirrored')).toBeNull());
});

describe('the focal area', () => {
  /** A box of the board as a share of the picture. */
  const focal = (r: Rect) => ({
    focalArea: { x: (r.x + 3) / 206, y: (r.y + 3) / 106, width: r.width / 206, height: r.height / 106 },
  });
  const keep = (r: Rect, over: Partial<CheckInput> = {}) => found(placed(), over, focal(r));
  test.each([
    ['in the middle', { x: 80, y: 30, width: 40, height: 20 }, null, /^$/],
    ['on the stamp', { x: 85, y: 70, width: 40, height: 15 }, 'warning', /exclusion zone/],
    ['in the seam', { x: 2, y: 30, width: 20, height: 20 }, 'warning', /seam/],
    ['past the safe zone', { x: 80, y: 2, width: 30, height: 20 }, 'warning', /4\.00.*safe zone/],
    ['past the front', { x: 60, y: 30, width: 40, height: 20 }, 'info', /10\.00.*front/],
  ] as const)('%s', (_, r, is, says) => {
    const checks = keep(r);
    expect(level(checks, 'keep')).toBe(is);
    expect(words(checks, 'keep')).toMatch(says);
    if (is) {
      const [box] = placeOf(checks, 'keep') ?? [];
      expect([box?.x, box?.y, box?.width, box?.height].map((v) => Number(v?.toFixed(6)))).toEqual([
        r.x,
        r.y,
        r.width,
        r.height,
      ]);
    }
  });
  test('a wrap without safe zone or front asks for neither', () => {
    const bare = {
      ...pattern,
      front: null,
      faces: pattern.faces.map((f) => ({ ...f, safe: [] })),
    } as Pattern;
    const r = { x: 60, y: 2, width: 30, height: 20 };
    expect(keep(r, { board: { pattern: bare, bend: null } })).toEqual([]);
  });
});

describe('a frame in the picture', () => {
  // At half the pixels: 40 px from the left are 80 px of the picture, 8 mm, of which 3 lie in the bleed.
  const frame = (over: object) => ({
    kind: 'white' as const,
    leftPx: 0,
    rightPx: 0,
    topPx: 0,
    bottomPx: 0,
    ...over,
  });
  const framed = (over: object, rest: Partial<CheckInput> = {}) =>
    seen(analysis(undefined, { frames: [frame(over)] }), rest);
  test.each([
    [{ leftPx: 40 }, { x: -3, y: -3, width: 8, height: 106 }, 8],
    [{ rightPx: 20 }, { x: 199, y: -3, width: 4, height: 106 }, 4],
    [{ topPx: 15 }, { x: -3, y: -3, width: 206, height: 3 }, 3],
    [{ bottomPx: 30 }, { x: -3, y: 97, width: 206, height: 6 }, 6],
  ])('%j', (over, box, deep) => {
    const checks = framed(over);
    expect(level(checks, 'frame')).toBe('warning');
    const [where] = placeOf(checks, 'frame') ?? [];
    for (const side of ['x', 'y', 'width', 'height'] as const)
      expect(where?.[side]).toBeCloseTo(box[side], 9);
    expect(words(checks, 'frame')).toMatch(new RegExp(`A white frame.*up to ${deep.toFixed(2)} deep`));
  });
  test('two sides: the deeper is said, and the fix enlarges past both', () => {
    const checks = framed({ leftPx: 40, topPx: 15 });
    expect(words(checks, 'frame')).toContain('8.00');
    // 1980 of 2060 px wide and 1030 of 1060 tall are left: 2060/1980 is the more.
    expect(inEnglish(checks.find((c) => c.id === 'frame')?.fix)).toMatchObject({
      label: 'Enlarge past the frame',
      placement: { scale: expect.closeTo((2060 / 1980) * 1.002, 9) as number },
    });
  });
  test('a clear frame is called one; a frame of half the picture is not enlarged away', () => {
    expect(words(framed({ kind: 'clear', leftPx: 40 }), 'frame')).toContain('A clear frame');
    expect(framed({ leftPx: 515 }).find((c) => c.id === 'frame')?.fix).toBeNull();
    expect(framed({ leftPx: 514 }).find((c) => c.id === 'frame')?.fix).not.toBeNull();
  });
  test('a hair of it is nothing, and so is a frame of a picture on top of another', () => {
    expect(level(framed({ leftPx: 1 }), 'frame')).toBeNull();
    expect(level(framed({ leftPx: 2 }), 'frame')).toBe('warning');
    const under = { ...placed(), id: 'under' };
    const top = placed();
    expect(
      level(
        found(top, {
          placedLayers: [under, top],
          analyses: { p: analysis(undefined, { frames: [frame({ leftPx: 40 })] }) },
        }),
        'frame',
      ),
    ).toBeNull();
    const text = { kind: 'text' } as PlacedText;
    expect(
      level(
        found(top, {
          placedLayers: [text, top],
          analyses: { p: analysis(undefined, { frames: [frame({ leftPx: 40 })] }) },
        }),
        'frame',
      ),
    ).toBe('warning');
  });
});

describe('white, ink, dark rims, clear parts and fine lines', () => {
  const TINTED = { blank: blank({ coating: { colour: '#f2efe6', finish: 'gloss', stock: 'opaque' } }) };
  const CLEAR = { blank: blank({ coating: { colour: '#ffffff', finish: 'gloss', stock: 'clear' } }) };
  test('on white nothing is said of white', () => expect(seen(first(50, { white: 1 }))).toEqual([]));
  test.each([
    [2, null],
    [3, 'info'],
    [12, 'info'],
    [13, 'warning'],
  ])('%i of a hundred squares white on a tinted blank', (n, is) => {
    const checks = seen(first(n, { white: 0.6, pale: 0.4 }), TINTED);
    expect(level(checks, 'tint')).toBe(is);
    if (is) {
      expect(words(checks, 'tint')).toContain(`${(n / 100).toFixed(2)} of the picture`);
      expect(words(checks, 'tint')).toContain('take the colour of the blank');
      expect(placeOf(checks, 'tint')).toHaveLength(Math.min(n, 12));
    }
  });
  test('a clear blank shows what is behind; the palest squares are marked first, those hardly pale not at all', () => {
    const a = analysis((col, row) => ({
      pale: row === 5 ? 0.9 : row === 6 && col === 0 ? 1 : row === 7 ? 0.3 : 0,
    }));
    const checks = seen(a, CLEAR);
    expect(words(checks, 'tint')).toContain('what is behind');
    const marked = placeOf(checks, 'tint') ?? [];
    expect(marked).toHaveLength(11);
    expect(marked[0]?.y).toBeCloseTo(-3 + 6 * 10.6, 6);
    expect(marked[0]?.width).toBeCloseTo(20.6, 6);
    expect(marked[0]?.height).toBeCloseTo(10.6, 6);
  });
  test('not analysed yet, a tinted blank is shown in general, once, of the lowest picture', () => {
    expect(level(found(placed(), TINTED), 'tint')).toBe('info');
    expect(found(placed())).toEqual([]);
    expect(found(placed(), { ...TINTED, placedLayers: [{ ...placed(), id: 'under' }, placed()] })).toEqual(
      [],
    );
    expect(seen(analysis(), TINTED)).toEqual([]);
  });
  test.each([
    [{ coating: { colour: '#FFFFFF', finish: 'gloss', stock: 'opaque' } }, null],
    [{ coating: { colour: '#fffffe', finish: 'gloss', stock: 'opaque' } }, 'info'],
  ] as const)('%j', (over, is) => expect(level(found(placed(), { blank: blank(over) }), 'tint')).toBe(is));

  test('squares whose middle lies off the trim do not count', () => {
    // Moved 20 mm to the right and 10 down, the first column and row lie outside to the left and above no more; the last ones do.
    const a = first(10, { white: 1 });
    const l = placed({}, 0.1, 197, -3);
    expect(level(found(l, { ...TINTED, analyses: { p: a } }), 'tint')).toBeNull();
  });

  test('more ink than the paper takes, on more than a fiftieth of it', () => {
    expect(level(seen(first(2, { inkPct: 300 })), 'ink')).toBeNull();
    expect(level(seen(first(3, { inkPct: 300 })), 'ink')).toBe('warning');
    expect(level(seen(first(100, { inkPct: 260 })), 'ink')).toBeNull();
    expect(words(seen(first(3, { inkPct: 300 })), 'ink')).toMatch(/0\.03 .*3\.00 ink.*takes 2\.60/);
    expect(placeOf(seen(first(3, { inkPct: 300 })), 'ink')).toHaveLength(3);
  });

  test('dark at the rim of a round blank: six tenths of the upper rows', () => {
    // The rim zone is a row deep, 10.6 mm from the trim's edge: the middles of the first two rows, 5.3 − 3 and 15.9 − 3 mm; only the first.
    const rim = (dark: number) => level(seen(analysis((_, row) => ({ dark: row === 0 ? dark : 0 }))), 'rim');
    expect(rim(0.59)).toBeNull();
    expect(rim(0.61)).toBe('info');
    const panel = LIBRARY.find((b) => b.shape.kind === 'flat');
    if (!panel) throw new Error('no panel');
    const flat = { ...panel, coating: blank().coating };
    expect(
      level(
        seen(
          analysis(() => ({ dark: 1 })),
          { blank: flat },
        ),
        'rim',
      ),
    ).toBeNull();
    expect(placeOf(seen(analysis(() => ({ dark: 1 }))), 'rim')).toEqual([{ ...TRIM, height: 8 }]);
  });

  test('clear parts of the lowest picture, unless they are a frame', () => {
    expect(level(seen(first(1, { clear: 1 })), 'clear')).toBeNull();
    const two = seen(first(2, { clear: 1 }));
    expect(level(two, 'clear')).toBe('info');
    expect(words(two, 'clear')).toContain('0.02 of the picture is clear');
    expect(placeOf(two, 'clear')).toHaveLength(2);
    const frames = [{ kind: 'clear' as const, leftPx: 40, rightPx: 0, topPx: 0, bottomPx: 0 }];
    expect(level(seen({ ...first(2, { clear: 1 }), frames }), 'clear')).toBeNull();
    const white = [{ ...(frames[0] as (typeof frames)[0]), kind: 'white' as const }];
    expect(level(seen({ ...first(2, { clear: 1 }), frames: white }), 'clear')).toBe('info');
    expect(
      level(
        found(placed(), {
          placedLayers: [{ ...placed(), id: 'under' }, placed()],
          analyses: { p: first(9, { clear: 1 }) },
        }),
        'clear',
      ),
    ).toBeNull();
  });

  test('lines finer than dye spreads: 0.7 px of the analysis are 0.14 mm', () => {
    const fine = (finestPx: number | null, blurMm: number | null = 0.15) =>
      level(seen(analysis(undefined, { finestPx }), { blurMm }), 'hair');
    expect(fine(0.7)).toBe('info');
    expect(fine(0.74)).toBe('info');
    expect(fine(0.76)).toBeNull();
    expect(fine(null)).toBeNull();
    expect(fine(0.7, null)).toBeNull();
  });
});

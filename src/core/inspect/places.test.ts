import { inEnglish } from '@/words/inEnglish';
import fc from 'fast-check';
import { seeded } from '../random/random';
import type { LogEntry } from '../shop/records';
import { WHERES } from './evidence';
import { changesBetween, historyOf } from './history';
import { cellWords, laidMarks, overlay } from './overlay';
import { inGap, middleOf, whereOf, whereShares } from './places';
import { cornersGoRound, squareMap, through } from './square';
import { pointAt, entryOf, mark } from './testInspections';

const PANEL = { widthMm: 200, heightMm: 300, wrap: false };
const WRAP = { widthMm: 240, heightMm: 100, wrap: true };

describe('where a mark lies', () => {
  test.each([
    [pointAt(10, 12), PANEL, 'corner'],
    [pointAt(195, 290), PANEL, 'corner'],
    [pointAt(5, 150), PANEL, 'edge'],
    [pointAt(100, 150), PANEL, 'inside'],
    [{ kind: 'edge', edge: 'foot' } as const, PANEL, 'edge'],
    [pointAt(3, 50), WRAP, 'seam'],
    [pointAt(238, 50), WRAP, 'seam'],
    [pointAt(120, 4), WRAP, 'rim-foot'],
    [pointAt(120, 50), WRAP, 'inside'],
    [{ kind: 'edge', edge: 'left' } as const, WRAP, 'seam'],
    [{ kind: 'edge', edge: 'top' } as const, WRAP, 'rim-foot'],
    [{ kind: 'all' } as const, WRAP, 'all'],
  ])('%o on %o lies at: %s', (place, face, where) => expect(whereOf(place, face)).toBe(where));

  test('a large area is all of it, a small one where its middle is', () => {
    const square = (x: number, y: number, s: number) => ({
      kind: 'area' as const,
      points: [
        { xMm: x, yMm: y },
        { xMm: x + s, yMm: y },
        { xMm: x + s, yMm: y + s },
        { xMm: x, yMm: y + s },
      ],
    });
    expect(whereOf(square(0, 0, 195), PANEL)).toBe('all');
    expect(whereOf(square(2, 2, 20), PANEL)).toBe('corner');
    // However far it reaches in, and wherever along an edge.
    expect(whereOf(square(0, 0, 90), PANEL)).toBe('corner');
    expect(whereOf(square(60, 2, 60), PANEL)).toBe('edge');
    expect(whereOf(square(60, 100, 60), PANEL)).toBe('inside');
    expect(middleOf(square(10, 20, 30), PANEL)).toEqual({ xMm: 25, yMm: 35 });
  });

  test('a line along the rim of a wrap is at the rim, though it reaches both ends', () => {
    const along = (y: number) => ({
      kind: 'line' as const,
      points: [
        { xMm: 2, yMm: y },
        { xMm: 238, yMm: y + 1 },
      ],
    });
    expect(whereOf(along(3), WRAP)).toBe('rim-foot');
    expect(whereOf(along(50), WRAP)).toBe('inside');
  });

  test('shares weigh the worse mark more and add to one', () => {
    const shares = whereShares(
      [
        mark('faded-edge', pointAt(5, 5), { severity: 3 }),
        mark('lint' as never, pointAt(100, 150), { severity: 1 }),
      ],
      PANEL,
    );
    expect(shares?.[WHERES.indexOf('corner')]).toBe(0.75);
    expect(shares?.[WHERES.indexOf('inside')]).toBe(0.25);
    expect(whereShares([], PANEL)).toBeNull();
  });

  test('the heater’s gap is asked of marks that lie somewhere', () => {
    const gaps = [{ fromMm: 0, toMm: 20 }];
    expect(inGap(pointAt(10, 50), WRAP, gaps)).toBe(true);
    expect(inGap(pointAt(100, 50), WRAP, gaps)).toBe(false);
    expect(inGap({ kind: 'all' }, WRAP, gaps)).toBe(false);
  });
});

describe('many pieces over each other', () => {
  const face = { form: 'flat' as const, widthMm: 100, heightMm: 100, rings: [] };
  /** Pieces lie in four places of a platen, each turned a quarter more than the one before. */
  const LAYS: readonly LogEntry['lay'][] = (
    [
      [1, 0, 0, 1, 0, 0],
      [0, 1, -1, 0, 400, 0],
      [-1, 0, 0, -1, 400, 400],
      [0, -1, 1, 0, 0, 400],
    ] as const
  ).map((to) => ({ on: 'platen', widthMm: 400, heightMm: 400, pieces: [{ piece: null, to: [...to] }] }));
  const entries = (point: (lay: number, random: () => number) => readonly [number, number], many = 40) => {
    const random = seeded(7);
    return Array.from({ length: many }, (_, i) =>
      entryOf(`e${i}`, {
        face,
        lay: LAYS[i % 4] ?? null,
        marks: [mark('faded-edge', pointAt(...point(i % 4, random)))],
      }),
    );
  };

  test('a fault at one corner of the blank, wherever that lay, goes with the blank', () => {
    const o = overlay(laidMarks(entries((_, r) => [8 + 8 * r(), 8 + 8 * r()])));
    expect(o.follows).toBe('blank');
    expect(o.onFace?.chance).toBeLessThan(0.01);
    expect(inEnglish(cellWords(o.onFace?.most ?? { column: 1, row: 1, share: 0 }, 'face'))).toBe(
      'top left corner',
    );
  });

  test('a fault always at the back of the platen goes with the press', () => {
    // In every lay the corner of the platen that is heated least is another corner of the piece.
    const o = overlay(
      laidMarks(
        Array.from({ length: 40 }, (_, i) => {
          const random = seeded(i + 1);
          const lay = i % 2;
          const y = 6 * random();
          const x = 100 * random();
          return entryOf(`e${i}`, {
            face,
            lay: {
              on: 'platen',
              widthMm: 100,
              heightMm: 100,
              pieces: [{ piece: null, to: lay === 0 ? [1, 0, 0, 1, 0, 0] : [-1, 0, 0, -1, 100, 100] }],
            },
            marks: [mark('faded-edge', lay === 0 ? pointAt(x, y) : pointAt(100 - x, 100 - y))],
          });
        }),
      ),
    );
    expect(o.follows).toBe('press');
    expect(o.onPress?.most.row).toBe(0);
  });

  test('presses are not mixed: only the one most marks come from has a map, whatever lay elsewhere', () => {
    const here = entries((_, r) => [8 + 8 * r(), 8 + 8 * r()]);
    const elsewhere = entries((_, r) => [90 * r(), 90 * r()], 12).map((e) => ({
      ...e,
      id: `x${e.id}`,
      pressId: 'mat',
    }));
    const o = overlay(laidMarks([...elsewhere, ...here]));
    expect(o.pressId).toBe('p');
    expect(o.onPress?.marks).toBe(40);
    expect(o.onFace?.marks).toBe(52);
  });

  test('marks strewn by chance go with neither, nine times in ten and more', () => {
    let cried = 0;
    for (let s = 0; s < 20; s += 1) {
      const random = seeded(100 + s);
      const o = overlay(laidMarks(entries(() => [100 * random(), 100 * random()])));
      if (o.follows !== 'neither') cried += 1;
    }
    expect(cried).toBeLessThanOrEqual(3);
  });

  test('pieces that all lay alike cannot distinguish press from blank, and few say nothing', () => {
    const alike = entries((_, r) => [5 + 5 * r(), 5 + 5 * r()]).map((e) => ({ ...e, lay: LAYS[0] ?? null }));
    expect(overlay(laidMarks(alike)).follows).toBe('both');
    expect(overlay(laidMarks(alike.slice(0, 3))).follows).toBe('too-few');
    expect(laidMarks([entryOf('x', { face, marks: [mark('browned')] })])).toEqual([]);
  });
});

describe('a photograph set square', () => {
  const corners = [
    { u: 0.2, v: 0.1 },
    { u: 0.9, v: 0.2 },
    { u: 0.8, v: 0.95 },
    { u: 0.1, v: 0.8 },
  ];
  const photo = { widthPx: 1000, heightPx: 800, corners };

  test('its corners come to the corners of the face, and a straight line stays straight', () => {
    const m = squareMap(photo, { width: 300, height: 200 });
    if (!m) throw new Error('no map');
    const want = [
      [0, 0],
      [300, 0],
      [300, 200],
      [0, 200],
    ];
    corners.forEach((c, i) => {
      const p = through(m, c.u * 1000, c.v * 800);
      expect(p.x).toBeCloseTo(want[i]?.[0] ?? NaN, 6);
      expect(p.y).toBeCloseTo(want[i]?.[1] ?? NaN, 6);
    });
    const [a, b, c] = [through(m, 200, 80), through(m, 550, 120), through(m, 900, 160)];
    expect((b.x - a.x) * (c.y - a.y) - (c.x - a.x) * (b.y - a.y)).toBeCloseTo(0, 6);
  });

  test('corners that cross or fall together are no face', () => {
    expect(cornersGoRound(corners)).toBe(true);
    expect(cornersGoRound([...corners].reverse())).toBe(false);
    const [a, b, c, d] = corners;
    expect(cornersGoRound([a, c, b, d].flatMap((x) => x ?? []))).toBe(false);
    expect(
      squareMap({ ...photo, corners: corners.map(() => ({ u: 0.5, v: 0.5 })) }, { width: 1, height: 1 }),
    ).toBeNull();
  });
});

describe('the line of a recipe', () => {
  const S = entryOf('x').settings;
  test('says what differed from the one before, oldest first', () => {
    const line = historyOf([
      entryOf('b', { at: 2, settings: { ...S, dwellS: 72 }, verdict: 'good' }),
      entryOf('a', { at: 1, verdict: 'under' }),
      entryOf('c', { at: 3, settings: { ...S, dwellS: 72 }, tried: 'uneven-pressure' }),
    ]);
    expect(line.map((s) => s.entryId)).toEqual(['a', 'b', 'c']);
    expect(line[0]?.changes).toEqual([]);
    expect(JSON.stringify(line[1]?.changes)).toContain('72');
    expect(JSON.stringify(inEnglish(line[2]?.changes))).toContain('pack it level');
  });

  test('every setting that differs is a line, and none is where none does', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 150, max: 210 }),
        fc.integer({ min: 10, max: 300 }),
        (platenC, dwellS) => {
          const n = (platenC === S.platenC ? 0 : 1) + (dwellS === S.dwellS ? 0 : 1);
          expect(changesBetween(S, { ...S, platenC, dwellS })).toHaveLength(n);
        },
      ),
    );
    expect(
      changesBetween(S, {
        ...S,
        laterDwellS: 40,
        passes: 2,
        timerStart: 'at-temperature',
        pressure: 'firm',
        peel: 'cold',
        coolDownC: 170,
      }),
    ).toHaveLength(6);
  });
});

import { say, type Message } from '@/core/message/message';
import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import { LIBRARY } from '../library/library';
import { NOT_FINISHED } from '../job/finish';
import { isFlat, type Blank, type FlatBlank } from '../shop/blank';
import { MOST_CARE_LETTERS } from '../shop/settings';
import { careCards } from './careCard';
import { hangerPlan, holeHang, plateOf } from './hanger';
import { claimIn, labelPages, textFor } from './labels';
import { partsOf } from './parts';
import { finishHandsS, finishSteps } from './steps';
import { hangerTemplate } from './template';

const blank = (id: string): Blank => {
  const b = LIBRARY.find((x) => x.id === id);
  if (!b) throw new Error(`no ${id}`);
  return b;
};
const flat = (id: string): FlatBlank => {
  const b = blank(id);
  if (!isFlat(b)) throw new Error(`${id} is not flat`);
  return b;
};
const value = <T>(r: { ok: true; value: T } | { ok: false; problem: { what: Message } }): T => {
  if (!r.ok) throw new Error(english.text(r.problem.what));
  return r.value;
};
const refused = (r: { ok: boolean; problem?: { what: Message } }): string =>
  r.problem ? english.text(r.problem.what) : 'no';
const { hanger: HANGER, labels: LABELS } = NOT_FINISHED;

const plate = (widthMm: number, heightMm: number, more: Partial<FlatBlank['shape']> = {}): FlatBlank => ({
  ...flat('panel-400-600'),
  shape: {
    ...flat('panel-400-600').shape,
    outline: { form: 'rectangle', widthMm, heightMm, cornerMm: 0 },
    holes: [],
    ...more,
  },
});

describe('steps', () => {
  test('every blank of the library ends packed and labelled, each step once', () => {
    for (const b of LIBRARY) {
      const steps = finishSteps(b);
      expect(new Set(steps.map((s) => s.id)).size).toBe(steps.length);
      expect(steps.at(-1)?.id).toBe('finish-label');
      expect(steps.every((s) => english.text(s.how).length > 10)).toBe(true);
      expect(finishHandsS(b)).toBeGreaterThan(0);
      // Every part it needs is used by a step.
      expect(partsOf(b, HANGER).map((p) => p.part)).toEqual(expect.arrayContaining([...new Set(b.needs)]));
    }
  });

  test('what came off goes back on, the rubber foot while warm', () => {
    const steps = finishSteps(blank('straight-steel-590'));
    const foot = steps.find((s) => english.text(s.what) === 'rubber foot');
    expect(inEnglish(foot)).toMatchObject({ kind: 'rubber-foot' });
    expect(inEnglish(foot?.how)).toMatch(/warm.*middle outwards/);
    expect(
      steps.some((s) => english.text(s.what) === 'lid and straw' || english.text(s.what) === 'lid'),
    ).toBe(true);
  });

  test('a clock is put together in order, and clear stock is backed', () => {
    const clock = LIBRARY.find((b) => b.needs.includes('clockwork'));
    const kinds = finishSteps(clock ?? blank('')).map((s) => s.kind);
    expect(kinds.indexOf('clockwork')).toBeLessThan(kinds.indexOf('hands'));
    expect(kinds.indexOf('hands')).toBeLessThan(kinds.indexOf('battery'));
    const clear = { ...plate(80, 80), coating: { ...plate(80, 80).coating, stock: 'clear' as const } };
    expect(finishSteps(clear).some((s) => s.kind === 'backing')).toBe(true);
  });

  test('an id is of what the step says, so that it outlives other steps', () => {
    const b = blank('panel-400-600');
    const more = { ...b, finish: ['wipe with a cloth', ...b.finish] };
    const ids = finishSteps(b).map((s) => s.id);
    expect(finishSteps(more).map((s) => s.id)).toEqual(expect.arrayContaining(ids));
  });
});

describe('hangers', () => {
  test('a plain plate hangs from its middle line, as high as the hanger fits', () => {
    const h = value(hangerPlan(plate(200, 300), { ...HANGER, widthMm: 40, heightMm: 30, edgeMm: 15 }));
    expect(h.points).toEqual([{ x: 100, y: 15 }]);
    expect(h.aboveMm).toBeCloseTo(135, 9);
    // A millimetre beside, 135 mm above the balance: atan(1 / 135).
    expect(h.degPerMm).toBeCloseTo((Math.atan(1 / 135) * 180) / Math.PI, 9);
  });

  test('a hole moves the balance as its area says', () => {
    const holed = plate(200, 300, { holes: [{ form: 'round', xMm: 150, yMm: 150, diameterMm: 60 }] });
    const hole = Math.PI * 900;
    // From the front the hole is right; from the back it is left, at 50.
    expect(plateOf(holed).balance.x).toBeCloseTo((60000 * 100 - hole * 50) / (60000 - hole), 1);
    expect(plateOf(holed).balance.y).toBeCloseTo(150, 6);
  });

  test('wide plates take two, level and even about the balance', () => {
    const h = value(hangerPlan(plate(500, 300), HANGER));
    const [a, b] = h.points;
    expect(h.points).toHaveLength(2);
    expect(a?.y).toBe(b?.y);
    expect(((a?.x ?? 0) + (b?.x ?? 0)) / 2).toBeCloseTo(250, 9);
  });

  test('a plate that hangs from two uses two', () => {
    expect(partsOf(plate(500, 300), HANGER)).toEqual([{ part: 'float hanger', count: 2 }]);
    expect(partsOf(plate(200, 300), HANGER)).toEqual([{ part: 'float hanger', count: 1 }]);
    expect(partsOf(plate(200, 300), { ...HANGER, count: 2 })).toEqual([{ part: 'float hanger', count: 2 }]);
  });

  test('a height set by hand is kept, below the balance refused, and off the plate refused', () => {
    const set = (fromTopMm: number) => hangerPlan(plate(200, 300), { ...HANGER, fromTopMm });
    expect(value(set(80)).fromTopMm).toBe(80);
    expect(inEnglish(refused(set(160)))).toMatch(/upside down/);
    expect(inEnglish(refused(set(2)))).toMatch(/does not lie/);
    expect(inEnglish(refused(hangerPlan(plate(40, 40), HANGER)))).toMatch(/No hanger of that size/);
  });

  test('a hole in the middle line hangs upright; beside it, by how much it is off', () => {
    const hung = (xMm: number) =>
      holeHang(plate(100, 100, { holes: [{ form: 'round', xMm, yMm: 10, diameterMm: 4 }] }));
    expect(hung(50)?.leansDeg).toBeCloseTo(0, 6);
    // Hung 10 mm right of the middle and 40 above it, the balance swings under the hole: the top leans left by atan(10 / 40), but for what
    // the hole itself takes away.
    expect(hung(60)?.leansDeg).toBeCloseTo(-14.04, 0);
    expect(hung(40)?.leansDeg).toBeCloseTo(14.04, 0);
    expect(holeHang(plate(100, 100))).toBeNull();
  });

  test('the template is at true size, over as many pages as the plate needs', () => {
    const h = value(hangerPlan(plate(150, 200), HANGER));
    const pages = hangerTemplate(h, 'Plate', english.text);
    expect(pages).toHaveLength(1);
    const outline = pages[0]?.shapes[1]?.points ?? [];
    expect(Math.max(...outline.map((p) => p.x)) - Math.min(...outline.map((p) => p.x))).toBeCloseTo(150, 6);
    expect(
      inEnglish(hangerTemplate(value(hangerPlan(plate(400, 600), HANGER)), 'Panel', english.text)),
    ).toHaveLength(9);
  });
});

describe('labels', () => {
  test('a piece named like a placeholder keeps its name', () => {
    expect(textFor('{name}, no. {number}', { name: '{number}', number: 7 })).toBe('{number}, no. 7');
    expect(textFor('{name} {name}', { name: '$& {name}', number: 1 })).toBe('$& {name} $& {name}');
  });

  const pieces = (n: number) =>
    Array.from({ length: n }, (_, i) => ({ name: `Guide ${i + 1}`, number: i + 1 }));
  const text = 'Night walk, {name}\nNo. {number}';

  test('one a piece, beginning after those taken, on as many sheets as it takes', () => {
    const pages = value(labelPages({ ...LABELS, text, taken: 23 }, pieces(26)));
    expect(pages.map((p) => p.shapes.length)).toEqual([1, 24, 1]);
    expect(pages.flatMap((p) => p.words.map((w) => w.text)).filter((t) => t.includes('Guide'))).toHaveLength(
      26,
    );
  });

  test('no word stands outside its label', () => {
    const [page] = value(labelPages({ ...LABELS, text: `${'long word '.repeat(14)}{name}` }, pieces(24)));
    for (const w of page?.words ?? []) {
      const inOne = (page?.shapes ?? []).some(({ points: [a, , c] }) =>
        a && c
          ? w.x >= a.x && w.y <= c.y && w.y >= a.y && w.x + w.text.length * w.sizeMm * 0.5 <= c.x
          : false,
      );
      expect({ text: w.text, inOne }).toEqual({ text: w.text, inOne: true });
    }
  });

  test('what only a maker can claim is refused until the maker’s sheet says it', () => {
    for (const claim of ['Dishwasher safe', 'microwave OK', 'food-safe inside', 'Dish-washer proof'])
      expect(claimIn(claim)).not.toBeNull();
    expect(claimIn('Wash by hand; made in the canyon')).toBeNull();
    const claiming = { ...LABELS, text: 'Dishwasher safe' };
    expect(inEnglish(refused(labelPages(claiming, pieces(1))))).toMatch(/maker of the blank/);
    expect(labelPages({ ...claiming, makerSays: true }, pieces(1)).ok).toBe(true);
  });

  test('labels that do not fit, say nothing, or have no piece are refused in words', () => {
    expect(inEnglish(refused(labelPages({ ...LABELS, text, columns: 6 }, pieces(1))))).toMatch(/do not fit/);
    expect(inEnglish(refused(labelPages({ ...LABELS, text: ' ' }, pieces(1))))).toMatch(/says nothing/);
    expect(inEnglish(refused(labelPages({ ...LABELS, text }, [])))).toMatch(/No piece/);
    expect(refused(labelPages({ ...LABELS, text, taken: 24 }, pieces(1)))).toMatch(/No label is left/);
    expect(refused(labelPages({ ...LABELS, text: 'x'.repeat(300) }, pieces(1)))).toMatch(/does not fit/);
  });
});

test('care cards: eight to a sheet of A4, one a piece, and no promise only a maker can make', () => {
  const pieces = Array.from({ length: 9 }, (_, i) => ({ number: i + 1, name: '' }));
  const text = english.text(say('finish.careText'));
  const sheets = value(labelPages(careCards(text), pieces));
  expect(sheets.map((s) => s.shapes.length)).toEqual([8, 1]);
  const corners = sheets[0]?.words.map((w) => [w.x, w.y]) ?? [];
  expect(corners.every(([x = 0, y = 0]) => x > 0 && x < 210 && y > 0 && y < 297)).toBe(true);
  expect(refused(labelPages(careCards('Dishwasher safe.'), pieces))).toMatch(/ishwasher/);
  // Every letter that can be stored fits a card.
  expect(labelPages(careCards('word '.repeat(MOST_CARE_LETTERS / 5)), pieces).ok).toBe(true);
});

import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import { LIBRARY } from '@/core/library/library';
import { shownLengths } from '../../shop/shopForm';
import { aboutOf, aboutSchema, blankFrom } from './about';
import {
  addBetween,
  addHole,
  addZone,
  betweenMm,
  changeBetween,
  changeHole,
  changeZone,
  dimMm,
  draftOf,
  draftShape,
  newDraft,
  restarted,
  stillNeeded,
  withDim,
  withoutBetween,
  type Draft,
} from './draft';
import { STARTS } from './starts';

const INCHES = { length: 'in', temperature: 'F', inchDenominator: 16 } as const;
const shapeOf = (d: Draft) => {
  const r = draftShape(d);
  if (!r.ok) throw new Error(english.text(r.problem.what));
  return r.value;
};
const round = (d: Draft) => {
  const s = shapeOf(d);
  if (s.kind !== 'round') throw new Error('flat');
  return s;
};

test('every blank of the library is edited and kept unchanged, in inches too', () => {
  for (const blank of LIBRARY) {
    const draft = draftOf(blank);
    const shown = shownLengths(INCHES);
    const read = aboutSchema('in', shown).safeParse(aboutOf(blank, draft.start, shown));
    if (!read.success) throw new Error(`${blank.name}: ${read.error.issues[0]?.message}`);
    expect(blankFrom(read.data, shapeOf(draft), blank.id)).toEqual({ ok: true, value: blank });
    expect(stillNeeded(draft)).toBeNull();
  }
});

test('every start is drawn before anything is typed, and nothing of it is taken for typed', () => {
  for (const start of STARTS.filter((s) => s.form !== 'drawn')) {
    const draft = newDraft(start.id);
    expect(draftShape(draft).ok).toBe(true);
    expect(inEnglish(stillNeeded(draft))).toMatch(/^Type its width.* and its height/);
  }
});

test('drawn from the first number, the rest in proportion; a straight cup stays straight', () => {
  const d = withDim(newDraft('cup'), 'height', 100);
  // Half the start’s 200 mm: half its 74 mm across, and half its lip.
  expect([dimMm(d, 'rim'), dimMm(d, 'foot'), dimMm(d, 'lip')]).toEqual([37, 37, 2.5]);
  const wide = withDim(d, 'rim', 90);
  expect([dimMm(wide, 'rim'), dimMm(wide, 'foot'), dimMm(wide, 'height')]).toEqual([90, 90, 100]);
  expect(stillNeeded(wide)).toBeNull();
  expect(inEnglish(stillNeeded(d))).toMatch(/width near the rim/);
});

test('another picture keeps what was typed as far as it has it', () => {
  const d = restarted(withDim(withDim(newDraft('cup'), 'height', 140), 'rim', 80), 'belly');
  expect(round(d).sections).toHaveLength(3);
  expect(dimMm(d, 'height')).toBe(140);
  // The belly stands at its share of the wall, as much wider than the rim as on its picture.
  expect(round(d).sections[1]?.diameterMm).toBeCloseTo(80 * 1.16, 9);
});

test('further widths: placed in the widest gap, as wide as the wall there, then typed and sorted', () => {
  const cup = withDim(withDim(newDraft('tapered'), 'rim', 90), 'height', 200);
  const one = addBetween(cup, 'a');
  const a = one.between[0];
  if (!a) throw new Error('none');
  const { fromRimMm, diameterMm } = betweenMm(one, a);
  const [top, , foot] = round(one).sections;
  if (!top || !foot) throw new Error('no wall');
  expect(fromRimMm).toBe(Math.round((top.fromRimMm + foot.fromRimMm) / 2));
  expect(diameterMm).toBeCloseTo((top.diameterMm + foot.diameterMm) / 2, 0);
  const two = changeBetween(addBetween(one, 'b'), 'b', { fromRimMm: 40, diameterMm: 95 });
  expect(round(two).sections.map((s) => s.fromRimMm)).toEqual(
    [...round(two).sections.map((s) => s.fromRimMm)].sort((x, y) => x - y),
  );
  expect(round(withoutBetween(two, 'a')).sections).toHaveLength(3);
  expect(draftShape(changeBetween(two, 'b', { fromRimMm: fromRimMm })).ok).toBe(false);
});

test('zones and holes are placed, moved and kept', () => {
  const d = changeZone(addZone(newDraft('cup'), 'z'), 'z', { what: 'logo', widthMm: 40, atDeg: 90 });
  expect(round(d).exclusionZones).toEqual([
    { what: 'logo', fromRimMm: expect.any(Number) as number, heightMm: 10, widthMm: 40, atDeg: 90 },
  ]);
  const plate = changeHole(addHole(addHole(newDraft('rectangle'), 'h', 'round'), 's', 'slot'), 'h', {
    xMm: 9,
  });
  const shape = shapeOf(plate);
  expect(shape.kind === 'flat' && shape.holes).toEqual([
    { form: 'round', xMm: 9, yMm: expect.any(Number) as number, diameterMm: 4 },
    { form: 'slot', xMm: 100, yMm: expect.any(Number) as number, widthMm: 12, heightMm: 4 },
  ]);
});

test('what cannot be a blank is said in words', () => {
  const wrong = (d: Draft) => {
    const r = draftShape(d);
    return r.ok ? null : english.text(r.problem.what);
  };
  const cup = withDim(withDim(newDraft('cup'), 'rim', 74), 'height', 120);
  expect(inEnglish(wrong(withDim(withDim(cup, 'lip', 60), 'below', 58)))).toMatch(/Less than 8 mm/);
  const mug = withDim(withDim(newDraft('mug'), 'rim', 80), 'height', 90);
  expect(inEnglish(wrong(withDim(mug, 'handleHeight', 88)))).toMatch(/handle runs below/);
  expect(inEnglish(wrong(newDraft('drawn')))).toMatch(/No outline yet/);
});

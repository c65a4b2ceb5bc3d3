import { inEnglish } from '@/words/inEnglish';
import { LIBRARY } from '../library/library';
import type { Blank, RoundShape } from '../shop/blank';
import { placesOf, roundPlaces, sourceOfPlace, type PlaceSpec } from './places';

const blank = (id: string): Blank => {
  const b = LIBRARY.find((x) => x.id === id);
  if (!b) throw new Error(id);
  return b;
};
/** 80 mm at the rim, 60 at the foot, 100 mm of height between, and a handle of 16 mm. */
const CONE: RoundShape = {
  kind: 'round',
  heightMm: 120,
  sections: [
    { fromRimMm: 10, diameterMm: 80 },
    { fromRimMm: 110, diameterMm: 60 },
  ],
  handle: null,
  openEnds: false,
  exclusionZones: [],
};
const MUG: RoundShape = {
  ...CONE,
  handle: { widthMm: 16, fromRimMm: 20, heightMm: 60, reachMm: 40 },
};
const by = (places: readonly PlaceSpec[], role: PlaceSpec['role']): PlaceSpec => {
  const p = places.find((x) => x.role === role);
  if (!p) throw new Error(role);
  return p;
};

test('a round wall is measured near the rim, near the foot, and along the wall; a handle too where there is one', () => {
  expect(roundPlaces(CONE, []).map((p) => [p.id, p.role, p.kind])).toEqual([
    ['circumferenceTop', 'rim', 'circumference'],
    ['circumferenceFoot', 'foot', 'circumference'],
    ['wall', 'wall', 'length'],
  ]);
  expect(roundPlaces(MUG, []).map((p) => p.role)).toEqual(['rim', 'foot', 'wall', 'handle']);
});

test('what is expected is the catalogue’s circumference there, and the wall along its slope', () => {
  const places = roundPlaces(CONE, []);
  expect(by(places, 'rim')).toMatchObject({
    expectedMm: expect.closeTo(80 * Math.PI, 9) as number,
    atMm: 10,
    gapMm: 0,
  });
  expect(by(places, 'foot')).toMatchObject({
    expectedMm: expect.closeTo(60 * Math.PI, 9) as number,
    atMm: 110,
  });
  // 100 mm down and 10 mm in.
  expect(by(places, 'wall').expectedMm).toBeCloseTo(Math.hypot(100, 10), 6);
  expect(by(places, 'wall').atMm).toBeNull();
});

test('beside a handle the tape leaves it out: by its own width, or as measured', () => {
  expect(by(roundPlaces(MUG, []), 'rim')).toMatchObject({
    expectedMm: expect.closeTo(80 * Math.PI - 16, 9) as number,
    gapMm: 16,
  });
  expect(by(roundPlaces(MUG, [], 20), 'foot')).toMatchObject({
    expectedMm: expect.closeTo(60 * Math.PI - 20, 9) as number,
    gapMm: 20,
  });
  expect(by(roundPlaces(MUG, []), 'handle')).toMatchObject({ expectedMm: 16, minMm: 3, maxMm: 80 });
  expect(inEnglish(by(roundPlaces(MUG, []), 'rim').hint)).toMatch(/handle/);
  expect(inEnglish(by(roundPlaces(CONE, []), 'rim').hint)).not.toMatch(/handle/);
});

test('stations stand between rim and foot from the top down, whatever order they were made in', () => {
  const places = roundPlaces(CONE, [
    { id: 'low', fromRimMm: 80.04 },
    { id: 'high', fromRimMm: 35 },
  ]);
  expect(places.map((p) => p.id)).toEqual(['circumferenceTop', 'high', 'low', 'circumferenceFoot', 'wall']);
  expect(inEnglish(places[1])).toMatchObject({ role: 'between', name: 'Circumference 35 mm down', atMm: 35 });
  expect(inEnglish(places[2]?.name)).toBe('Circumference 80 mm down');
  // Half way between the two sections: 70 mm across.
  expect(roundPlaces(CONE, [{ id: 'mid', fromRimMm: 60 }])[1]?.expectedMm).toBeCloseTo(70 * Math.PI, 6);
});

test('a flat blank is measured over all, both ways', () => {
  const slate = blank('slate-heart');
  if (slate.shape.kind !== 'flat') throw new Error('not flat');
  const { widthMm, heightMm } = slate.shape.outline;
  expect(placesOf(slate, []).map((p) => [p.id, p.role, p.kind, p.expectedMm])).toEqual([
    ['width', 'width', 'length', widthMm],
    ['height', 'height', 'length', heightMm],
  ]);
  expect(placesOf(blank('mug-325'), []).map((p) => p.role)).toContain('handle');
});

test('anything from 1/1.8 to 1.8 times the catalogue is believed', () => {
  for (const p of placesOf(blank('straight-steel-590'), [])) {
    expect(p.minMm).toBeCloseTo(p.expectedMm / 1.8, 9);
    expect(p.maxMm).toBeCloseTo(p.expectedMm * 1.8, 9);
  }
});

test('a place is a source of its own, by its name', () => {
  expect(inEnglish(sourceOfPlace(by(roundPlaces(CONE, []), 'rim')))).toBe('reading: rim');
});

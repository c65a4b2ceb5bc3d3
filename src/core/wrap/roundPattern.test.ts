import fc from 'fast-check';
import { exact } from '../figures/uncertain';
import { flatten, type Contour } from '../geometry/contour';
import { insideRing, distanceToRing } from '../geometry/ring';
import { SEAM_METHODS } from '../shop/settings';
import { mainFace, type Pattern } from './pattern';
import { wallPoint } from './roll';
import { sizeRoundWrap } from './roundWrap';
import { WALL, wrapInput } from './testWraps';

/** Zones of an unrolled cone: they nest, and none of the marks lies where it would print on the blank. */
const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const anyCone = fc.record({
  top: num(120, 420),
  share: num(0.7, 1.3),
  slant: num(60, 260),
  seamMethod: fc.constantFrom(...SEAM_METHODS),
  bleed: num(0, 8),
  seamDeg: num(-170, 170),
});
const patternOf = (c: {
  top: number;
  share: number;
  slant: number;
  seamMethod: (typeof SEAM_METHODS)[number];
  bleed: number;
  seamDeg: number;
}): Pattern =>
  sizeRoundWrap(
    wrapInput({
      circumferenceTop: exact(c.top),
      circumferenceFoot: exact(c.top * c.share),
      slant: exact(c.slant),
      seamMethod: c.seamMethod,
      seamDeg: c.seamDeg,
      bleed: { rimMm: c.bleed, footMm: c.bleed, endsMm: c.bleed },
    }),
  ).pattern;

/** Inside, or on the edge to within what flattening an arc may cost. */
const within = (outer: Contour, inner: Contour): boolean => {
  const ring = flatten(outer, 0.002);
  return flatten(inner, 0.5).every((p) => insideRing(ring, p) || distanceToRing(ring, p) < 0.01);
};

test('safe inside trim inside bleed, in every seam method, cone or cylinder', () => {
  fc.assert(
    fc.property(anyCone, (c) => {
      const face = mainFace(patternOf(c));
      return within(face.bleed, face.trim) && face.safe.every((s) => within(face.trim, s));
    }),
    { numRuns: 250 },
  );
});

test('no tick lies inside the bleed, and none is far from it', () => {
  fc.assert(
    fc.property(anyCone, (c) => {
      const pattern = patternOf(c);
      const ring = flatten(mainFace(pattern).bleed, 0.002);
      return pattern.ticks.every((t) =>
        [t.from, t.to].every((p) => !insideRing(ring, p) && distanceToRing(ring, p) < 8 + c.bleed),
      );
    }),
    { numRuns: 250 },
  );
});

test('both ends of the trim meet on the wall: a butt seam closes at rim and foot alike', () => {
  fc.assert(
    fc.property(anyCone, (c) => {
      const pattern = patternOf({ ...c, seamMethod: 'butt' });
      const { roll } = pattern;
      if (!roll) return false;
      // Every corner of the trim on the wall: two at each edge, a whole turn apart.
      const on = mainFace(pattern).trim.map((p) => wallPoint(roll, p));
      return [0, roll.cone.slantMm].every((v) => {
        const at = on.filter((q) => Math.abs(q.slantMm - v) < 1e-6).map((q) => q.azimuth);
        return Math.abs(Math.max(...at) - Math.min(...at) - 2 * Math.PI) < 1e-6;
      });
    }),
    { numRuns: 500 },
  );
});

test('the line the ends meet on is the far end of the closed paper: a whole turn from the near end', () => {
  fc.assert(
    fc.property(anyCone, (c) => {
      const pattern = patternOf({ ...c, seamMethod: 'over' });
      const { roll, meets } = pattern;
      if (!roll || !meets) return false;
      const near = mainFace(pattern).trim[0];
      if (!near) return false;
      const a = wallPoint(roll, near).azimuth;
      const b = wallPoint(roll, meets.from).azimuth;
      return Math.abs(b - a - 2 * Math.PI) < 1e-6;
    }),
    { numRuns: 500 },
  );
});

test('an exclusion zone lies on the wall where the catalogue puts it, once', () => {
  fc.assert(
    fc.property(anyCone, num(-175, 175), (c, atDeg) => {
      const shape = {
        ...WALL,
        exclusionZones: [{ what: 'logo', fromRimMm: 30, heightMm: 12, widthMm: 18, atDeg }],
      };
      const { pattern } = sizeRoundWrap(
        wrapInput({
          circumferenceTop: exact(c.top),
          circumferenceFoot: exact(c.top * c.share),
          slant: exact(c.slant),
          shape,
          seamDeg: c.seamDeg,
          band: { topMm: 6.5, footMm: 6.5 + c.slant },
        }),
      );
      const { roll } = pattern;
      const zones = mainFace(pattern).exclusionZones;
      if (!roll || zones.length < 1 || zones.length > 2) return false;
      // Across the seam a patch is there on both ends; otherwise once.
      const middles = zones.map((z) => {
        const at = z.contour.map((p) => wallPoint(roll, p).azimuth);
        return (Math.min(...at) + Math.max(...at)) / 2;
      });
      const want = (atDeg * Math.PI) / 180;
      return middles.every((m) => Math.abs(Math.sin((m - want) / 2)) < 1e-6);
    }),
    { numRuns: 400 },
  );
});

test('the person’s own marks stand where they were put, those past the end are not drawn', () => {
  const marks = [
    { id: 'a', alongMm: 40 },
    { id: 'b', alongMm: 900 },
  ];
  const { pattern } = sizeRoundWrap(wrapInput({ ownMarks: marks }));
  const own = pattern.marks.filter((m) => m.own);
  expect(own.map((m) => m.id)).toEqual(['a']);
  expect(own[0]?.line.from.x).toBeCloseTo(40, 9);
  expect(pattern.marks.find((m) => m.id === 'front')?.alongMm).toBeCloseTo(pattern.trim.width / 2, 9);
});

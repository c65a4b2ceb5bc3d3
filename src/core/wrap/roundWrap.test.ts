import { type Message } from '@/core/message/message';
import { english } from '@/words/english';
import fc from 'fast-check';
import { seeded } from '../random/random';
import { exact, measured, standardU } from '../figures/uncertain';
import { errorShape } from '../figures/interval';
import { boundsOfContour } from '../geometry/contour';
import { SEAM_METHODS, type SeamMethod } from '../shop/settings';
import { closingError, seamChance } from './error';
import { mainFace } from './pattern';
import { sizeRoundWrap } from './roundWrap';
import { seamMethodNotes, SEAM_METHOD_NOTES } from './seamMethods';
import { WALL, wrapInput as input } from './testWraps';

const PRINT = input().print;

test('closes at circumference plus π times the paper', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 60, max: 640, noNaN: true }),
      fc.double({ min: 0.05, max: 0.5, noNaN: true }),
      (c, p) => {
        // A strip of thickness p round radius r has its middle at r + p/2.
        const r = c / (2 * Math.PI);
        expect(
          sizeRoundWrap(input({ circumferenceTop: exact(c), circumferenceFoot: exact(c), paperMm: p }))
            .closing.value,
        ).toBeCloseTo(2 * Math.PI * (r + p / 2), 9);
      },
    ),
  );
});

test.each<[SeamMethod, number | null, number]>([
  ['butt', null, 0],
  ['under', 3, -6],
  ['lap', 3, 3],
  ['over', 5, 5],
  ['gap', 10, -10],
])('%s with %p prints %p against the closing length', (seamMethod, amountMm, expected) => {
  const w = sizeRoundWrap(input({ seamMethod, amountMm }));
  expect(w.lengthMm - w.closing.value).toBeCloseTo(expected, 9);
  expect(w.pattern.trim.width).toBeCloseTo(w.lengthMm, 9);
});

test('the pattern nests: safe inside trim inside bleed, in every seam method', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...SEAM_METHODS),
      fc.double({ min: 120, max: 640, noNaN: true }),
      fc.double({ min: 40, max: 400, noNaN: true }),
      fc.double({ min: 0, max: 15, noNaN: true }),
      fc.double({ min: 0, max: 15, noNaN: true }),
      (seamMethod, circumference, wall, bleedMm, safeMm) => {
        const { pattern, lengthMm, height } = sizeRoundWrap(
          input({
            seamMethod,
            circumferenceTop: exact(circumference),
            circumferenceFoot: exact(circumference),
            slant: exact(wall),
            bleed: { rimMm: bleedMm, footMm: bleedMm, endsMm: bleedMm },
            safeMm,
          }),
        );
        expect(pattern.trim.width).toBeCloseTo(lengthMm, 9);
        expect(pattern.trim.height).toBeCloseTo(height.value, 9);
        expect(pattern.bleed.width - pattern.trim.width).toBeCloseTo(2 * bleedMm, 9);
        expect(pattern.bleed.height - pattern.trim.height).toBeCloseTo(2 * bleedMm, 9);
        expect(pattern.safe.x + pattern.safe.width).toBeLessThanOrEqual(pattern.trim.width + 1e-9);
        const front = pattern.front?.x ?? NaN;
        expect(front).toBeGreaterThan(0);
        expect(front).toBeLessThanOrEqual(pattern.trim.width / 2 + 1e-9);
        expect(pattern.front?.wellMm).toBeCloseTo(circumference / 3, 9);
      },
    ),
  );
});

test('printed over, the front is the middle of what will stay', () => {
  const { pattern } = sizeRoundWrap(input({ seamMethod: 'over', amountMm: 6 }));
  expect(pattern.front?.x).toBeCloseTo(pattern.meetsAtMm / 2, 9);
  expect(pattern.trim.width - pattern.meetsAtMm).toBeCloseTo(6, 9);
});

test('an exclusion zone is carried down from the wall to the pattern', () => {
  const stamp = { what: 'stamp', fromRimMm: 156.5, heightMm: 12, widthMm: null, atDeg: 0 };
  const { pattern } = sizeRoundWrap(
    input({ shape: { ...WALL, exclusionZones: [stamp] }, bleed: { rimMm: 0, footMm: 0, endsMm: 0 } }),
  );
  const [zone] = mainFace(pattern).exclusionZones;
  const box = boundsOfContour(zone?.contour ?? []);
  expect(zone?.what).toBe('stamp');
  expect(box.y).toBeCloseTo(150, 9);
  expect(box.height).toBeCloseTo(12, 9);
  expect(box.width).toBeCloseTo(pattern.trim.width, 9);
});

test('a patch at an angle stands that far round from the front', () => {
  const logo = { what: 'logo', fromRimMm: 50, heightMm: 10, widthMm: 20, atDeg: 90 };
  const { pattern } = sizeRoundWrap(input({ shape: { ...WALL, exclusionZones: [logo] } }));
  const box = boundsOfContour(mainFace(pattern).exclusionZones[0]?.contour ?? []);
  const quarter = (230 + Math.PI * 0.1) / 4;
  expect(box.x + box.width / 2 - (pattern.front?.x ?? 0)).toBeCloseTo(quarter, 9);
  expect(box.width).toBeCloseTo(20, 9);
});

test('cut long by covers 19 wraps in 20 when the errors are played out', () => {
  const half = 0.8;
  // Half a mark either way, as likely as not: one of the sources known only by limits.
  const circumference = measured(230, half / Math.sqrt(3), 'maker’s figure');
  const w = sizeRoundWrap(
    input({ circumferenceTop: circumference, circumferenceFoot: circumference, seamMethod: 'butt' }),
  );
  const random = seeded(11);
  const uniform = (h: number) => (random() * 2 - 1) * h;
  const n = 40_000;
  let reached = 0;
  for (let i = 0; i < n; i += 1) {
    const error =
      uniform(half) +
      Math.PI * uniform(0.02) +
      uniform(0.0025 * w.closing.value) +
      uniform(0.5) +
      uniform(0.5);
    if (w.longFor19In20Mm + error >= 0) reached += 1;
  }
  expect(reached / n).toBeGreaterThan(0.94);
  expect(reached / n).toBeLessThan(0.96);
});

test('trimming on the blank takes the knife and the hand out of the error', () => {
  const closing = measured(230, 0.3, 'top circumference');
  const over = closingError(closing, 'over', PRINT);
  const butt = closingError(closing, 'butt', PRINT);
  expect(Object.keys(over.parts)).not.toContain('trim');
  expect(Object.keys(butt.parts)).toEqual(expect.arrayContaining(['trim', 'placement', 'print scale']));
  expect(standardU(butt)).toBeGreaterThan(standardU(over));
});

test('a worse tape asks for more printed over, within what a shop can trim', () => {
  const amount = (u: number) => {
    const circumference = measured(230, u, 'reading: circumference');
    return sizeRoundWrap(
      input({ seamMethod: 'over', circumferenceTop: circumference, circumferenceFoot: circumference }),
    ).amountMm;
  };
  expect(amount(0.1)).toBe(3);
  expect(amount(2.5)).toBeGreaterThan(4);
  expect(amount(50)).toBe(8);
});

test('seam chances: limits and order', () => {
  const at = (u: number) => errorShape(measured(0, u, 'reading: circumference'));
  expect(seamChance('butt', 0, at(0))).toBe(1);
  expect(seamChance('over', 5, at(0))).toBe(1);
  expect(seamChance('over', 0, at(1))).toBeCloseTo(0.5, 12);
  expect(seamChance('lap', 3, at(1))).toBeCloseTo(0.9986501, 6);
  expect(seamChance('butt', 0, at(0.5))).toBeCloseTo(0.6826895, 6);
  expect(seamChance('under', 3, at(1))).toBeGreaterThan(seamChance('lap', 3, at(1)));
});

test('every seam method says what it gains, risks and asks', () => {
  for (const notes of [SEAM_METHOD_NOTES, seamMethodNotes(true)])
    for (const s of SEAM_METHODS)
      expect(
        Object.values(notes[s]).every((v: Message | null) => v === null || english.text(v).length > 2),
      ).toBe(true);
});

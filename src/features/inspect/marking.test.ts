import fc from 'fast-check';
import { FAULT_IDS, PAPER_FAULT_IDS } from '@/core/shop/faultIds';
import { markSchema } from '@/core/shop/mark';
import { faultByKey, offFace, placeOf, thinned, TOOLS, usualPlace, usualTool } from './marking';

const FACE = { widthMm: 240, heightMm: 100, wrap: true };
const point = fc.record({
  xMm: fc.double({ min: -40, max: 300, noNaN: true }),
  yMm: fc.double({ min: -40, max: 160, noNaN: true }),
});
const stored = (place: unknown) =>
  markSchema.safeParse({ id: 'm', fault: 'ghost', severity: 1, side: 'front', piece: null, place }).success;

test('whatever the hand does with whichever tool, a mark can be stored and lies on the face', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...TOOLS),
      fc.array(point, { minLength: 1, maxLength: 200 }),
      (tool, path) => {
        const place = placeOf(tool, path, FACE);
        expect(stored(place)).toBe(true);
        if (place?.kind === 'line' || place?.kind === 'point')
          expect(
            offFace([{ id: 'm', fault: 'ghost', severity: 1, side: 'front', piece: null, place }], FACE),
          ).toEqual([]);
      },
    ),
  );
  expect(placeOf('line', [], FACE)).toBeNull();
});

test('a touch with the edge tool is the edge nearest to it; a still hand with the line tool is a point', () => {
  expect(placeOf('edge', [{ xMm: 236, yMm: 50 }], FACE)).toEqual({ kind: 'edge', edge: 'right' });
  expect(placeOf('edge', [{ xMm: 120, yMm: 95 }], FACE)).toEqual({ kind: 'edge', edge: 'foot' });
  expect(
    placeOf(
      'line',
      [
        { xMm: 10, yMm: 10 },
        { xMm: 10.4, yMm: 10 },
      ],
      FACE,
    )?.kind,
  ).toBe('point');
});

test('a long stroke keeps its ends', () => {
  const path = Array.from({ length: 500 }, (_, i) => ({ xMm: i * 2, yMm: 3 }));
  const thin = thinned(path);
  expect(thin.length).toBeLessThanOrEqual(60);
  expect([thin[0], thin.at(-1)]).toEqual([path[0], path[499]]);
});

test('every fault has a place of its own by key, and its key', () => {
  for (const fault of [...FAULT_IDS, ...PAPER_FAULT_IDS])
    for (const face of [FACE, { ...FACE, wrap: false }]) {
      expect(stored(usualPlace(fault, face))).toBe(true);
      if (usualTool(fault) === 'all') expect(usualPlace(fault, face)).toEqual({ kind: 'all' });
    }
  expect(usualPlace('white-stripe', FACE)).toEqual({ kind: 'edge', edge: 'right' });
  expect(faultByKey('g')).toBe('ghost');
  expect(faultByKey('u')).toBeNull();
});

test('marks past the edge of a face measured again are reported', () => {
  const mark = { id: 'm', fault: 'ghost', severity: 1, side: 'front', piece: null } as const;
  expect(offFace([{ ...mark, place: { kind: 'point', xMm: 260, yMm: 5 } }], FACE)).toHaveLength(1);
  expect(offFace([{ ...mark, place: { kind: 'all' } }], FACE)).toHaveLength(0);
});

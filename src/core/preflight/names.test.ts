import fc from 'fast-check';
import { runsOutOf, setText } from '../art/text';
import { textLayer, type Names } from '../job/art';
import { mainFace } from '../wrap/pattern';
import { checkNames } from './names';
import { BOARD, words } from './testBoard';

const list = (rows: readonly string[]): Names => ({
  columns: ['name'],
  rows: rows.map((r) => [r]),
  pictures: [],
  countColumn: null,
});

test('names past the safe zone are those that stand past it when each is set by itself', () => {
  const { pattern } = BOARD;
  const { safe } = mainFace(pattern);
  fc.assert(
    fc.property(
      fc.array(fc.string({ minLength: 1, maxLength: 30, unit: fc.constantFrom('i', 'W', 'a', ' x', 'M') }), {
        minLength: 1,
        maxLength: 30,
      }),
      fc.record({
        capHeightMm: fc.double({ min: 3, max: 25, noNaN: true }),
        dxMm: fc.double({ min: -40, max: 40, noNaN: true }),
        dyMm: fc.double({ min: -40, max: 40, noNaN: true }),
        rotationDeg: fc.constantFrom(0, 15, 90),
        mostMm: fc.constantFrom(null, 60),
        overlong: fc.constantFrom('flag' as const, 'fit' as const),
      }),
      (rows, how) => {
        const layer = textLayer('t', 'x', { ...how, field: 'name' });
        const texts = [...new Set(rows.map((r) => r.trim()).filter((r) => r !== ''))];
        const out = texts.filter(
          (text) => runsOutOf(setText({ ...layer, text }, pattern.trim).quads, safe) > 0,
        );
        const found = words(checkNames({ names: list(rows), layers: [layer], pattern }), 'names-safe');
        if (out.length === 0) expect(found).toBe('');
        else
          expect(found).toContain(
            `${out.length} ${out.length === 1 ? 'name' : 'names'} past the safe zone: “${out[0] ?? ''}”`,
          );
      },
    ),
    { numRuns: 150 },
  );
});

test('a list of a thousand names is set a few times only where all stand within the safe zone', () => {
  const layer = textLayer('t', 'x', { capHeightMm: 4, field: 'name' });
  const rows = Array.from({ length: 1000 }, (_, i) => `Guest ${i}`);
  expect(checkNames({ names: list(rows), layers: [layer], pattern: BOARD.pattern })).toEqual([]);
  expect(checkNames({ names: null, layers: [layer], pattern: BOARD.pattern })).toEqual([]);
});

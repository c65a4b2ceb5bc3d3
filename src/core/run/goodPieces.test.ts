import fc from 'fast-check';
import type { RunPiece } from '../shop/run';
import { appended, type Chain } from './chain';
import { goodPiecesIn, pieceKey } from './goodPieces';
import type { LoadThrough } from './loadThrough';

const piece = (number: number): RunPiece => ({ number, name: '' });
const load = (numbers: readonly number[], spoiled: readonly number[]): LoadThrough => ({
  pieces: numbers.map(piece),
  spoiled: spoiled.map((n) => ({ piece: piece(n), why: null, became: 'spoiled', operationId: 'x', at: 0 })),
  startedAt: 0,
  endedAt: 1,
  steps: null,
});

/** Looked for load by load, as the definition says. */
function plainly(loads: Chain<LoadThrough>): string[] {
  const good = new Set<string>();
  for (let at = loads; at; at = at.before)
    for (const p of at.last.pieces)
      if (!at.last.spoiled.some((s) => s.piece.number === p.number)) good.add(pieceKey(p));
  return [...good].sort();
}

test('whatever is loaded, taken back and loaded again, and whichever state is asked: the good pieces of its own loads', () => {
  const numbers = fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 4 });
  const step = fc.oneof(
    fc.record({ pieces: numbers, spoiled: fc.array(fc.integer({ min: 1, max: 9 }), { maxLength: 2 }) }),
    // Back to so many states before.
    fc.integer({ min: 1, max: 4 }),
  );
  fc.assert(
    fc.property(fc.array(step, { maxLength: 30 }), (steps) => {
      const states: Chain<LoadThrough>[] = [null];
      for (const s of steps) {
        const now = states.at(-1) ?? null;
        if (typeof s === 'number') states.push(states.at(-1 - s) ?? null);
        else states.push(appended(now, load([...new Set(s.pieces)], s.spoiled)));
        const asked = states.at(-1) ?? null;
        expect([...goodPiecesIn(asked)].sort()).toEqual(plainly(asked));
      }
      for (const s of states) expect([...goodPiecesIn(s)].sort()).toEqual(plainly(s));
    }),
  );
});

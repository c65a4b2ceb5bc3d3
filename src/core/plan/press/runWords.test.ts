import { inEnglish } from '@/words/inEnglish';
import { english } from '@/words/english';

import { withState } from '../../run/pieces';
import { CYCLE, done, pieces, queued } from '../../run/testRun';
import { inOrderText, leftOpenText, overTimeText, piecesText, spoiledText, whyLabel } from './runWords';
import { SPOILED_WHY } from '../../shop/run';

const p = (number: number, name = '') => ({ number, name });

test('pieces by name where one has one, else by number, neighbours drawn together', () => {
  expect(inEnglish(piecesText([p(9, 'Amaro')]))).toBe('piece 9, “Amaro”');
  expect(inEnglish(piecesText([p(9)]))).toBe('piece 9');
  expect(inEnglish(piecesText([17, 18, 19, 24, 20, 23].map((n) => p(n, 'x'))))).toBe('pieces 17–20, 23, 24');
  expect(inEnglish(piecesText([]))).toBe('no piece');
});

test('every reason has words of its own', () => {
  const words = SPOILED_WHY.map(whyLabel);
  expect(new Set(words).size).toBe(words.length);
  expect(inEnglish(whyLabel('ghost'))).toBe('Ghosting');
  expect(inEnglish(whyLabel(null))).toBe('Not said');
});

test('over-time in words, and nothing where nothing is over', () => {
  expect(inEnglish(overTimeText({ overS: 14, share: 0.117, inside: 'inside' }))).toBe(
    '14 s over: 12 % more dose, still good',
  );
  expect(inEnglish(overTimeText({ overS: -9.6, share: -0.2, inside: 'too little' }))).toBe(
    '10 s short: 20 % less dose, likely too little',
  );
  expect(overTimeText({ overS: 0.4, share: 0.01, inside: 'inside' })).toBeNull();
  expect(inEnglish(overTimeText({ overS: 3, share: 0.004, inside: 'inside' }))).toBe(
    '3 s over: hardly any change of dose, still good',
  );
  expect(overTimeText(null)).toBeNull();
});

test('a press left open: how long, what it reads, what it takes to be back', () => {
  const said = leftOpenText({ openS: 370, atC: 152.4, backS: 79.2 });
  expect(said && english.text(said)).toBe(
    'Open for 6:10: it reads about 152 °C by now, and takes 1:20 closed to be back',
  );
  expect(leftOpenText(null)).toBeNull();
});

test('pieces in the order they came out, whatever press they came from, spoiled ones marked', () => {
  const load = (from: number) =>
    CYCLE.map((id, i) => ({ ...done(id, from + i), ...(i === CYCLE.length - 1 ? { next: [] } : {}) }));
  const a = queued(pieces(1, 1), 1, { id: 'a', events: load(100) as never });
  const b = queued(pieces(2, 2), 2, {
    id: 'b',
    events: [{ kind: 'spoiled', at: 0, operationId: 'load', piece: 3 }, ...load(10)] as never,
  });
  expect(inEnglish(inOrderText([a, b].map(withState)))).toBe(
    '2 “Guest 2”, 3 “Guest 3” (spoiled), 1 “Guest 1”',
  );
  expect(inEnglish(inOrderText([]))).toBeNull();
});

test('a piece that is not good: what became of it, and why', () => {
  const text = (became: 'spoiled' | 'second' | 'soaking') =>
    inEnglish(spoiledText({ piece: p(4), why: 'ghost', operationId: 'load', at: 0, became }));
  expect(text('spoiled')).toBe('piece 4: Ghosting');
  expect(text('second')).toBe('piece 4 (with a flaw): Ghosting');
  expect(text('soaking')).toBe('piece 4 (soaking): Ghosting');
});

import { overTimeText, piecesText, whyLabel } from './runWords';
import { SPOILED_WHY } from '../shop/run';

const p = (number: number, name = '') => ({ number, name });

test('pieces by name where one has one, else by number, neighbours drawn together', () => {
  expect(piecesText([p(9, 'Amaro')])).toBe('piece 9, “Amaro”');
  expect(piecesText([p(9)])).toBe('piece 9');
  expect(piecesText([17, 18, 19, 24, 20, 23].map((n) => p(n, 'x')))).toBe('pieces 17–20, 23, 24');
  expect(piecesText([])).toBe('no piece');
});

test('every reason has words of its own', () => {
  const words = SPOILED_WHY.map(whyLabel);
  expect(new Set(words).size).toBe(words.length);
  expect(whyLabel('ghost')).toBe('Ghosting');
  expect(whyLabel(null)).toBe('Not said');
});

test('over-time in words, and nothing where nothing is over', () => {
  expect(overTimeText({ overS: 14, share: 0.117, inside: 'inside' })).toBe(
    '14 s over: 12 % more dose, still good',
  );
  expect(overTimeText({ overS: -9.6, share: -0.2, inside: 'too little' })).toBe(
    '10 s short: 20 % less dose, likely too little',
  );
  expect(overTimeText({ overS: 0.4, share: 0.01, inside: 'inside' })).toBeNull();
  expect(overTimeText(null)).toBeNull();
});

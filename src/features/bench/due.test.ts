import { dueWords } from './due';

const today = new Date(2026, 10, 24, 15, 0);

test.each([
  [null, 'no day set', false],
  ['2026-11-24', 'due today', true],
  ['2026-11-25', 'due tomorrow', false],
  ['2026-12-04', 'due Fri 4 Dec, 10 days', false],
  ['2026-11-20', 'was due Fri 20 Nov', true],
])('%s', (dueOn, text, late) => {
  expect(dueWords(dueOn, today)).toEqual({ text, late });
});

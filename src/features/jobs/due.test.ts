import { inEnglish } from '@/words/inEnglish';
import { dueWords } from './due';

const today = new Date(2026, 10, 24, 15, 0);

test.each([
  [null, 'no day set', null, false],
  ['2026-11-24', 'Tue 24 Nov', 'today', true],
  ['2026-11-25', 'Wed 25 Nov', 'tomorrow', false],
  ['2026-12-04', 'Fri 4 Dec', 'in 10 days', false],
  ['2026-11-23', 'Mon 23 Nov', 'a day late', true],
  ['2026-11-20', 'Fri 20 Nov', '4 days late', true],
])('%s', (dueOn, day, left, late) => {
  expect(inEnglish(dueWords(dueOn, today))).toEqual({ day, left, late });
});

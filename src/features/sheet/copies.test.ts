import { inEnglish } from '@/words/inEnglish';
import { copiesText } from './copies';

test.each([
  [[], null],
  [[24], 'Print page 1: 24 times.'],
  [[1, 1, 1, 1], '4 pages, print each once.'],
  [[30, 1, 30, 1], 'Print page 1: 30 times, page 2: once, page 3: 30 times, page 4: once.'],
  [[1, 1, 1, 5], 'Print pages 1 to 3: once each, page 4: 5 times.'],
  [[2, 2], '2 pages, print each 2 times.'],
])('%j', (copies, text) => expect(inEnglish(copiesText(copies))).toBe(text));

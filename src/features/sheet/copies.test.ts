import { copiesText } from './copies';

test.each([
  [[], ''],
  [[24], 'Page 1: print 24. '],
  [[1, 1, 1, 1], '4 pages, print each once. '],
  [[30, 1, 30, 1], 'Page 1: print 30. Page 2: print 1. Page 3: print 30. Page 4: print 1. '],
  [[1, 1, 1, 5], 'Pages 1 to 3: print each once. Page 4: print 5. '],
  [[2, 2], '2 pages, print each 2 times. '],
])('%j', (copies, text) => expect(copiesText(copies)).toBe(text));

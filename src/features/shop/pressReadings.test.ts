import { english } from '@/words/english';
import { problemMessage, type Result } from '@/core/basics/result';
import { readTemperature } from './CheckPress';
import { readLowest } from './TimePress';

const said = <T>(r: Result<T>): T | string => (r.ok ? r.value : english.text(problemMessage(r.problem)));

test('a reading of the face is taken in the shop’s degrees', () => {
  expect(said(readTemperature('186', 'C', 190))).toBe(186);
  expect(said(readTemperature('367', 'F', 190))).toBeCloseTo(186.1, 1);
});

test('readings that cannot be are refused with the way out: room temperature, far from the display, over what was set', () => {
  expect(said(readTemperature('24', 'C', 190))).toMatch(/room temperature.*let it settle/);
  expect(said(readTemperature('90', 'C', 190))).toMatch(/too far from the display.*Look at the unit/);
  expect(said(readTemperature('warm', 'C', 190))).toMatch(/\w/);
  expect(said(readLowest('18', 'C', 190))).toMatch(/below any closed press.*read it again/);
  expect(said(readLowest('191', 'C', 190))).toMatch(/over its set temperature/);
  expect(said(readLowest('160', 'C', 190))).toBe(160);
});

import { lastOf } from './memo';

test('asked again for the same it does not reckon again; asked for another it does', () => {
  const asked: number[][] = [];
  const sum = lastOf((list: readonly number[], by: number) => {
    asked.push([...list, by]);
    return list.reduce((a, b) => a + b, 0) * by;
  });
  expect(sum([1, 2], 3)).toBe(9);
  expect(sum([1, 2], 3)).toBe(9);
  expect(asked).toHaveLength(1);
  expect(sum([1, 2], 4)).toBe(12);
  expect(sum([1, 2], 3)).toBe(9);
  expect(asked).toHaveLength(3);
});

import { createKeep, lastOf } from './memo';

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

test('the newest are kept, used ones count as new, and what is let go is handed over', () => {
  const gone: number[] = [];
  const keep = createKeep<string, number>(2, (v) => gone.push(v));
  keep.set('a', 1);
  keep.set('b', 2);
  expect(keep.get('a')).toBe(1);
  keep.set('c', 3);
  expect(gone).toEqual([2]);
  expect([keep.get('a'), keep.get('b'), keep.get('c')]).toEqual([1, undefined, 3]);
  keep.delete('a');
  keep.set('d', 4);
  expect(gone).toEqual([2]);
});

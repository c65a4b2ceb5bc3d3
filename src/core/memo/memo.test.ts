import { createLru, memoizeLast } from './memo';

test('asked again for the same it does not calculate again; asked for another it does', () => {
  const asked: number[][] = [];
  const sum = memoizeLast((list: readonly number[], by: number) => {
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
  const lru = createLru<string, number>(2, (v) => gone.push(v));
  lru.set('a', 1);
  lru.set('b', 2);
  expect(lru.get('a')).toBe(1);
  lru.set('c', 3);
  expect(gone).toEqual([2]);
  expect([lru.get('a'), lru.get('b'), lru.get('c')]).toEqual([1, undefined, 3]);
  lru.delete('a');
  lru.set('d', 4);
  expect(gone).toEqual([2]);
});

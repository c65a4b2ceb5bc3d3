import { finish, type Steps } from '@/core/basics/steps';
import { finishInSlices } from './slices';

function* counting(to: number, seen: number[]): Steps<number> {
  for (let i = 1; i <= to; i += 1) {
    seen.push(i);
    yield;
  }
  return to;
}

test('all at once or in slices, it comes to the same', async () => {
  expect(finish(counting(5, []))).toBe(5);
  expect(await finishInSlices(counting(5, []), () => false, 0)).toBe(5);
});

test('once nobody waits any more it is left where it is', async () => {
  const seen: number[] = [];
  expect(await finishInSlices(counting(1000, seen), () => seen.length >= 3, 0)).toBeNull();
  expect(seen).toEqual([1, 2, 3]);
});

test('what comes in meanwhile is heard between two slices', async () => {
  let stopped = false;
  setTimeout(() => (stopped = true), 5);
  const endless = (function* (): Steps<never> {
    for (;;) yield;
  })();
  expect(await finishInSlices(endless, () => stopped, 1)).toBeNull();
});

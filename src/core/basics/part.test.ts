import { isPartMissing, part, subscribeToMissingParts, tryPartsAgain } from './part';

const settle = () => new Promise((resolve) => setTimeout(resolve, 0));

test('a part that comes is handed on, and nothing is said', async () => {
  expect(await part(() => Promise.resolve(7))).toBe(7);
  expect(isPartMissing()).toBe(false);
});

test('a part that fails is reported, waits, and goes on once it comes; two at once are tried together', async () => {
  const reports: boolean[] = [];
  const stop = subscribeToMissingParts(() => reports.push(isPartMissing()));
  let here = false;
  const fetchIt = jest.fn(() =>
    here ? Promise.resolve('pdf') : Promise.reject(new Error('Failed to load chunk')),
  );
  const both = Promise.all([part(fetchIt), part(fetchIt)]);
  await settle();
  expect(isPartMissing()).toBe(true);
  expect(fetchIt).toHaveBeenCalledTimes(2);
  tryPartsAgain();
  await settle();
  // Still gone: said again, nothing given up.
  expect(isPartMissing()).toBe(true);
  expect(fetchIt).toHaveBeenCalledTimes(4);
  here = true;
  tryPartsAgain();
  expect(await both).toEqual(['pdf', 'pdf']);
  expect(isPartMissing()).toBe(false);
  expect(reports[0]).toBe(true);
  expect(reports.at(-1)).toBe(false);
  stop();
});

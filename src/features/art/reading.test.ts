import { readingNow, whileReading } from './reading';

test('counts what is being read and what is done since the last rest', async () => {
  const finish: (() => void)[] = [];
  const wait = () => new Promise<void>((resolve) => finish.push(resolve));
  const all = [whileReading('Moon', wait()), whileReading('Chart', wait())];
  expect(readingNow()).toEqual({ name: 'Moon', done: 0, of: 2 });
  finish[0]?.();
  await all[0];
  expect(readingNow()).toEqual({ name: 'Chart', done: 1, of: 2 });
  finish[1]?.();
  await all[1];
  expect(readingNow()).toBeNull();
  await expect(whileReading('Torn', Promise.reject(new Error('x')))).rejects.toThrow('x');
  expect(readingNow()).toBeNull();
});

import { inEnglish } from '@/words/inEnglish';
import * as Comlink from 'comlink';
import { MessageChannel, type MessagePort } from 'node:worker_threads';
import { isPartMissing, tryPartsAgain } from '@/core/basics/part';
import { inWorker } from './client';

type Asked = Parameters<typeof inWorker>[1];

/** Stubs of the browser's workers, answered in this process; `hold` keeps an answer back until let go. */
const made: MessagePort[] = [];
let letGo: (() => void)[] = [];
const api = {
  double: (n: number) => n * 2,
  hold: (n: number) => new Promise<number>((resolve) => letGo.push(() => resolve(n))),
  lacking: (n: number) => {
    if (letGo.length === 0) throw new Error('Failed to load chunk /_next/static/chunks/1.js from module 2');
    return n;
  },
  fall: () => {
    throw new Error('The picture is too large.');
  },
};
const request = (name: keyof typeof api, n = 0): Asked =>
  ((remote: unknown) => (remote as Record<string, (n: number) => Promise<number>>)[name]?.(n)) as Asked;

class PrinterSimulator {
  constructor() {
    const { port1, port2 } = new MessageChannel();
    Comlink.expose(api, port2 as unknown as Comlink.Endpoint);
    made.push(port1, port2);
    return Object.assign(port1, { terminate: () => port1.close() }) as unknown as PrinterSimulator;
  }
}
const workers = () => made.length / 2;
const breath = () => new Promise((resolve) => setTimeout(resolve, 20));

beforeAll(() => {
  Object.assign(globalThis, { Worker: PrinterSimulator });
});
beforeEach(() => {
  letGo = [];
});
afterAll(() => made.forEach((p) => p.close()));

test('one worker does task after task', async () => {
  expect(await inWorker('Here', request('double', 21))).toEqual({ ok: true, value: 42 });
  expect(await inWorker('Here', request('double', 4))).toEqual({ ok: true, value: 8 });
  expect(workers()).toBe(1);
});

test('what goes wrong comes back in words, and is that task’s alone: the worker and the others go on', async () => {
  const before = workers();
  const other = inWorker('Picture', request('hold', 5));
  await breath();
  const r = await inWorker('Art', request('fall'));
  expect(inEnglish(r)).toMatchObject({
    ok: false,
    problem: { what: 'The picture is too large.', where: 'Art' },
  });
  expect(await inWorker('Here', request('double', 1))).toEqual({ ok: true, value: 2 });
  expect(letGo).toHaveLength(1);
  letGo.forEach((go) => go());
  expect(await other).toEqual({ ok: true, value: 5 });
  expect(workers()).toBe(before);
});

test('stopped, it is over at once; what else was under way is begun again and answered', async () => {
  const control = new AbortController();
  const mine = inWorker('PDF', request('hold', 1), control.signal);
  const other = inWorker('Picture', request('hold', 7));
  await breath();
  expect(letGo).toHaveLength(2);
  const before = workers();
  control.abort();
  expect(inEnglish(await mine)).toMatchObject({ ok: false, problem: { what: 'Stopped.' } });
  await breath();
  // Asked a third time, of a worker of its own.
  expect(workers()).toBe(before + 1);
  letGo.forEach((go) => go());
  expect(await other).toEqual({ ok: true, value: 7 });
});

test('lost twice, it is said and not tried for ever', async () => {
  const other = inWorker('Picture', request('hold', 7));
  for (let i = 0; i < 2; i += 1) {
    const control = new AbortController();
    const mine = inWorker('PDF', request('hold', 1), control.signal);
    await breath();
    control.abort();
    await mine;
  }
  expect(inEnglish(await other)).toMatchObject({ ok: false, problem: { where: 'Picture' } });
});

test('a task stopped before it began asks nothing', async () => {
  const control = new AbortController();
  control.abort();
  const r = await inWorker('PDF', request('hold', 1), control.signal);
  expect(inEnglish(r)).toMatchObject({ ok: false, problem: { what: 'Stopped.' } });
  expect(letGo).toHaveLength(0);
});

test('a part the task needs that cannot be fetched is said, and the task goes on once it comes', async () => {
  const asked = inWorker('Here', request('lacking', 3));
  await breath();
  expect(isPartMissing()).toBe(true);
  letGo.push(() => {});
  tryPartsAgain();
  expect(await asked).toEqual({ ok: true, value: 3 });
  expect(isPartMissing()).toBe(false);
});

import { written } from '@/words/written';
import { withPages } from '@/core/plan/sheet/pages';
import { english } from '@/words/english';
import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoShop } from '@/core/demo/demoShop';
import { fileText, makeJobFile } from '@/core/formats/jobFile';
import { planAnswered } from '@/core/plan/planAnswered';
import { POST } from './route';

const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
// Flat pieces: their heat takes the model least time.
const flat = jobs.filter((j) => ['slate-trail-markers', 'moon-and-star-ornaments'].includes(j.id));
const demoJob = flat[0] as (typeof jobs)[number];
const folder = mkdtempSync(join(tmpdir(), 'mesa-plan-'));
const request = (body: string, headers: Record<string, string> = {}) =>
  POST(new Request('http://127.0.0.1/api/plan', { method: 'POST', body, headers }));

test('core, route and command line give the same numbers', async () => {
  for (const job of flat) {
    const text = fileText(makeJobFile(job, shop, []));
    const expected: unknown = JSON.parse(
      JSON.stringify(written(withPages(planAnswered(job, shop), english.text), english.text)),
    );
    const answer = await request(text);
    expect(answer.status).toBe(200);
    expect(await answer.json()).toEqual(expected);
    const path = join(folder, `${job.id}.json`);
    writeFileSync(path, text);
    const out = execFileSync('npm', ['run', '-s', 'plan', '--', path], {
      encoding: 'utf8',
      stdio: ['ignore', 'pipe', 'ignore'],
    });
    expect(JSON.parse(out)).toEqual(expected);
  }
}, 60_000);

test('the route answers a bad file with what, where and the way out', async () => {
  const answer = await request('{"format":');
  expect(answer.status).toBe(422);
  expect(await answer.json()).toMatchObject({
    problem: {
      where: { text: 'Job file' },
      what: { text: expect.stringContaining('cut short') },
      wayOut: { text: expect.any(String) },
    },
  });
});

test('a body said to be enormous is refused unread', async () => {
  const answer = await request('{}', { 'content-length': '99000000' });
  expect(answer.status).toBe(413);
});

/** A body sent in pieces that say nothing of its length. */
const chunked = (chunk: Uint8Array, times: number) => {
  let sent = 0;
  const body = new ReadableStream({
    pull: (c) => (sent++ < times ? c.enqueue(chunk) : c.close()),
  });
  const init = { method: 'POST', body, duplex: 'half' };
  return { answer: POST(new Request('http://127.0.0.1/api/plan', init as RequestInit)), sent: () => sent };
};

test('bytes are counted as they come: a body without a length is refused at 64 MB, the rest unread', async () => {
  const { answer, sent } = chunked(new Uint8Array(1_000_000).fill(32), 100_000);
  expect((await answer).status).toBe(413);
  expect(sent()).toBeLessThan(70);
});

test('letters cut between two pieces arrive whole', async () => {
  const text = fileText(makeJobFile({ ...demoJob, name: 'Café über Mesa' }, shop, []));
  const bytes = new TextEncoder().encode(text);
  let at = 0;
  const body = new ReadableStream({
    pull: (c) => {
      if (at >= bytes.length) return c.close();
      c.enqueue(bytes.subarray(at, at + 7));
      at += 7;
    },
  });
  const answer = await POST(
    new Request('http://127.0.0.1/api/plan', { method: 'POST', body, duplex: 'half' } as RequestInit),
  );
  expect(answer.status).toBe(200);
});

test('a body that stops half way is given up after twenty seconds', async () => {
  jest.useFakeTimers();
  try {
    const body = new ReadableStream({ start: (c) => c.enqueue(new TextEncoder().encode('{"format"')) });
    const init = { method: 'POST', body, duplex: 'half' };
    const answer = POST(new Request('http://127.0.0.1/api/plan', init as RequestInit));
    await jest.advanceTimersByTimeAsync(19_000);
    const early = await Promise.race([answer, Promise.resolve('waiting')]);
    expect(early).toBe('waiting');
    await jest.advanceTimersByTimeAsync(2_000);
    expect((await answer).status).toBe(408);
  } finally {
    jest.useRealTimers();
  }
});

test.each([
  ['a page of another site', { 'sec-fetch-site': 'cross-site' }, 403],
  ['another port of this machine', { 'sec-fetch-site': 'same-site' }, 403],
  ['an older browser elsewhere', { origin: 'http://elsewhere.test', host: '127.0.0.1:4310' }, 403],
  ['no origin that can be read', { origin: 'null', host: '127.0.0.1:4310' }, 403],
  [
    'its own page',
    { 'sec-fetch-site': 'same-origin', origin: 'http://127.0.0.1:4310', host: '127.0.0.1:4310' },
    422,
  ],
  ['a program', {}, 422],
] as const)('asked by %s', async (_, headers, status) => {
  expect((await request('{', headers)).status).toBe(status);
});

test('the command line says what is wrong and fails', () => {
  const run = (...args: string[]) =>
    spawnSync('npx', ['tsx', 'scripts/plan.ts', ...args], { encoding: 'utf8' });
  const cut = join(folder, 'cut.json');
  writeFileSync(cut, '{"format":"mesa-drift.job"');
  expect(run(cut)).toMatchObject({ status: 1, stdout: '', stderr: expect.stringContaining('cut short') });
  expect(run('no-such-file.json')).toMatchObject({
    status: 2,
    stderr: expect.stringContaining('cannot be read'),
  });
  expect(run()).toMatchObject({ status: 2, stderr: expect.stringContaining('Usage') });
}, 60_000);

import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoShop } from '@/core/demo/demoShop';
import { fileText, makeJobFile } from '@/core/formats/jobFile';
import { planAnswered } from '@/core/plan/planAnswered';
import { POST } from './route';

const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const folder = mkdtempSync(join(tmpdir(), 'mesa-plan-'));
const request = (body: string, headers: Record<string, string> = {}) =>
  POST(new Request('http://127.0.0.1/api/plan', { method: 'POST', body, headers }));

test('core, route and command line give the same numbers', async () => {
  for (const job of jobs.slice(0, 2)) {
    const text = fileText(makeJobFile(job, shop, []));
    const expected: unknown = JSON.parse(JSON.stringify(planAnswered(job, shop)));
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
    problem: { where: 'Job file', what: expect.stringContaining('cut short'), wayOut: expect.any(String) },
  });
});

test('a body said to be enormous is refused unread', async () => {
  const answer = await request('{}', { 'content-length': '99000000' });
  expect(answer.status).toBe(413);
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

import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { JOB_STEP_LIST } from './figures/jobSteps';

test('the drawing of the rooms in docs is what the imports say', () => {
  const { status, stderr } = spawnSync('node', ['scripts/rooms.mjs', '--check'], { encoding: 'utf8' });
  expect(inEnglish([status, stderr])).toEqual([0, '']);
});

test.each(['README.md', 'docs/new-reader.md', 'docs/architecture.md', 'docs/files.md'])(
  'every path that %s names is there',
  (doc) => {
    const paths = [...readFileSync(doc, 'utf8').matchAll(/`((?:src|docs|scripts|e2e|bench)\/[\w./-]*\w)`/g)];
    expect(paths.map((m) => m[1] ?? '').filter((p) => !existsSync(p))).toEqual([]);
  },
);

test('README names the steps of a job in their order', () => {
  expect(inEnglish(readFileSync('README.md', 'utf8'))).toContain(
    JOB_STEP_LIST.map((t) => english.text(t.label)).join(' → '),
  );
});

import { verbatim } from '@/core/message/message';
import type { JobStep } from '@/core/figures/jobSteps';
import { newJob } from '@/core/job/job';
import type { Progress } from '@/core/plan/stepPlan';
import type { JobStatus } from '@/core/plan/status';
import { toArchive } from './archive';
import { jobLists } from './jobOrder';

const record = (id: string, dueOn: string | null) => ({
  id,
  rev: 1,
  savedAt: 0,
  archived: 0 as const,
  pictures: [],
  job: { ...newJob(id, id), dueOn },
});
const jobStatus = (at: JobStep, level: 'blocker' | 'warning' | null, done = false): JobStatus => {
  const p: Progress = done ? 'done' : 'todo';
  return {
    at,
    summary: verbatim(''),
    blankName: null,
    worst: level ? { level, step: at, text: verbatim('x') } : null,
    progress: { blank: p, measure: p, wrap: p, art: p, sheet: p, heat: p, press: p, inspect: p },
  };
};
const jobs = [
  record('b', '2026-12-04'),
  record('late', '2026-11-20'),
  record('a', '2026-12-04'),
  record('whenever', null),
  record('over', '2026-11-01'),
];
const jobStatuses = new Map([
  ['b', jobStatus('heat', null)],
  ['late', jobStatus('wrap', 'warning')],
  ['a', jobStatus('art', 'blocker')],
  ['whenever', jobStatus('blank', null)],
  ['over', jobStatus('inspect', null, true)],
]);
const ids = (by: Parameters<typeof jobLists>[2]['by'], down = false) =>
  jobLists(jobs, jobStatuses, { by, down }).open.map((r) => r.id);

test('by day due, late first, those of no day last; done ones stand apart', () => {
  expect(ids('due')).toEqual(['late', 'a', 'b', 'whenever']);
  expect(jobLists(jobs, jobStatuses, { by: 'due', down: false }).done.map((r) => r.id)).toEqual(['over']);
});
test('by name, step and what is in the way; the other way round; equals by day and name', () => {
  expect(ids('name')).toEqual(['a', 'b', 'late', 'whenever']);
  expect(ids('name', true)).toEqual(['whenever', 'late', 'b', 'a']);
  expect(ids('step')).toEqual(['whenever', 'late', 'a', 'b']);
  expect(ids('status')).toEqual(['a', 'late', 'b', 'whenever']);
});
test('a job nobody has calculated yet is not taken for done', () => {
  expect(jobLists(jobs, new Map(), { by: 'due', down: false }).done).toEqual([]);
});

describe('archived', () => {
  const NOW = 1e12;
  const day = 24 * 3600_000;
  const done = new Map([['over', jobStatus('inspect', null, true)]]);
  const over = record('over', null);
  test('done and packed, or done and long untouched; never while anything is left', () => {
    const packed = { ...over, savedAt: NOW, job: { ...over.job, finish: { ...over.job.finish, packed: 1 } } };
    expect(toArchive([packed], [], done, NOW)).toEqual(['over']);
    expect(toArchive([{ ...over, savedAt: NOW - 13 * day }], [], done, NOW)).toEqual([]);
    expect(toArchive([{ ...over, savedAt: NOW - 15 * day }], [], done, NOW)).toEqual(['over']);
    expect(toArchive([{ ...packed, savedAt: 0 }], [], new Map(), NOW)).toEqual([]);
  });
});

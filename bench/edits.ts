import type { DemoShop } from '../src/core/demo/demoShop';
import type { Job } from '../src/core/job/job';
import { plan } from '../src/core/plan/plan';
import { createPlanner } from '../src/core/plan/planner';
import { p95, round, timed, type Figure } from './figure';

type Edit = (j: Job, i: number) => Job;

/** One edit of each kind, another value each time. */
const EDITS: Readonly<Record<string, Edit>> = {
  reading: (j, i) => {
    const taken = (text: string) => [
      { id: 'r', text, bareUnit: 'mm' as const, method: 'steel rule' as const },
    ];
    const readings = {
      ...j.readings,
      wall: taken(String(190 + (i % 5))),
      width: taken(String(140 + (i % 5))),
    };
    return { ...j, readings };
  },
  bleed: (j, i) => ({ ...j, wrap: { ...j.wrap, bleedMm: 2 + (i % 5) / 2 } }),
  setback: (j, i) => ({ ...j, wrap: { ...j.wrap, topSetbackMm: 2 + (i % 5) / 2 } }),
  picture: (j, i) => ({
    ...j,
    art: {
      ...j.art,
      layers: j.art.layers.map((l) =>
        l.kind === 'picture' ? { ...l, placement: { ...l.placement, dxMm: i % 7 } } : l,
      ),
    },
  }),
  text: (j, i) => ({
    ...j,
    art: { ...j.art, layers: j.art.layers.map((l) => (l.kind === 'text' ? { ...l, dxMm: i % 7 } : l)) },
  }),
  gap: (j, i) => ({ ...j, sheet: { ...j.sheet, gapMm: 3 + (i % 5) } }),
  dwell: (j, i) => ({ ...j, heat: { ...j.heat, dwellS: 60 + (i % 9) } }),
  pieces: (j, i) => ({ ...j, pieces: 10 + (i % 9) }),
  name: (j, i) => ({ ...j, name: `Job ${i}` }),
  lot: (j, i) => ({ ...j, inspection: { ...j.inspection, lot: `B${i}` } }),
};

/** The slowest kind of edit of the slowest job, 95 %, ms. */
function slowest(jobs: readonly Job[], { shop, jobs: all }: DemoShop, times: number) {
  let worst = { ms: 0, what: '' };
  for (const job of jobs) {
    const extra = { sharedJobs: all.filter((o) => job.sheet.sharedJobIds.includes(o.id)) };
    for (const [kind, edit] of Object.entries(EDITS)) {
      const planner = createPlanner();
      let i = 0;
      const once = () => planner(edit(job, (i += 1)), shop, extra);
      timed(Math.ceil(times / 3), once);
      const ms = p95(timed(times, once));
      if (ms > worst.ms) worst = { ms, what: `${kind} of ${job.id}` };
    }
  }
  return worst;
}

/** A job with a list of so many names. */
function named({ jobs }: DemoShop, many: number): Job {
  const job = jobs.find((j) => j.art.names);
  if (!job?.art.names) throw new Error('no names in the demo');
  const { names } = job.art;
  const rows = Array.from({ length: many }, (_, i) => names.columns.map((_, c) => (c ? '1' : `Guest ${i}`)));
  return { ...job, id: `${many}-names`, pieces: many, art: { ...job.art, names: { ...names, rows } } };
}

export function benchEdits(demo: DemoShop): Readonly<Record<string, Figure>> {
  const { shop, jobs } = demo;
  const reference = {
    what: 'ms to write the plan of the first job as JSON, 95 %',
    value: round(p95(timed(100, () => JSON.stringify(plan(jobs[0] as Job, shop)))), 3),
  };
  const whole = jobs.map((j) => {
    timed(60, () => plan(j, shop));
    return p95(timed(100, () => plan(j, shop)));
  });
  const any = slowest(jobs, demo, 90);
  const names = slowest([named(demo, 1000)], demo, 30);
  return {
    wholePlan: {
      value: round(Math.max(...whole)),
      unit: 'ms for a whole plan of the slowest demo job, 95 % of 100',
      limit: 4,
      reference,
    },
    edit: {
      value: round(any.ms),
      unit: `ms for the slowest single edit of a demo job, 95 % of 90 (${any.what})`,
      limit: 1,
      reference,
    },
    editNames: {
      value: round(names.ms),
      unit: `ms for the slowest single edit with 1,000 names, 95 % of 30 (${names.what})`,
      limit: 2,
      reference,
    },
  };
}

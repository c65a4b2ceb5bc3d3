import { demoShop } from '../demo/demoShop';
import { textLayer, type Art } from '../job/art';
import type { Job } from '../job/job';
import type { LogEntry } from '../shop/records';
import type { Shop } from '../shop/shop';
import { newRun } from './press/newRun';
import { plan } from './plan';
import { createPlanner } from './planner';
import { STAGES, type StageName } from './stages';

const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const jobOf = (id: string): Job => {
  const found = jobs.find((j) => j.id === id);
  if (!found) throw new Error(id);
  return found;
};
const JOB = jobOf('star-party-tumblers');

interface State {
  readonly job: Job;
  readonly shop: Shop;
}

type Edit = (s: State) => State;

const job =
  (change: (j: Job) => Partial<Job>): Edit =>
  (s) => ({ ...s, job: { ...s.job, ...change(s.job) } });
const wrap = (change: Partial<Job['wrap']>): Edit => job((j) => ({ wrap: { ...j.wrap, ...change } }));
const sheet = (change: Partial<Job['sheet']>): Edit => job((j) => ({ sheet: { ...j.sheet, ...change } }));
const heat = (change: Partial<Job['heat']>): Edit => job((j) => ({ heat: { ...j.heat, ...change } }));
const art = (change: (a: Art) => Partial<Art>): Edit => job((j) => ({ art: { ...j.art, ...change(j.art) } }));
const settings =
  (change: (x: Shop['settings']) => Partial<Shop['settings']>): Edit =>
  (s) => ({ ...s, shop: { ...s.shop, settings: { ...s.shop.settings, ...change(s.shop.settings) } } });
const things =
  (change: (x: Shop) => Partial<Shop>): Edit =>
  (s) => ({ ...s, shop: { ...s.shop, ...change(s.shop) } });

const reading = (text: string) => [{ id: 'r', text, bareUnit: 'mm' as const, method: 'soft tape' as const }];
const entry = (jobId: string): LogEntry => {
  const [first] = shop.log;
  if (!first) throw new Error('no log');
  return { ...first, id: `e-${jobId}`, jobId, blankId: 'nothing', pressId: 'nothing', corrects: null };
};
const runOn = (j: Job) => {
  const run = newRun(j, plan(j, shop), { id: 'run-1', startedAt: 1000 });
  if (!run) throw new Error('no run');
  return run;
};

const SIZE: readonly StageName[] = STAGES.filter((s) => s !== 'blank');
const PATTERN: readonly StageName[] = ['paper', 'wrap', 'art', 'checks', 'sheet', 'inspect'];
const HEATED: readonly StageName[] = ['checks', 'heat', 'press', 'inspect'];
const DRAWN: readonly StageName[] = ['art', 'checks', 'sheet'];

/** Each edit of a job or of the shop, and the stages that may run again because of it. */
const TABLE: readonly (readonly [string, Edit, readonly StageName[]])[] = [
  ['a reading', job((j) => ({ readings: { ...j.readings, wall: reading('192') } })), SIZE],
  [
    'a reading for the first time',
    job((j) => ({ readings: { ...j.readings, handle: reading('30') } })),
    SIZE,
  ],
  ['another setback', wrap({ topSetbackMm: 3 }), [...PATTERN, 'heat', 'press']],
  ['another seam method', wrap({ seamMethod: 'lap' }), [...PATTERN, 'heat', 'press']],
  ['another bleed', wrap({ bleedMm: 4 }), PATTERN],
  ['another safe zone', wrap({ safeMm: 9 }), PATTERN],
  ['a tail at each end', wrap({ tailMm: 20 }), [...PATTERN, 'heat', 'press']],
  [
    'paper past rim and foot',
    job(() => ({ practices: { paperEdge: 'past' } })),
    [...PATTERN, 'heat', 'press'],
  ],
  ['rims not taped', job(() => ({ practices: { rims: 'none' } })), ['heat', 'press', 'inspect']],
  [
    'copy paper',
    job(() => ({ practices: { media: 'copy' } })),
    ['paper', 'sheet', 'heat', 'press', 'inspect'],
  ],
  ['spray tack', job(() => ({ practices: { fixing: 'tack' } })), ['heat', 'press', 'inspect']],
  ['another hold', wrap({ hold: 'sleeve' }), [...PATTERN, 'heat', 'press']],
  ['a pencil mark', wrap({ marks: [{ id: 'm', alongMm: 40 }] }), PATTERN],
  [
    'a picture moved',
    art((a) => ({
      layers: a.layers.map((l) =>
        l.kind === 'picture' ? { ...l, placement: { ...l.placement, dxMm: 5 } } : l,
      ),
    })),
    DRAWN,
  ],
  [
    'text typed',
    art((a) => ({ layers: a.layers.map((l) => (l.kind === 'text' ? { ...l, text: 'Dry Fork' } : l)) })),
    DRAWN,
  ],
  ['a layer added', art((a) => ({ layers: [...a.layers, textLayer('t', 'Rim', {})] })), DRAWN],
  ['a layer removed', art((a) => ({ layers: a.layers.slice(0, 1) })), DRAWN],
  [
    'another paper',
    sheet({ paperId: 'a3' }),
    ['measure', 'wrap', 'art', 'checks', 'paper', 'sheet', 'inspect'],
  ],
  ['another gap', sheet({ gapMm: 7 }), ['paper', 'sheet']],
  ['mirrored by the driver', sheet({ mirrorBy: 'driver' }), ['paper', 'sheet']],
  ['cut with a trimmer', sheet({ cut: 'trimmer' }), ['paper', 'sheet']],
  ['another press', job(() => ({ pressId: 'bench-oven' })), HEATED],
  ['another dwell time', heat({ dwellS: 70 }), HEATED],
  ['another temperature', heat({ platenC: 190 }), HEATED],
  ['another pressure', heat({ pressure: 'firm' }), HEATED],
  ['another pass', heat({ passes: 2 }), HEATED],
  ['one more waste sheet', job(() => ({ load: { wasteSheets: 2 } })), HEATED],
  [
    'more pieces',
    job((j) => ({ pieces: j.pieces + 1 })),
    ['paper', 'sheet', 'heat', 'press', 'inspect', 'checks'],
  ],
  ['another due date', job(() => ({ dueOn: '2026-12-24' })), []],
  ['another name', job(() => ({ name: 'Another name' })), ['sheet']],
  ['a note', job(() => ({ note: 'by Friday' })), []],
  ['a price', job((j) => ({ sell: { ...j.sell, priceCents: 1500 } })), []],
  ['a step done to the blank', job(() => ({ prepared: ['Take off: lid'] })), ['blank']],
  ['a mark on the result', job((j) => ({ inspection: { ...j.inspection, lot: 'B7' } })), ['inspect']],
  ['a place in the day', job((j) => ({ day: { ...j.day, waits: true } })), []],
  ['units in inches', settings((x) => ({ units: { ...x.units, length: 'in' } })), ['sheet']],
  ['degrees Fahrenheit', settings((x) => ({ units: { ...x.units, temperature: 'F' } })), []],
  ['another currency', settings(() => ({ currency: '€' })), ['sheet']],
  ['an hour’s wage', settings((x) => ({ money: { ...x.money, hourCents: 3100 } as never })), []],
  ['another tape', settings((x) => ({ tape: { ...x.tape, thicknessMm: 0.5 } })), SIZE],
  [
    'a log entry of this job',
    things((x) => ({ log: [...x.log, entry(JOB.id)] })),
    ['heat', 'press', 'inspect'],
  ],
  ['a run of another job', things((x) => ({ runs: [...x.runs, runOn(jobOf('dome-beakers'))] })), []],
  ['a run of this job', things((x) => ({ runs: [...x.runs, runOn(JOB)] })), ['press', 'inspect']],
  [
    'another price of a paper',
    things((x) => ({ papers: x.papers.map((p) => ({ ...p, costCents: p.costCents + 1 })) })),
    ['paper', 'sheet'],
  ],
  [
    'a blank that this job does not use',
    things((x) => ({ blanks: x.blanks.map((b) => (b.id === 'mug-325' ? { ...b, name: 'Mug' } : b)) })),
    ['heat', 'press', 'inspect'],
  ],
];

/** `edit` on a planner that knew the job before, and the stages that it made. */
function edited(start: Job, edit: Edit) {
  let made: StageName[] = [];
  const planner = createPlanner((stage) => made.push(stage));
  const before = { job: start, shop };
  const first = planner(before.job, before.shop);
  made = [];
  const after = edit(before);
  const second = planner(after.job, after.shop);
  return { first, second, after, made: [...new Set(made)] };
}

test('a plan from nothing makes every stage', () => {
  const made: StageName[] = [];
  createPlanner((stage) => made.push(stage))(JOB, shop);
  expect(STAGES.filter((s) => !made.includes(s))).toEqual([]);
});

describe.each(TABLE)('%s', (_, edit, may) => {
  test('makes only the stages that depend on it, and the plan of a fresh start', () => {
    const { second, after, made } = edited(JOB, edit);
    expect(made.filter((s) => !may.includes(s))).toEqual([]);
    expect(second).toEqual(plan(after.job, after.shop));
  });
});

test('what an edit does not touch stays the very same object', () => {
  const { first, second } = edited(JOB, heat({ dwellS: 70 }));
  expect(second.wrap).toBe(first.wrap);
  expect(second.sheet).toBe(first.sheet);
  expect(second.art.placedLayers).toBe(first.art.placedLayers);
  expect(second.heat).not.toBe(first.heat);
});

test('nothing changed: the plan is the same one', () => {
  const planner = createPlanner();
  expect(planner({ ...JOB, note: 'x' }, shop)).toBe(planner({ ...JOB, note: 'y' }, shop));
});

test('one planner for edit after edit, on every demo job, plans as if each were the first', () => {
  for (const start of jobs) {
    const planner = createPlanner();
    const others = { sharedJobs: jobs.filter((j) => start.sheet.sharedJobIds.includes(j.id)) };
    let state: State = { job: start, shop };
    for (const [, edit] of TABLE) {
      state = edit(state);
      expect(planner(state.job, state.shop, others)).toEqual(plan(state.job, state.shop, others));
    }
  }
});

test('a job that shares the sheets: another press of it changes nothing here', () => {
  const made: StageName[] = [];
  const planner = createPlanner((stage) => made.push(stage));
  const other = jobOf('comet-cans');
  const here: Job = { ...JOB, sheet: { ...JOB.sheet, sharedJobIds: [other.id] } };
  const first = planner(here, shop, { sharedJobs: [other] });
  made.length = 0;
  expect(planner(here, shop, { sharedJobs: [{ ...other, pressId: null, inspection: JOB.inspection }] })).toBe(
    first,
  );
  expect(made).toEqual([]);
  const more = planner(here, shop, { sharedJobs: [{ ...other, pieces: other.pieces + 3 }] });
  expect(new Set(made)).toEqual(new Set(['paper', 'sheet']));
  expect(more.wrap).toBe(first.wrap);
});

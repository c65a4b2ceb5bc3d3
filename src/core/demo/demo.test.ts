import { english } from '@/words/english';
import { JOB_STEPS } from '../figures/jobSteps';
import { sourceOf } from '../figures/sources';
import { budget } from '../figures/uncertain';
import { jobSchema } from '../job/job';
import { plan } from '../plan/plan';
import { shopSchema } from '../shop/shop';
import { DRAWN_PICTURES } from '../art/drawn';
import { demoShop, starterShop } from './demoShop';

const TODAY = new Date('2026-11-24T12:00:00Z');
const DEMO = demoShop(TODAY);

test('the demo and the starting things are what the schemas say', () => {
  expect(shopSchema.safeParse(DEMO.shop).error).toBeUndefined();
  expect(shopSchema.safeParse(starterShop().shop).error).toBeUndefined();
  for (const job of DEMO.jobs) expect(jobSchema.safeParse(job).error).toBeUndefined();
});

test('ids are unique within each list', () => {
  const lists = [
    DEMO.jobs,
    DEMO.shop.blanks,
    DEMO.shop.presses,
    DEMO.shop.papers,
    DEMO.shop.log,
    DRAWN_PICTURES,
  ];
  for (const list of lists) expect(new Set(list.map((x) => x.id)).size).toBe(list.length);
});

test('days follow the day it is loaded', () => {
  const later = demoShop(new Date('2027-02-01T12:00:00Z'));
  expect(later.jobs.every((j) => (j.dueOn ?? '') >= '2027-02-01')).toBe(true);
  expect(later.shop.log.every((e) => e.at < Date.parse('2027-02-01T12:00:00Z'))).toBe(true);
});

test('every blank of the demo’s jobs finds its press: nothing of the shop’s own stops a demo job', () => {
  for (const job of DEMO.jobs) {
    const p = plan(job, DEMO.shop);
    const stops = JOB_STEPS.filter((t) => t !== 'heat' || job.pressId !== null).flatMap((t) =>
      p[t].findings.filter((f) => f.level === 'blocker').map((f) => `${job.id} ${f.id}`),
    );
    expect(stops).toEqual([]);
  }
});

test('every source of uncertainty in a plan has a name and advice in shop words', () => {
  for (const job of DEMO.jobs) {
    const { round, flat } = plan(job, DEMO.shop).wrap;
    const values = round
      ? [round.closing, round.height, round.error]
      : flat
        ? [flat.placing.halfSize.x, flat.placing.halfSize.y]
        : [];
    expect(values.length).toBeGreaterThan(0);
    for (const value of values) {
      for (const { source } of budget(value)) {
        expect(english.text(sourceOf(source).label).length).toBeGreaterThan(3);
        expect(english.text(sourceOf(source).advice).length).toBeGreaterThan(10);
      }
    }
  }
});

import { SOURCES } from '../figures/sources';
import { budget } from '../figures/uncertain';
import { jobSchema } from '../job/job';
import { plan } from '../plan/plan';
import { MATERIALS } from '../shop/blank';
import { isOven } from '../shop/press';
import { shopSchema } from '../shop/shop';
import { demoShop, DRAWN_PICTURES, starterShop } from './demoShop';

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

test('every starting material has a press or oven that closes on some starting blank of it', () => {
  const { blanks, presses } = DEMO.shop;
  for (const material of MATERIALS) {
    const own = blanks.filter((b) => b.material === material);
    expect(own.length).toBeGreaterThan(0);
    const closes = presses.some(
      (p) =>
        !isOven(p) &&
        own.some(
          (b) => b.shape.diameterMm >= p.smallestDiameterMm && b.shape.diameterMm <= p.largestDiameterMm,
        ),
    );
    expect(closes).toBe(true);
  }
});

test('every source of doubt in a plan has a name and advice in shop words', () => {
  for (const job of DEMO.jobs) {
    const { wrap } = plan(job, DEMO.shop).wrap;
    if (!wrap) throw new Error(job.id);
    for (const value of [wrap.closing, wrap.height, wrap.error]) {
      for (const { source } of budget(value)) {
        expect(SOURCES[source]?.label.length).toBeGreaterThan(3);
        expect(SOURCES[source]?.advice.length).toBeGreaterThan(10);
      }
    }
  }
});

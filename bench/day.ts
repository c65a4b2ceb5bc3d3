import { finish } from '../src/core/basics/steps';
import { dayPlan, planDay, type DayPlan, type DayRequest } from '../src/core/day/dayPlan';
import { createJobBases } from '../src/core/day/jobWork';
import { jobCosts } from '../src/core/cost/jobCost';
import type { demoShop } from '../src/core/demo/demoShop';
import type { Job } from '../src/core/job/job';
import { bound } from '../src/core/schedule/bound';
import { playing } from '../src/core/schedule/chance';
import { search } from '../src/core/schedule/search';
import { simulateSchedule } from '../src/core/schedule/simulate';
import { madeUpShop } from '../src/core/schedule/testShops';
import { round, timed, type Figure } from './figure';

const SEEDS = 20;
const ONE_DAY = [{ fromS: 0, toS: 10 * 86_400 }];

interface Case {
  readonly seed: number;
  readonly boundH: number;
  readonly foundH: number;
  readonly overPct: number;
  readonly ms: number;
}

/** 500 pieces of 8 jobs on 4 presses with 2 people, without a break and without dates: nothing but the work counts. */
function cases(): readonly Case[] {
  return Array.from({ length: SEEDS }, (_, i): Case => {
    const made = madeUpShop(i + 1, { jobs: 8, pieces: 500, presses: 4, people: 2 });
    const problem = { ...made, windows: ONE_DAY, work: made.work.map((w) => ({ ...w, dueS: null })) };
    const least = bound(problem).leastS;
    const began = performance.now();
    const found = search(problem).score.makespanS;
    return {
      seed: i + 1,
      boundH: round(least / 3600, 3),
      foundH: round(found / 3600, 3),
      overPct: round((found / least - 1) * 100),
      ms: round(performance.now() - began, 0),
    };
  });
}

/** The demo's jobs again and again, the due dates a day or two apart: open jobs of a busy shop. */
const manyJobs = (jobs: readonly Job[], count: number, nowMs: number): readonly Job[] =>
  Array.from({ length: count }, (_, i) => {
    const job = jobs[i % jobs.length] as Job;
    const dueOn = new Date(nowMs + (i * 86_400_000) / 8).toISOString().slice(0, 10);
    return { ...job, id: `${job.id}-${i}`, name: `${job.name} ${i}`, dueOn };
  });

/** A first look and then the whole day, as a worker that has just been started does it, s each. */
function looks(request: DayRequest): {
  readonly firstS: number;
  readonly wholeS: number;
  readonly day: DayPlan;
} {
  const bases = createJobBases();
  const began = performance.now();
  finish(planDay(request, 'first plan', null, bases));
  const first = performance.now();
  const day = finish(planDay(request, 'whole', null, bases));
  return { firstS: (first - began) / 1000, wholeS: (performance.now() - first) / 1000, day };
}

/** How near the plan comes to what no plan can beat, how long that takes, and how long its plays of chance do. */
export async function benchDay({
  shop,
  jobs,
}: ReturnType<typeof demoShop>): Promise<Readonly<Record<string, Figure>>> {
  search(madeUpShop(1, { jobs: 8, pieces: 500, presses: 4, people: 2 }));
  const table = cases();
  process.stderr.write('seed  bound h  found h  over %   ms\n');
  for (const c of table)
    process.stderr.write(
      `${String(c.seed).padStart(4)} ${c.boundH.toFixed(3).padStart(8)} ${c.foundH.toFixed(3).padStart(8)} ${c.overPct.toFixed(2).padStart(7)} ${String(c.ms).padStart(5)}\n`,
    );
  const mean = (xs: readonly number[]) => xs.reduce((a, b) => a + b, 0) / xs.length;
  const nowMs = new Date(2026, 10, 27, 9).getTime();
  const ask = {
    jobs,
    shop,
    proven: {},
    nowMs,
    sheets: {},
    spoilage: Object.fromEntries(jobs.map((j) => [j.id, 0.04])),
  };
  const day = dayPlan({ ...ask, plays: 1 });
  const one = timed(20, () => simulateSchedule(day.problem, day.policy));
  const began = performance.now();
  const played = finish(playing(day.problem, day.policy, { most: 2000 }));
  const playsMs = performance.now() - began;
  const ten = looks(ask);
  const many = looks({ ...ask, jobs: manyJobs(jobs, 500, nowMs) });
  const manyPieces = many.day.jobs.reduce((s, j) => s + j.pieces, 0);
  const [costMs = 0] = timed(1, () => jobCosts({ jobs, shop, items: [], seen: {}, proven: {}, inkPct: {} }));
  return {
    dayOver: {
      value: round(mean(table.map((c) => c.overPct))),
      unit: '% over the bound, mean of 20 shops of 500 pieces, 4 presses, 2 people',
      limit: 3,
      reference: { what: '% over it, the worst of them', value: Math.max(...table.map((c) => c.overPct)) },
    },
    daySearch: {
      value: round(mean(table.map((c) => c.ms)), 0),
      unit: 'ms to plan 500 pieces, mean',
      limit: 500,
      reference: { what: 'courses looked at for it', value: search(day.problem).tried },
    },
    dayPlays: {
      value: round(playsMs / 1000),
      unit: `s until the chances of the demo’s ${day.jobs.reduce((s, j) => s + j.pieces, 0)} pieces are known to 2.5 %`,
      limit: 2,
      reference: {
        what: `ms for one course of it without chance; ${played.plays} plays`,
        value: round(mean(one)),
      },
    },
    dayFirst: {
      value: round(ten.firstS),
      unit: 's to a first plan of the demo’s jobs',
      limit: 1,
      reference: { what: 's to the whole of it', value: round(ten.wholeS) },
    },
    dayMany: {
      value: round(many.firstS),
      unit: `s to a first plan with 500 open jobs of ${manyPieces} pieces`,
      limit: 2,
      reference: { what: 's to the whole of it', value: round(many.wholeS) },
    },
    dayCosts: {
      value: round(costMs, 0),
      unit: 'ms to cost and price every job of the demo',
      limit: 500,
      reference: { what: 'jobs', value: jobs.length },
    },
  };
}

import { once } from 'node:events';
import { Worker } from 'node:worker_threads';
import { dayPlan, type DayPlan } from '../src/core/day/dayPlan';
import { jobCosts } from '../src/core/cost/jobCost';
import type { demoShop } from '../src/core/demo/demoShop';
import { bound } from '../src/core/schedule/bound';
import { search } from '../src/core/schedule/search';
import { simulate } from '../src/core/schedule/simulate';
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

const PLAYER = new URL('./dayPlays.ts', import.meta.url).href;

/** The plays of a day as the screen asks for them: half in each of two workers that stand ready. */
async function besideEachOther(day: DayPlan): Promise<number> {
  // A worker of Node does not read TypeScript before it is told how.
  const start = `import('tsx/esm/api').then((t) => (t.register(), import(${JSON.stringify(PLAYER)})))`;
  const workers = [0, 1].map((part) => new Worker(start, { eval: true, workerData: part }));
  const answered = () => Promise.all(workers.map((w) => once(w, 'message')));
  await answered();
  const began = performance.now();
  const answers = answered();
  for (const w of workers) w.postMessage({ problem: day.problem, policy: day.policy });
  await answers;
  const ms = performance.now() - began;
  await Promise.all(workers.map((w) => w.terminate()));
  return ms;
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
  const one = timed(20, () => simulate(day.problem, day.policy));
  const playsMs = await besideEachOther(day);
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
      unit: `s for 2000 plays of the demo’s ${day.jobs.reduce((s, j) => s + j.pieces, 0)} pieces, half in each of two workers`,
      limit: 2,
      reference: { what: 'ms for one course of it without chance', value: round(mean(one)) },
    },
    dayCosts: {
      value: round(costMs, 0),
      unit: 'ms to cost and price every job of the demo',
      limit: 500,
      reference: { what: 'jobs', value: jobs.length },
    },
  };
}

import type { Page } from '@playwright/test';
import { answerHeat, type HeatCache } from '../src/core/heat/answer';
import { believedDose, fitBelief, type Trial } from '../src/core/heat/settings/fit';
import { coatingPrior } from '../src/core/heat/model/coatings';
import { heatKey, type HeatQuestion } from '../src/core/heat/question';
import { simulateHeat } from '../src/core/heat/model/simulate';
import { doseGrid, windowMap } from '../src/core/heat/settings/window';
import { resolve } from '../src/core/heat/settings/resolve';
import type { Job } from '../src/core/job/job';
import { plan } from '../src/core/plan/plan';
import { type Plan } from '../src/core/plan/planShape';
import type { Shop } from '../src/core/shop/shop';
import { longestTask, p95, round, timed, watchLongTasks, type Figure } from './figure';

const questionOf = (made: Plan, kind: HeatQuestion['kind']): HeatQuestion => {
  const found = made.heat.model?.wanted.filter((q) => q.kind === kind).pop();
  if (!found) throw new Error(`${kind} is not asked for`);
  return found;
};

/** A book in which everything a job asks for is answered. */
function filledBook(job: Job, shop: Shop): HeatCache {
  let book: HeatCache = {};
  for (let round_ = 0; round_ < 4; round_ += 1) {
    const wanted = plan(job, shop, { heatCache: book }).heat.model?.wanted ?? [];
    if (wanted.length === 0) break;
    book = { ...book, ...Object.fromEntries(wanted.map((q) => [heatKey(q), answerHeat(q)])) };
  }
  return book;
}

const median = (times: readonly number[]): number =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? NaN;

export function benchHeat(flat: Job, round_: Job, shop: Shop): Readonly<Record<string, Figure>> {
  const slab = questionOf(plan(flat, shop), 'outcome');
  const wall = questionOf(plan(round_, shop), 'outcome');
  const long = { ...slab.settings, dwellS: 600 };
  timed(30, () => simulateHeat(slab.subject.load, long));
  const press = median(timed(40, () => simulateHeat(slab.subject.load, long)));
  const ring = median(timed(20, () => simulateHeat(wall.subject.load, wall.settings)));
  const window = questionOf(plan(round_, shop), 'window');
  if (window.kind !== 'window') throw new Error('no window');
  const r = resolve(window.subject);
  const whole = () => {
    const grid = doseGrid(r.load, window.settings, r.spreads, window.range, 'fine');
    return windowMap(grid, r.belief, window.range, 40);
  };
  const windows = median(timed(3, whole)) / 1000;
  const coating = coatingPrior('steel', 'tumbler');
  const trials = Array.from({ length: 200 }, (_, i): Trial => ({
    id: String(i),
    doses: {
      least: 2.4 + (i % 20) * 0.12,
      most: 3 + (i % 20) * 0.12,
      leastBy: [0.1, 0.2, 0, 0, 0, 0.1],
      mostBy: [0.1, 0.2, 0, 0, 0, 0.1],
    },
    verdict: i % 20 < 4 ? 'under' : i % 20 > 16 ? 'over' : 'good',
    weight: 1,
  }));
  const fit = median(timed(3, () => believedDose(fitBelief(trials, coating)))) / 1000;
  return {
    heatPress: {
      value: round(press),
      unit: 'ms, 600 s of one press, middle of 40',
      limit: 10,
      reference: {
        what: 'ms for a full wrap in all its passes, thirty-six places round',
        value: round(ring),
      },
    },
    heatWindow: {
      value: round(windows),
      unit: 's, a window of 40 × 40 of a wrap, middle of 3',
      limit: 2,
      reference: { what: 's for the coarse one, shown first', value: round(coarse(window, r), 3) },
    },
    heatFit: {
      value: round(fit, 3),
      unit: 's, one fit of 200 outcomes, middle of 3',
      limit: 1,
      reference: { what: 'outcomes', value: trials.length },
    },
  };
}

function coarse(window: Extract<HeatQuestion, { kind: 'window' }>, r: ReturnType<typeof resolve>): number {
  const start = performance.now();
  windowMap(doseGrid(r.load, window.settings, r.spreads, window.range, 'coarse'), r.belief, window.range, 40);
  return (performance.now() - start) / 1000;
}

/** Plans with everything the heat model was asked answered, as a screen has it. */
export function benchAnsweredPlan(job: Job, shop: Shop): Figure {
  const heatCache = filledBook(job, shop);
  timed(1500, () => plan(job, shop, { heatCache }));
  const bare = p95(timed(1000, () => plan(job, shop)));
  return {
    value: round(p95(timed(2000, () => plan(job, shop, { heatCache }))), 3),
    unit: 'ms, 95 % of 2000 plans with all heat answered',
    limit: 2,
    reference: { what: 'ms for one without an answer, 95 %', value: round(bare, 3) },
  };
}

/** The setting dragged over its window while answers come in: no task of the page may take long. */
export async function benchHeatPage(page: Page, address: string): Promise<Figure> {
  await page.goto(`${address}/job/star-party-tumblers/heat`);
  const here = page.getByRole('slider', { name: 'Chosen setting' });
  await here.waitFor();
  await page.waitForTimeout(5000);
  await watchLongTasks(page);
  const box = await here.boundingBox();
  if (!box) throw new Error('no setting to drag');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let i = 1; i <= 40; i += 1) {
    await page.mouse.move(x + Math.sin(i / 5) * 40, y - i);
    await page.waitForTimeout(25);
  }
  await page.mouse.up();
  await page.waitForTimeout(4000);
  return {
    value: round(await longestTask(page), 0),
    unit: 'ms, longest task on the page while a setting is dragged and its window answered (0: none over 50)',
    limit: 50,
    reference: { what: 'moves of the pointer', value: 40 },
  };
}

import type { Page } from '@playwright/test';
import { newRun } from '../src/core/plan/press/newRun';
import { plan } from '../src/core/plan/plan';
import { cycleOf, foldEvent, startFold } from '../src/core/run/run';
import type { DemoShop } from '../src/core/demo/demoShop';
import type { Job } from '../src/core/job/job';
import type { Run, RunEvent } from '../src/core/shop/run';
import { jobRecord } from '../src/data/jobs';
import { runRecord } from '../src/data/live';
import { p95, round, type Figure } from './figure';

/** Two years of a shop: jobs, and runs of about this many events each. */
const JOBS = 500;
const RUNS = 2000;
const EVENTS = 60;
const DAY_MS = 24 * 3600_000;

/** A run of a job that ended long ago, tapped step by step. */
function endedRun(job: Job, { shop }: DemoShop, id: string, startedAt: number): Run | null {
  const run = newRun(job, plan(job, shop), { id, startedAt });
  if (!run) return null;
  const cycle = cycleOf(run);
  let fold = startFold(run);
  const events: RunEvent[] = [];
  for (let i = 0; i < EVENTS - 1 && fold.state.ended === 'no'; i += 1) {
    const operationId = cycle[fold.state.stepIndex]?.id ?? 'load';
    const through = fold.state.through + fold.state.inLoad.length;
    const event: RunEvent = {
      kind: 'done',
      at: startedAt + i * 20_000,
      operationId,
      next: run.queue?.slice(through, through + 1) ?? [],
    };
    events.push(event);
    fold = foldEvent(run, fold, event);
  }
  return { ...run, events: [...events, { kind: 'stop', at: startedAt + EVENTS * 20_000 }] };
}

/** Puts two years of work beside the demo jobs, as the product keeps it; all but the newest 30 jobs are archived. */
async function fill(page: Page, demo: DemoShop): Promise<void> {
  const now = Date.now();
  const models = demo.jobs.flatMap((j) => {
    const many = { ...j, pieces: Math.max(60, j.pieces), art: { ...j.art, names: null } };
    const run = endedRun(many, demo, 'model', 0);
    return run ? [{ job: many, run }] : [];
  });
  const of = (i: number) => models[i % models.length] as (typeof models)[number];
  const jobs = Array.from({ length: JOBS }, (_, i) => {
    const savedAt = now - (i * 700 * DAY_MS) / JOBS;
    const job = { ...of(i).job, id: `old-${i}`, name: `Old job ${i}` };
    return { ...jobRecord(job, { rev: 1, savedAt, saveId: `s-${i}` }), archived: i < 30 ? 0 : 1 };
  });
  const runs = Array.from({ length: RUNS }, (_, i) => {
    const startedAt = now - DAY_MS - (i * 700 * DAY_MS) / RUNS;
    return runRecord({ ...of(i).run, id: `run-${i}`, jobId: `old-${i % JOBS}`, startedAt });
  });
  await page.evaluate(
    async (tables) => {
      const db = await new Promise<IDBDatabase>((resolve, reject) => {
        const request = indexedDB.open('mesa-drift');
        request.onsuccess = () => resolve(request.result);
        request.onerror = () => reject(new Error('no database'));
      });
      const tx = db.transaction(['jobs', 'runs'], 'readwrite');
      for (const [table, rows] of Object.entries(tables))
        for (const row of rows) tx.objectStore(table).put(row);
      await new Promise((resolve) => {
        tx.oncomplete = resolve;
      });
      db.close();
    },
    { jobs, runs: runs as unknown[] } as Readonly<Record<string, readonly unknown[]>>,
  );
}

/** ms from a tap at a press until the next step shows, 95 % of the taps. */
async function tapMs(page: Page, address: string): Promise<number> {
  await page.goto(`${address}/press/star-party-tumblers`);
  const first = page.getByRole('button', { name: 'First piece' });
  const started = page.locator('[aria-current="step"]');
  await first.or(started).first().waitFor();
  if (await first.isVisible()) await first.click();
  await started.first().waitFor();
  await page.goto(`${address}/pressing`);
  await page.locator('[data-need]').first().waitFor();
  await page.waitForTimeout(1500);
  const times: number[] = [];
  for (let i = 0; i < 12; i += 1) {
    const ms = await page.evaluate(
      () =>
        new Promise<number>((resolve) => {
          const lane = document.querySelector('[data-need]');
          const step = lane?.getAttribute('data-step');
          const watch = new MutationObserver(() => {
            if (document.querySelector('[data-need]')?.getAttribute('data-step') === step) return;
            watch.disconnect();
            requestAnimationFrame(() => resolve(performance.now() - at));
          });
          watch.observe(document.body, { subtree: true, childList: true, attributes: true });
          const at = performance.now();
          setTimeout(() => resolve(Number.NaN), 4000);
          window.dispatchEvent(new KeyboardEvent('keydown', { key: '1', code: 'Digit1', bubbles: true }));
          document.dispatchEvent(new KeyboardEvent('keydown', { key: '1', code: 'Digit1', bubbles: true }));
        }),
    );
    if (Number.isFinite(ms)) times.push(ms);
    await page.waitForTimeout(250);
  }
  return times.length === 0 ? NaN : p95(times);
}

/** ms until the list of jobs stands. */
async function listMs(page: Page, address: string): Promise<number> {
  const start = performance.now();
  await page.goto(address);
  await page.getByRole('link', { name: 'Star party crew tumblers' }).first().waitFor();
  return performance.now() - start;
}

/** ms until a step of a job stands. */
async function stepMs(page: Page, address: string): Promise<number> {
  const start = performance.now();
  await page.goto(`${address}/job/star-party-tumblers/wrap`);
  await page.getByRole('slider', { name: 'Wrap edge at the foot' }).waitFor();
  return performance.now() - start;
}

/** A shop after two years against the demo shop, in the same browser and run. */
export async function benchYears(
  page: Page,
  address: string,
  demo: DemoShop,
): Promise<Readonly<Record<string, Figure>>> {
  const measured = async () => {
    await listMs(page, address);
    return {
      list: await listMs(page, address),
      step: await stepMs(page, address),
      tap: await tapMs(page, address),
    };
  };
  const before = await measured();
  await fill(page, demo);
  const after = await measured();
  const figure = (key: keyof typeof after, what: string, limit: number): Figure => ({
    value: round(after[key], 0),
    unit: `ms ${what}, ${JOBS} jobs and ${RUNS} runs of ${EVENTS} events`,
    limit,
    reference: { what: 'ms in the demo shop', value: round(before[key], 0) },
  });
  return {
    yearsList: figure('list', 'until the list of jobs stands', 1000),
    yearsStep: figure('step', 'until a step of a job stands', 500),
    yearsTap: figure('tap', 'from a tap to the next step, 95 % of 12', 50),
  };
}

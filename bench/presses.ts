import type { CDPSession, Page } from '@playwright/test';
import { newRun } from '../src/core/plan/press/newRun';
import { plan } from '../src/core/plan/plan';
import type { Job } from '../src/core/job/job';
import { cycleOf, foldEvent, foldOn, startFold } from '../src/core/run/run';
import type { Run, RunEvent } from '../src/core/shop/run';
import type { Shop } from '../src/core/shop/shop';
import { p95, round, timed, type Figure } from './figure';

const EVENTS = 5000;

/** A run of so many events: every step tapped, now and then a piece lost or a step taken back. */
function longRun(job: Job, shop: Shop): Run {
  const queue = Array.from({ length: 2000 }, (_, i) => ({ number: i + 1, name: `Guest ${i + 1}` }));
  const run = newRun(job, plan(job, shop), { id: 'run', startedAt: 0, pieces: queue });
  if (!run) throw new Error('no run');
  const cycle = cycleOf(run);
  let fold = startFold(run);
  const events: RunEvent[] = [];
  for (let i = 0; i < EVENTS; i += 1) {
    const operationId = cycle[fold.state.stepIndex]?.id ?? 'load';
    const through = fold.state.through + fold.state.inLoad.length;
    const next = queue.slice(through, through + 1);
    const at = i * 1000;
    const event: RunEvent =
      i % 97 === 96
        ? { kind: 'undo', at }
        : i % 53 === 52
          ? { kind: 'spoiled', at, operationId, why: 'ghost', next }
          : { kind: 'done', at, operationId, next };
    events.push(event);
    fold = foldEvent(run, fold, event);
  }
  return { ...run, events };
}

export function benchFold(job: Job, shop: Shop): Readonly<Record<string, Figure>> {
  const run = longRun(job, shop);
  timed(100, () => foldOn(run));
  const folded = foldOn(run);
  const last: RunEvent = { kind: 'undo', at: EVENTS * 1000 };
  const json = round(p95(timed(20, () => JSON.stringify(run.events))));
  const added = timed(2000, () => foldEvent(run, folded, last));
  return {
    fold: {
      value: round(p95(timed(100, () => foldOn(run)))),
      unit: `ms to fold ${EVENTS} events, 95 % of 100`,
      limit: 5,
      reference: { what: 'ms to write the same events as JSON, 95 %', value: json },
    },
    foldOne: {
      value: round(p95(added), 4),
      unit: `ms to add one event to ${EVENTS}, 95 % of 2000`,
      limit: 0.1,
      reference: { what: 'ms to write all of them as JSON, 95 %', value: json },
    },
  };
}

/** Copies the run that is on to presses of their own, each in the middle of a pass begun at another part of a second. */
const onEightPresses = (page: Page): Promise<void> =>
  page.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const request = indexedDB.open('mesa-drift');
        request.onerror = () => reject(new Error('no database'));
        request.onsuccess = () => {
          const tx = request.result.transaction('runs', 'readwrite');
          const store = tx.objectStore('runs');
          const all = store.getAll();
          all.onsuccess = () => {
            const run = (
              all.result as { id: string; press: { id: string; name: string }; events: unknown[] }[]
            )[0];
            if (!run) return reject(new Error('no run'));
            const now = Date.now();
            for (let i = 0; i < 8; i += 1)
              store.put({
                ...run,
                id: i === 0 ? run.id : `${run.id}-${i}`,
                startedAt: now - 10_000 + i,
                press: i === 0 ? run.press : { ...run.press, id: `press-${i}`, name: `Press ${i}` },
                events: [
                  { kind: 'done', at: now - 5000, operationId: 'load' },
                  { kind: 'done', at: now - 1000 + i * 117, operationId: 'close-1' },
                ],
              });
          };
          tx.oncomplete = () => {
            request.result.close();
            resolve();
          };
        };
      }),
  );

async function metrics(cdp: CDPSession): Promise<number> {
  const { metrics: all } = await cdp.send('Performance.getMetrics');
  const of = (name: string) => all.find((m) => m.name === name)?.value ?? 0;
  return of('ScriptDuration') + of('LayoutDuration') + of('RecalcStyleDuration');
}

/** Notes how late after its second each clock was drawn, ms; `busyMs` of every 100 are burnt besides. */
const watchClocks = (page: Page, busyMs: number): Promise<void> =>
  page.evaluate((burn) => {
    const late: number[] = [];
    const startedAt = new Map<Element, number>();
    Object.assign(window, { late, startedAt });
    const seen = new MutationObserver((all) => {
      const now = Date.now();
      const timers = new Set(all.map((m) => (m.target.parentElement ?? null)?.closest('[role=timer]')));
      for (const timer of timers) {
        const from = timer && startedAt.get(timer);
        if (from) late.push((now - from) % 1000);
      }
    });
    for (const timer of document.querySelectorAll('[role=timer]'))
      seen.observe(timer, { subtree: true, childList: true, characterData: true });
    setInterval(() => {
      const until = performance.now() + burn;
      while (performance.now() < until);
    }, 100);
  }, busyMs);

/** Eight presses in the middle of their passes: what a redraw costs, and how late a clock is on a busy page. */
export async function benchBoard(
  page: Page,
  cdp: CDPSession,
  address: string,
): Promise<Readonly<Record<string, Figure>>> {
  await page.goto(`${address}/press/star-party-tumblers`);
  await page.getByRole('button', { name: 'First piece' }).click();
  await page.locator('[aria-current="step"]').waitFor();
  await onEightPresses(page);
  await page.goto(`${address}/pressing`);
  await page.locator('[data-need]').nth(7).waitFor();
  await page.waitForTimeout(3000);
  await cdp.send('Performance.enable');
  await page.evaluate(() => {
    Object.assign(window, { redraws: 0 });
    const seen = new MutationObserver(() => {
      (window as unknown as { redraws: number }).redraws += 1;
    });
    seen.observe(document.body, { subtree: true, childList: true, characterData: true });
  });
  const before = await metrics(cdp);
  await page.waitForTimeout(12_000);
  const spentMs = (await metrics(cdp)) * 1000 - before * 1000;
  const redraws = await page.evaluate(() => (window as unknown as { redraws: number }).redraws);
  const late = await lateness(page);
  return {
    redraw: {
      value: round(spentMs / Math.max(1, redraws)),
      unit: `ms of script, style and layout a redraw of 8 presses, mean of ${redraws}`,
      limit: 8,
      reference: { what: 'redraws a second', value: round(redraws / 12) },
    },
    clock: {
      value: round(p95(late), 0),
      unit: `ms after its second a clock is drawn on a page busy 40 %, 95 % of ${late.length}`,
      limit: 100,
      reference: { what: 'ms, the latest', value: round(Math.max(...late), 0) },
    },
  };
}

async function lateness(page: Page): Promise<readonly number[]> {
  await watchClocks(page, 40);
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const request = indexedDB.open('mesa-drift');
        request.onsuccess = () => {
          const all = request.result.transaction('runs').objectStore('runs').getAll();
          all.onsuccess = () => {
            request.result.close();
            const { startedAt } = window as unknown as { startedAt: Map<Element, number> };
            for (const run of all.result as { press: { name: string }; events: { at: number }[] }[]) {
              const band = [...document.querySelectorAll('[data-need]')].find((b) =>
                b.getAttribute('aria-label')?.endsWith(`· ${run.press.name}`),
              );
              const timer = band?.querySelector('[role=timer]');
              const last = run.events[run.events.length - 1];
              if (timer && last) startedAt.set(timer, last.at);
            }
            resolve();
          };
        };
      }),
  );
  await page.waitForTimeout(10_000);
  return page.evaluate(() => (window as unknown as { late: number[] }).late);
}

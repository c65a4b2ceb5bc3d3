import type { Page } from '@playwright/test';
import { round, type Figure } from './figure';

const MANY = 100_000;

/** Entries a transaction: one for all of them would be held in memory until its end. */
const BATCH = 5000;

/** Adds entries of every job, blank and press to the log of a page’s own shop, as the application keeps them. */
const addEntries = (page: Page, from: number, to: number): Promise<void> =>
  page.evaluate(
    ([first, end]) =>
      new Promise<void>((resolve, reject) => {
        const request = indexedDB.open('mesa-drift');
        request.onerror = () => reject(new Error('no database'));
        request.onsuccess = () => {
          const db = request.result;
          const tx = db.transaction(['log', 'tallies', 'jobs', 'blanks', 'presses'], 'readwrite', {
            durability: 'relaxed',
          });
          const all = (name: string) =>
            tx.objectStore(name).getAll() as IDBRequest<Record<string, unknown>[]>;
          const [log, tallies, jobs, blanks, presses] = [
            tx.objectStore('log').getAll(null, 1) as IDBRequest<Record<string, unknown>[]>,
            all('tallies') as IDBRequest<unknown[]> as IDBRequest<
              { id: string; good: number; spoiled: number; entries: number }[]
            >,
            all('jobs'),
            all('blanks'),
            all('presses'),
          ];
          presses.onsuccess = () => {
            const base = log.result[0] ?? {};
            const pick = <T>(list: readonly T[], i: number) => list[i % list.length] as T;
            const sums = new Map(tallies.result.map((t) => [t.id, t]));
            const store = tx.objectStore('log');
            for (let i = first; i < end; i += 1) {
              const jobId = String(pick(jobs.result, i).id);
              const [blank, press] = [pick(blanks.result, i * 7), pick(presses.result, i)];
              const note = i % 500 === 3 ? 'lint speck near the seam' : 'all well, even and sharp';
              store.put({
                ...base,
                id: `many-${i}`,
                at: 1_600_000_000_000 + i * 60_000,
                jobId,
                blankId: blank.id,
                pressId: press.id,
                blankName: blank.name,
                pressName: press.name,
                note,
              });
              const id = `job ${jobId}`;
              const t = sums.get(id) ?? { id, good: 0, spoiled: 0, entries: 0 };
              sums.set(id, { id, good: t.good + 9, spoiled: t.spoiled, entries: t.entries + 1 });
            }
            for (const t of sums.values()) tx.objectStore('tallies').put(t);
          };
          tx.oncomplete = () => {
            db.close();
            resolve();
          };
          tx.onabort = () => reject(new Error(`not written: ${String(tx.error)}`));
        };
      }),
    [from, to] as const,
  );

async function fill(page: Page, many: number): Promise<void> {
  for (let i = 0; i < many; i += BATCH) await addEntries(page, i, Math.min(many, i + BATCH));
}

/** From an act to the moment a text stands on the page, ms, in the page’s own clock. */
async function until(page: Page, act: () => Promise<void>, text: RegExp): Promise<number> {
  await page.evaluate((pattern) => {
    const wanted = new RegExp(pattern);
    Object.assign(window, {
      seen: new Promise<number>((resolve) => {
        let from = 0;
        ['input', 'click'].forEach((kind) =>
          addEventListener(kind, () => (from ||= performance.now()), { capture: true, once: true }),
        );
        new MutationObserver((_, watcher) => {
          if (from === 0 || !wanted.test(document.body.innerText)) return;
          watcher.disconnect();
          requestAnimationFrame(() => resolve(performance.now() - from));
        }).observe(document.body, { subtree: true, childList: true, characterData: true });
      }),
    });
  }, text.source);
  await act();
  return page.evaluate(() => (window as unknown as { seen: Promise<number> }).seen);
}

const middle = (times: readonly number[]): number =>
  [...times].sort((a, b) => a - b)[times.length >> 1] ?? NaN;

/** Opening the Logbook, finding in it, and opening a job, with ten entries and with a hundred thousand. */
export async function benchLog(
  page: Page,
  address: string,
): Promise<Readonly<Record<'logOpen' | 'logRead' | 'logFind' | 'logCharts' | 'logJob', Figure>>> {
  const open = async (): Promise<number> => {
    const times: number[] = [];
    for (let i = 0; i < 5; i += 1) {
      await page.goto(address);
      await page.getByRole('heading', { name: 'Jobs' }).waitFor();
      await page.waitForTimeout(1500);
      times.push(
        await until(
          page,
          () => page.getByRole('link', { name: 'Logbook' }).click(),
          /entries, newest first|reading [\d,]+ of [\d,]+ entries/,
        ),
      );
    }
    return middle(times);
  };
  /** How long until all of the log can be filtered, once, from a page just loaded. */
  const read = async (): Promise<number> => {
    await page.goto(address);
    await page.getByRole('heading', { name: 'Jobs' }).waitFor();
    await page.waitForTimeout(1500);
    return until(page, () => page.getByRole('link', { name: 'Logbook' }).click(), /entries, newest first/);
  };
  /** Charts of everything, from the click to the answer under them. */
  const charts = async (): Promise<number> => {
    const took = await until(page, () => page.getByRole('radio', { name: 'Charts' }).click(), /good overall/);
    await page.getByRole('radio', { name: 'Entries' }).click();
    return took;
  };
  const find = async (): Promise<number> => {
    const box = page.getByRole('searchbox', { name: 'Find in the log' });
    const times: number[] = [];
    for (const words of ['lint speck', 'sharp', 'good press', 'speck near', 'even']) {
      times.push(await until(page, () => box.fill(words), /[\d,]+ entr(y|ies) of [\d,]+/));
      await box.fill('');
      await page.getByText(/entries, newest first/).waitFor();
      await page.waitForTimeout(400);
    }
    return middle(times);
  };
  const job = async (): Promise<number> => {
    const times: number[] = [];
    for (let i = 0; i < 5; i += 1) {
      await page.goto(address);
      await page.getByRole('heading', { name: 'Jobs' }).waitFor();
      await page.waitForTimeout(1500);
      const link = page.getByRole('link', { name: 'Star party crew tumblers' });
      times.push(await until(page, () => link.click(), /Details/));
    }
    return middle(times);
  };
  // The TypeScript runner wraps named functions in a helper of its own, which functions sent to the page ask for there.
  await page.addInitScript('globalThis.__name = (f) => f');
  await page.goto(address);
  await page.getByRole('heading', { name: 'Jobs' }).waitFor();
  const few = {
    open: await open(),
    read: await read(),
    find: await find(),
    charts: await charts(),
    job: await job(),
  };
  await fill(page, MANY);
  const many = {
    open: await open(),
    read: await read(),
    find: await find(),
    charts: await charts(),
    job: await job(),
  };
  const figure = (value: number, what: string, limit: number, reference: number): Figure => ({
    value: round(value, 0),
    unit: `ms, ${what}, with ${MANY} log entries; the middle one of five`,
    limit,
    reference: { what: 'ms with a handful of entries', value: round(reference, 0) },
  });
  return {
    logOpen: figure(many.open, 'from the click to the newest entries', 100, few.open),
    logRead: figure(many.read, 'from the click until all of it can be filtered', 12_000, few.read),
    logFind: figure(many.find, 'from the last letter to what was found', 100, few.find),
    logCharts: figure(many.charts, 'from the click to all charts', 1000, few.charts),
    // No slower than with ten: told by the ratio of the two, which a limit in ms cannot.
    logJob: figure(many.job, 'from the click to a job’s figures', Math.round(few.job * 1.1), few.job),
  };
}

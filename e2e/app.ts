import { says } from './words';
import { test as base, expect, type BrowserContext, type Locator, type Page } from '@playwright/test';
import type { Run } from '../src/core/shop/run';

export const address = (): string => process.env.MESA_ADDRESS ?? 'http://127.0.0.1:4600';

/** All that a browser keeps of the application, its cached scripts left out. */
async function forget(context: BrowserContext): Promise<void> {
  await Promise.all(context.pages().map((p) => p.close()));
  const page = await context.newPage();
  const cdp = await context.newCDPSession(page);
  for (const origin of [address(), process.env.MESA_PLAIN_ADDRESS ?? address()])
    await cdp.send('Storage.clearDataForOrigin', { origin, storageTypes: 'indexeddb,local_storage,cookies' });
  await context.clearPermissions();
  await page.close();
}

interface Options {
  /** A browser context of its own: for paths that change more of it than what it stores, such as its clock. */
  readonly ownContext: boolean;
}

/** A page for the demo shop, not yet opened, that fails the test on any console error, policy report or request leaving this machine. */
export const test = base.extend<{ bench: Page } & Options, { kept: BrowserContext }>({
  ownContext: [false, { option: true }],
  // One for all paths of a worker, emptied before each: the scripts of the application are fetched and compiled once.
  kept: [
    async ({ browser }, give) => {
      const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
      await give(context);
      await context.close();
    },
    { scope: 'worker' },
  ],
  context: async ({ context, kept, ownContext }, give) => {
    if (!ownContext) await forget(kept);
    await give(ownContext ? context : kept);
  },
  bench: async ({ page }, give) => {
    const wrong: string[] = [];
    page.on('console', (m) => {
      // Only a test itself makes a request fail this way.
      if (/net::ERR_FAILED/.test(m.text())) return;
      if (m.type() === 'error' || /Content Security Policy|hydrat/i.test(m.text()))
        wrong.push(`${m.text()} (${m.location().url})`);
    });
    page.on('pageerror', (e) => wrong.push(e.message));
    page.on('response', (r) => {
      if (r.status() >= 400) wrong.push(`${r.status()} ${r.url()}`);
    });
    page.on('request', (r) => {
      if (!r.url().startsWith(address()) && !/^(blob|data):/.test(r.url()))
        wrong.push(`left this machine: ${r.url()}`);
    });
    await give(page);
    expect(wrong).toEqual([]);
  },
});

export { expect };

/** Opens the list of jobs. */
export async function openJobs(page: Page): Promise<void> {
  await page.goto(address());
  await expect(page.getByRole('heading', { name: says('common.jobs') })).toBeVisible();
}

/** Opens a step of a job by its address. */
export async function open(page: Page, path: string): Promise<void> {
  await page.goto(`${address()}${path}`);
  await expect(page.getByRole('navigation', { name: says('job.stepsJob') })).toBeVisible();
}

export const saved = (page: Page) => expect(page.getByText(says('job.saved'), { exact: true })).toBeVisible();

/** The figure of a line in “Details”. */
export const figure = (page: Page, label: string | RegExp) =>
  page
    .getByRole('complementary', { name: says('common.details') })
    .locator('li')
    .filter({ hasText: label })
    .first();

/** The line that says what stands in the way. */
export const foot = (page: Page) => page.getByRole('region', { name: says('job.findings'), exact: true });

/** What was found in the art, listed below its board. */
export const checks = (page: Page) => page.getByRole('region', { name: says('art.checksBeforePrinting') });

/** One of the files under “Other files” of the Sheet step. */
export async function otherFile(page: Page, name: string | RegExp): Promise<void> {
  await page.getByRole('button', { name: says('sheet.otherFiles') }).click();
  await page.getByRole('menuitem', { name }).click();
}

/** Types a reading in the last, empty row of a place. */
export async function takeReading(page: Page, place: string, text: string): Promise<void> {
  const box = page.getByRole('region', { name: place });
  const spare = box.getByRole('textbox', { name: says('measure.anotherReading') });
  await spare.fill(text);
  await spare.press('Enter');
}

/** A new job on a blank found by some words. */
export async function jobOn(page: Page, words: string, name: string): Promise<void> {
  await page.goto(address());
  await page.getByRole('button', { name: says('jobs.newJob') }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(says('jobs.newJob'));
  await page.getByRole('searchbox', { name: says('blank.searchBlanks') }).fill(words);
  await page.getByRole('button', { name, exact: false }).and(page.locator('[aria-pressed]')).first().click();
  await expect(figure(page, says('common.coating'))).toBeVisible();
}

/** The runs as they stand in the browser's database. */
export const storedRuns = (page: Page): Promise<Run[]> =>
  page.evaluate(
    () =>
      new Promise((resolve) => {
        const request = indexedDB.open('mesa-drift');
        request.onsuccess = () => {
          const all = request.result.transaction('runs').objectStore('runs').getAll();
          all.onsuccess = () => {
            request.result.close();
            resolve(all.result as never);
          };
        };
      }),
  );

interface Grip {
  /** Where the thing is held, px from its upper left corner; else its middle. */
  readonly at?: { readonly x: number; readonly y: number };
  /** Moves made on the way, each drawn before the next. */
  readonly steps?: number;
}

/** Drags a thing by so many px, once it stands still and takes the pointer. */
export async function drag(
  page: Page,
  thing: Locator,
  by: { readonly x?: number; readonly y?: number },
  { at, steps = 5 }: Grip = {},
): Promise<void> {
  await thing.hover(at ? { position: at } : {});
  const box = await thing.boundingBox();
  if (!box) throw new Error('Nothing to drag.');
  const from = { x: box.x + (at?.x ?? box.width / 2), y: box.y + (at?.y ?? box.height / 2) };
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + (by.x ?? 0), from.y + (by.y ?? 0), { steps });
  await page.mouse.up();
}

import { fixedPart, opening, says } from './words';
import { readFileSync } from 'node:fs';
import type { Locator, Page } from '@playwright/test';
import { paintPng, RED } from '../src/core/formats/testPicture';
import { address, expect, open, openJobs, saved, test } from './app';

/** The job as it is after a reload: no message of another tab, no copy in the list of jobs, no note left of unsaved work. */
async function reloadedClean(page: Page, path: string): Promise<void> {
  await saved(page);
  await page.goto(`${address()}${path}`);
  await saved(page);
  await expect(page.getByText(/Another tab/)).toHaveCount(0);
  const left = await page.evaluate(async () => {
    const inTab = Object.keys(localStorage).filter((k) => k.startsWith('mesa-drift.unsaved.'));
    const inDb = await new Promise<number>((resolve, reject) => {
      const request = indexedDB.open('mesa-drift');
      request.onerror = () => reject(new Error('no database'));
      request.onsuccess = () => {
        const count = request.result.transaction('notes').objectStore('notes').count();
        count.onsuccess = () => {
          request.result.close();
          resolve(count.result);
        };
      };
    });
    return { inTab, inDb };
  });
  expect(left).toEqual({ inTab: [], inDb: 0 });
}

const openJobNames = async (page: Page): Promise<readonly string[]> => {
  await page.goto(address());
  await expect(page.getByRole('heading', { name: says('common.jobs') })).toBeVisible();
  return page.getByRole('heading', { level: 2 }).allInnerTexts();
};

test('whatever is changed, a reload finds one job, no message and no note', async ({ bench: page }) => {
  test.slow();
  const before = await openJobNames(page);
  const job = '/job/comet-cans';
  await open(page, `${job}/art`);
  await page
    .getByLabel(says('art.pictureFile'))
    .first()
    .setInputFiles({
      name: 'red.png',
      mimeType: 'image/png',
      buffer: Buffer.from(paintPng(60, 40, () => RED)),
    });
  await expect(page.getByText('red', { exact: false }).first()).toBeVisible();
  await reloadedClean(page, `${job}/art`);

  await page.getByRole('button', { name: says('art.text'), exact: true }).click();
  await page.getByRole('textbox', { name: says('art.text') }).fill('Dry Fork, north rim');
  await reloadedClean(page, `${job}/art`);

  await page.getByRole('button', { name: says('art.names2'), exact: true }).click();
  await page.getByRole('dialog').getByRole('textbox').first().fill('name\nAda\nBo');
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /Use|Keep/ })
    .first()
    .click();
  await page.keyboard.press('Escape');
  await reloadedClean(page, `${job}/wrap`);

  await page.getByRole('button', { name: says('wrap.mark'), exact: true }).click();
  await reloadedClean(page, `${job}/heat`);

  await page.getByRole('radio', { name: 'Tumbler press A' }).click();
  await page.getByRole('textbox', { name: opening('heat.dwellTime') }).fill('160');
  await page.getByRole('textbox', { name: says('common.temperature') }).fill('182');
  await reloadedClean(page, `${job}/heat`);
  // And once more, with nothing changed since.
  await reloadedClean(page, `${job}/heat`);
  await expect(page.getByRole('textbox', { name: says('common.temperature') })).toHaveValue('182');
  expect(await openJobNames(page)).toEqual(before);
});

test('an edit while a save is being written, then away at once: there on return, and no conflict', async ({
  bench: page,
}) => {
  await open(page, '/job/night-walk-tumblers/heat');
  const temperature = page.getByRole('textbox', { name: says('common.temperature') });
  for (let i = 0; i < 4; i += 1) {
    await temperature.fill(String(180 + i));
    // About when the quiet moment ends and the write is on its way.
    await page.waitForTimeout(340 + 5 * i);
    await temperature.fill(String(190 + i));
    await page.goto(`${address()}/logbook`);
    await open(page, '/job/night-walk-tumblers/heat');
    await expect(temperature).toHaveValue(String(190 + i));
    await expect(page.getByText(/Another tab/)).toHaveCount(0);
  }
});

test('removed in another tab: an edit here does not bring it back unasked; it can be put back', async ({
  bench: page,
  context,
}) => {
  await open(page, '/job/slate-trail-markers/measure');
  const other = await context.newPage();
  await other.goto(address());
  await other.getByRole('button', { name: says('jobs.delete', { job: 'Slate trail markers' }) }).click();
  await other.getByRole('button', { name: says('jobs.delete3'), exact: true }).click();
  await expect(other.getByText('Slate trail markers', { exact: true })).toHaveCount(0);
  await expect(page.getByText(fixedPart('job.anotherTabDeletedJob'))).toBeVisible();
  await page
    .getByRole('region', { name: says('blank.overallWidth') })
    .getByRole('textbox')
    .first()
    .fill('151');
  await page.waitForTimeout(800);
  await expect(other.getByRole('link', { name: 'Slate trail markers' })).toHaveCount(0);
  await page.getByRole('button', { name: says('job.restoreIt') }).click();
  await expect(other.getByRole('link', { name: 'Slate trail markers' })).toBeVisible();
  await page.reload();
  await expect(
    page
      .getByRole('region', { name: says('blank.overallWidth') })
      .getByRole('textbox')
      .first(),
  ).toHaveValue('151');
});

test('tapped twice: one run, one log entry, one step', async ({ bench: page }) => {
  await open(page, '/job/dome-beakers/press');
  await page.getByRole('button', { name: says('job.startPressing') }).click();
  await page.getByRole('button', { name: says('press.firstPiece') }).dblclick();
  await expect(page.getByText(says('press.pieceNumbered', { number: '1 of 2' }))).toBeVisible();
  const counts = () =>
    page.evaluate(
      () =>
        new Promise<{ runs: number; log: number; events: number }>((resolve) => {
          const request = indexedDB.open('mesa-drift');
          request.onsuccess = () => {
            const tx = request.result.transaction(['runs', 'log']);
            const runs = tx.objectStore('runs').getAll();
            const log = tx.objectStore('log').count();
            tx.oncomplete = () => {
              request.result.close();
              const all = runs.result as { events: unknown[] }[];
              resolve({ runs: all.length, log: log.result, events: all[0]?.events.length ?? 0 });
            };
          };
        }),
    );
  const before = await counts();
  expect(before.runs).toBe(1);
  expect(before.events).toBeLessThanOrEqual(1);
  await page.getByRole('button', { name: says('common.spoiled') }).click();
  await page.getByRole('button', { name: says('press.notSaid') }).click();
  await page.getByRole('link', { name: says('press.stopRun') }).click();
  await open(page, '/job/dome-beakers/inspect');
  await page.getByRole('radio', { name: says('common.dyeLeftAllOver') }).click();
  await page.getByRole('radio', { name: says('inspect.tooLittle') }).click();
  await page.getByRole('button', { name: says('job.lookNext') }).dblclick();
  await expect.poll(async () => (await counts()).log).toBe(before.log + 1);
  await page.waitForTimeout(500);
  expect((await counts()).log).toBe(before.log + 1);
});

test('a press taken out while a run is on: hot pieces are still called hot', async ({ bench: page }) => {
  await open(page, '/job/dome-beakers/press');
  await page.getByRole('button', { name: says('job.startPressing') }).click();
  await page.getByRole('button', { name: says('press.firstPiece') }).click();
  await expect(page.locator('[aria-current="step"]')).toBeVisible();
  const address0 = page.url();
  // Through the whole first piece, timed steps opened early.
  for (let i = 0; i < 12; i += 1) {
    if (await page.getByText(says('press.pieceNumbered', { number: '2 of 2' })).isVisible()) break;
    const early = page.getByRole('button', { name: says('press.openedEarly') });
    if (await early.isVisible()) await early.click();
    else await page.keyboard.press('Space');
    await page.waitForTimeout(250);
  }
  const cooling = page.locator('dl > div').filter({ hasText: says('common.cooling') });
  await expect(cooling).toContainText(/1 ·/);
  await page.goto(`${address()}/presses`);
  await page.getByRole('button', { name: says('blank.remove', { removes: 'Mug press' }) }).click();
  await page.goto(address0);
  await expect(page.locator('dl > div').filter({ hasText: says('common.cooling') })).toContainText(/1 ·/);
});

test('“New job” pressed and left is found again, not piled up', async ({ bench: page }) => {
  for (let i = 0; i < 3; i += 1) {
    await page.goto(address());
    await page.getByRole('button', { name: says('jobs.newJob'), exact: true }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText(says('jobs.newJob'));
  }
  await page.goto(address());
  await expect(page.getByRole('link', { name: says('jobs.newJob'), exact: true })).toHaveCount(1);
});

test('a belly typed on the Measure screen decides the wrap', async ({ bench: page }) => {
  await open(page, '/job/star-party-tumblers/measure');
  await page.getByRole('button', { name: fixedPart('measure.anotherCircumferenceBellyWaist') }).click();
  const between = page.getByRole('region', { name: /Circumference .* mm down/ });
  await between.getByRole('textbox').first().fill('254');
  await between.getByRole('textbox').first().press('Enter');
  await saved(page);
  await page.getByRole('button', { name: /^3 Wrap/ }).click();
  await expect(page.getByRole('complementary', { name: says('common.details') })).toContainText(
    says('wrap.flatHeight'),
  );
});

test('Escape brings back what stood before the field was entered', async ({ bench: page }) => {
  await open(page, '/job/star-party-tumblers/wrap');
  await page.keyboard.press('u');
  const bleed = page.getByRole('textbox', { name: says('wrap.bleedRim') });
  await expect(bleed).toHaveValue('1/8');
  const stood = await bleed.inputValue();
  await bleed.fill('1/2');
  await bleed.press('Escape');
  await expect(bleed).toHaveValue(stood);
  await page.reload();
  await expect(bleed).toHaveValue(stood);
  // Not a set value of this job’s own now: the shop’s default still holds.
  await expect(bleed).not.toHaveClass(/border-measured/);
});

/** Texts put into a field, and at the end a key, faster than anything is drawn between them. */
const atOnce = (field: Locator, texts: readonly string[], key: string | null) =>
  field.evaluate(
    (el, shown) => {
      if (!(el instanceof HTMLInputElement)) throw new Error('not a field');
      el.focus();
      const put = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
      for (const text of shown.texts) {
        put?.call(el, text);
        el.dispatchEvent(new InputEvent('input', { bubbles: true }));
      }
      if (shown.key) el.dispatchEvent(new KeyboardEvent('keydown', { key: shown.key, bubbles: true }));
      else el.blur();
    },
    { texts: [...texts], key },
  );

test('a hand faster than the drawing: Escape still brings back, and the last text typed counts', async ({
  bench: page,
}) => {
  await open(page, '/job/star-party-tumblers/wrap');
  await page.keyboard.press('u');
  const bleed = page.getByRole('textbox', { name: says('wrap.bleedRim') });
  await expect(bleed).toHaveValue('1/8');
  await atOnce(bleed, ['1/2'], 'Escape');
  await saved(page);
  await page.reload();
  await expect(bleed).toHaveValue('1/8');
  await expect(bleed).not.toHaveClass(/border-measured/);
  await atOnce(bleed, ['1/2', '1/8'], null);
  await saved(page);
  await page.reload();
  await expect(bleed).toHaveValue('1/8');
  await expect(bleed).toHaveClass(/border-measured/);
});

test('the log with a long list: the newest drawn, found by words, the rest read as it is scrolled', async ({
  bench: page,
}) => {
  await openJobs(page);
  await page.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const request = indexedDB.open('mesa-drift');
        request.onsuccess = () => {
          const tx = request.result.transaction('log', 'readwrite');
          const store = tx.objectStore('log');
          const first = store.getAll();
          first.onsuccess = () => {
            const base = first.result[0] as Record<string, unknown>;
            for (let i = 0; i < 1500; i += 1) {
              const note = i % 100 === 7 ? 'seven lint specks' : 'all well';
              store.put({ ...base, id: `many-${i}`, at: 1_000_000 + i, note });
            }
          };
          tx.oncomplete = () => {
            request.result.close();
            resolve();
          };
          tx.onerror = () => reject(new Error('not written'));
        };
      }),
  );
  await page.goto(`${address()}/logbook`);
  await expect(page.getByText(says('logbook.newestFirst', { entries: '1,527 entries' }))).toBeVisible();
  expect(await page.getByRole('row').count()).toBeLessThan(60);
  await page.getByRole('searchbox', { name: says('logbook.findLog') }).fill('seven spe');
  await expect(page.getByText('15 entries of 1,527')).toBeVisible();
  await page.getByRole('searchbox', { name: says('logbook.findLog') }).fill('');
  const list = page.getByRole('region', { name: says('common.logbook') });
  for (let i = 0; i < 4; i += 1) {
    await list.evaluate((el) => el.scrollTo(0, el.scrollHeight));
    await page.waitForTimeout(300);
  }
  const csv = page.waitForEvent('download');
  await page.getByRole('button', { name: says('common.save'), exact: true }).click();
  await page.getByRole('menuitem', { name: /as CSV/ }).click();
  expect(
    readFileSync(await (await csv).path(), 'utf8')
      .trim()
      .split('\n').length,
  ).toBeGreaterThan(1500);
});

test('a field that only has the focus overwrites nothing that another tab saved', async ({
  bench: page,
  context,
}) => {
  const path = '/job/star-party-tumblers/heat';
  await open(page, path);
  const here = page.getByRole('textbox', { name: says('common.temperature') });
  await here.click();
  const other = await context.newPage();
  await open(other, path);
  const there = other.getByRole('textbox', { name: says('common.temperature') });
  await there.fill('201');
  await there.press('Enter');
  await saved(other);
  await page.bringToFront();
  await page.keyboard.press('Tab');
  await expect(here).toHaveValue('201');
  await page.goto(`${address()}/settings`);
  const name = page.getByLabel(says('common.name'), { exact: true }).first();
  await name.click();
  await other.goto(`${address()}/settings`);
  await other.getByLabel(says('common.name'), { exact: true }).first().fill('Dry Fork Press');
  await other.getByLabel(says('common.name'), { exact: true }).first().press('Enter');
  await page.bringToFront();
  await page.keyboard.press('Tab');
  for (const tab of [page, other]) {
    await tab.goto(`${address()}/settings`);
    await expect(tab.getByLabel(says('common.name'), { exact: true }).first()).toHaveValue('Dry Fork Press');
  }
  await other.goto(`${address()}${path}`);
  await expect(there).toHaveValue('201');
});

import { opening, says } from './words';
import type { Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { address, expect, open, openJobs, storedRuns, test } from './app';

/** Changes a stored record from outside, as a newer version of the program would leave it. */
const spoil = (page: Page, table: string, change: 'event' | 'field') =>
  page.evaluate(
    ([name, how]) =>
      new Promise<void>((resolve) => {
        const request = indexedDB.open('mesa-drift');
        request.onsuccess = () => {
          const store = request.result.transaction(name, 'readwrite').objectStore(name);
          const all = store.getAll();
          all.onsuccess = () => {
            const [first] = all.result as Record<string, unknown>[];
            const from = (first?.run ?? first) as { events?: unknown[] };
            if (how === 'event') from.events?.push({ kind: 'not-known-here', at: 1 });
            else Object.assign(first ?? {}, { length: 'parsecs', units: 'parsecs', shopName: 7 });
            store.put(first).onsuccess = () => {
              request.result.close();
              resolve();
            };
          };
        };
      }),
    [table, change] as const,
  );

test('a run that cannot be read is said, saved to a file, and no second run starts beside it', async ({
  bench: page,
}) => {
  await open(page, '/job/star-party-tumblers/press');
  await page.getByRole('button', { name: says('job.startPressing') }).click();
  await page.getByRole('button', { name: says('press.firstPiece') }).click();
  await expect(page.getByRole('button', { name: says('press.loaded') })).toBeVisible();
  await spoil(page, 'runs', 'event');
  await openJobs(page);
  const notice = page
    .getByRole('alert')
    .filter({ hasText: says('shell.versionCannotRead', { aside: '1 run' }) });
  await expect(notice).toContainText('Star party crew tumblers');
  await expect(notice.getByRole('button', { name: 'Remove it' })).toBeDisabled();
  await page.goto(`${address()}/press/star-party-tumblers`);
  await page.getByRole('button', { name: says('press.firstPiece') }).click();
  await expect(page.getByText(/cannot (be )?read/).first()).toBeVisible();
  expect(await storedRuns(page)).toHaveLength(1);
  await openJobs(page);
  const file = page.waitForEvent('download');
  await notice.getByRole('button', { name: says('common.saveFile') }).click();
  expect(readFileSync(await (await file).path(), 'utf8')).toContain('not-known-here');
  await notice.getByRole('button', { name: 'Remove it' }).click();
  await page
    .getByRole('alertdialog')
    .getByRole('button', { name: says('common.remove2') })
    .click();
  await expect(notice).toHaveCount(0);
});

test('a deleted job whose undo finds no room stays offered until it is restored', async ({ bench: page }) => {
  await openJobs(page);
  await page.getByRole('button', { name: says('jobs.delete', { job: 'Comet glass cans' }) }).click();
  await page
    .getByRole('alertdialog')
    .getByRole('button', { name: opening('jobs.delete3') })
    .click();
  const job = page.getByRole('link', { name: /Comet glass cans/ });
  await expect(job).toHaveCount(0);
  await page.evaluate(() => {
    const { put, add } = IDBObjectStore.prototype;
    Object.assign(window, { room: () => Object.assign(IDBObjectStore.prototype, { put, add }) });
    const full = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
    Object.assign(IDBObjectStore.prototype, { put: full, add: full });
  });
  await page
    .getByRole('button', { name: says('common.undo') })
    .first()
    .click();
  const kept = page.getByText(/Not restored yet\..*storage is full/);
  await expect(kept).toBeVisible();
  // Longer than a message usually stays.
  await page.waitForTimeout(9_000);
  await expect(kept).toBeVisible();
  await page.evaluate(() => (window as unknown as { room: () => void }).room());
  await page
    .getByRole('button', { name: says('common.undo') })
    .first()
    .click();
  await expect(job.first()).toBeVisible();
  await page.reload();
  await expect(job.first()).toBeVisible();
});

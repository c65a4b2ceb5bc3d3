import { fixedPart, opening, says } from './words';
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { paintPng, quarters } from '../src/core/formats/testPicture';
import { logJson } from '../src/core/formats/logFile';
import { logEntrySchema, type LogEntry } from '../src/core/shop/records';
import { address, expect, figure, open, saved, test } from './app';
import type { Page } from '@playwright/test';

/** Entries as they stand in the browser's database. */
const storedLog = (page: Page): Promise<LogEntry[]> =>
  page.evaluate(
    () =>
      new Promise((resolve) => {
        const request = indexedDB.open('mesa-drift');
        request.onsuccess = () => {
          const all = request.result.transaction('log').objectStore('log').getAll();
          all.onsuccess = () => {
            request.result.close();
            resolve(all.result as never);
          };
        };
      }),
  );

const change = (page: Page) => page.getByRole('region', { name: says('inspect.oneChange') });
const judge = async (page: Page, paper: string, verdict: string) => {
  await page.getByRole('radio', { name: paper }).click();
  await page.getByRole('radio', { name: verdict, exact: true }).click();
};
const counts = async (page: Page, good: number, spoiled: number) => {
  await page.getByLabel(says('common.goodPieces')).fill(String(good));
  await page.getByLabel(says('common.spoiled')).fill(String(spoiled));
  await page.keyboard.press('Tab');
};
const write = (page: Page) => page.getByRole('button', { name: says('job.lookNext') }).click();

/** Draws with the hand on the face, by shares of its size. */
async function stroke(page: Page, path: readonly (readonly [number, number])[]): Promise<void> {
  const box = await page.locator('[data-face]').boundingBox();
  if (!box) throw new Error('no face');
  const at = ([u, v]: readonly [number, number]) => [box.x + u * box.width, box.y + v * box.height] as const;
  const [first, ...rest] = path.map(at);
  if (!first) return;
  await page.mouse.move(...first);
  await page.mouse.down();
  for (const p of rest) await page.mouse.move(...p, { steps: 4 });
  await page.mouse.up();
}

test('a faded corner on a large panel, by packing, to a good one', async ({ bench: page }, info) => {
  await open(page, '/job/star-map-panel/inspect');
  await page.keyboard.press('e');
  await stroke(page, [
    [0.01, 0.01],
    [0.2, 0.01],
    [0.01, 0.16],
  ]);
  await expect(page.getByRole('button', { name: 'Faded corner or edge, plain' })).toBeVisible();
  await judge(page, 'dye left in places', 'Other fault');
  await expect(figure(page, says('inspect.unevenPressure'))).toContainText('≈');

  await page.getByRole('radio', { name: says('common.cause') }).click();
  const causes = page.getByRole('region', { name: says('inspect.causes') });
  await expect(causes.getByRole('listitem').first()).toContainText(says('inspect.unevenPressure'));
  const ask = page.getByRole('region', { name: says('inspect.nextQuestion') });
  const before = await causes.getByRole('listitem').first().textContent();
  // At 98 % no more is asked, unless a person wants to.
  await expect(ask).toContainText(says('inspect.enoughKnown'));
  await expect(ask.getByRole('button', { name: says('inspect.no'), exact: true })).toHaveCount(0);
  await expect(change(page)).toContainText(fixedPart('inspect.checkPlatenFlatnessPack'));
  await ask.getByRole('button', { name: says('inspect.askMoreAnyway') }).click();
  await ask.getByRole('button', { name: says('inspect.no'), exact: true }).click();
  await expect(ask.getByRole('list', { name: says('inspect.answered') })).toContainText(
    fixedPart('inspect.holdPieceBesideHeater'),
  );
  await expect(causes.getByRole('listitem').first()).not.toHaveText(before ?? '');
  await causes
    .getByRole('listitem')
    .first()
    .getByRole('button', { name: says('inspect.confirmCause') })
    .click();
  await page.getByRole('radio', { name: says('inspect.faults') }).click();
  await counts(page, 0, 1);
  await saved(page);

  await change(page)
    .getByRole('button', { name: says('common.platenFlatness') })
    .click();
  await expect(page.getByRole('heading', { name: says('common.platenFlatness') })).toBeVisible();
  const gap = (place: string) => page.getByRole('textbox', { name: `Gap, ${place}` });
  await gap('back left').fill('0.55');
  await gap('back middle').fill('0.2');
  await gap('middle left').fill('0.25');
  await gap('front right').fill('9');
  await page.keyboard.press('Tab');
  await expect(page.getByText(says('common.outRange'))).toBeVisible();
  await gap('front right').fill('0');
  await page.keyboard.press('Tab');
  const packing = page.getByRole('complementary', { name: says('common.packing') });
  await expect(packing).toContainText(/Unevenness 0\.[56]\d mm/);
  await expect(packing).toContainText(/[56] sheets of 0.1 mm leave/);
  await expect(packing).toContainText(says('flatness.meanwhileLayPiece'));
  const download = page.waitForEvent('download');
  await packing.getByRole('button', { name: fixedPart('flatness.packingCutTrueSize') }).click();
  const pdf = info.outputPath('packing.pdf');
  await (await download).saveAs(pdf);
  const words = execFileSync('pdftotext', ['-layout', pdf, '-'], { encoding: 'utf8' });
  expect(words).toContain('packing, sheet 1 of');
  expect(words).toContain('Cut along the lines from card of 0.1 mm');
  // True size: the pages are A4, and the bar that is said to be 100 mm is.
  expect(execFileSync('pdfinfo', [pdf], { encoding: 'utf8' })).toMatch(/595\.\d+ x 841\.\d+ pts/);
  await packing.getByRole('button', { name: says('flatness.markPacked') }).click();
  await expect(packing).toContainText('then packed with card of 0.1 mm');
  await gap('back left').fill('0.1');
  await gap('back middle').fill('0.05');
  await gap('middle left').fill('0.05');
  await page.keyboard.press('Tab');
  await packing.getByRole('button', { name: says('flatness.saveReadings') }).click();
  await expect(page.getByText(says('flatness.packingMadeMoreEven', { better: '82' }))).toBeVisible();

  await page.getByRole('link', { name: says('common.backInspection') }).click();
  await expect(page.getByRole('button', { name: 'Faded corner or edge, plain' })).toBeVisible();
  await write(page);
  await expect(page.getByText(says('inspect.savedLog'))).toBeVisible();
  await judge(page, 'pale and even', 'Good');
  await counts(page, 1, 0);
  await write(page);
  await expect(page.getByRole('dialog')).toContainText('proven by 1 good piece');
  await page.getByRole('button', { name: says('inspect.saveProvenRecipe') }).click();
  await page.getByRole('button', { name: says('inspect.lastGoodPiece') }).click();
  await expect(page.getByRole('dialog')).toContainText(says('inspect.pressedSameSettingsOne'));
  await expect(page.getByRole('dialog').getByRole('listitem').last()).toContainText(says('common.good22'));

  // What was settled on counts for this shop from now on.
  const settled = (await storedLog(page)).filter((e) => e.cause === 'uneven-pressure');
  expect(settled.length).toBeGreaterThanOrEqual(3);
  expect(settled.at(-1)?.lay?.on).toBe('platen');
});

test('an orange portrait: less time, by the heat model, one setting and no other', async ({
  bench: page,
}) => {
  await open(page, '/job/constellation-mugs/inspect');
  await page.getByRole('button', { name: says('inspect.brownOrangeYellowed'), exact: true }).click();
  await page.getByRole('button', { name: says('inspect.brownOrangeYellowed'), exact: true }).click();
  await judge(page, 'browned', 'Too much');
  await page.getByRole('radio', { name: says('common.cause') }).click();
  // The paper came off at once and the press reads right: what is left is the time.
  await page
    .getByRole('region', { name: says('inspect.causes') })
    .getByRole('listitem')
    .filter({ hasText: opening('inspect.tooLong') })
    .getByRole('button', { name: says('inspect.confirmCause') })
    .click();
  await expect(change(page)).toContainText(/press \d.* instead of/, { timeout: 20_000 });
  await expect(change(page)).toContainText(/coldest printed place gets \d+ % less/);
  await change(page)
    .getByRole('button', { name: says('inspect.applyNextPress') })
    .click();
  await expect(page.getByText(fixedPart('inspect.appliedNextPressPress'))).toBeVisible();
  await page.keyboard.press('6');
  await expect(page.getByRole('textbox', { name: says('common.temperature') })).toHaveValue('195');
  await saved(page);
});

test('a ghost: peel cold', async ({ bench: page }) => {
  await open(page, '/job/constellation-mugs/inspect');
  await page.keyboard.press('g');
  await stroke(page, [[0.3, 0.5]]);
  await expect(page.getByRole('button', { name: 'Ghosting, plain' })).toBeVisible();
  await judge(page, 'pale and even', 'Other fault');
  await page.getByRole('radio', { name: says('common.cause') }).click();
  await expect(
    page
      .getByRole('region', { name: says('inspect.causes') })
      .getByRole('listitem')
      .first(),
  ).toContainText(says('inspect.paperMovedWhileHot'));
  await expect(change(page)).toContainText('Peel cold instead of hot');
  await change(page)
    .getByRole('button', { name: says('inspect.applyNextPress') })
    .click();
  await page.keyboard.press('6');
  await expect(
    page
      .getByRole('combobox', { name: says('heat.peel') })
      .or(page.getByRole('radio', { name: 'cold', checked: true }))
      .first(),
  ).toBeVisible();
  await saved(page);
  const peel = await page.evaluate(
    () =>
      new Promise((resolve) => {
        const request = indexedDB.open('mesa-drift');
        request.onsuccess = () => {
          const got = request.result.transaction('jobs').objectStore('jobs').get('constellation-mugs');
          got.onsuccess = () => {
            request.result.close();
            resolve((got.result as { job: { heat: unknown; inspection: { next: unknown } } }).job);
          };
        };
      }),
  );
  expect(peel).toMatchObject({
    heat: { peel: 'cold' },
    inspection: { next: 'moved-hot', pressed: { peel: 'hot' } },
  });
  // The ghost is written with what it was pressed with; the one after it is the one that tried the cold peel.
  await page.keyboard.press('8');
  await counts(page, 0, 1);
  await write(page);
  await expect(page.getByText(says('inspect.savedLog'))).toBeVisible();
  await judge(page, 'pale and even', 'Good');
  await counts(page, 3, 0);
  await write(page);
  await page.getByRole('button', { name: says('inspect.notYet') }).click();
  const mine = (await storedLog(page))
    .filter((e) => e.jobId === 'constellation-mugs')
    .sort((a, b) => a.at - b.at);
  expect(mine.map((e) => [e.settings.peel, e.tried, e.spoiled])).toEqual([
    ['hot', null, 1],
    ['cold', 'moved-hot', 0],
  ]);
});

test('a new blank by the test ladder, to a recipe with its proof', async ({ bench: page }) => {
  await open(page, '/job/slate-trail-markers/inspect');
  await page.getByRole('radio', { name: says('inspect.testLadder2') }).click();
  await page.getByRole('radio', { name: says('inspect.newBlanks') }).click();
  await page.getByRole('button', { name: fixedPart('inspect.estimateNumberPressings') }).click();
  await expect(page.getByText(/Expected: \d\.\d pressings/)).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: says('inspect.startTestLadder') }).click();
  const before = (await storedLog(page)).length;
  const now = page.getByText(/^(Press|One is good\. Prove it in the middle: press) /).first();
  const first = await now.textContent();
  // Struck twice it answers one test, not the next one too.
  await page.getByRole('button', { name: says('inspect.tooLittle') }).dblclick();
  await expect(now).not.toHaveText(first ?? '');
  await page.reload();
  await page.getByRole('radio', { name: says('inspect.testLadder2') }).click();
  await expect(
    page.getByRole('region', { name: says('inspect.pressedSoFar') }).getByRole('listitem'),
  ).toHaveCount(1);
  const keep = page.getByRole('button', { name: says('inspect.saveProvenRecipe') });
  const prove = page.getByText(fixedPart('inspect.ladderProve'));
  await page.getByRole('button', { name: says('common.good22'), exact: true }).click();
  await expect(keep.or(prove)).toBeVisible();
  // One good one far from the middle of what is believed is proven there.
  await page.waitForTimeout(900);
  if (await prove.isVisible())
    await page.getByRole('button', { name: says('common.good22'), exact: true }).click();
  await keep.click();
  await expect(page.getByText(/^Recipe saved\. The next/)).toBeVisible();
  const log = await storedLog(page);
  expect(log.length).toBeGreaterThanOrEqual(before + 2);
  expect(log.filter((e) => e.note.startsWith('Test ladder')).map((e) => e.verdict)).toContain('good');
  await page.keyboard.press('6');
  await expect(figure(page, says('heat.dwellTime'))).toContainText(/\d good/);
});

test('photographs of any kind and size lie under the marks, or are refused in words', async ({
  bench: page,
}, info) => {
  await open(page, '/job/constellation-mugs/inspect');
  const importFile = (name: string, bytes: Uint8Array | string) => {
    const path = info.outputPath(name);
    writeFileSync(path, bytes);
    return page.getByLabel('Photograph of the piece', { exact: true }).setInputFiles(path);
  };
  await importFile('not-one.jpg', 'this is no picture');
  await expect(page.getByText(says('files.photographBrowserCanOpen'))).toBeVisible();
  await importFile('icon.png', paintPng(16, 16, quarters(16, 16)));
  await expect(page.getByText(says('files.onlyPixels', { width: '16', height: '16' }))).toBeVisible();
  await importFile('empty.jpg', '');
  await expect(page.getByText(says('files.fileEmpty'))).toBeVisible();
  await importFile('large.png', paintPng(2400, 900, quarters(2400, 900)));
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText(says('inspect.straighten'));
  const corner = dialog.getByRole('slider', {
    name: says('inspect.corner', { cornerWords: says('inspect.topLeft') }),
  });
  await corner.focus();
  for (let i = 0; i < 5; i += 1) await page.keyboard.press('Shift+ArrowRight');
  await expect(corner).toHaveAttribute('aria-valuetext', /^30 %/);
  await dialog.getByRole('button', { name: says('inspect.useUnderMarks') }).click();
  await expect(page.getByRole('button', { name: says('inspect.hideIt') })).toBeVisible();
  await page.keyboard.press('s');
  await stroke(page, [[0.5, 0.5]]);
  await judge(page, 'pale and even', 'Other fault');
  await counts(page, 17, 1);
  await write(page);
  await expect(page.getByText(says('inspect.savedLog'))).toBeVisible();
  const entry = (await storedLog(page)).find((e) => e.photos.length > 0);
  expect(entry?.photos[0]).toMatchObject({ widthPx: 1600, heightPx: 600, of: 'piece' });
  await page.goto(`${address()}/logbook/${entry?.id ?? ''}`);
  await expect(page.getByRole('region', { name: says('logbook.whatWasSeen') }).locator('img')).toBeVisible();
  await expect(page.getByRole('region', { name: says('logbook.planTime') })).toContainText(
    says('blank.straightWall'),
  );
});

test('two tablets’ logs: merged once, corrected by a new entry, charted, refused in words where wrong', async ({
  bench: page,
}, info) => {
  await page.goto(`${address()}/logbook`);
  await expect(page.getByText(says('logbook.newestFirst', { entries: '27 entries' }))).toBeVisible();
  const own = (await storedLog(page)).map((e) => logEntrySchema.parse(e));
  const [first] = own;
  if (!first) throw new Error('no entry');
  const theirs: LogEntry[] = [
    first,
    { ...first, note: 'The other tablet says otherwise.' },
    ...Array.from({ length: 4 }, (_, i) => ({
      ...first,
      id: `tablet-${i}`,
      at: Date.now() - i * 3600_000,
      jobName: 'Pressed on the other tablet',
      note: '=1+1',
    })),
  ];
  const importFile = async (name: string, text: string) => {
    const path = info.outputPath(name);
    writeFileSync(path, text);
    await page.getByLabel(says('logbook.logbookFileImport')).setInputFiles(path);
  };
  const json = logJson('Other bench', theirs, []);
  await importFile('theirs.mesalog.json', json);
  await expect(page.getByText('5 entries added, 1 here already. 1 had the same id')).toBeVisible();
  await expect(page.getByText(says('logbook.newestFirst', { entries: '32 entries' }))).toBeVisible();
  await importFile('again.mesalog.json', json);
  await expect(page.getByText('0 entries added, 6 here already.')).toBeVisible();
  await importFile('newer.mesalog.json', json.replace('"version": 4', '"version": 5'));
  await expect(page.getByText(/version 5.*reads up to 4/)).toBeVisible();
  await importFile('cut.mesalog.json', json.slice(0, 900));
  await expect(page.getByText(says('files.fileCutShortJson'))).toBeVisible();
  await importFile('other.csv', 'a,b\n1,2\n');
  await expect(page.getByText(/It has no column “when/)).toBeVisible();
  expect(await storedLog(page)).toHaveLength(32);

  // Out as CSV and in again: nothing doubles, and no cell runs as a formula.
  await page.getByRole('searchbox', { name: says('logbook.findLog') }).fill('other tablet');
  await expect(page.getByText('5 entries of 32')).toBeVisible();
  const csv = page.waitForEvent('download');
  await page.getByRole('button', { name: says('common.save'), exact: true }).click();
  await page.getByRole('menuitem', { name: /as CSV/ }).click();
  const table = readFileSync(await (await csv).path(), 'utf8');
  expect(table).toContain("'=1+1");
  await page.getByRole('button', { name: says('logbook.clearFilters') }).click();

  // A chart opens the entries under it.
  await page.getByRole('radio', { name: says('logbook.charts') }).click();
  await page.getByRole('button', { name: says('inspect.fadedCornerEdge') }).click();
  await expect(page.getByText('9 entries of 32')).toBeVisible();
  await page.getByRole('radio', { name: says('common.overlay') }).click();
  await expect(page.getByText(fixedPart('logbook.faultsFollowPressThey'))).toBeVisible();
  await expect(page.getByText(/100 % lie at the back left corner/)).toBeVisible();

  // Corrected by a new entry: both stay, one counts.
  await page.getByRole('radio', { name: says('logbook.entries') }).click();
  await page
    .getByRole('region', { name: says('common.logbook') })
    .getByRole('link')
    .first()
    .click();
  await page.getByRole('button', { name: says('logbook.correctEntry2') }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel(says('common.spoiled')).fill('2');
  await dialog.getByRole('combobox', { name: says('common.cause') }).click();
  await page.getByRole('option', { name: says('inspect.pressureTooLight') }).click();
  await dialog.getByRole('button', { name: says('logbook.saveCorrection') }).click();
  await expect(page.getByText(says('logbook.correctsEntry'))).toBeVisible();
  await expect(
    page.getByText(says('common.goodSpoiled', { good: '2', seconds: 0, spoiled: '2' })),
  ).toBeVisible();
  await page.getByRole('link', { name: /2026/ }).first().click();
  await expect(page.getByText(fixedPart('logbook.entryLongerCountsWas'))).toBeVisible();
  await page.getByRole('link', { name: says('logbook.allEntries') }).click();
  await expect(
    page
      .getByText('32 entries of 33')
      .or(page.getByText(says('logbook.newestFirst', { entries: '32 entries' }))),
  ).toBeVisible();

  const pdf = page.waitForEvent('download');
  await page.getByRole('button', { name: says('common.save'), exact: true }).click();
  await page.getByRole('menuitem', { name: /month/ }).click();
  const path = info.outputPath('month.pdf');
  await (await pdf).saveAs(path);
  const words = execFileSync('pdftotext', ['-layout', path, '-'], { encoding: 'utf8' });
  expect(words).toContain('Dry Fork Bench');
  expect(words).toContain('Good out of pressed, by week');
});

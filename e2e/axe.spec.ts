import { fixedPart, says } from './words';
import { clean } from './axe';
import { address, expect, open, test } from './app';

// The clock of these paths is set.
test.use({ ownContext: true });

const JOB_STEPS = ['blank', 'measure', 'wrap', 'art', 'sheet', 'heat', 'press', 'inspect'];

test('no violation in the schedule, pricing, stock and finishing', async ({ bench: page }) => {
  await page.goto(`${address()}/schedule`);
  const jobs = page.getByRole('region', { name: says('common.jobs') });
  await jobs.getByRole('button', { name: /Star party/ }).click({ timeout: 30_000 });
  await expect(page.getByRole('region', { name: says('schedule.placeSchedule') })).toBeVisible();
  await clean(page, 'schedule');
  await page.goto(`${address()}/pricing?job=constellation-mugs`);
  await expect(page.getByRole('region', { name: says('pricing.quotes') })).toBeVisible({ timeout: 30_000 });
  await clean(page, 'pricing');
  await page.goto(`${address()}/stock`);
  await expect(page.getByRole('row', { name: /Tabloid/ })).toContainText('Order', { timeout: 30_000 });
  await clean(page, 'stock');
  for (const view of ['To order', 'Count']) {
    await page.getByRole('radio', { name: view }).click();
    await clean(page, view);
  }
  await page.getByRole('radio', { name: says('stock.allItems'), exact: true }).click();
  await page.getByRole('button', { name: '325 ml mug' }).click();
  await clean(page, 'one item');
  await page.getByRole('button', { name: says('stock.editPurchasing') }).click();
  await clean(page, 'item dialog');
  await page.goto(`${address()}/finish/star-map-panel`);
  await expect(page.getByRole('region', { name: says('finish.hanger') })).toBeVisible();
  await clean(page, 'finishing');
  await page.goto(`${address()}/schedule`);
  await page.getByRole('radio', { name: says('schedule.workLists') }).click();
  await expect(page.getByRole('region', { name: says('schedule.workLists') })).toBeVisible();
  await clean(page, 'work lists');
});

test('no violation in the printer settings and the check of a print', async ({ bench: page }) => {
  await open(page, '/job/constellation-mugs/sheet');
  await page.getByRole('button', { name: says('sheet.printerSettings') }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await clean(page, 'printer settings');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: says('sheet.checkPrint') }).click();
  await page.getByRole('checkbox').first().check();
  await clean(page, 'check of a print');
});

test('no violation in a dialog and in an empty job', async ({ bench: page }) => {
  await page.goto(`${address()}/blanks`);
  await page.getByRole('button', { name: says('shop.newBlank') }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await clean(page, 'blank dialog');
  await page.goto(address());
  await page.getByRole('button', { name: says('jobs.newJob') }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(says('jobs.newJob'));
  for (const t of JOB_STEPS) {
    await page.keyboard.press(String(JOB_STEPS.indexOf(t) + 1));
    await clean(page, `empty ${t}`);
  }
});

test('no violation in the choice of a press, the comparison, what a term means, and a search that finds nothing', async ({
  bench: page,
}) => {
  await open(page, '/job/comet-cans/heat');
  await page.getByText(says('heat.whyNotOthers')).click();
  await clean(page, 'choice of a press');
  await page
    .getByRole('button', { name: says('shell.showMeaning') })
    .first()
    .click();
  await expect(page.getByRole('dialog', { name: says('shell.glossary') })).toBeVisible();
  await clean(page, 'meaning');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: says('heat.comparePresses') }).click();
  await expect(page.getByRole('row').nth(2)).toContainText(/\d+\s?%/, { timeout: 60_000 });
  await clean(page, 'comparison');
  await page.keyboard.press('Escape');
  await page.goto(`${address()}/blanks`);
  await page.getByRole('searchbox', { name: says('blank.searchBlanks') }).fill('9 x 11 hardboard panel');
  await expect(page.getByRole('button', { name: says('blank.addBlankInstead') })).toBeVisible();
  await clean(page, 'nothing found');
});

test('no violation at the press, before, during and when time is up', async ({ bench: page }) => {
  await page.clock.install();
  await page.goto(`${address()}/press/star-party-tumblers`);
  await expect(page.getByRole('button', { name: says('press.firstPiece') })).toBeVisible();
  await clean(page, 'ready');
  await page.getByRole('button', { name: says('press.firstPiece') }).click();
  await page.getByRole('button', { name: says('press.loaded') }).click();
  await clean(page, 'step');
  await page.getByRole('button', { name: says('common.closed') }).click();
  await page.clock.fastForward(70_000);
  await expect(page.getByText('Time is up')).toBeVisible();
  await clean(page, 'time is up');
  await page.goto(`${address()}/pressing`);
  await expect(page.getByRole('region', { name: '1 · Tumbler press A' })).toBeVisible();
  await clean(page, 'all presses');
  await page.getByRole('button', { name: says('common.spoiled') }).click();
  await clean(page, 'spoiled');
  await page.getByRole('button', { name: says('inspect.ghosting') }).click();
  await page.getByRole('button', { name: says('press.moreFor', { name: '1 · Tumbler press A' }) }).click();
  await clean(page, 'more');
});

test('no violation where causes are sought, on the ladder, in the log and at the platen', async ({
  bench: page,
}) => {
  await open(page, '/job/star-map-panel/inspect');
  await page.getByRole('button', { name: says('inspect.fadedCornerEdge'), exact: true }).click();
  await page.getByRole('button', { name: says('inspect.fadedCornerEdge'), exact: true }).click();
  await page.getByRole('radio', { name: says('common.usedPaper') }).click();
  await clean(page, 'used paper');
  await page.getByRole('radio', { name: says('common.cause') }).click();
  await clean(page, 'cause');
  await page.getByRole('button', { name: says('inspect.sourcesTheseFigures') }).click();
  await clean(page, 'table of causes');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: says('inspect.lastGoodPiece') }).click();
  await clean(page, 'last good one');
  await page.keyboard.press('Escape');
  await page.getByRole('radio', { name: says('inspect.testLadder2') }).click();
  await clean(page, 'ladder');
  await page.goto(`${address()}/logbook`);
  await page.getByRole('button', { name: says('logbook.filter2') }).click();
  await page.getByRole('radio', { name: says('logbook.charts') }).click();
  await expect(page.getByText('good overall')).toBeVisible();
  await clean(page, 'charts');
  await page.getByRole('radio', { name: says('common.overlay') }).click();
  await expect(page.getByText(fixedPart('logbook.faultsFollowPressThey'))).toBeVisible();
  await clean(page, 'over each other');
  for (const path of ['logbook/log-panel-9', 'flatness/flat-press-b']) {
    await page.goto(`${address()}/${path}`);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.waitForTimeout(500);
    await clean(page, path);
  }
});

import { fixedPart, says } from './words';
import { address, expect, open, saved, storedRuns, test } from './app';
import type { Page } from '@playwright/test';

// The clock of these paths is set.
test.use({ ownContext: true });

const band = (page: Page, name: string) => page.getByRole('region', { name });

/** Begins a job at its press, by the screen it has of its own. */
async function begin(page: Page, job: string, query = ''): Promise<void> {
  await page.goto(`${address()}/press/${job}${query}`);
  await page.getByRole('button', { name: /^First (piece|load)$/ }).click();
  await expect(page.locator('[aria-current="step"]')).toBeVisible();
}

async function board(page: Page): Promise<void> {
  await page.goto(`${address()}/pressing`);
  await expect(page.getByRole('heading', { name: says('common.pressing') })).toBeVisible();
}

/** How many events all runs have together. */
const tapped = async (page: Page): Promise<number> =>
  (await storedRuns(page)).reduce((n, r) => n + r.events.length, 0);

test('two jobs side by side: space acts where hands are needed, a number on its own press', async ({
  bench: page,
}) => {
  await page.clock.install();
  await begin(page, 'star-party-tumblers');
  await begin(page, 'constellation-mugs');
  await board(page);
  const [one, two] = [band(page, '1 · Tumbler press A'), band(page, '2 · Mug press')];
  await expect(page.getByText(/^2 running · 0 of 42 pieces · finished about/)).toBeVisible();
  await page.clock.fastForward(1000);
  await page.keyboard.press('2');
  await expect(two).toContainText(says('common.close'));
  await page.clock.fastForward(1000);
  await page.keyboard.press('2');
  await expect(two).toHaveAttribute('data-need', 'nothing yet');
  // The other one has waited all along: it is the one that calls.
  await page.clock.fastForward(1000);
  await page.keyboard.press(' ');
  await expect(one).toContainText(says('common.close'));
  await page.clock.fastForward(1000);
  await page.keyboard.press(' ');
  await expect(one).toHaveAttribute('data-need', 'nothing yet');
  // A press that is on is left alone by space and by its number.
  await page.clock.fastForward(1000);
  await page.keyboard.press(' ');
  await page.keyboard.press('1');
  await expect(one).toHaveAttribute('data-step', /press-1/);
  await page.clock.fastForward(66_000);
  await expect(one).toHaveAttribute('data-need', 'time up');
  await expect(one).toContainText(says('press.timeUpOpen'));
  await expect(one).toContainText(/s over: \d+ % more dose, still good/);
  await page.keyboard.press(' ');
  await expect(one).toContainText(says('press.turnHalfRound'));
  const hands = page.getByRole('complementary', { name: says('press.hands') });
  await expect(hands.getByRole('listitem').first()).toContainText('1 · Turn half round');
  await expect(hands.getByRole('listitem').first()).toContainText(says('press.now'));
});

test('a piece spoiled: why in one tap, on the reprint list by name, on a sheet of its own; taken back by step and by load', async ({
  bench: page,
}) => {
  await begin(page, 'star-party-tumblers');
  await page
    .getByRole('button', { name: says('press.stopRun') })
    .or(page.getByRole('link', { name: says('press.stopRun') }))
    .click();
  await expect(page.getByRole('button', { name: says('job.startPressing') })).toBeVisible();
  await page.goto(`${address()}/press/star-party-tumblers`);
  await page.getByRole('textbox', { name: says('press.blanksHere') }).fill('23');
  await expect(page.getByText(says('press.short', { short: '1' }))).toBeVisible();
  // Known by now: one line, whole at a touch.
  await page.getByRole('button', { name: /^Show all \d+$/ }).click();
  await expect(page.getByText('the blank does not turn by hand')).toBeVisible();
  await page.getByRole('button', { name: says('press.firstPiece') }).click();
  await expect(page.locator('[aria-current="step"]')).toBeVisible();
  await board(page);
  const one = band(page, '1 · Tumbler press A');
  await one.getByRole('button', { name: says('common.spoiled') }).click();
  await page.getByRole('button', { name: says('inspect.ghosting') }).click();
  await expect(one).toContainText('load 2 of 24');
  const hands = page.getByRole('complementary', { name: says('press.hands') });
  await expect(hands).toContainText('Star party crew tumblers · piece 1');
  await expect(hands).toContainText(says('inspect.ghosting'));
  await expect(hands).toContainText(says('press.leftShort', { value: '22', left: '2' }));
  const more = async (item: string) => {
    await one.getByRole('button', { name: /^More for/ }).click();
    await page.getByRole('menuitem', { name: item }).click();
  };
  await more('Undo the last step');
  await expect(one).toContainText('load 1 of 24');
  await expect(hands).not.toContainText(says('inspect.ghosting'));
  await one.getByRole('button', { name: says('common.spoiled') }).click();
  await page.getByRole('button', { name: says('inspect.tapeShadow') }).click();
  await expect(one).toContainText('load 2 of 24');
  await page.waitForTimeout(500);
  await one.getByRole('button', { name: says('press.loaded') }).click();
  await expect(one).toContainText(says('common.close'));
  await more('Undo the whole load');
  await expect(one).toContainText('load 2 of 24');
  await expect(one).toContainText('Slide in');
  await more('Undo the whole load');
  await expect(one).toContainText('load 1 of 24');
  await one.getByRole('button', { name: says('common.spoiled') }).click();
  await page.getByRole('button', { name: says('inspect.tapeShadow') }).click();
  await expect(one).toContainText('load 2 of 24');
  await more('Stop the run');
  await expect(page.getByRole('heading', { name: says('press.pressRunning') })).toBeVisible();
  await open(page, '/job/star-party-tumblers/press');
  await page.getByRole('button', { name: says('press.printAgain2', { list: '1' }) }).click();
  await expect(page.getByText(says('sheet.reprintSheetOnly', { reprint: 'piece 1' }))).toBeVisible();
  await saved(page);
  await page.getByRole('button', { name: says('sheet.printAllPieces') }).click();
  await expect(page.getByText(fixedPart('sheet.reprintSheetOnly'))).toBeHidden();
});

test('one job over two presses: each takes what no press holds; other pieces can be laid; a busy press is handed over', async ({
  bench: page,
}) => {
  await begin(page, 'moon-and-star-ornaments');
  await board(page);
  const a = band(page, '1 · Flat press A');
  await expect(a).toContainText(says('press.piecesNumbered', { numbers: '1–10' }));
  await a.getByRole('button', { name: /^More for/ }).click();
  await page.getByRole('menuitem', { name: says('press.anotherPressToo') }).click();
  await page.getByRole('link', { name: 'Wide flat press B' }).click();
  await page.getByRole('button', { name: /^First load$/ }).click();
  await expect(page.locator('[aria-current="step"]')).toBeVisible();
  await board(page);
  const b = band(page, '2 · Wide flat press B');
  await expect(b).toContainText(/pieces 11–\d+/);
  await b.getByRole('button', { name: /^More for/ }).click();
  await page.getByRole('menuitem', { name: says('press.chooseOtherPieces') }).click();
  const dialog = page.getByRole('dialog');
  await expect(
    dialog.getByRole('button', { name: says('press.pieceNumbered', { number: '5' }), exact: true }),
  ).toBeHidden();
  await dialog
    .getByRole('button', { name: says('press.pieceNumbered', { number: '11' }), exact: true })
    .click();
  await dialog
    .getByRole('button', { name: says('press.pieceNumbered', { number: '39' }), exact: true })
    .click();
  await expect(
    dialog.getByRole('button', { name: says('press.pieceNumbered', { number: '39' }), exact: true }),
  ).toHaveAttribute('aria-pressed', 'true');
  await dialog.getByRole('button', { name: /^Lay pieces 12–/ }).click();
  await expect(b).toContainText('39');
  // The press wanted by another job: said, and handed over between two loads.
  await page.goto(`${address()}/press/slate-trail-markers`);
  await expect(
    page.getByText(says('press.isRunning', { press: 'Flat press A', name: 'Moon-and-star ornaments' })),
  ).toBeVisible();
  await page.getByRole('button', { name: says('press.handOverNow') }).click();
  await page.getByRole('button', { name: /^First (piece|load)$/ }).click();
  await expect(page.locator('[aria-current="step"]')).toBeVisible();
  await board(page);
  await expect(band(page, '1 · Flat press A')).toContainText('Slate trail markers');
});

test('hands between: taped, enough, boxed; what was counted is corrected; who presses is kept', async ({
  bench: page,
}) => {
  await begin(page, 'star-party-tumblers');
  await board(page);
  const hands = page.getByRole('complementary', { name: says('press.hands') });
  await expect(hands).toContainText(/0 ready, \d+ needed/);
  const add = hands.getByRole('button', { name: says('press.oneDone', { task: '1 · Tape up' }) });
  await add.click();
  await expect(hands).toContainText('1 ready');
  await add.click();
  await expect(hands).toContainText('2 ready');
  await hands.getByRole('button', { name: says('press.oneLess2', { task: '1 · Tape up' }) }).click();
  await expect(hands).toContainText('1 ready');
  await band(page, '1 · Tumbler press A')
    .getByRole('button', { name: says('press.loaded') })
    .click();
  await expect(hands).toContainText('0 ready');
  await page.getByRole('button', { name: says('press.operators') }).click();
  await page.getByRole('textbox', { name: says('common.name') }).fill('Ines');
  await page.getByRole('button', { name: says('press.add') }).click();
  await expect(page.getByRole('button', { name: says('press.operator', { person: 'Ines' }) })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: says('press.operator', { person: 'Ines' }) })).toBeVisible();
});

test('two tabs: one leads, the other follows and says so; a step tapped in both is one step', async ({
  bench: page,
  context,
}) => {
  await begin(page, 'star-party-tumblers');
  await board(page);
  const other = await context.newPage();
  await board(other);
  await expect(other.getByText(fixedPart('press.anotherTabControlsPresses'))).toBeVisible();
  await expect(page.getByText(fixedPart('press.anotherTabControlsPresses'))).toBeHidden();
  const before = await tapped(page);
  await other.keyboard.press(' ');
  await other.waitForTimeout(300);
  expect(await tapped(page)).toBe(before);
  await page.keyboard.press(' ');
  // What one does, the other shows.
  await expect(band(other, '1 · Tumbler press A')).toContainText(says('common.close'));
  await other.getByRole('button', { name: says('press.controlFromTab') }).click();
  await expect(page.getByText(fixedPart('press.anotherTabControlsPresses'))).toBeVisible();
  await expect(other.getByText(fixedPart('press.anotherTabControlsPresses'))).toBeHidden();
  await Promise.all([page.keyboard.press(' '), other.keyboard.press(' ')]);
  await expect(band(page, '1 · Tumbler press A')).toContainText('First side');
  expect(await tapped(page)).toBe(before + 2);
  await other.close();
  await expect(page.getByText(fixedPart('press.anotherTabControlsPresses'))).toBeHidden();
});

test('the clock set back an hour or on a day: no time at the press changes, in this page or the next', async ({
  bench: page,
}) => {
  await page.clock.install();
  await begin(page, 'star-party-tumblers');
  await page.getByRole('button', { name: says('press.loaded') }).click();
  await page.getByRole('button', { name: says('common.closed') }).click();
  await expect(page.getByRole('button', { name: says('press.handsOff2') })).toBeVisible();
  const leftS = async () => {
    const [m = '0', s = '0'] = ((await page.getByRole('timer').textContent()) ?? '').split(':');
    return Number(m) * 60 + Number(s);
  };
  await page.clock.runFor(5000);
  const first = await leftS();
  const set = async (byMs: number) => {
    const now = await page.evaluate(() => Date.now());
    await page.clock.setSystemTime(now + byMs);
    await page.clock.runFor(2000);
  };
  await set(-3600_000);
  await expect(page.getByText('The clock of this machine moved back 1 h.')).toBeVisible();
  expect(Math.abs(first - 2 - (await leftS()))).toBeLessThanOrEqual(1);
  await set(24 * 3600_000);
  await expect(page.getByText('The clock of this machine moved on 24 h.')).toBeVisible();
  expect(Math.abs(first - 4 - (await leftS()))).toBeLessThanOrEqual(1);
  const before = await leftS();
  await page.reload();
  await expect(page.getByRole('timer')).toBeVisible();
  expect(before - (await leftS())).toBeLessThanOrEqual(4);
  expect(before - (await leftS())).toBeGreaterThanOrEqual(0);
  // Moved on by less than a sleep: taken as time that passed, until somebody says it was not.
  await set(20_000);
  await expect(page.getByText('Treated as time that passed')).toBeVisible();
  const slept = await leftS();
  await page.getByRole('button', { name: says('press.treatClockCorrection') }).click();
  await page.clock.runFor(1000);
  expect((await leftS()) - slept).toBeGreaterThanOrEqual(18);
});

for (const size of [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
  { width: 390, height: 844 },
])
  test(`for gloves at ${size.width} × ${size.height}: nothing sticks out, every target is 64 px`, async ({
    bench: page,
  }) => {
    await page.setViewportSize(size);
    await begin(page, 'star-party-tumblers');
    await begin(page, 'constellation-mugs');
    await board(page);
    await expect(band(page, '2 · Mug press')).toBeVisible();
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
    expect(wide).toBeLessThanOrEqual(0);
    const small = await page.locator('main button').evaluateAll((all) =>
      all
        .map((b) => ({ name: b.textContent, box: b.getBoundingClientRect() }))
        .filter(({ box }) => box.width > 0 && box.height < 64)
        .map(({ name }) => name),
    );
    expect(small).toEqual([]);
  });

test('keyboard only: every control of a press is reached, and a dialog gives the focus back', async ({
  bench: page,
}) => {
  await begin(page, 'star-party-tumblers');
  await board(page);
  const one = band(page, '1 · Tumbler press A');
  await one.getByRole('button', { name: says('common.spoiled') }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
  await one.getByRole('button', { name: /^More for/ }).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('menuitem', { name: says('press.undoWholeLoad') })).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(one.getByRole('button', { name: /^More for/ })).toBeFocused();
});

test('while the page is not seen its clock goes on, and it calls by notification, and again', async ({
  bench: page,
}) => {
  await page.addInitScript(() => {
    const said: string[] = [];
    class Told {
      static readonly permission = 'granted';
      constructor(_title: string, { body }: { readonly body: string }) {
        said.push(body);
      }
    }
    Object.assign(window, { said, Notification: Told });
  });
  await page.clock.install();
  await begin(page, 'star-party-tumblers');
  await page.getByRole('button', { name: says('press.loaded') }).click();
  await page.getByRole('button', { name: says('common.closed') }).click();
  await expect(page.getByRole('button', { name: says('press.handsOff2') })).toBeVisible();
  await page.evaluate(() => {
    Object.defineProperty(document, 'hidden', { get: () => true });
    document.dispatchEvent(new Event('visibilitychange'));
  });
  const said = () => page.evaluate(() => (window as unknown as { said: string[] }).said);
  expect(await said()).toEqual([]);
  // The page's own timers stand; what wakes it is the worker's.
  await page.clock.pauseAt(new Date(Date.now() + 2000));
  await page.clock.setSystemTime(new Date(Date.now() + 70_000));
  await expect.poll(async () => (await said())[0]).toBe('Tumbler press A: time is up');
  await page.clock.setSystemTime(new Date(Date.now() + 80_000));
  await expect.poll(async () => (await said()).length).toBeGreaterThan(1);
});

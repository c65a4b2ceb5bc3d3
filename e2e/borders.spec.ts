import { fixedPart, says } from './words';
import { writeFileSync } from 'node:fs';
import { paintPng, RED } from '../src/core/formats/testPicture';
import { address, expect, figure, foot, open, openJobs, saved, takeReading, test } from './app';

test('readings that cannot be: said in words, kept, fixed in one touch', async ({ bench: page }) => {
  await open(page, '/job/star-party-tumblers/measure');
  await takeReading(page, 'Circumference near the rim', '8.4');
  const box = page.getByRole('region', { name: says('measure.circumferenceNearRim') });
  await expect(box.getByRole('alert')).toContainText('too small');
  await expect(foot(page)).toContainText(says('measure.didYouMean', { meant: '8.4 in' }));
  await box.getByRole('button', { name: says('measure.itWas', { suggestion: '8.4 in' }) }).click();
  await expect(box.getByRole('alert')).toHaveCount(0);
  for (const [text, problem] of [
    ['wide', 'cannot be read'],
    ['0', 'cannot be zero'],
    ['-5', 'below zero'],
    ['8 9/8', 'whole inch or more'],
  ] as const) {
    await takeReading(page, 'Circumference near the foot', text);
    const foot = page.getByRole('region', { name: says('measure.circumferenceNearFoot') });
    await expect(foot.getByRole('alert')).toContainText(problem);
    await foot.getByRole('button', { name: `Remove reading ${text}` }).click();
  }
});

test('pictures that cannot be: said in words, and the old picture stays', async ({ bench: page }, info) => {
  await open(page, '/job/star-party-tumblers/art');
  const before = await figure(page, says('art.resolution')).textContent();
  const whole = paintPng(80, 60, () => RED);
  const huge = Uint8Array.from(whole);
  new DataView(huge.buffer).setUint32(16, 20000);
  new DataView(huge.buffer).setUint32(20, 20000);
  const scrambled = Uint8Array.from(whole);
  scrambled.fill(7, 50, whole.length - 20);
  const cases: readonly (readonly [string, Uint8Array, RegExp])[] = [
    ['short.png', whole.subarray(0, whole.length - 30), /cut short/],
    ['empty.png', new Uint8Array(0), /empty/],
    ['huge.png', huge, /400 megapixels/],
    ['notes.png', new TextEncoder().encode('shopping list: tape, paper'), /not a picture known here/],
    [
      'script.svg',
      new TextEncoder().encode(
        '<svg xmlns="http://www.w3.org/2000/svg"><script>document.title="owned"</script></svg>',
      ),
      /does not say its size/,
    ],
    ['scrambled.png', scrambled, /does not open|damaged/],
  ];
  for (const [name, bytes, problem] of cases) {
    const path = info.outputPath(name);
    writeFileSync(path, bytes);
    await page.getByLabel(says('art.pictureFile')).setInputFiles(path);
    await expect(page.getByText(problem).first()).toBeVisible();
  }
  expect(await figure(page, says('art.resolution')).textContent()).toBe(before);
  expect(await page.title()).not.toBe('owned');
});

test('job files that cannot be read change nothing', async ({ bench: page }, info) => {
  await openJobs(page);
  const importFile = async (name: string, text: string) => {
    const path = info.outputPath(name);
    writeFileSync(path, text);
    await page.getByLabel(says('common.jobFile')).setInputFiles(path);
  };
  await importFile('cut.json', '{"format":"mesa-drift.job","version":1,"job":{');
  await expect(page.getByText(fixedPart('files.fileCutShortJson'))).toBeVisible();
  await importFile('new.json', '{"format":"mesa-drift.job","version":16}');
  await expect(page.getByText(/version 16.*reads up to 15.*Update/)).toBeVisible();
  await importFile('other.json', '{"hello":1}');
  await expect(page.getByText(/not a job file/)).toBeVisible();
  await expect(page.getByText('10 open jobs')).toBeVisible();
});

test('a script in a name stays a name', async ({ bench: page }) => {
  await open(page, '/job/star-party-tumblers/blank');
  await page.getByRole('heading', { level: 1 }).getByRole('button').click();
  await page.getByLabel(says('common.name')).fill('<img src=x onerror="document.title=\'owned\'">');
  await page.getByRole('button', { name: says('common.save'), exact: true }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('<img src=x');
  await saved(page);
  await page.goto(address());
  await expect(page.getByRole('link', { name: /<img src=x/ })).toBeVisible();
  expect(await page.title()).not.toBe('owned');
});

test('storage full: said, kept on the screen, saved once there is room', async ({ bench: page }) => {
  await open(page, '/job/star-party-tumblers/wrap');
  await page.evaluate(() => {
    const put = IDBObjectStore.prototype.put;
    Object.assign(window, { room: () => void (IDBObjectStore.prototype.put = put) });
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await page.getByLabel(says('common.bleed')).fill('5');
  await expect(page.getByRole('alert').filter({ hasText: says('files.browsersStorageFull') })).toBeVisible();
  await expect(page.getByLabel(says('common.bleed'))).toHaveValue('5');
  const file = page.waitForEvent('download');
  await page.getByRole('button', { name: says('common.saveFile') }).click();
  expect((await file).suggestedFilename()).toBe('star-party-crew-tumblers.mesajob.json');
  await page.evaluate(() => (window as unknown as { room: () => void }).room());
  await page.getByRole('button', { name: says('common.tryAgain') }).click();
  await saved(page);
});

test('storage refused: a plain page, not a blank one', async ({ browser }) => {
  const page = await (await browser.newContext()).newPage();
  await page.addInitScript(() => {
    indexedDB.open = () => {
      throw new DOMException('denied', 'SecurityError');
    };
  });
  await page.goto(address());
  await expect(page.getByRole('heading', { name: says('shell.shopCannotOpened') })).toBeVisible();
  await expect(page.getByText(fixedPart('files.browserRefusesStoreAnything'))).toBeVisible();
  await expect(page.getByRole('button', { name: says('common.tryAgain') })).toBeVisible();
});

test('two tabs on one job: an idle tab follows, a busy one is asked, nothing is lost', async ({
  bench: page,
}) => {
  await open(page, '/job/star-party-tumblers/wrap');
  const other = await page.context().newPage();
  await open(other, '/job/star-party-tumblers/wrap');
  await page.getByLabel(says('common.bleed')).fill('4');
  await saved(page);
  await expect(other.getByLabel(says('common.bleed'))).toHaveValue('4');

  // The other tab types while it cannot yet save, and this one saves first.
  await other.evaluate(() => {
    const put = IDBObjectStore.prototype.put;
    Object.assign(window, { room: () => void (IDBObjectStore.prototype.put = put) });
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await other.getByLabel(says('common.safeZone')).fill('9');
  await expect(other.getByRole('alert').filter({ hasText: 'Not saved' })).toBeVisible();
  await page.getByLabel(says('common.bleed')).fill('2');
  await saved(page);
  await other.evaluate(() => (window as unknown as { room: () => void }).room());
  await expect(
    other.getByRole('alert').filter({ hasText: fixedPart('job.anotherTabChangedJob') }),
  ).toBeVisible();
  await other.getByRole('button', { name: says('job.keepMineCopy') }).click();
  await expect(other.getByRole('heading', { level: 1 })).toContainText('(my edits)');
  await other.keyboard.press('3');
  await expect(other.getByLabel(says('common.safeZone'))).toHaveValue('9');
  await expect(page.getByLabel(says('common.bleed'))).toHaveValue('2');
});

test('what was typed when the tab closed is there when it opens again', async ({ bench: page }) => {
  await open(page, '/job/star-party-tumblers/measure');
  await page.evaluate(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('closing', 'AbortError');
    };
  });
  const spare = page
    .getByRole('region', { name: says('measure.circumferenceNearRim') })
    .getByRole('textbox', { name: says('measure.anotherReading') });
  await spare.fill('233');
  await page.close({ runBeforeUnload: false });
  const again = await page.context().newPage();
  await open(again, '/job/star-party-tumblers/measure');
  await expect(
    again.getByRole('button', { name: says('measure.removeReading', { reading: '233' }) }),
  ).toBeVisible();
  await saved(again);
});

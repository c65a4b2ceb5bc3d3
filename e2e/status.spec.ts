import { says } from './words';
import { demoShop } from '../src/core/demo/demoShop';
import { fileText, makeJobFile } from '../src/core/formats/jobFile';
import { MOST_LAYERS, textLayer } from '../src/core/job/art';
import { address, expect, open, openJobs, saved, test } from './app';

const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));

test('the list of jobs says where a job stands, and says otherwise once it stands otherwise', async ({
  bench: page,
}) => {
  await openJobs(page);
  const traveller = page.getByRole('listitem').filter({ hasText: 'Star party crew tumblers' }).first();
  await expect(traveller).toContainText(/Press: /);
  await expect(traveller).not.toContainText('Measure: ');
  await open(page, '/job/star-party-tumblers/measure');
  const row = page
    .getByRole('region', { name: says('measure.circumferenceNearRim') })
    .getByRole('textbox')
    .first();
  await row.fill('23');
  await row.press('Enter');
  await saved(page);
  await page.goto(address());
  await expect(traveller).toContainText('Measure: ');
  // Kept: opened again it is there at once, with nothing to be calculated.
  await page.reload();
  await expect(traveller).toContainText('Measure: ');
  await expect(page.getByText(says('common.calculatingNow'))).toHaveCount(0);
});

test('a thing of the shop taken out is seen on every job that used it', async ({ bench: page }) => {
  await openJobs(page);
  const traveller = page.getByRole('listitem').filter({ hasText: 'Slate trail markers' }).first();
  await expect(traveller).toContainText(/(Press|Heat|Art|Sheet|Wrap|Measure): /);
  const text = await traveller.innerText();
  await page.goto(`${address()}/presses`);
  for (const name of ['Flat press A', 'Wide flat press B']) {
    await page.getByRole('button', { name: `Remove ${name}` }).click();
    await expect(page.getByRole('button', { name: `Remove ${name}` })).toHaveCount(0);
  }
  await page.goto(address());
  await expect.poll(() => traveller.innerText()).not.toBe(text);
});

test('one layer too many is refused in words, and none is lost', async ({ bench: page }) => {
  await openJobs(page);
  const job = jobs.find((j) => j.id === 'star-party-tumblers');
  if (!job) throw new Error('the demo has tumblers');
  const layers = Array.from({ length: MOST_LAYERS }, (_, i) =>
    textLayer(`w${i}`, `Word ${i + 1}`, { along: 'line', capHeightMm: 3, dyMm: 6 * i - 70 }),
  );
  const full = { ...job, name: 'A full pile', art: { ...job.art, layers } };
  await page.getByLabel(says('common.jobFile')).setInputFiles({
    name: 'full.json',
    mimeType: 'application/json',
    buffer: Buffer.from(fileText(makeJobFile(full, shop, []))),
  });
  await expect(page.getByRole('heading', { level: 1 })).toContainText('A full pile');
  await page.keyboard.press('4');
  await page.getByRole('button', { name: says('art.text'), exact: true }).click();
  await expect(page.getByText(`There are ${MOST_LAYERS} layers already.`)).toBeVisible();
  await expect(page.getByText('“Word 1”').first()).toBeVisible();
});

import { says } from './words';
import { withPages } from '../src/core/plan/sheet/pages';
import { english } from '../src/words/english';
import { written } from '../src/words/written';
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { readJobFile } from '../src/core/formats/jobFile';
import { paintPng, quarters } from '../src/core/formats/testPicture';
import { planAnswered } from '../src/core/plan/planAnswered';
import { address, expect, open, saved, test } from './app';

const plain = () => process.env.MESA_PLAIN_ADDRESS ?? '';

test('a job saved to a file and opened in an empty browser is identical, and plans the same everywhere', async ({
  bench: page,
  browser,
  request,
}, info) => {
  await open(page, '/job/star-party-tumblers/art');
  const picture = info.outputPath('own.png');
  writeFileSync(picture, paintPng(300, 200, quarters(300, 200)));
  await page.getByLabel(says('art.pictureFile')).setInputFiles(picture);
  await expect(page.getByRole('complementary')).toContainText('300 × 200 px');
  await saved(page);
  const first = info.outputPath('first.json');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: says('job.saveJobFile') }).click();
  await (await download).saveAs(first);
  const text = readFileSync(first, 'utf8');

  const elsewhere = await (await browser.newContext()).newPage();
  await elsewhere.goto(plain());
  await expect(elsewhere.getByRole('heading', { name: says('jobs.jobsYet') })).toBeVisible();
  await elsewhere.getByLabel(says('common.jobFile')).setInputFiles(first);
  await expect(elsewhere.getByRole('heading', { level: 1 })).toContainText('Star party crew tumblers');
  const second = info.outputPath('second.json');
  const again = elsewhere.waitForEvent('download');
  await elsewhere.getByRole('button', { name: says('job.saveJobFile') }).click();
  await (await again).saveAs(second);
  expect(readFileSync(second, 'utf8')).toBe(text);

  const file = readJobFile(text);
  if (!file.ok) throw new Error(file.problem.what.id);
  const expected: unknown = JSON.parse(
    JSON.stringify(
      written(withPages(planAnswered(file.value.job, file.value.shop), english.text), english.text),
    ),
  );
  const answer = await request.post(`${address()}/api/plan`, {
    data: text,
    headers: { 'content-type': 'application/json' },
  });
  expect(await answer.json()).toEqual(expected);
  const printed = execFileSync('npm', ['run', '-s', 'plan', '--', first], {
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'ignore'],
  });
  expect(JSON.parse(printed)).toEqual(expected);
});

test('the whole shop, saved and restored', async ({ bench: page }, info) => {
  await page.goto(`${address()}/settings`);
  const save = async (name: string) => {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: says('shop.saveShopFile') }).click();
    const path = info.outputPath(name);
    await (await download).saveAs(path);
    return path;
  };
  const before = await save('before.json');
  await page.getByRole('textbox', { name: says('common.bleed'), exact: true }).fill('7');
  await page.goto(address());
  await page.getByRole('button', { name: says('jobs.delete', { job: 'Trail guide bottles' }) }).click();
  await page.getByRole('button', { name: says('jobs.delete3'), exact: true }).click();
  await expect(page.getByText('9 open jobs')).toBeVisible();
  await page.goto(`${address()}/settings`);
  await page.getByLabel(says('common.shopFile')).setInputFiles(before);
  await expect(page.getByRole('dialog')).toContainText('10 jobs');
  await page.getByRole('button', { name: says('shop.replaceShop2') }).click();
  await expect(page.getByText(says('shop.shopRestored'))).toBeVisible();
  await expect(page.getByRole('textbox', { name: says('common.bleed'), exact: true })).toHaveValue('3');
  expect(readFileSync(await save('after.json'), 'utf8')).toBe(readFileSync(before, 'utf8'));
});

test('an empty list of jobs teaches the first step and can show the demo shop', async ({ browser }) => {
  const page = await (await browser.newContext()).newPage();
  await page.goto(plain());
  await page.getByRole('button', { name: says('jobs.openDemoShop') }).click();
  await expect(page.getByRole('link', { name: 'Star party crew tumblers' })).toBeVisible();
});

test('no page may evaluate text as code, and nothing comes from elsewhere', async ({ bench: page }) => {
  const answer = await page.goto(address());
  const policy = answer?.headers()['content-security-policy'] ?? '';
  expect(policy).toContain("default-src 'self'");
  expect(policy).not.toContain('unsafe-eval');
  expect(policy).toMatch(/script-src 'self' 'nonce-[^']+' 'strict-dynamic'/);
});

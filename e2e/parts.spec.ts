import { fixedPart, says } from './words';
import { expect, open, test } from './app';

// Scripts are kept from being loaded here.
test.use({ ownContext: true });

const PARTS = '**/_next/static/**';

test('a part of the program that cannot be loaded: said, the page kept, and done once it comes', async ({
  bench: page,
  context,
}) => {
  await open(page, '/job/star-party-tumblers/sheet');
  await expect(page.getByRole('button', { name: says('sheet.savePdf') })).toBeEnabled();
  await context.route(PARTS, (route) => route.abort());
  const gone = page.getByRole('alert').filter({ hasText: says('shell.partProgramCouldLoaded') });
  await page.getByRole('button', { name: says('sheet.testPrint') }).click();
  await expect(gone).toContainText(fixedPart('shell.yourWorkKeptCheck'));
  await gone.getByRole('button', { name: says('common.tryAgain') }).click();
  await expect(gone).toBeVisible();
  await context.unroute(PARTS);
  await gone.getByRole('button', { name: says('common.tryAgain') }).click();
  await expect(gone).toHaveCount(0);
  // The sheet is printed in a worker first.
  await expect(
    page.getByRole('dialog').getByRole('slider', { name: fixedPart('sheet.steelRuleArrowKeys') }),
  ).toBeVisible({
    timeout: 30_000,
  });
});

test('a worker that cannot be loaded: Save PDF reports it, and saves once it loads', async ({
  bench: page,
  context,
}) => {
  await context.route(PARTS, (route) =>
    /worker/i.test(route.request().url()) ? route.abort() : route.continue(),
  );
  await open(page, '/job/star-party-tumblers/sheet');
  const gone = page.getByRole('alert').filter({ hasText: says('shell.partProgramCouldLoaded') });
  await expect(gone).toBeVisible();
  await context.unroute(PARTS);
  await gone.getByRole('button', { name: says('common.tryAgain') }).click();
  await expect(gone).toHaveCount(0);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: says('sheet.savePdf') }).click();
  expect((await download).suggestedFilename()).toBe('star-party-crew-tumblers.pdf');
});

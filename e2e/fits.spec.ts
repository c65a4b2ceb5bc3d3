import { opening, says } from './words';
import { address, expect, open, test } from './app';

// The clock of these paths is set.
test.use({ ownContext: true });

const SIZES = [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
  { width: 390, height: 844 },
];

for (const size of SIZES) {
  test(`at the press the digits and the next step are in sight at ${size.width} × ${size.height}`, async ({
    bench: page,
  }) => {
    await page.setViewportSize(size);
    await page.clock.install();
    await page.goto(`${address()}/press/star-party-tumblers`);
    await page.getByRole('button', { name: says('press.firstPiece') }).click();
    await page.getByRole('button', { name: says('press.loaded') }).click();
    await page.getByRole('button', { name: says('common.closed') }).click();
    for (const ahead of [1000, 70_000]) {
      await page.clock.fastForward(ahead);
      await page.waitForTimeout(300);
      const timer = await page.getByRole('timer').boundingBox();
      const button = await page
        .getByRole('button', { name: ahead > 65_000 ? 'Opened' : 'Hands off' })
        .boundingBox();
      for (const box of [timer, button]) {
        if (!box) throw new Error('out of sight');
        expect(box.x).toBeGreaterThanOrEqual(0);
        expect(box.x + box.width).toBeLessThanOrEqual(size.width);
        expect(box.y + box.height).toBeLessThanOrEqual(size.height);
      }
      expect(button?.height ?? 0).toBeGreaterThanOrEqual(60);
    }
  });
}

test('on a phone: the sheet is seen whole, the price has its heading, the log its cells, findings their width', async ({
  bench: page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const heightOf = async (name: string) =>
    (await page.getByRole('navigation', { name }).boundingBox())?.height ?? Infinity;
  await open(page, '/job/star-party-tumblers/sheet');
  expect(await heightOf('Steps of the job')).toBeLessThan(844 / 8);
  const sheet = page.getByRole('img', { name: opening('sheet.sheetPrinted') });
  await expect(sheet).toBeInViewport({ ratio: 0.95 });
  expect((await sheet.boundingBox())?.height).toBeGreaterThan(280);
  await open(page, '/job/star-party-tumblers/heat');
  const finding = page
    .getByRole('region', { name: says('job.findings'), exact: true })
    .locator('[aria-live]');
  expect((await finding.boundingBox())?.width).toBeGreaterThan(300);

  await page.goto(`${address()}/pricing`);
  const heading = page
    .getByRole('region', { name: says('common.price') })
    .getByRole('heading', { level: 2 })
    .first();
  await expect(heading).toBeInViewport({ ratio: 1 });
  expect(await heightOf('Shop')).toBeLessThan(844 / 8);
  await expect(
    page
      .getByRole('navigation', { name: says('common.shop') })
      .getByRole('link', { name: says('common.pricing') }),
  ).toBeInViewport();

  await page.goto(`${address()}/logbook`);
  const cells = page.getByRole('row').first().getByRole('cell');
  await expect(cells.first()).toBeVisible();
  for (const box of await Promise.all((await cells.all()).map((c) => c.boundingBox())))
    expect((box?.x ?? 0) + (box?.width ?? 0)).toBeLessThanOrEqual(390);
});

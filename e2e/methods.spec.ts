import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { deflateSync } from 'node:zlib';
import { crc32 } from '../src/core/formats/png';
import { fixedPart, says } from './words';
import { address, expect, figure, foot, open, saved, storedRuns, test } from './app';

/** A PNG of one colour with no resolution of its own: what another program may give back. */
function plainPng(widthPx: number, heightPx: number): Buffer {
  const chunk = (type: string, data: Buffer): Buffer => {
    const body = Buffer.concat([Buffer.from(type), data]);
    const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)];
    length.writeUInt32BE(data.length);
    sum.writeUInt32BE(crc32(body));
    return Buffer.concat([length, body, sum]);
  };
  const head = Buffer.alloc(13);
  head.writeUInt32BE(widthPx, 0);
  head.writeUInt32BE(heightPx, 4);
  head.set([8, 2, 0, 0, 0], 8);
  const row = Buffer.concat([Buffer.from([0]), Buffer.alloc(widthPx * 3, 0x55)]);
  const rows = deflateSync(Buffer.concat(Array.from({ length: heightPx }, () => row)));
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', head),
    chunk('IDAT', rows),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

test('working methods: a job uses the shop’s, and its own where it has them', async ({ bench: page }) => {
  await page.goto(`${address()}/settings`);
  const methods = page.getByRole('region', { name: says('methods.title') });
  await methods.getByRole('combobox', { name: says('methods.rims') }).click();
  await page.getByRole('option', { name: says('methods.rimsLifting') }).click();
  await expect(methods).toContainText(fixedPart('methods.rimsLiftingCost'));
  await page.goto(`${address()}/press/star-party-tumblers`);
  await expect(page.getByText(says('press.tapeRimsLifting'))).toBeVisible();

  await open(page, '/job/star-party-tumblers/press');
  await page.getByRole('button', { name: fixedPart('methods.ofJob') }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('combobox', { name: says('methods.rims') }).click();
  await page.getByRole('option', { name: says('common.none'), exact: true }).click();
  await dialog.getByRole('combobox', { name: says('methods.cleaning') }).click();
  await page.getByRole('option', { name: says('methods.dryCloth') }).click();
  await page.keyboard.press('Escape');
  await saved(page);
  await page.goto(`${address()}/press/star-party-tumblers`);
  await expect(page.getByText(says('press.wipeDryCloth'))).toBeVisible();
  await expect(page.getByText(says('press.tapeRimsLifting'))).toHaveCount(0);
});

test('paper past the rim is cut on the piece, and tails are pulled by', async ({ bench: page }) => {
  await open(page, '/job/star-party-tumblers/wrap');
  const rim = page.getByRole('textbox', { name: says('wrap.setbackRim') });
  await rim.fill('-4');
  await rim.press('Enter');
  await expect(figure(page, says('wrap.pastEdge'))).toContainText('4');
  await page.getByRole('combobox', { name: says('wrap.tail') }).click();
  await page.getByRole('option', { name: '25 mm' }).click();
  await expect(figure(page, says('wrap.tail'))).toContainText('25');
  await page.getByRole('radio', { name: says('wrap.leftStanding') }).click();
  await expect(foot(page)).toContainText(says('wrap.standsOutCost'));
  await page.getByRole('radio', { name: says('wrap.cutOnPiece') }).click();
  await saved(page);
  await page.goto(`${address()}/press/star-party-tumblers`);
  await expect(page.getByText(says('press.cutAtEdge'))).toBeVisible();
  await expect(page.getByText(says('press.pullTails'))).toBeVisible();
});

test('a design made in the template comes back at 1:1', async ({ bench: page }, info) => {
  await open(page, '/job/constellation-mugs/art');
  await page.getByRole('button', { name: says('art.template'), exact: true }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('9.49 × 3.54 in');
  const download = page.waitForEvent('download');
  await dialog.getByRole('button', { name: says('art.saveTemplatePng') }).click();
  const template = info.outputPath('template.png');
  await (await download).saveAs(template);
  const bytes = readFileSync(template);
  const [widthPx, heightPx] = [bytes.readUInt32BE(16), bytes.readUInt32BE(20)];
  // Colour type 6: clear where no line is drawn.
  expect(bytes[25]).toBe(6);
  await page.keyboard.press('Escape');
  await page.getByLabel(says('art.pictureFile')).setInputFiles({
    name: 'finished.png',
    mimeType: 'image/png',
    buffer: plainPng(widthPx, heightPx),
  });
  await expect(page.getByText(fixedPart('art.isTemplate')).first()).toBeVisible();
  const size = page.getByRole('region', { name: says('art.size') });
  await expect(size.getByLabel(says('common.width'), { exact: true })).toHaveValue('241.1');
  await expect(size.getByLabel(says('common.height'), { exact: true })).toHaveValue('90');
  await saved(page);

  await open(page, '/job/constellation-mugs/sheet');
  const pdf = page.waitForEvent('download');
  await page.getByRole('button', { name: says('sheet.savePdf') }).click();
  const file = info.outputPath('mugs.pdf');
  await (await pdf).saveAs(file);
  const list = execFileSync('pdfimages', ['-list', file], { encoding: 'utf8' });
  const mine = list.split('\n').find((l) => new RegExp(`\\s${widthPx}\\s+${heightPx}\\s`).test(l));
  // As many pixels to the inch as the template had: as large as its lines, within a tenth of a millimetre on 241.
  const [x, y] = (mine ?? '').trim().split(/\s+/).slice(12, 14).map(Number);
  expect([x, y]).toEqual([300, 300]);
});

test('a picture is sized in real units about a fixed point, aligned and duplicated', async ({
  bench: page,
}) => {
  await open(page, '/job/constellation-mugs/art');
  const size = page.getByRole('region', { name: says('art.size') });
  const width = size.getByLabel(says('common.width'), { exact: true });
  await width.fill('80');
  await width.press('Enter');
  await expect(size.getByLabel(says('common.height'), { exact: true })).toHaveValue('40');
  await size.getByLabel(says('art.widthPx')).fill('1181');
  await size.getByLabel(says('art.widthPx')).press('Enter');
  await expect(width).toHaveValue('100');
  await size.getByRole('checkbox', { name: says('art.keepRatio') }).uncheck();
  await size.getByLabel(says('common.height'), { exact: true }).fill('60');
  await size.getByLabel(says('common.height'), { exact: true }).press('Enter');
  await expect(width).toHaveValue('100');
  await size.getByRole('button', { name: says('art.ownRatio') }).click();
  await expect(size.getByLabel(says('common.height'), { exact: true })).toHaveValue('60');
  await expect(width).toHaveValue('120');
  // What the application draws has no resolution of its own.
  await expect(size.getByRole('button', { name: says('art.actualSize') })).toBeDisabled();
  await page.getByRole('button', { name: says('art.alignTop') }).click();
  await page.getByRole('button', { name: says('art.duplicateLayer') }).click();
  const layers = page.getByRole('region', { name: says('art.layersTopmostFirst') });
  await expect(layers.getByRole('listitem')).toHaveCount(3);
  await saved(page);
});

test('the pressure is noted with a run and offered again', async ({ bench: page }) => {
  await page.goto(`${address()}/press/star-party-tumblers`);
  const shown = page.getByLabel(says('press.pressureShown', { scale: 'turns' }));
  await expect(shown).toHaveValue('3.5');
  await shown.fill('hard');
  await page.getByRole('button', { name: says('press.firstPiece') }).click();
  await expect(page.getByText(says('press.pressureNotNumber')).first()).toBeVisible();
  await shown.fill('4');
  await page.getByRole('button', { name: says('press.firstPiece') }).click();
  await expect(page.getByRole('timer')).toBeVisible();
  await page.getByRole('link', { name: says('press.stopRun') }).click();
  await expect(page.getByRole('button', { name: says('job.startPressing') })).toBeVisible();
  expect((await storedRuns(page)).find((r) => r.jobId === 'star-party-tumblers')?.pressureAt).toBe(4);
  // Another job of another size on this press is told what it was set for.
  await page.goto(`${address()}/press/star-party-tumblers`);
  await expect(shown).toHaveValue('4');
  await page.goto(`${address()}/press/trail-guide-bottles`);
  await expect(page.getByText(/^Last set for “590 ml straight steel”/)).toBeVisible();
});

test('taped again, good with a flaw, and stuck paper soaked off: counted apart, through to the inspection', async ({
  bench: page,
}) => {
  await page.goto(`${address()}/press/star-party-tumblers`);
  await page.getByRole('button', { name: says('press.firstPiece') }).click();
  const check = page.getByRole('heading', { name: says('press.checkTitle') });
  await expect(check).toBeVisible();
  await page.getByRole('button', { name: says('press.tapeAgain') }).click();
  await expect(page.getByText(says('press.retaped'))).toBeVisible();

  await page.getByRole('button', { name: says('common.spoiled'), exact: true }).click();
  await page
    .getByRole('dialog')
    .getByRole('radio', { name: says('common.seconds') })
    .click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: says('inspect.ghosting') })
    .click();
  await expect(page.getByText(says('press.pieceNumbered', { number: '2 of 24' }))).toBeVisible();

  await page.getByRole('button', { name: says('common.spoiled'), exact: true }).click();
  await page
    .getByRole('dialog')
    .getByRole('radio', { name: says('press.soakIt') })
    .click();
  await expect(page.getByText(fixedPart('press.soakingPiece'))).toBeVisible();
  await page
    .getByRole('listitem')
    .filter({ hasText: fixedPart('press.soakingPiece') })
    .getByRole('button', { name: says('common.good22'), exact: true })
    .click();
  await expect(page.getByText(fixedPart('press.soakingPiece'))).toHaveCount(0);
  await page.getByRole('link', { name: says('press.stopRun') }).click();
  await open(page, '/job/star-party-tumblers/inspect');
  await expect(page.getByLabel(says('common.goodPieces'))).toHaveValue('1');
  await expect(page.getByLabel(says('common.seconds'))).toHaveValue('1');
  await expect(page.getByLabel(says('common.spoiled'))).toHaveValue('0');
});

test('a piece left wrapped counts to when its paper may come off', async ({ bench: page }) => {
  await page.goto(`${address()}/press/slate-trail-markers`);
  await page.getByRole('button', { name: /^First/ }).click();
  const next = async (name: string) => page.getByRole('button', { name, exact: true }).click();
  await next(says('press.loaded'));
  await next(says('common.closed'));
  await next(says('press.openedEarly'));
  await next(says('press.peeled'));
  await next(says('press.nextPiece'));
  const clock = page.getByRole('listitem').filter({ hasText: fixedPart('press.peelPieces') });
  await expect(clock).toContainText(/in \d+:\d\d/);
});

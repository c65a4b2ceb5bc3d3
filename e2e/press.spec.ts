import { says } from './words';
import { address, expect, test } from './app';

test('a reload in the middle of a press leaves the timer right', async ({ bench: page }) => {
  await page.goto(`${address()}/press/star-party-tumblers`);
  await page.getByRole('button', { name: says('press.firstPiece') }).click();
  await expect(page.locator('[aria-current="step"]')).toContainText('Slide in');
  await page.keyboard.press(' ');
  await expect(page.locator('[aria-current="step"]')).toContainText(says('common.close'));
  await page.keyboard.press(' ');
  await expect(page.locator('[aria-current="step"]')).toContainText('First side');
  const began = Date.now();
  const leftS = async () => {
    const [m = '0', s = '0'] = ((await page.getByRole('timer').textContent()) ?? '').split(':');
    return Number(m) * 60 + Number(s);
  };
  await page.waitForTimeout(2500);
  await page.reload();
  await expect(page.getByRole('timer')).toBeVisible();
  const shown = await leftS();
  const due = 65 - (Date.now() - began) / 1000;
  expect(Math.abs(shown - due)).toBeLessThanOrEqual(1.6);
  await expect(page.locator('[aria-current="step"]')).toContainText('First side');
});

test('back, spoiled and stop; an early opening is the hand’s own choice', async ({ bench: page }) => {
  await page.goto(`${address()}/press/star-party-tumblers`);
  await page.getByRole('button', { name: says('press.firstPiece') }).click();
  await page.getByRole('button', { name: says('press.loaded') }).click();
  await page.getByRole('button', { name: says('common.undo') }).click();
  await expect(page.locator('[aria-current="step"]')).toContainText('Slide in');
  await page.getByRole('button', { name: says('press.loaded') }).click();
  await page.getByRole('button', { name: says('common.closed') }).click();
  await page.getByRole('button', { name: says('press.handsOff2') }).click({ force: true });
  await expect(page.locator('[aria-current="step"]')).toContainText('First side');
  await page.getByRole('button', { name: says('press.openedEarly') }).click();
  await expect(page.locator('[aria-current="step"]')).toContainText(says('press.turnHalfRound'));
  await page.getByRole('button', { name: says('common.spoiled') }).click();
  await page.getByRole('button', { name: says('inspect.ghosting') }).click();
  await expect(page.getByText(says('press.pieceNumbered', { number: '2 of 24' }))).toBeVisible();
  await expect(page.getByText('1 spoiled')).toBeVisible();
  await page.getByRole('link', { name: says('press.stopRun') }).click();
  await expect(page.getByRole('button', { name: says('job.startPressing') })).toBeVisible();
  await expect(page.getByRole('navigation', { name: says('job.stepsJob') })).toContainText(
    '0 of 24 pieces, 1 spoiled',
  );
});

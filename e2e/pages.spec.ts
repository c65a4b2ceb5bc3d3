import { says } from './words';
import type { Page } from '@playwright/test';
import { clean } from './axe';
import { address, expect, figure, open, test } from './app';

const JOB_STEPS = ['blank', 'measure', 'wrap', 'art', 'sheet', 'heat', 'press', 'inspect'];
const SHOP = ['', 'blanks', 'presses', 'papers', 'logbook', 'settings'];
/** Looked over for violations elsewhere, once more of them is open. */
const SHOP_FITS = ['schedule', 'pricing', 'stock', 'finish/star-map-panel'];
/** The last is the one the checks go on at. */
const SIZES = [
  { width: 390, height: 844 },
  { width: 1024, height: 768 },
  { width: 1280, height: 800 },
];

const wide = (page: Page) =>
  page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);

/** What is drawn too small to hit. */
const tiny = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll('button, a, input, [role=slider]')]
      .map((el) => ({ el, box: el.getBoundingClientRect() }))
      .filter(
        ({ el, box }) => box.width > 1 && box.height > 1 && !el.closest('.sr-only') && el.checkVisibility(),
      )
      .filter(({ box }) => box.height < 18 || box.width < 14)
      .map(({ el, box }) => `${el.textContent || el.getAttribute('aria-label')} ${box.width}×${box.height}`),
  );

/** Nothing runs off the page at any size, and every target can be hit. */
async function fits(page: Page, what: string): Promise<void> {
  for (const size of SIZES) {
    await page.setViewportSize(size);
    // The layout answers a new width in the next frame.
    await page.evaluate(() => new Promise((r) => requestAnimationFrame(() => requestAnimationFrame(r))));
    expect({ what, width: size.width, over: await wide(page), tiny: await tiny(page) }).toEqual({
      what,
      width: size.width,
      over: 0,
      tiny: [],
    });
  }
}

test('every step fits every screen and has no violation', async ({ bench: page }) => {
  for (const t of JOB_STEPS) {
    await open(page, `/job/star-party-tumblers/${t}`);
    await fits(page, t);
    await clean(page, t);
  }
});

test('other shapes, laid flat and on the blank', async ({ bench: page }) => {
  for (const job of ['night-walk-tumblers', 'comet-glasses', 'moon-and-star-ornaments']) {
    for (const t of ['measure', 'wrap']) {
      await open(page, `/job/${job}/${t}`);
      await fits(page, `${job} ${t}`);
      await clean(page, `${job} ${t}`);
    }
    await page.getByRole('radio', { name: says('common.onTheBlank') }).click();
    await expect(page.locator('canvas')).toBeVisible();
    await clean(page, `${job} on the blank`);
  }
});

test('the shop’s pages', async ({ bench: page }) => {
  for (const p of [...SHOP, ...SHOP_FITS]) {
    await page.goto(`${address()}/${p}`);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await fits(page, p);
    if (SHOP.includes(p)) await clean(page, p);
  }
});

test('an earlier address leads to the page as it is called today', async ({ bench: page }) => {
  for (const [from, to] of [
    ['day', 'schedule'],
    ['shelf', 'stock'],
    ['costs?job=constellation-mugs', 'pricing?job=constellation-mugs'],
  ] as const) {
    await page.goto(`${address()}/${from}`);
    await expect(page).toHaveURL(`${address()}/${to}`);
  }
});

test('the spelling is chosen in Settings, and stays', async ({ bench: page }) => {
  const spelling = async (word: RegExp) => {
    await page.goto(`${address()}/pricing?job=constellation-mugs`);
    await expect(page.getByText(word).first()).toBeVisible({ timeout: 30_000 });
  };
  await page.goto(`${address()}/settings`);
  const languages = page.getByRole('radiogroup', { name: says('shop.language') });
  await expect(languages.getByRole('radio', { name: 'British English' })).toBeChecked();
  await languages.getByRole('radio', { name: 'American English' }).click();
  await expect(page.locator('html')).toHaveAttribute('lang', 'en-US');
  // The page is written again where it stands: what was chosen keeps the focus.
  await expect(languages.getByRole('radio', { name: 'American English' })).toBeFocused();
  await spelling(/\blabor\b/i);
  await page.reload();
  await expect(page.getByText(/\blabor\b/i).first()).toBeVisible({ timeout: 30_000 });
  await page.goto(`${address()}/settings`);
  await languages.getByRole('radio', { name: 'British English' }).click();
  await spelling(/\blabour\b/i);
});

test('the glossary lists the terms of the trade, and a figure says what it means', async ({
  bench: page,
}) => {
  await open(page, '/job/star-party-tumblers/wrap');
  const line = figure(page, says('wrap.closingLength'));
  await expect(line.getByText(says('glossary.closingLength'))).toHaveCount(0);
  await line.getByRole('button').click();
  await expect(line.getByText(says('glossary.closingLength'))).toBeVisible();
  await page.getByRole('button', { name: says('shell.glossary') }).click();
  const dialog = page.getByRole('dialog', { name: says('shell.glossary') });
  await expect(dialog.getByRole('term').filter({ hasText: says('glossary.offcutTerm') })).toBeVisible();
  await expect(dialog.getByRole('definition')).toHaveText([/.+/, ...Array<RegExp>(46).fill(/.+/)]);
  await page.keyboard.press('Escape');
  await page.goto(`${address()}/stock`);
  await page.getByRole('button', { name: says('shell.glossary') }).click();
  await expect(dialog).toBeVisible();
});

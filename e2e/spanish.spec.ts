import { expect, test, type Page } from '@playwright/test';
import { parse, TYPE } from '@formatjs/icu-messageformat-parser';
import { allOf } from '../src/words/all';
import { SOURCES } from '../src/words/sources';
import { address } from './app';

test.use({ locale: 'es' });

type Parts = Readonly<Record<string, Readonly<Record<string, string>>>>;
const textsOf = (parts: Parts): ReadonlyMap<string, string> =>
  new Map(
    Object.entries(parts).flatMap(([part, file]) =>
      Object.entries(file).map(([id, text]) => [`${part}.${id}`, text] as const),
    ),
  );

/** What stands between the values of a message. */
const pieces = (text: string): readonly string[] =>
  parse(text).flatMap((e) => (e.type === TYPE.literal ? [e.value.trim()] : []));

const SPANISH = textsOf(SOURCES.es);
const spoken = [...SPANISH.values()].flatMap(pieces).join('\n');

/** Whole texts of English, and long pieces of them, that no text of Spanish holds. */
const ENGLISH = [...textsOf(SOURCES.en)].flatMap(([id, text]) =>
  pieces(text)
    .filter((piece) => /[a-z]{3}/i.test(piece) && !spoken.includes(piece))
    .map((piece) => ({ id, piece, whole: piece === text })),
);
const WHOLE = new Map(ENGLISH.filter((e) => e.whole).map((e) => [e.piece, e.id]));
const PARTS = ENGLISH.filter((e) => e.piece.split(' ').length >= 3);

/** Names of the demo shop, which it keeps in the language it was written in. */
const DEMO = /tumbler|mug|beaker|bottle|glass|marker|ornament|Star|dome|Dry Fork|Legal|Tabloid/;

/** Every text a page shows or says. */
const shown = (page: Page): Promise<readonly string[]> =>
  page.evaluate(() => {
    const found: string[] = [document.title];
    const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walk.nextNode()) {
      const parent = walk.currentNode.parentElement;
      if (parent && !['SCRIPT', 'STYLE', 'NOSCRIPT'].includes(parent.tagName))
        found.push(walk.currentNode.textContent ?? '');
    }
    for (const name of ['aria-label', 'title', 'placeholder', 'alt'])
      for (const e of document.querySelectorAll(`[${name}]`)) found.push(e.getAttribute(name) ?? '');
    return found.map((text) => text.trim()).filter((text) => text !== '');
  });

const SHOP_PAGES = [
  '',
  'schedule',
  'pressing',
  'blanks',
  'presses',
  'papers',
  'stock',
  'pricing',
  'logbook',
  'settings',
];
const STEPS = ['blank', 'measure', 'wrap', 'art', 'sheet', 'heat', 'press', 'inspect'];
const PAGES = [
  ...SHOP_PAGES,
  'logbook?view=charts',
  'logbook?view=map',
  ...['constellation-mugs', 'moon-and-star-ornaments'].flatMap((job) =>
    STEPS.map((step) => `job/${job}/${step}`),
  ),
  'finish/constellation-mugs',
  'press/constellation-mugs',
  'flatness/flat-press-a',
];

test('every page is in Spanish, with no English text of the catalogue', async ({ page }) => {
  test.setTimeout(240_000);
  const english: string[] = [];
  for (const path of PAGES) {
    await page.goto(`${address()}/${path}`);
    await expect(page.locator('html')).toHaveAttribute('lang', 'es');
    await expect(page.getByRole('heading').first()).toBeVisible({ timeout: 30_000 });
    await page.waitForLoadState('networkidle');
    for (const text of await shown(page)) {
      const id =
        WHOLE.get(text) ?? (DEMO.test(text) ? undefined : PARTS.find((e) => text.includes(e.piece))?.id);
      if (id !== undefined) english.push(`/${path}: “${text}” (${id})`);
    }
  }
  expect(english).toEqual([]);
});

test('a shop started in Spanish has Spanish blanks, and takes numbers with a comma', async ({ page }) => {
  const says = allOf('es');
  await page.goto(`${address()}/blanks`);
  await page.getByLabel(String(says('blank.searchBlanks'))).fill('taza cerámica');
  await expect(page.getByText('Taza de cerámica, 325 ml').first()).toBeVisible({ timeout: 30_000 });
  await page.goto(`${address()}/settings`);
  const thickness = page.getByLabel(String(says('common.thickness')), { exact: true }).first();
  await thickness.fill('0,45');
  await thickness.press('Enter');
  await expect(thickness).toHaveValue('0,45');
  await page.reload();
  await expect(page.getByLabel(String(says('common.thickness')), { exact: true }).first()).toHaveValue(
    '0,45',
  );
});

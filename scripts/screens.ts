// Takes the pictures in docs/screenshots from the demo shop: npm run screens
import { mkdirSync } from 'node:fs';
import { chromium, type Page } from '@playwright/test';
import { ensureBuild } from './setup.mjs';
import { startServer } from './start.mjs';

const FOLDER = 'docs/screenshots';
const JOB = '/job/star-party-tumblers';

interface View {
  readonly name: string;
  readonly path: string;
  readonly prepare?: (page: Page) => Promise<void>;
  readonly size?: { readonly width: number; readonly height: number };
}

async function pressTo(page: Page, passedMs: number): Promise<void> {
  await page.clock.install();
  await page.getByRole('button', { name: 'First piece' }).click();
  await page.getByRole('button', { name: 'Loaded' }).click();
  await page.getByRole('button', { name: 'Closed' }).click();
  await page.getByText('Hands off. Tape up the next piece.').waitFor();
  await page.clock.fastForward(passedMs);
}

/** Three jobs side by side: one whose time is up, one that waits for its display, one that presses. */
async function allPresses(page: Page): Promise<void> {
  const { origin } = new URL(page.url());
  await page.clock.install();
  for (const job of ['star-party-tumblers', 'constellation-mugs', 'moon-and-star-ornaments']) {
    await page.goto(`${origin}/press/${job}`);
    await page.getByRole('button', { name: /^First (piece|load)$/ }).click();
    await page.locator('[aria-current="step"]').waitFor();
  }
  await page.goto(`${origin}/pressing`);
  await page.locator('[data-need]').nth(2).waitFor();
  const steps = () =>
    page.locator('[data-need]').evaluateAll((all) => all.map((b) => b.getAttribute('data-step')).join());
  for (const [press, waitMs] of [
    ['1', 500],
    ['1', 1000],
    ['3', 12_000],
    ['3', 20_000],
    ['2', 3000],
    ['2', 36_000],
  ] as const) {
    const before = await steps();
    await page.keyboard.press(press);
    while ((await steps()) === before) await page.waitForTimeout(50);
    await page.clock.runFor(waitMs);
  }
  await page.waitForTimeout(1500);
}

async function markFaults(page: Page): Promise<void> {
  const box = await page.getByRole('group', { name: 'The wrap unrolled' }).boundingBox();
  if (!box) return;
  await page.mouse.click(box.x + box.width * 0.35, box.y + box.height * 0.35);
  await page.getByRole('radio', { name: 'dye left all over' }).click();
  await page.getByRole('radio', { name: 'Too little' }).click();
}

const VIEWS: readonly View[] = [
  { name: 'bench', path: '/' },
  { name: 'blank', path: `${JOB}/blank` },
  { name: 'measure', path: `${JOB}/measure` },
  { name: 'wrap', path: `${JOB}/wrap` },
  {
    name: 'on-the-blank',
    path: '/job/constellation-mugs/wrap',
    prepare: async (p) => {
      await p.getByRole('radio', { name: 'On the blank' }).click();
      await p.getByRole('button', { name: 'In the right hand' }).click();
      await p.waitForTimeout(2500);
    },
  },
  { name: 'art', path: '/job/night-walk-tumblers/art' },
  {
    name: 'art-seam',
    path: `${JOB}/art`,
    prepare: async (p) => {
      await p.getByRole('radio', { name: 'Seam' }).click();
      await p
        .getByRole('button', { name: /^Place 1/ })
        .first()
        .click();
      await p.waitForTimeout(800);
    },
  },
  { name: 'sheet', path: '/job/constellation-mugs/sheet' },
  {
    name: 'sheet-panels',
    path: '/job/star-map-panel/sheet',
    prepare: async (p) => {
      await p.getByRole('button', { name: 'Look for the path' }).click();
      await p.getByText(/^The join (hides|shows)/).waitFor();
      await p.waitForTimeout(6000);
    },
  },
  {
    name: 'heat',
    path: `${JOB}/heat`,
    prepare: async (p) => {
      await p.getByText('Chance of a good piece').waitFor();
      await p.getByText('calculating').waitFor({ state: 'detached', timeout: 30_000 });
    },
  },
  { name: 'press', path: `${JOB}/press` },
  { name: 'look', path: `${JOB}/look`, prepare: markFaults },
  { name: 'at-the-press', path: '/press/star-party-tumblers', prepare: (p) => pressTo(p, 24_000) },
  { name: 'all-presses', path: '/pressing', prepare: allPresses },
  { name: 'blanks', path: '/blanks' },
  { name: 'presses', path: '/presses' },
  { name: 'papers', path: '/papers' },
  { name: 'logbook', path: '/logbook' },
  { name: 'settings', path: '/settings' },
];

ensureBuild();
mkdirSync(FOLDER, { recursive: true });
const { child, address } = await startServer({ demo: true, port: 4800, quiet: true });
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-dev-shm-usage'],
});
try {
  for (const { name, path, prepare, size } of VIEWS) {
    // A fresh browser each: no picture depends on what another one did.
    const context = await browser.newContext({
      viewport: size ?? { width: 1280, height: 800 },
      reducedMotion: 'reduce',
    });
    const page = await context.newPage();
    await page.goto(address);
    await page.getByRole('heading', { name: 'Bench' }).waitFor();
    await page.goto(`${address}${path}`);
    await page.getByRole('heading', { level: 1 }).waitFor();
    await page.waitForTimeout(path.startsWith('/job') ? 3500 : 800);
    await prepare?.(page);
    await page.waitForTimeout(500);
    await page.screenshot({ path: `${FOLDER}/${name}.png` });
    await context.close();
  }
} finally {
  await browser.close();
  child.kill();
}

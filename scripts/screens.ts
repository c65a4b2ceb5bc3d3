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
  /** The moment the clock of the page stands at; now where none is given. */
  readonly at?: Date;
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

/** A pale corner on the large panel, with dye left on its paper. */
async function markCorner(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Faded corner or edge', exact: true }).click();
  const box = await page.locator('[data-face]').boundingBox();
  if (!box) return;
  await page.mouse.move(box.x + 3, box.y + 3);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.3, box.y + 5, { steps: 5 });
  await page.mouse.move(box.x + 5, box.y + box.height * 0.24, { steps: 5 });
  await page.mouse.up();
  await page.getByRole('radio', { name: 'dye left in places' }).click();
  await page.getByRole('radio', { name: 'Other fault' }).click();
}

/** A Friday at nine. */
const NINE = new Date(2026, 10, 27, 9, 0);

const VIEWS: readonly View[] = [
  { name: 'jobs', path: '/' },
  { name: 'blank', path: `${JOB}/blank` },
  { name: 'measure', path: `${JOB}/measure` },
  { name: 'wrap', path: `${JOB}/wrap` },
  { name: 'art', path: '/job/night-walk-tumblers/art' },
  {
    name: 'sheet',
    path: '/job/constellation-mugs/sheet',
    prepare: async (p) => {
      await p.getByText('ink estimated').waitFor({ state: 'detached', timeout: 60_000 });
      await p.getByText(/^Reading/).waitFor({ state: 'detached', timeout: 60_000 });
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
  { name: 'inspect', path: '/job/star-map-panel/inspect', prepare: markCorner },
  {
    name: 'inspect-cause',
    path: '/job/star-map-panel/inspect',
    prepare: async (p) => {
      await markCorner(p);
      await p.getByRole('radio', { name: 'Cause' }).click();
    },
  },
  { name: 'at-the-press', path: '/press/star-party-tumblers', prepare: (p) => pressTo(p, 24_000) },
  { name: 'all-presses', path: '/pressing', prepare: allPresses },
  { name: 'blanks', path: '/blanks' },
  { name: 'presses', path: '/presses' },
  { name: 'papers', path: '/papers' },
  { name: 'logbook', path: '/logbook' },
  {
    name: 'schedule',
    path: '/schedule',
    at: NINE,
    prepare: async (p) => {
      await p
        .getByRole('complementary', { name: 'Details' })
        .getByText('Margin')
        .waitFor({ timeout: 30_000 });
      await p.waitForTimeout(6000);
    },
  },
  {
    name: 'pricing',
    path: '/pricing?job=constellation-mugs',
    prepare: (p) => p.getByRole('region', { name: 'Quotes' }).waitFor(),
  },
  {
    name: 'stock',
    path: '/stock',
    at: NINE,
    prepare: (p) => p.getByText('Order 1 case').first().waitFor(),
  },
  { name: 'finish', path: '/finish/star-map-panel' },
];

ensureBuild();
mkdirSync(FOLDER, { recursive: true });
const { child, address } = await startServer({ demo: true, port: 4800, quiet: true });
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-dev-shm-usage'],
});
try {
  for (const { name, path, prepare, size, at } of VIEWS) {
    // A fresh browser each: no picture depends on what another one did.
    const context = await browser.newContext({
      locale: 'en-GB',
      viewport: size ?? { width: 1280, height: 800 },
      reducedMotion: 'reduce',
    });
    const page = await context.newPage();
    if (at) await page.clock.install({ time: at });
    await page.goto(address);
    await page.getByRole('heading', { name: 'Jobs' }).waitFor();
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

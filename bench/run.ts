// Prints JSON: each figure beside its limit and a reference taken in the same run. npm run bench, or some: npm run bench -- drag log
import { pictureLayer } from '../src/core/job/art';
import { chromium, type CDPSession, type Page } from '@playwright/test';
import { demoShop } from '../src/core/demo/demoShop';
import { fileText, makeJobFile } from '../src/core/formats/jobFile';
import type { Job } from '../src/core/job/job';
import { plan } from '../src/core/plan/plan';
import { ensureBuild } from '../scripts/setup.mjs';
import { startServer } from '../scripts/start.mjs';
import { benchBend, benchAnalysis, benchNames, benchNesting, benchSeam, benchSectors } from './art';
import { encodePng, longestTask, watchLongTasks, p95, round, timed, type Figure } from './figure';
import { benchDay } from './day';
import { benchEdits } from './edits';
import { benchYears } from './years';
import { benchAnsweredPlan, benchHeat, benchHeatPage } from './heat';
import { benchLog } from './log';
import { benchPanel } from './panel';
import { benchBoard, benchFold } from './presses';
import { benchBand, benchDrag, benchPattern, benchRolled } from './shapes';
import { benchOffset } from './offset';

const demo = demoShop(new Date('2026-11-24T12:00:00Z'));
const { shop, jobs } = demo;
const TUMBLERS = jobs.find((j) => j.id === 'star-party-tumblers') as Job;
const SLATE = jobs.find((j) => j.id === 'slate-trail-markers') as Job;
function benchPlan(): Figure {
  timed(3000, () => plan(TUMBLERS, shop));
  const made = plan(TUMBLERS, shop);
  return {
    value: round(p95(timed(2000, () => plan(TUMBLERS, shop))), 3),
    unit: 'ms, 95 % of 2000 plans',
    limit: 2,
    reference: {
      what: 'ms to write the same plan as JSON, 95 %',
      value: round(p95(timed(500, () => JSON.stringify(made))), 3),
    },
  };
}

/** A wrap of 250 × 205 mm to its bleed, with a picture of 300 ppi drawn for it. */
function bigJob(): string {
  const picture = {
    id: 'bench-chart',
    name: 'Bench chart',
    mime: 'image/png' as const,
    widthPx: 2953,
    heightPx: 2421,
    orientation: 1,
    drawn: { scene: 'star chart' as const, seed: 5 },
  };
  const reading = (id: string, text: string) => [
    { id, text, bareUnit: 'mm' as const, method: 'steel rule' as const },
  ];
  const job: Job = {
    ...TUMBLERS,
    readings: {
      ...TUMBLERS.readings,
      circumferenceTop: reading('a', '246.7'),
      circumferenceFoot: reading('b', '246.7'),
      wall: reading('c', '202'),
    },
    wrap: { ...TUMBLERS.wrap, seamMethod: 'butt', bleedMm: 1.5, topSetbackMm: 0, footSetbackMm: 0 },
    art: { ...TUMBLERS.art, layers: [pictureLayer('p', picture)] },
    sheet: { ...TUMBLERS.sheet, paperId: 'a3' },
  };
  return fileText(makeJobFile(job, shop, []));
}

async function benchFirstLoad(page: Page, cdp: CDPSession, address: string): Promise<Figure> {
  let js = 0;
  let all = 0;
  const kinds = new Map<string, string>();
  await cdp.send('Network.enable');
  cdp.on('Network.responseReceived', (e) => kinds.set(e.requestId, e.response.mimeType));
  cdp.on('Network.loadingFinished', (e) => {
    all += e.encodedDataLength;
    if (/javascript/.test(kinds.get(e.requestId) ?? '')) js += e.encodedDataLength;
  });
  await page.goto(address);
  await page.getByRole('heading', { name: 'Jobs' }).waitFor();
  await page.waitForLoadState('networkidle');
  return {
    value: round(js / 1000, 1),
    unit: 'kB of JavaScript as sent (gzip) for the first Bench',
    limit: 200,
    reference: { what: 'kB of everything sent for it', value: round(all / 1000, 1) },
  };
}

async function benchTyping(page: Page, address: string): Promise<Figure> {
  await page.goto(`${address}/job/star-party-tumblers/measure`);
  const row = page.getByRole('region', { name: 'Circumference near the rim' }).getByRole('textbox').first();
  await row.fill('231');
  await row.focus();
  const key = async (k: string) => page.keyboard.press(k);
  for (let i = 0; i < 60; i += 1) await key(i % 2 === 0 ? 'Backspace' : String(i % 9));
  await page.waitForTimeout(1000);
  // From the key reaching the page to the new figure standing in the drawing: all the script between the two.
  await page.evaluate(() => {
    const costs: number[] = [];
    Object.assign(window, { costs });
    let from = 0;
    addEventListener('input', () => (from = performance.now()), { capture: true });
    const drawing = document.querySelector('svg[aria-label*="places to measure"]');
    if (drawing) {
      new MutationObserver(() => {
        if (from > 0) costs.push(performance.now() - from);
        from = 0;
      }).observe(drawing, { subtree: true, childList: true, characterData: true });
    }
  });
  for (let i = 0; i < 80; i += 1) {
    await page.waitForTimeout(300);
    await key(i % 2 === 0 ? 'Backspace' : String((i * 7) % 10));
  }
  const costs = await page.evaluate(() => (window as unknown as { costs: number[] }).costs);
  if (costs.length < 20) throw new Error(`Only ${costs.length} keys redrew the drawing.`);
  const perKey = p95(costs);
  return {
    value: round(perKey),
    unit: `ms from key to redrawn drawing, 95 % of ${costs.length}`,
    limit: 16,
    reference: {
      what: 'ms for the plan alone in Node, 95 %',
      value: round(p95(timed(3000, () => plan(TUMBLERS, shop))), 3),
    },
  };
}

async function benchPdf(
  page: Page,
  address: string,
): Promise<{ readonly pdf: Figure; readonly blocked: Figure }> {
  await page.goto(address);
  await page
    .getByLabel('Job file')
    .setInputFiles({ name: 'big.json', mimeType: 'application/json', buffer: Buffer.from(bigJob()) });
  await page.getByRole('heading', { level: 1 }).filter({ hasText: 'from file' }).waitFor();
  await page.keyboard.press('5');
  await page.getByRole('button', { name: 'Save PDF' }).waitFor();
  await page.waitForTimeout(6000);
  await watchLongTasks(page);
  const times: number[] = [];
  for (let i = 0; i < 3; i += 1) {
    const start = performance.now();
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save PDF' }).click();
    await download;
    times.push(performance.now() - start);
    await page.waitForTimeout(500);
  }
  const longest = await longestTask(page);
  const decode = await encodePng(page, 2953, 2421);
  return {
    pdf: {
      value: round(Math.min(...times) / 1000),
      unit: 's, click to file, 250 × 205 mm at 300 ppi, best of 3',
      limit: 2,
      reference: {
        what: 's for the browser to encode a plain PNG of the same pixels',
        value: round(decode / 1000),
      },
    },
    blocked: {
      value: round(longest, 0),
      unit: 'ms, longest task on the page meanwhile (0: none over 50)',
      limit: 50,
      reference: { what: 'exports watched', value: times.length },
    },
  };
}

type Figures = Readonly<Record<string, Figure>>;

/** Each step by its name, in the order it is taken; some measure more than one figure at a time. */
const steps = (page: Page, cdp: CDPSession, address: string) =>
  ({
    plan: () => ({ plan: benchPlan() }),
    pattern: () => ({ pattern: benchPattern() }),
    band: () => ({ band: benchBand() }),
    offset: () => ({ offset: benchOffset() }),
    firstLoad: async () => ({ firstLoad: await benchFirstLoad(page, cdp, address) }),
    typing: async () => ({ typing: await benchTyping(page, address) }),
    pdf: () => benchPdf(page, address),
    drag: async () => ({ drag: await benchDrag(page, address) }),
    rolled: async () => ({ rolled: await benchRolled(page, address) }),
    names: () => benchNames(page, address),
    panel: () => benchPanel(page, address),
    bend: () => benchBend(),
    seam: async () => ({ seam: await benchSeam() }),
    look: async () => ({ look: await benchAnalysis() }),
    log: async () => benchLog(await (await browser.newContext()).newPage(), address),
    nesting: () => ({ nesting: benchNesting() }),
    sectors: () => ({ sectors: benchSectors() }),
    heat: () => ({ planAnswered: benchAnsweredPlan(TUMBLERS, shop), ...benchHeat(SLATE, TUMBLERS, shop) }),
    fold: () => benchFold(TUMBLERS, shop),
    edits: () => benchEdits(demo),
    years: async () => benchYears(await (await browser.newContext()).newPage(), address, demo),
    day: () => benchDay(demo),
    board: () => benchBoard(page, cdp, address),
    heatPage: async () => ({ heatPage: await benchHeatPage(page, address) }),
  }) satisfies Readonly<Record<string, () => Figures | Promise<Figures>>>;

const asked = process.argv.slice(2);
ensureBuild();
const { child, address } = await startServer({ demo: true, port: 4700, quiet: true });
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-dev-shm-usage'],
});
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const cdp = await page.context().newCDPSession(page);
  const found: Record<string, Figure> = {};
  for (const [name, measure] of Object.entries(steps(page, cdp, address))) {
    if (asked.length > 0 && !asked.includes(name)) continue;
    const figures: Figures = await measure();
    Object.assign(found, figures);
    // Said as they come: a step that fails loses none of those before it.
    for (const [key, { value, limit }] of Object.entries(figures)) {
      process.stderr.write(`${key} ${value} (${limit})\n`);
    }
  }
  process.stdout.write(`${JSON.stringify(found, null, 2)}\n`);
} finally {
  await browser.close();
  child.kill();
}

/**
 * How much of what was typed is lost when the browser is killed at any moment: types a time, waits a little, kills every process of the
 * browser (SIGKILL), opens it again and looks. Prints JSON: lost edits by how long the browser lived after the edit. Run by hand, it takes
 * about three seconds a kill: npm run kills -- 200
 */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { startServer } from '../scripts/start.mjs';
import { seeded } from '../src/core/random/random';

const kills = Number(process.argv[2] ?? 200);
const profile = mkdtempSync(join(tmpdir(), 'mesa-kills-'));
const { child, address } = await startServer({ demo: true, port: 4700, quiet: true });
const random = seeded(3);

const start = (): Promise<BrowserContext> =>
  chromium.launchPersistentContext(profile, {
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-background-networking'],
  });

/** Only processes of the browser started here carry this profile’s own folder on their command line. */
function killBrowser(): void {
  const pids = execFileSync('pgrep', ['-f', profile]).toString().trim().split('\n').map(Number);
  for (const pid of pids) {
    try {
      process.kill(pid, 'SIGKILL');
    } catch {
      // Gone with its parent.
    }
  }
}

async function timeField(context: BrowserContext) {
  const page: Page = context.pages()[0] ?? (await context.newPage());
  await page.goto(`${address}/job/dome-beakers/heat`);
  const field = page.getByRole('textbox', { name: /^Time/ });
  await field.waitFor();
  return { page, field };
}

/** Upper ends of the stretches told apart, ms. */
const STRETCHES = [10, 25, 50, 100, 200, 400, 800] as const;
const told = STRETCHES.map((upTo) => ({ upToMs: upTo, kills: 0, lost: 0 }));

let context = await start();
const first = context.pages()[0] ?? (await context.newPage());
await first.goto(address);
await first.getByRole('heading', { name: 'Jobs' }).waitFor();
let before = '';
for (let i = 0; i < kills; i += 1) {
  const { field } = await timeField(context);
  before = await field.inputValue();
  const typed = String(100 + i);
  const upTo = STRETCHES[i % STRETCHES.length] ?? 800;
  const from = STRETCHES[(i % STRETCHES.length) - 1] ?? 0;
  await field.fill(typed);
  await new Promise((resolve) => setTimeout(resolve, from + random() * (upTo - from)));
  killBrowser();
  await context.close().catch(() => undefined);
  context = await start();
  const { field: again } = await timeField(context);
  const found = await again.inputValue();
  const stretch = told.find((t) => t.upToMs === upTo);
  if (stretch) {
    stretch.kills += 1;
    if (found !== typed) stretch.lost += 1;
  }
  if (found !== typed && found !== before) throw new Error(`neither ${typed} nor ${before}: ${found}`);
}
await context.close();
child.kill();
rmSync(profile, { recursive: true, force: true });
process.stdout.write(
  `${JSON.stringify({ kills, lost: told.reduce((n, t) => n + t.lost, 0), told }, null, 1)}\n`,
);

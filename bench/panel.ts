import { readdirSync, readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { demoShop } from '../src/core/demo/demoShop';
import { fileText, makeJobFile } from '../src/core/formats/jobFile';
import { pictureLayer } from '../src/core/job/art';
import type { Job } from '../src/core/job/job';
import { isFlat } from '../src/core/shop/blank';
import { encodePng, longestTask, round, watchLongTasks, type Figure } from './figure';

/** A panel of 450 × 600 mm on a roll, its picture repeated, so that all of its 38 megapixels are made and none are passed on. */
function panelJob(): string {
  const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
  const from = jobs.find((j) => j.id === 'star-map-panel') as Job;
  const blanks = shop.blanks.map((b) =>
    b.id === from.blankId && isFlat(b)
      ? { ...b, shape: { ...b.shape, outline: { ...b.shape.outline, widthMm: 450, heightMm: 600 } } }
      : b,
  );
  const picture = {
    id: 'bench-sky',
    name: 'Bench sky',
    mime: 'image/png' as const,
    widthPx: 3000,
    heightPx: 2250,
    orientation: 1,
    drawn: { scene: 'star chart' as const, seed: 8 },
  };
  const reading = (id: string, text: string) => [
    { id, text, bareUnit: 'mm' as const, method: 'steel rule' as const },
  ];
  const layer = pictureLayer('p', picture, {
    repeat: 'mirror',
    placement: { base: 'cover', scale: 0.4, dxMm: 0, dyMm: 0, rotationDeg: 0 },
  });
  const job: Job = {
    ...from,
    readings: { ...from.readings, width: reading('w', '450'), height: reading('h', '600') },
    art: { ...from.art, layers: [layer] },
    sheet: { ...from.sheet, printerId: 'wide-printer', paperId: 'roll-24' },
  };
  return fileText(makeJobFile(job, { ...shop, blanks }, []));
}

/** Memory of a process and all under it, MB: proportional, so that what they share is counted once. */
function memoryMb(root: number): number {
  const parents = new Map(
    readdirSync('/proc')
      .filter((d) => /^\d+$/.test(d))
      .flatMap((d): [number, number][] => {
        try {
          const stat = readFileSync(`/proc/${d}/stat`, 'utf8');
          return [[Number(d), Number(stat.slice(stat.lastIndexOf(')') + 2).split(' ')[1])]];
        } catch {
          return [];
        }
      }),
  );
  const under = (pid: number): boolean => pid === root || (pid > 1 && under(parents.get(pid) ?? 0));
  return [...parents.keys()]
    .filter((pid) => pid !== root && under(pid))
    .reduce((sum, pid) => {
      try {
        const rollup = readFileSync(`/proc/${pid}/smaps_rollup`, 'utf8');
        return sum + Number(/^Pss:\s+(\d+)/m.exec(rollup)?.[1] ?? 0) / 1000;
      } catch {
        return sum;
      }
    }, 0);
}

/** A large panel to PDF: how long, how much memory the whole browser takes at most, and whether the page ever stands still. */
export async function benchPanel(
  page: Page,
  address: string,
): Promise<{ readonly panel: Figure; readonly panelMemory: Figure; readonly panelBlocked: Figure }> {
  await page.goto(address);
  await page
    .getByLabel('Job file')
    .setInputFiles({ name: 'panel.json', mimeType: 'application/json', buffer: Buffer.from(panelJob()) });
  await page.getByRole('heading', { level: 1 }).filter({ hasText: 'from file' }).waitFor();
  await page.keyboard.press('5');
  await page.getByRole('button', { name: 'Save PDF' }).waitFor();
  await page.waitForTimeout(8000);
  await watchLongTasks(page);
  const before = memoryMb(process.pid);
  let peak = before;
  const watch = setInterval(() => (peak = Math.max(peak, memoryMb(process.pid))), 100);
  const start = performance.now();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save PDF' }).click();
  await download;
  const took = performance.now() - start;
  clearInterval(watch);
  const encode = await encodePng(page, 7087, 5315);
  return {
    panel: {
      value: round(took / 1000),
      unit: 's, PDF of a panel of 600 × 450 mm made at 300 ppi, click to file',
      limit: 30,
      reference: {
        what: 's for the browser to encode one plain PNG of that size',
        value: round(encode / 1000),
      },
    },
    panelMemory: {
      value: round(peak, 0),
      unit: 'MB, the most all processes of the browser and the server took together meanwhile',
      limit: 3000,
      reference: { what: 'MB before it', value: round(before, 0) },
    },
    panelBlocked: {
      value: round(await longestTask(page), 0),
      unit: 'ms, longest task on the page meanwhile (0: none over 50)',
      limit: 50,
      reference: { what: 'exports watched', value: 1 },
    },
  };
}

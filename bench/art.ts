import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { analyseImage } from '../src/core/art/analyseImage';
import { seeded } from '../src/core/random/random';
import { bendRows, readyBend } from '../src/core/art/resample';
import { seamSearch } from '../src/core/art/seam';
import type { Pixels } from '../src/core/art/pixels';
import { nest } from '../src/core/sheet/nest/nest';
import { nestShape, usedHeight } from '../src/core/sheet/nest/shape';
import { sizeRoundWrap } from '../src/core/wrap/roundWrap';
import { wrapInput } from '../src/core/wrap/testWraps';
import { exact } from '../src/core/figures/uncertain';
import { bendOf } from '../src/core/art/bend';
import { encodePng, longestTask, watchLongTasks, round, timed, type Figure } from './figure';

/** Opaque speckle: nothing a codec or a cache could shorten. */
function speckled(width: number, height: number): Pixels {
  const data = new Uint8ClampedArray(width * height * 4);
  const whole = new Uint32Array(data.buffer);
  for (let i = 0; i < whole.length; i += 1) whole[i] = (Math.imul(i, 2_654_435_761) >>> 0) | 0xff000000;
  return { width, height, data };
}

const best = (times: readonly number[]): number => Math.min(...times);

async function bestOf(n: number, task: () => Promise<unknown>): Promise<number> {
  const times: number[] = [];
  for (let i = 0; i < n; i += 1) {
    const start = performance.now();
    await task();
    times.push(performance.now() - start);
  }
  return best(times);
}

const raw = (p: Pixels) =>
  sharp(Buffer.from(p.data.buffer), { raw: { width: p.width, height: p.height, channels: 4 } });

/** A wrap of 280 × 210 mm at 300 ppi, bent in bands, beside sharp's plain resize of the same pixels. */
export async function benchBend(): Promise<{ readonly bend: Figure; readonly bendMemory: Figure }> {
  const source = speckled(3307, 2480);
  const { pattern } = sizeRoundWrap(
    wrapInput({
      circumferenceTop: exact(280),
      circumferenceFoot: exact(235),
      slant: exact(204),
      bleed: { rimMm: 3, footMm: 3, endsMm: 3 },
    }),
  );
  const bend = bendOf(pattern, 'level');
  let peak = 0;
  const run = () => {
    const before = process.memoryUsage().rss;
    const k = 286 / source.width;
    const ready = readyBend({
      source,
      tiles: [[k, 0, 0, k, -3, -3]],
      bend,
      area: { x: 0, y: 0, width: 280, height: 210 },
      perMm: 300 / 25.4,
    });
    for (let y = 0; y < ready.height; y += 128) {
      bendRows(ready, y, Math.min(ready.height, y + 128));
      peak = Math.max(peak, process.memoryUsage().rss - before);
    }
  };
  const mine = best(timed(5, run));
  const theirs = await bestOf(5, () => raw(source).resize(3300, 2475).raw().toBuffer());
  const sourceMb = source.data.byteLength / 1e6;
  return {
    bend: {
      value: round(mine / theirs),
      unit: `times as long as sharp, 280 × 210 mm at 300 ppi (${round(mine, 0)} ms), best of 5`,
      limit: 3,
      reference: { what: 'ms for sharp to resize the same pixels', value: round(theirs, 0) },
    },
    bendMemory: {
      value: round(peak / 1e6 + sourceMb, 0),
      unit: 'MB, source and the most the bend added',
      limit: 400,
      reference: { what: 'MB of the source alone', value: round(sourceMb, 0) },
    },
  };
}

export async function benchSeam(): Promise<Figure> {
  const p = speckled(8000, 3000);
  const request = { fromRow: 0, toRow: 3000, lengthPx: 5000, startPx: 0, cyclic: true, enlarge: 0.08 };
  const mine = best(timed(3, () => seamSearch(p, request)));
  const theirs = await bestOf(3, () => raw(p).resize(2400, 160, { fit: 'fill' }).raw().toBuffer());
  return {
    value: round(mine / 1000),
    unit: 's, every cut of 8000 × 3000 px, best of 3',
    limit: 1,
    reference: {
      what: 's for sharp to shrink the same pixels to the size searched',
      value: round(theirs / 1000),
    },
  };
}

export async function benchAnalysis(): Promise<Figure> {
  const p = speckled(7000, 5000);
  const mine = best(timed(3, () => analyseImage(p)));
  const theirs = await bestOf(2, () => raw(p).stats());
  return {
    value: round(mine / 1000),
    unit: 's, checks of a 35-megapixel picture, best of 3',
    limit: 1.5,
    reference: { what: 's for sharp’s own statistics of the same pixels', value: round(theirs / 1000) },
  };
}

interface Size {
  readonly w: number;
  readonly h: number;
}

/** A 400 × 400 sheet cut by a seed: the optimum height is 400 by construction. */
function cutUp(n: number, seed: number): readonly Size[] {
  const random = seeded(seed);
  const parts: Size[] = [{ w: 400, h: 400 }];
  while (parts.length < n) {
    const largest = parts.reduce((a, b) => (b.w * b.h > a.w * a.h ? b : a));
    const i = random() < 0.9 ? parts.indexOf(largest) : 0;
    const { w, h } = parts[i] ?? largest;
    const t = 0.25 + 0.5 * random();
    const halves =
      w > h
        ? [
            { w: w * t, h },
            { w: w * (1 - t), h },
          ]
        : [
            { w, h: h * t },
            { w, h: h * (1 - t) },
          ];
    parts.splice(i, 1, ...halves);
  }
  return parts;
}

const rect = ({ w, h }: Size) => [
  { x: 0, y: 0 },
  { x: w, y: 0 },
  { x: w, y: h },
  { x: 0, y: h },
];

export function benchNesting(): Figure {
  const gaps: number[] = [];
  const boxes: number[] = [];
  for (const n of [17, 25, 29, 49, 73, 97, 197])
    for (let seed = 1; seed <= 5; seed += 1) {
      const shapes = cutUp(n, seed * 1000 + n).map((s) => nestShape(rect(s), 1));
      const area = { widthMm: 400, heightMm: 1e6, gapMm: 0, mayRotate: true };
      gaps.push(Math.max(...nest(shapes, area).sheets.map(usedHeight)) / 400 - 1);
      boxes.push(Math.max(...nest(shapes, area, 0).sheets.map(usedHeight)) / 400 - 1);
    }
  const mean = (xs: readonly number[]) => xs.reduce((a, b) => a + b, 0) / xs.length;
  return {
    value: round(100 * mean(gaps)),
    unit: '% over the known optimum, mean of 35 seeded instances of 17 to 197 rectangles',
    limit: 3,
    reference: { what: '% with one pass of best fit and no search', value: round(100 * mean(boxes)) },
  };
}

export function benchSectors(): Figure {
  const arc = (r: number, from: number, to: number) =>
    Array.from({ length: 41 }, (_, i) => {
      const a = from + ((to - from) * i) / 40;
      return { x: r * Math.sin(a), y: -r * Math.cos(a) };
    });
  const ring = [...arc(900, -0.155, 0.155), ...arc(700, 0.155, -0.155)];
  const area = { widthMm: 1100, heightMm: 30_000, gapMm: 4, mayRotate: true };
  const shape = nestShape(ring, 200);
  const boxMm = (Math.ceil(200 / Math.floor(1104 / (shape.widthMm + 4))) * (shape.heightMm + 4)) / 1000;
  let usedM = 0;
  const ms = best(
    timed(3, () => {
      usedM = usedHeight(nest([shape], area).sheets[0] ?? []) / 1000;
    }),
  );
  return {
    value: round(ms / 1000),
    unit: `s, 200 sectors on a roll 1.1 m wide (${round(usedM)} m used), best of 3`,
    limit: 2,
    reference: { what: 'm of roll their boxes would take in rows', value: round(boxMm) },
  };
}

/** The whole of a 24-name tapered job as PDF, click to file, and the longest task on the page meanwhile. */
export async function benchNames(
  page: Page,
  address: string,
): Promise<{ readonly names: Figure; readonly namesBlocked: Figure }> {
  await page.goto(`${address}/job/night-walk-tumblers/sheet`);
  await page.getByRole('button', { name: 'Save PDF' }).waitFor();
  await page.waitForTimeout(5000);
  await watchLongTasks(page);
  const times: number[] = [];
  for (let i = 0; i < 2; i += 1) {
    const start = performance.now();
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save PDF' }).click();
    await download;
    times.push(performance.now() - start);
  }
  const longest = await longestTask(page);
  const encode = await encodePng(page, 3300, 2500);
  return {
    names: {
      value: round(best(times) / 1000),
      unit: 's, PDF of 24 names on a taper, click to file, best of 2',
      limit: 8,
      reference: {
        what: 's for the browser to encode one plain PNG of that size',
        value: round(encode / 1000),
      },
    },
    namesBlocked: {
      value: round(longest, 0),
      unit: 'ms, longest task on the page meanwhile (0: none over 50)',
      limit: 50,
      reference: { what: 'exports watched', value: times.length },
    },
  };
}

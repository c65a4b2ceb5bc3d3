import type { Page } from '@playwright/test';
import { exact } from '../src/core/figures/uncertain';
import { LIBRARY } from '../src/core/library/library';
import { measuredRound, circumferenceAt } from '../src/core/plan/measure/measuredShape';
import { roundPlaces } from '../src/core/readings/places';
import { bestCone, coneOfBand, paperRadius, usableBand } from '../src/core/shapes/band';
import { profileThrough } from '../src/core/shapes/profile';
import { isFlat, isRound, type Blank } from '../src/core/shop/blank';
import { TRUE_SCALE } from '../src/core/calibration/calibration';
import { sizeFlatWrap } from '../src/core/wrap/flatWrap';
import { sizeRoundWrap } from '../src/core/wrap/roundWrap';
import { p95, round, timed, type Figure } from './figure';

/** From a blank's figures to its pattern, with nothing remembered from one time to the next. */
function patternOf(blank: Blank): () => unknown {
  const bleed = { rimMm: 3, footMm: 3, endsMm: 3 };
  if (isFlat(blank)) {
    const { outline, faces, edge } = blank.shape;
    return () =>
      sizeFlatWrap({
        print: { x: TRUE_SCALE, y: TRUE_SCALE },
        shape: blank.shape,
        width: exact(outline.widthMm),
        height: exact(outline.heightMm),
        thicknessMm: blank.wallMm,
        edge: edge === 'rough' ? 'wrapped' : 'bleed',
        bleedMm: 4,
        turnInMm: 8,
        safeMm: 6,
        fold: 'left',
        bothFaces: faces === 2,
      });
  }
  if (!isRound(blank)) throw new Error('a blank is round or flat');
  const made = measuredRound(
    blank.shape,
    roundPlaces(blank.shape, []).map((place) => ({
      place,
      items: [],
      value: null,
      rawMeanMm: null,
      correctionMm: 0,
    })),
  );
  if (!made.ok) throw new Error(made.problem.what.id);
  const measuredShape = made.value;
  // The band of a shaped wall is found once, as while a job is worked on; finding it is measured by itself.
  const band =
    measuredShape.form === 'shaped'
      ? usableBand(measuredShape.profile, measuredShape.wall, 0.15)
      : measuredShape.wall;
  return () => {
    const cone = measuredShape.form === 'shaped' ? bestCone(measuredShape.profile, band) : null;
    const circumference = (z: number) =>
      cone ? exact(2 * Math.PI * paperRadius(cone, z)) : circumferenceAt(measuredShape, z);
    return sizeRoundWrap({
      circumferenceTop: circumference(band.topMm),
      circumferenceFoot: circumference(band.footMm),
      slant: cone ? exact(coneOfBand(cone, band).slantMm) : measuredShape.slant,
      band,
      handle: measuredShape.handle,
      shape: blank.shape,
      paperMm: 0.1,
      seamMethod: 'over',
      amountMm: null,
      seamDeg: 180,
      shrink: 0,
      print: { scaleU: 0.0014, shrinkU: 0 },
      bleed,
      safeMm: 6,
      grip: null,
      tailMm: 0,
      past: { rimMm: 0, footMm: 0 },
      ownMarks: [],
    });
  };
}

export function benchPattern(): Figure {
  const makers = LIBRARY.map(patternOf);
  makers.forEach((make) => timed(60, make));
  const times = makers.flatMap((make) => timed(40, make));
  return {
    value: round(p95(times), 3),
    unit: `ms, 95 % of the patterns of ${LIBRARY.length} library blanks, 40 times each`,
    limit: 1,
    reference: {
      what: 'ms, the middle one of them',
      value: round([...times].sort((a, b) => a - b)[times.length >> 1] ?? NaN, 3),
    },
  };
}

export function benchBand(): Figure {
  const nodes = (seed: number) =>
    Array.from({ length: 20 }, (_, i) => ({
      z: 10 + i * 9,
      r: 38 + 5 * Math.sin(i / (3 + (seed % 5)) + seed),
    }));
  const task = (seed: number) => () => {
    const p = profileThrough(nodes(seed));
    const band = usableBand(p, { topMm: 12, footMm: 178 }, 0.3);
    return bestCone(p, band);
  };
  for (let i = 0; i < 60; i += 1) timed(1, task(i));
  const times = Array.from({ length: 300 }, (_, i) => timed(1, task(i))[0] ?? NaN);
  return {
    value: round(p95(times), 2),
    unit: 'ms, profile through 20 heights, its tallest band and best cone, 95 % of 300 walls',
    limit: 10,
    reference: {
      what: 'ms for the profile alone',
      value: round(p95(timed(300, () => profileThrough(nodes(3)))), 4),
    },
  };
}

/** Script from a pointer moving to the drawing standing again, dragging an edge of the paper on a bellied glass. */
export async function benchDrag(page: Page, address: string): Promise<Figure> {
  await page.goto(`${address}/job/comet-glasses/wrap`);
  const handle = page.getByRole('slider', { name: 'Wrap edge at the foot' });
  await handle.waitFor();
  await page.waitForTimeout(4000);
  const box = await handle.boundingBox();
  if (!box) throw new Error('no handle');
  await page.evaluate(() => {
    const costs: number[] = [];
    Object.assign(window, { dragCosts: costs });
    let from = 0;
    addEventListener('pointermove', () => (from = performance.now()), { capture: true });
    const drawing = document.querySelector('svg[aria-label*="The paper on the wall"]');
    if (drawing)
      new MutationObserver(() => {
        if (from > 0) costs.push(performance.now() - from);
        from = 0;
      }).observe(drawing, { subtree: true, childList: true, attributes: true });
  });
  const x = box.x + box.width / 2;
  const y = box.y + box.height / 2;
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let i = 0; i < 120; i += 1) {
    await page.mouse.move(x, y + 30 * Math.sin(i / 9));
    await page.waitForTimeout(60);
  }
  await page.mouse.up();
  const costs = await page.evaluate(() => (window as unknown as { dragCosts: number[] }).dragCosts);
  if (costs.length < 30) throw new Error(`Only ${costs.length} moves redrew the drawing.`);
  return {
    value: round(p95(costs)),
    unit: `ms of script from pointer to redrawn drawing, 95 % of ${costs.length} moves`,
    limit: 16,
    reference: {
      what: 'ms, the middle one of them',
      value: round([...costs].sort((a, b) => a - b)[costs.length >> 1] ?? NaN),
    },
  };
}

/** Frames a second of the rolled view, turned as fast as it draws, in software, about 800 × 600. */
export async function benchRolled(page: Page, address: string): Promise<Figure> {
  await page.setViewportSize({ width: 1600, height: 1000 });
  await page.goto(`${address}/job/night-walk-tumblers/wrap`);
  await page.getByRole('radio', { name: 'On the blank' }).click();
  const canvas = page.locator('canvas').first();
  await canvas.waitFor();
  await page.waitForTimeout(4000);
  await page.evaluate(() => {
    const c = document.querySelector('canvas');
    const stage = c?.closest('[role=slider]');
    if (stage instanceof HTMLElement) {
      stage.style.position = 'fixed';
      stage.style.inset = '0 auto auto 0';
      stage.style.width = '800px';
      stage.style.height = '600px';
      stage.style.zIndex = '99';
    }
  });
  await page.waitForTimeout(1000);
  const run = () =>
    page.evaluate(async () => {
      const stage = document.querySelector<HTMLElement>('[role=slider][aria-label*="turned by dragging"]');
      const canvas = document.querySelector('canvas');
      if (!stage || !canvas) throw new Error('no stage');
      stage.focus();
      // A frame is counted where the canvas is cleared to be drawn again; reading a pixel waits until it is done.
      const gl = canvas.getContext('webgl2');
      if (!gl) throw new Error('no WebGL');
      let frames = 0;
      const clear = gl.clear.bind(gl);
      gl.clear = (mask) => {
        frames += 1;
        clear(mask);
      };
      const start = performance.now();
      while (performance.now() - start < 4000) {
        stage.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', bubbles: true }));
        await new Promise((r) => requestAnimationFrame(r));
        gl.readPixels(0, 0, 1, 1, gl.RGBA, gl.UNSIGNED_BYTE, new Uint8Array(4));
      }
      return {
        fps: (frames * 1000) / (performance.now() - start),
        width: canvas.clientWidth,
        height: canvas.clientHeight,
      };
    });
  const { fps, width, height } = await run();
  await page.setViewportSize({ width: 1280, height: 800 });
  return {
    value: round(fps, 1),
    unit: `frames a second at ${width} × ${height}, software rendering (the more the better)`,
    limit: 12,
    reference: { what: 'frames a second the screen shows at most', value: 60 },
  };
}

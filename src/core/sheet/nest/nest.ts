import { matchingNest } from './matching';
import { COARSE, profileNest } from './profile';
import { usedHeight, type Nest, type NestArea, type NestShape } from './shape';
import { skyline, SKYLINE_WAYS, type SkylineWay } from './skyline';
import { seeded } from '../../random/random';

/** Fewer pieces left over, then fewer sheets, then less of the last sheet. */
function better(a: Nest, b: Nest): Nest {
  if (a.left !== b.left) return a.left < b.left ? a : b;
  if (a.sheets.length !== b.sheets.length) return a.sheets.length < b.sheets.length ? a : b;
  return lastHeight(b) < lastHeight(a) - 1e-6 ? b : a;
}

const lastHeight = (n: Nest): number => usedHeight(n.sheets[n.sheets.length - 1] ?? []);

/** Trials times pieces: what a layout may cost. Thorough takes up to a second; quick is for every keystroke. */
const THOROUGH = 120_000;
export const QUICK = 4_000;
const MOST_TRIALS = 2500;
/** A trial of matching looks at every piece for every piece: fewer trials for more of them. */
const MATCHING = 8e6;
const MOST_MATCHING_TRIALS = 15_000;

/** Pieces that match one another, tried where there is time and more than one size. */
function byMatching(shapes: readonly NestShape[], area: NestArea, effort: number): readonly Nest[] {
  if (shapes.length < 3 || effort <= QUICK) return [];
  const pieces = shapes.reduce((n, s) => n + s.count, 0);
  const trials = ((MATCHING / pieces ** 2) * effort) / THOROUGH;
  return [matchingNest(shapes, area, Math.min(MOST_MATCHING_TRIALS, Math.floor(trials)))];
}

/**
 * Tries again and again with a lean towards other shapes, keeping what is better: hill climbing from the best plain way. The trials are
 * seeded, so the same pieces always lie the same.
 */
function improve(
  shapes: readonly NestShape[],
  area: NestArea,
  start: Nest,
  way: SkylineWay,
  effort: number,
): Nest {
  const pieces = shapes.reduce((n, s) => n + s.count, 0);
  const bound = shapes.reduce(
    (n, s) => n + s.count * (s.widthMm + area.gapMm) * (s.heightMm + area.gapMm),
    0,
  );
  const trials = Math.min(MOST_TRIALS, Math.floor(effort / Math.max(1, pieces)));
  const random = seeded(pieces);
  const span = 0.5 * Math.sqrt(bound / Math.max(1, pieces));
  let favour = new Float64Array(shapes.length);
  let best = start;
  for (let i = 0; i < trials; i += 1) {
    const next = Float64Array.from(favour);
    const changes = 1 + Math.floor(random() * 3);
    for (let c = 0; c < changes; c += 1)
      next[Math.floor(random() * shapes.length)] = (random() - 0.5) * 4 * span;
    const tried = skyline(shapes, area, { ...way, take: 'level', favour: next });
    const kept = better(best, tried);
    if (kept === tried || lastHeight(tried) <= lastHeight(best) + 1e-6) favour = next;
    best = kept;
  }
  return best;
}

/** Every turn together, and, with time to spare, each pair of turns by itself: sectors stack best all one way. */
function byOutline(shapes: readonly NestShape[], area: NestArea, effort: number): readonly Nest[] {
  if (!area.mayRotate) return [profileNest(shapes, area)];
  if (effort <= QUICK) return [profileNest(shapes, area, undefined, COARSE)];
  return [
    profileNest(shapes, area),
    profileNest(shapes, area, [0, 180]),
    profileNest(shapes, area, [90, 270]),
  ];
}

/** The best of every way there is: rectangles exactly (by slack, and by what matches), other outlines by their profiles, all as boxes where that is no worse. */
export function nest(shapes: readonly NestShape[], area: NestArea, effort = THOROUGH): Nest {
  const boxes = SKYLINE_WAYS.map((way) => skyline(shapes, area, way));
  const box = boxes.reduce(better);
  const way = SKYLINE_WAYS[boxes.indexOf(box)];
  const improved = shapes.length > 2 && way ? improve(shapes, area, box, way, effort) : box;
  const outlines = shapes.every((s) => s.square) ? [] : byOutline(shapes, area, effort);
  return [improved, ...byMatching(shapes, area, effort), ...outlines].reduce(better);
}

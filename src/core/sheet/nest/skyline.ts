import type { NestPlacement, Nest, NestArea, NestShape, QuarterTurn } from './shape';

/**
 * Rectangles by best fit on a skyline (Burke, Kendall and Whitwell, Operations Research 52, 2004): the lowest place is filled with the
 * piece that fits its width best, three ways of standing a piece in its niche being tried. Exact, no grid.
 */

interface Segment {
  x: number;
  y: number;
  width: number;
}

interface Size {
  readonly shape: number;
  readonly turn: QuarterTurn;
  readonly width: number;
  readonly height: number;
}

const NICHES = ['left', 'by the taller', 'by the lower'] as const;
export type Niche = (typeof NICHES)[number];

export interface SkylineWay {
  readonly niche: Niche;
  /** Which of the pieces that fit is taken: the widest, the largest, or the one that best levels with a neighbour. */
  readonly take: 'widest' | 'largest' | 'level';
  /** Leaning towards some shapes, mm of slack forgiven; found by trial. */
  readonly favour?: Float64Array;
}

export const SKYLINE_WAYS: readonly SkylineWay[] = NICHES.flatMap((niche) =>
  (['widest', 'largest', 'level'] as const).map((take) => ({ niche, take })),
);

const EPS = 1e-7;
const { abs, min, sqrt } = Math;

function sizesOf(shapes: readonly NestShape[], area: NestArea): readonly Size[] {
  return shapes.flatMap((s, shape): Size[] => {
    const upright: Size = { shape, turn: 0, width: s.widthMm + area.gapMm, height: s.heightMm + area.gapMm };
    const turned: Size = { shape, turn: 90, width: s.heightMm + area.gapMm, height: s.widthMm + area.gapMm };
    return area.mayRotate && abs(s.widthMm - s.heightMm) > EPS ? [upright, turned] : [upright];
  });
}

function lowest(sky: readonly Segment[]): number {
  let at = 0;
  sky.forEach((s, i) => {
    if (s.y < (sky[at] as Segment).y - EPS) at = i;
  });
  return at;
}

/** What the piece's top would differ by from the taller, else the lower neighbour. */
const unlevel = (top: number, left: number, right: number): number => min(abs(top - left), abs(top - right));

function choose(
  sizes: readonly Size[],
  left: readonly number[],
  niche: Segment,
  sides: readonly [number, number],
  limit: number,
  { take, favour }: SkylineWay,
): Size | null {
  let best: Size | null = null;
  let bestScore = Infinity;
  for (const s of sizes) {
    if ((left[s.shape] ?? 0) <= 0 || s.width > niche.width + EPS || niche.y + s.height > limit + EPS)
      continue;
    const slack = niche.width - s.width;
    const exact = slack < EPS ? -1e6 : 0;
    const level = unlevel(niche.y + s.height, sides[0], sides[1]);
    const lean = favour ? (favour[s.shape] as number) : 0;
    const score =
      -lean +
      (take === 'widest'
        ? exact + slack * 1000 - s.height
        : take === 'largest'
          ? exact - s.width * s.height
          : exact + slack + level - 0.2 * sqrt(s.width * s.height));
    if (score < bestScore) {
      bestScore = score;
      best = s;
    }
  }
  return best;
}

/** Raises a niche nothing fits to its lower neighbour, and joins level stretches. */
function raise(sky: Segment[], at: number): void {
  const niche = sky[at] as Segment;
  const left = sky[at - 1]?.y ?? Infinity;
  const right = sky[at + 1]?.y ?? Infinity;
  niche.y = min(left, right);
  merge(sky);
}

function merge(sky: Segment[]): void {
  for (let i = sky.length - 1; i > 0; i -= 1) {
    const a = sky[i - 1] as Segment;
    const b = sky[i] as Segment;
    if (abs(a.y - b.y) < EPS) {
      a.width += b.width;
      sky.splice(i, 1);
    }
  }
}

function stand(sky: Segment[], at: number, s: Size, niche: Niche): number {
  const here = sky[at] as Segment;
  const left = sky[at - 1]?.y ?? Infinity;
  const right = sky[at + 1]?.y ?? Infinity;
  const toRight = niche === 'left' ? false : niche === 'by the taller' ? right > left : right < left;
  const x = toRight ? here.x + here.width - s.width : here.x;
  const top: Segment = { x, y: here.y + s.height, width: s.width };
  const rest: Segment = {
    x: toRight ? here.x : here.x + s.width,
    y: here.y,
    width: here.width - s.width,
  };
  const parts = rest.width > EPS ? (toRight ? [rest, top] : [top, rest]) : [top];
  sky.splice(at, 1, ...parts);
  merge(sky);
  return x;
}

function oneSheet(sizes: readonly Size[], left: number[], area: NestArea, way: SkylineWay): NestPlacement[] {
  const width = area.widthMm + area.gapMm;
  const limit = area.heightMm + area.gapMm;
  const sky: Segment[] = [{ x: 0, y: 0, width }];
  const placements: NestPlacement[] = [];
  while (left.some((n) => n > 0)) {
    const at = lowest(sky);
    const niche = sky[at] as Segment;
    if (niche.y >= limit - EPS) break;
    const sides = [sky[at - 1]?.y ?? limit, sky[at + 1]?.y ?? limit] as const;
    const s = choose(sizes, left, niche, sides, limit, way);
    if (!s) {
      if (sky.length === 1) break;
      raise(sky, at);
      continue;
    }
    const y = niche.y;
    const x = stand(sky, at, s, way.niche);
    left[s.shape] = (left[s.shape] ?? 0) - 1;
    placements.push({
      shape: s.shape,
      turn: s.turn,
      x,
      y,
      width: s.width - area.gapMm,
      height: s.height - area.gapMm,
    });
  }
  return placements;
}

export function skyline(shapes: readonly NestShape[], area: NestArea, way: SkylineWay): Nest {
  const sizes = sizesOf(shapes, area);
  const left = shapes.map((s) => s.count);
  const sheets: NestPlacement[][] = [];
  while (left.some((n) => n > 0)) {
    const placements = oneSheet(sizes, left, area, way);
    if (placements.length === 0) break;
    sheets.push(placements);
  }
  return { sheets, left: left.reduce((a, b) => a + b, 0) };
}

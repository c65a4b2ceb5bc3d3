import type { Ring } from '../../geometry/ring';
import {
  outlineTurned,
  sizeTurned,
  turnsOf,
  type NestPlacement,
  type Nest,
  type NestArea,
  type NestShape,
  type QuarterTurn,
} from './shape';

/**
 * True outlines on a skyline of narrow columns: every piece is known by the lowest and highest point of each column it covers, widened by
 * half the gap, and sinks until it touches. Hollow edges take what bulges into them, which is how sectors stack like cups.
 */

interface Profile {
  readonly shape: number;
  readonly turn: QuarterTurn;
  readonly cols: number;
  /** From the top of the piece's own grown box, mm. */
  readonly from: Float64Array;
  readonly to: Float64Array;
  readonly grownHeight: number;
  readonly width: number;
  readonly height: number;
}

const { ceil, floor, max, min, sqrt } = Math;

/** Lowest and highest point of the outline over each column, straight sides followed exactly. */
function spans(
  ring: Ring,
  cols: number,
  cellMm: number,
  startMm: number,
): readonly [Float64Array, Float64Array] {
  const from = new Float64Array(cols).fill(Infinity);
  const to = new Float64Array(cols).fill(-Infinity);
  const put = (c: number, y: number) => {
    from[c] = min(from[c] as number, y);
    to[c] = max(to[c] as number, y);
  };
  ring.forEach((a, i) => {
    const b = ring[(i + 1) % ring.length] ?? a;
    const [l, r] = a.x <= b.x ? [a, b] : [b, a];
    const first = max(0, floor((l.x - startMm) / cellMm - 1e-9));
    const last = min(cols - 1, floor((r.x - startMm) / cellMm + 1e-9));
    for (let c = first; c <= last; c += 1) {
      const x1 = max(l.x, startMm + c * cellMm);
      const x2 = min(r.x, startMm + (c + 1) * cellMm);
      const at = (x: number) => (r.x - l.x < 1e-12 ? l.y : l.y + ((x - l.x) / (r.x - l.x)) * (r.y - l.y));
      put(c, at(x1));
      put(c, at(x2));
      if (r.x - l.x < 1e-12) put(c, r.y);
    }
  });
  return [from, to];
}

/** Grown by a disc of half the gap: the sum of Minkowski, column by column and never too small. */
function profileOf(
  shapes: readonly NestShape[],
  shape: number,
  turn: QuarterTurn,
  gapMm: number,
  cellMm: number,
): Profile {
  const s = shapes[shape] as NestShape;
  const { width, height } = sizeTurned(s, turn);
  const half = gapMm / 2;
  const cols = ceil((width + gapMm) / cellMm - 1e-9);
  const [from0, to0] = spans(outlineTurned(s, turn), cols, cellMm, -half);
  const reach = ceil(half / cellMm);
  const from = new Float64Array(cols).fill(Infinity);
  const to = new Float64Array(cols).fill(-Infinity);
  for (let c = 0; c < cols; c += 1)
    for (let d = -reach; d <= reach; d += 1) {
      const o = c + d;
      if (o < 0 || o >= cols || from0[o] === Infinity) continue;
      const apart = max(0, (Math.abs(d) - 1) * cellMm);
      if (apart > half) continue;
      const rise = sqrt(max(0, half * half - apart * apart));
      from[c] = min(from[c] as number, (from0[o] as number) - rise + half);
      to[c] = max(to[c] as number, (to0[o] as number) + rise + half);
    }
  return { shape, turn, cols, from, to, grownHeight: height + gapMm, width, height };
}

interface Found {
  readonly profile: Profile;
  readonly col: number;
  readonly y: number;
  readonly score: number;
}

/** Where a piece sinks deepest along the skyline. */
function sink(p: Profile, sky: Float64Array, limit: number, step: number, best: Found | null): Found | null {
  let found = best;
  const n = sky.length - p.cols;
  for (let col = 0; col <= n; col += col + step > n && col < n ? n - col : step) {
    let y = 0;
    const worst = found ? found.score : Infinity;
    for (let c = 0; c < p.cols; c += 1) {
      const at = (sky[col + c] as number) - (p.from[c] as number);
      if (at > y) {
        y = at;
        if (y + p.grownHeight > worst + 1e-9) break;
      }
    }
    const score = y + p.grownHeight;
    if (score > limit + 1e-9 || score >= worst - 1e-9) continue;
    found = { profile: p, col, y, score };
  }
  return found;
}

function put(sky: Float64Array, f: Found): void {
  for (let c = 0; c < f.profile.cols; c += 1) {
    const top = f.profile.to[c] as number;
    if (top === -Infinity) continue;
    sky[f.col + c] = max(sky[f.col + c] as number, f.y + top);
  }
}

/** Columns across a sheet: more lie closer and take longer, by their square. */
const FINE = 400;
export const COARSE = 180;

const cellFor = (widthMm: number, columns: number): number => max(0.5, widthMm / columns);

/** Shapes laid largest first, each where it rises least. */
export function profileNest(
  shapes: readonly NestShape[],
  area: NestArea,
  turns = turnsOf(area),
  columns = FINE,
): Nest {
  const cell = cellFor(area.widthMm, columns);
  const order = shapes
    .map((s, i) => ({ i, size: s.widthMm * s.heightMm }))
    .sort((a, b) => b.size - a.size)
    .map((o) => o.i);
  const profiles = shapes.map((_, i) => turns.map((t) => profileOf(shapes, i, t, area.gapMm, cell)));
  const cols = floor((area.widthMm + area.gapMm) / cell + 1e-9);
  const limit = area.heightMm + area.gapMm;
  const step = max(1, floor(cols / 160));
  const left = shapes.map((s) => s.count);
  const sheets: NestPlacement[][] = [];
  while (left.some((n) => n > 0)) {
    const placements = oneSheet();
    if (placements.length === 0) break;
    sheets.push(placements);
  }
  return { sheets, left: left.reduce((a, b) => a + b, 0) };

  function oneSheet(): NestPlacement[] {
    const sky = new Float64Array(cols);
    const placements: NestPlacement[] = [];
    for (const shape of order)
      while ((left[shape] as number) > 0) {
        const f = (profiles[shape] ?? []).reduce<Found | null>(
          (best, p) => sink(p, sky, limit, step, best),
          null,
        );
        if (!f) break;
        put(sky, f);
        left[shape] = (left[shape] as number) - 1;
        // The box grew by half the gap all round and the area with it: the two cancel.
        const { turn, width, height } = f.profile;
        placements.push({ shape, turn, x: f.col * cell, y: f.y, width, height });
      }
    return placements;
  }
}

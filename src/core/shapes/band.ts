import { coneOfHeight, type Cone } from './cone';
import { mostBend, profileAt, profileFootMm, profileTopMm, type Profile } from './profile';

/** A zone of the wall: heights from the rim along the axis, mm. */
export interface Band {
  readonly topMm: number;
  readonly footMm: number;
}

/**
 * The straight-sided paper that lies closest over a band. Paper cannot enter the wall, so it touches from outside and stands
 * off elsewhere: `r = a + b z` with the least largest lift, measured square to the paper.
 */
export interface BestCone {
  readonly a: number;
  readonly b: number;
  readonly worstLiftMm: number;
  /** Height at which it lifts most. */
  readonly worstAtMm: number;
}

/** Sampled wall as two columns: the search below visits them some hundred thousand times. */
interface Samples {
  readonly z: Float64Array;
  readonly r: Float64Array;
  /** Room for the two hulls. */
  readonly upper: Int32Array;
  readonly lower: Int32Array;
}

/**
 * Upper (side 1) or lower (side −1) hull of the samples from..to, in rising z (Andrew, Inf. Process. Lett. 9, 1979).
 * Written into `stack`; returns how many.
 */
function hull({ z, r }: Samples, from: number, to: number, side: 1 | -1, stack: Int32Array): number {
  let n = 0;
  for (let i = from; i <= to; i += 1) {
    const zi = z[i] as number;
    const ri = r[i] as number;
    while (n >= 2) {
      const o = stack[n - 2] as number;
      const p = stack[n - 1] as number;
      const zo = z[o] as number;
      const ro = r[o] as number;
      const turn = ((z[p] as number) - zo) * (ri - ro) - ((r[p] as number) - ro) * (zi - zo);
      if (side * turn < 0) break;
      n -= 1;
    }
    stack[n] = i;
    n += 1;
  }
  return n;
}

interface Strip {
  readonly width: number;
  readonly slope: number;
  readonly outer: number;
  readonly inner: number;
}

interface Hull {
  readonly stack: Int32Array;
  readonly count: number;
}

/** Narrowest strip with one side along an edge of one hull and the other through a corner of the opposite hull. */
function stripAlong({ z, r }: Samples, edge: Hull, far: Hull, side: 1 | -1): Strip {
  let width = Infinity;
  let slope = 0;
  let outer = edge.stack[0] as number;
  let inner = outer;
  // Slopes fall along an upper hull and rise along a lower one, so the farthest corner only ever moves towards the rim.
  let j = far.count - 1;
  for (let i = 0; i + 1 < edge.count; i += 1) {
    const p = edge.stack[i] as number;
    const q = edge.stack[i + 1] as number;
    const zp = z[p] as number;
    const rp = r[p] as number;
    const m = ((r[q] as number) - rp) / ((z[q] as number) - zp);
    let n = far.stack[j] as number;
    let off = side * (rp + m * ((z[n] as number) - zp) - (r[n] as number));
    while (j > 0) {
      const before = far.stack[j - 1] as number;
      const further = side * (rp + m * ((z[before] as number) - zp) - (r[before] as number));
      if (further < off) break;
      j -= 1;
      n = before;
      off = further;
    }
    const w = off / Math.sqrt(1 + m * m);
    if (w < width) {
      width = w;
      slope = m;
      outer = side === 1 ? p : n;
      inner = side === 1 ? n : p;
    }
  }
  return { width, slope, outer, inner };
}

/** Narrowest strip that holds some samples: one side lies along an edge of their hull (Houle and Toussaint, 1988). */
function narrowest(s: Samples, from: number, to: number): Strip {
  const upper = { stack: s.upper, count: hull(s, from, to, 1, s.upper) };
  const lower = { stack: s.lower, count: hull(s, from, to, -1, s.lower) };
  const above = stripAlong(s, upper, lower, 1);
  const below = stripAlong(s, lower, upper, -1);
  return below.width < above.width ? below : above;
}

/** Every so many samples tried first: if even those do not lie flat, all of them do not. */
const THINNED = 8;

function thinned({ z, r }: Samples): Samples {
  const keep = (_: number, i: number) => i % THINNED === 0;
  const fewer = z.filter(keep);
  return {
    z: fewer,
    r: r.filter(keep),
    upper: new Int32Array(fewer.length),
    lower: new Int32Array(fewer.length),
  };
}

/** Samples of a profile over a band, its nodes among them, at most `stepMm` apart. */
function sample(p: Profile, band: Band, stepMm: number): Samples {
  const inner = p.nodes.map((n) => n.z).filter((z) => z > band.topMm && z < band.footMm);
  const stops = [band.topMm, ...inner, band.footMm];
  const zs = stops.slice(0, -1).flatMap((z, i) => {
    const next = stops[i + 1] ?? z;
    const n = Math.max(1, Math.ceil((next - z) / stepMm));
    return Array.from({ length: n }, (_, k) => z + ((next - z) * k) / n);
  });
  const z = Float64Array.from([...zs, band.footMm]);
  return {
    z,
    r: z.map((height) => profileAt(p, height).r),
    upper: new Int32Array(z.length),
    lower: new Int32Array(z.length),
  };
}

const STEPS_MM = { finest: 0.4, coarsest: 0.75 } as const;
/** What a chord between samples can hide: |r″| dz² / 8 (interpolation error of a straight line). */
const hidden = (bend: number, stepMm: number): number => (bend * stepMm * stepMm) / 8;
/** Worth no finer sampling once no chord hides more than this, mm. */
const HIDES_ENOUGH_MM = 0.002;

const stepFor = (bend: number, heightMm: number, least: number): number =>
  Math.min(
    heightMm / least,
    Math.max(
      STEPS_MM.finest,
      Math.min(STEPS_MM.coarsest, Math.sqrt((8 * HIDES_ENOUGH_MM) / Math.max(bend, 1e-9))),
    ),
  );

/** The paper that fits a band best, and its worst lift with what the sampling may have missed added. */
export function bestCone(p: Profile, band: Band): BestCone {
  const bend = mostBend(p);
  const stepMm = stepFor(bend, band.footMm - band.topMm, 8);
  const wall = sample(p, band, stepMm);
  const { width, slope, outer, inner } = narrowest(wall, 0, wall.z.length - 1);
  // The wall may bulge past the samples by this, and fall short of them by as much again.
  const missed = hidden(bend, stepMm);
  return {
    a: (wall.r[outer] as number) - slope * (wall.z[outer] as number) + missed * Math.hypot(1, slope),
    b: slope,
    worstLiftMm: width + 2 * missed,
    worstAtMm: wall.z[inner] as number,
  };
}

/** Radius of the paper's inner face at a height. */
export const paperRadius = (c: BestCone, z: number): number => c.a + c.b * z;

/** How far the paper stands off the wall at a height, square to the paper, mm. Never negative inside its band. */
export const liftAt = (p: Profile, c: BestCone, z: number): number =>
  (paperRadius(c, z) - profileAt(p, z).r) / Math.hypot(1, c.b);

export const coneOfBand = (c: BestCone, band: Band): Cone =>
  coneOfHeight(paperRadius(c, band.topMm), paperRadius(c, band.footMm), band.footMm - band.topMm);

/**
 * The tallest band in which paper stays within `toleranceMm` of the wall. Two pointers over samples of the wall: widening a band
 * never lowers its lift. Ends fall on samples, at most 0.75 mm short of the true ones; never beyond them.
 */
export function usableBand(p: Profile, within: Band, toleranceMm: number): Band {
  const top = Math.max(within.topMm, profileTopMm(p));
  const foot = Math.min(within.footMm, profileFootMm(p));
  const bend = mostBend(p);
  const stepMm = stepFor(bend, foot - top, 16);
  const wall = sample(p, { topMm: top, footMm: foot }, stepMm);
  const last = wall.z.length - 1;
  // What these samples may have missed, and what those of the fit will allow for.
  const limit = toleranceMm - 4 * hidden(bend, stepMm);
  const few = thinned(wall);
  const lies = (i: number, j: number) => {
    const [a, b] = [Math.ceil(i / THINNED), Math.floor(j / THINNED)];
    return (b - a < 2 || narrowest(few, a, b).width <= limit) && narrowest(wall, i, j).width <= limit;
  };
  let best: Band = { topMm: top, footMm: top };
  let j = 1;
  for (let i = 0; i < last; i += 1) {
    const from = wall.z[i] as number;
    // Only a band taller than the best so far is worth trying from here.
    while (j <= last && (wall.z[j] as number) - from <= best.footMm - best.topMm) j += 1;
    while (j <= last && lies(i, j)) {
      best = { topMm: from, footMm: wall.z[j] as number };
      j += 1;
    }
    if (j > last) break;
  }
  return best;
}

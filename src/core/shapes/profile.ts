/** A radius at a height: z from the rim downwards along the axis, mm. */
export interface Node {
  readonly z: number;
  readonly r: number;
}

/** A wall's radius against height, between its first and last node. At least two nodes, z rising. */
export interface Profile {
  readonly nodes: readonly Node[];
  readonly slopes: readonly number[];
}

/** One-sided three-point end slope, kept monotone (Moler, Numerical Computing with MATLAB, 3.4). */
function endSlope(h0: number, h1: number, d0: number, d1: number): number {
  const d = ((2 * h0 + h1) * d0 - h0 * d1) / (h0 + h1);
  if (Math.sign(d) !== Math.sign(d0)) return 0;
  if (Math.sign(d0) !== Math.sign(d1) && Math.abs(d) > Math.abs(3 * d0)) return 3 * d0;
  return d;
}

/**
 * Monotone piecewise cubic through the nodes (PCHIP; Fritsch and Butland, SIAM J. Sci. Stat. Comput. 5, 1984): never
 * overshoots a reading, so a straight run between two equal circumferences stays straight.
 */
export function profileThrough(nodes: readonly Node[]): Profile {
  const n = nodes.length;
  const h: number[] = [];
  const d: number[] = [];
  for (let i = 0; i + 1 < n; i += 1) {
    const a = nodes[i] as Node;
    const b = nodes[i + 1] as Node;
    h.push(b.z - a.z);
    d.push((b.r - a.r) / (b.z - a.z));
  }
  const at = (list: readonly number[], i: number) => list[i] ?? 0;
  if (n === 2) return { nodes, slopes: [at(d, 0), at(d, 0)] };
  const slopes = nodes.map((_, i) => {
    if (i === 0) return endSlope(at(h, 0), at(h, 1), at(d, 0), at(d, 1));
    if (i === n - 1) return endSlope(at(h, n - 2), at(h, n - 3), at(d, n - 2), at(d, n - 3));
    const [d0, d1] = [at(d, i - 1), at(d, i)];
    if (d0 * d1 <= 0) return 0;
    const w1 = 2 * at(h, i) + at(h, i - 1);
    const w2 = at(h, i) + 2 * at(h, i - 1);
    return (w1 + w2) / (w1 / d0 + w2 / d1);
  });
  return { nodes, slopes };
}

function pieceAt(p: Profile, z: number): number {
  let lo = 0;
  let hi = p.nodes.length - 2;
  while (lo < hi) {
    const mid = (lo + hi + 1) >> 1;
    if ((p.nodes[mid]?.z ?? Infinity) <= z) lo = mid;
    else hi = mid - 1;
  }
  return lo;
}

/** Slope of piece i at a share t of its height. */
function slopeIn(p: Profile, i: number, t: number): number {
  const a = p.nodes[i] as Node;
  const b = p.nodes[i + 1] as Node;
  const h = b.z - a.z;
  const [m0, m1] = [(p.slopes[i] ?? 0) * h, (p.slopes[i + 1] ?? 0) * h];
  const rise = b.r - a.r;
  return (m0 + t * (2 * (3 * rise - 2 * m0 - m1) + 3 * t * (m0 + m1 - 2 * rise))) / h;
}

export interface Local {
  readonly r: number;
  /** r′ and r″ along the axis, 1 and 1/mm. */
  readonly slope: number;
  readonly bend: number;
}

/** Radius, slope and second derivative at a height; beyond the ends, as at the end. */
export function profileAt(p: Profile, z: number): Local {
  const first = p.nodes[0] as Node;
  const last = p.nodes[p.nodes.length - 1] as Node;
  const x = Math.min(last.z, Math.max(first.z, z));
  const i = pieceAt(p, x);
  const a = p.nodes[i] as Node;
  const b = p.nodes[i + 1] as Node;
  const h = b.z - a.z;
  const t = (x - a.z) / h;
  const [m0, m1] = [(p.slopes[i] ?? 0) * h, (p.slopes[i + 1] ?? 0) * h];
  const rise = b.r - a.r;
  const c2 = 3 * rise - 2 * m0 - m1;
  const c3 = m0 + m1 - 2 * rise;
  return {
    r: a.r + t * (m0 + t * (c2 + t * c3)),
    slope: (m0 + t * (2 * c2 + 3 * t * c3)) / h,
    bend: (2 * c2 + 6 * t * c3) / (h * h),
  };
}

/** Steps a wall is measured along in; the cubic between two readings is smooth, so this is far finer than any tape. */
const ALONG_STEPS = 240;

/** Length along a wall whose heights are stretched by `k`, mm: ∫ √(k² + r′²) dz by Simpson's rule, piece by piece. */
export function alongMm(p: Profile, k = 1): number {
  const pieces = p.nodes.length - 1;
  const steps = 2 * Math.ceil(ALONG_STEPS / pieces / 2);
  let sum = 0;
  for (let i = 0; i < pieces; i += 1) {
    const a = p.nodes[i] as Node;
    const b = p.nodes[i + 1] as Node;
    const h = (b.z - a.z) / steps;
    for (let j = 0; j <= steps; j += 1) {
      const weight = j === 0 || j === steps ? 1 : j % 2 === 1 ? 4 : 2;
      sum += (weight * h * Math.hypot(k, slopeIn(p, i, j / steps))) / 3;
    }
  }
  return sum;
}

/** How much a wall's heights have to be stretched for it to be `wantedMm` long; null where it would have to be flatter than flat. */
export function stretchFor(p: Profile, wantedMm: number): number | null {
  if (wantedMm <= alongMm(p, 0)) return null;
  let k = 1;
  // L(k) is convex and rising: Newton's method from the right never passes below the root.
  while (alongMm(p, k) < wantedMm) k *= 2;
  for (let i = 0; i < 40; i += 1) {
    const off = alongMm(p, k) - wantedMm;
    const rise = (alongMm(p, k * (1 + 1e-6)) - alongMm(p, k * (1 - 1e-6))) / (2e-6 * k);
    const next = k - off / rise;
    if (Math.abs(next - k) < 1e-12 * k) return next;
    k = next;
  }
  return k;
}

/** Gaussian curvature of the surface of revolution, 1/mm²: K = −r″ / (r (1 + r′²)²) (do Carmo, 3-3, example 4). */
export function gaussianCurvature({ r, slope, bend }: Local): number {
  return -bend / (r * (1 + slope * slope) ** 2);
}

export const profileTopMm = (p: Profile): number => p.nodes[0]?.z ?? 0;
export const profileFootMm = (p: Profile): number => p.nodes[p.nodes.length - 1]?.z ?? 0;

/** Largest |r″| over the whole profile, 1/mm: bounds what a straight chord between samples can miss. */
export function mostBend(p: Profile): number {
  return p.nodes.slice(0, -1).reduce((most, a, i) => {
    const b = p.nodes[i + 1] as Node;
    // r″ is linear within a piece, so its largest value stands at an end.
    const eps = (b.z - a.z) * 1e-9;
    return Math.max(most, Math.abs(profileAt(p, a.z + eps).bend), Math.abs(profileAt(p, b.z - eps).bend));
  }, 0);
}

/** Below this Fourier number an explicit step is stable with room to spare, and as good. */
const EXPLICIT_TO = 0.2;
/** Below this nothing moves that would show. */
const STILL = 0.0005;

/**
 * Conduction along a wall, round a ring of equal sectors, in place; heat is conserved. `number` is the Fourier number α·dt/width² of a
 * sector. Small ones by an explicit step, large ones by an implicit one: a cyclic tridiagonal system by Sherman and Morrison
 * (Press et al., Numerical Recipes, 2.7).
 */
export function conductRound(ring: Float64Array, number: number): void {
  if (ring.length < 3 || number < STILL) return;
  if (number <= EXPLICIT_TO) explicit(ring, number);
  else implicit(ring, number);
}

function explicit(ring: Float64Array, number: number): void {
  const n = ring.length;
  const first = ring[0] ?? 0;
  let before = ring[n - 1] ?? 0;
  for (let i = 0; i < n; i += 1) {
    const here = ring[i] ?? 0;
    const next = i === n - 1 ? first : (ring[i + 1] ?? 0);
    ring[i] = here + number * (before - 2 * here + next);
    before = here;
  }
}

function implicit(ring: Float64Array, number: number): void {
  const n = ring.length;
  const d = 1 + 2 * number;
  const corner = -number;
  // With γ = −d the first and last diagonals become 2d and d + number²/d.
  const gamma = -d;
  const lastD = d - (corner * corner) / gamma;
  const z = new Float64Array(n);
  const c = new Float64Array(n);
  for (let i = 0; i < n; i += 1) {
    const diagonal = i === 0 ? d - gamma : i === n - 1 ? lastD : d;
    const pivot = diagonal + number * (i > 0 ? (c[i - 1] ?? 0) : 0);
    c[i] = -number / pivot;
    ring[i] = ((ring[i] ?? 0) + number * (i > 0 ? (ring[i - 1] ?? 0) : 0)) / pivot;
    const v = i === 0 ? gamma : i === n - 1 ? corner : 0;
    z[i] = (v + number * (i > 0 ? (z[i - 1] ?? 0) : 0)) / pivot;
  }
  for (let i = n - 2; i >= 0; i -= 1) {
    ring[i] = (ring[i] ?? 0) - (c[i] ?? 0) * (ring[i + 1] ?? 0);
    z[i] = (z[i] ?? 0) - (c[i] ?? 0) * (z[i + 1] ?? 0);
  }
  const last = n - 1;
  const fact =
    ((ring[0] ?? 0) + (corner * (ring[last] ?? 0)) / gamma) /
    (1 + (z[0] ?? 0) + (corner * (z[last] ?? 0)) / gamma);
  for (let i = 0; i < n; i += 1) ring[i] = (ring[i] ?? 0) - fact * (z[i] ?? 0);
}

/** Below this Fourier number of the narrowest sector nothing moves that would show. */
const STILL = 0.0005;

/** Sectors of a wall in their order: widths and distances between their middles, m, and whether the last lies beside the first. */
export interface Sectors {
  readonly widthsM: readonly number[];
  readonly closed: boolean;
}

/**
 * Conduction along a wall cut into sectors of any width, in place: `rows` hold each sector's temperatures by depth, of which from..to-1 take
 * part. One implicit Euler step over `alphaDt`, thermal diffusivity times time, m² (finite volumes, Patankar 1980, ch. 4). An open wall is
 * insulated at its ends, as where it meets its own mirror image; a closed one is a cyclic tridiagonal system (Sherman and Morrison; Press et
 * al., Numerical Recipes, 2.7). Heat is conserved.
 */
export function conductAlong(
  { widthsM, closed }: Sectors,
  rows: readonly Float64Array[],
  from: number,
  to: number,
  alphaDt: number,
): void {
  const n = rows.length;
  const narrowest = Math.min(...widthsM);
  if (n < 2 || alphaDt / (narrowest * narrowest) < STILL) return;
  // Conductance to the next sector; that of the last leads back to the first.
  const next = widthsM.map((w, j) => (2 * alphaDt) / (w + (widthsM[(j + 1) % n] ?? w)));
  const back = closed && n > 2 ? (next[n - 1] ?? 0) : 0;
  const c = new Float64Array(n);
  const z = new Float64Array(n);
  const firstD = diagonal(widthsM, next, 0, back);
  const gamma = -firstD;
  for (let j = 0; j < n; j += 1) {
    const before = j > 0 ? (next[j - 1] ?? 0) : 0;
    const after = j < n - 1 ? (next[j] ?? 0) : 0;
    let d = diagonal(widthsM, next, j, back);
    if (back > 0 && j === 0) d -= gamma;
    if (back > 0 && j === n - 1) d -= (back * back) / gamma;
    const inverse = 1 / (d - before * (c[j - 1] ?? 0));
    c[j] = after * inverse;
    const store = (widthsM[j] ?? 0) * inverse;
    const carried = before * inverse;
    const row = rows[j];
    const above = rows[j - 1];
    if (!row) continue;
    if (above) for (let i = from; i < to; i += 1) row[i] = store * (row[i] ?? 0) + carried * (above[i] ?? 0);
    else for (let i = from; i < to; i += 1) row[i] = store * (row[i] ?? 0);
    const v = back > 0 ? (j === 0 ? gamma : j === n - 1 ? -back : 0) : 0;
    z[j] = v * inverse + carried * (z[j - 1] ?? 0);
  }
  for (let j = n - 2; j >= 0; j -= 1) {
    const [row, below, share] = [rows[j], rows[j + 1], c[j] ?? 0];
    if (row && below) for (let i = from; i < to; i += 1) row[i] = (row[i] ?? 0) + share * (below[i] ?? 0);
    z[j] = (z[j] ?? 0) + share * (z[j + 1] ?? 0);
  }
  if (back > 0) close(rows, from, to, z, -back / gamma);
}

/** What a sector stores and gives to its neighbours, over the step. */
const diagonal = (widthsM: readonly number[], next: readonly number[], j: number, back: number): number => {
  const n = widthsM.length;
  const before = j > 0 ? (next[j - 1] ?? 0) : back;
  const after = j < n - 1 ? (next[j] ?? 0) : back;
  return (widthsM[j] ?? 0) + before + after;
};

/** Joins the ends of a ring: the rank-one correction of Sherman and Morrison, by depth. */
function close(
  rows: readonly Float64Array[],
  from: number,
  to: number,
  z: Float64Array,
  corner: number,
): void {
  const last = rows.length - 1;
  const under = 1 + (z[0] ?? 0) + corner * (z[last] ?? 0);
  for (let i = from; i < to; i += 1) {
    const fact = ((rows[0]?.[i] ?? 0) + corner * (rows[last]?.[i] ?? 0)) / under;
    rows.forEach((row, j) => (row[i] = (row[i] ?? 0) - fact * (z[j] ?? 0)));
  }
}

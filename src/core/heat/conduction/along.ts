/** Below this Fourier number of the narrowest sector nothing moves that would show. */
const STILL = 0.0005;

/** Sectors of a wall in their order: widths, m, and whether the last is adjacent to the first. */
export interface Sectors {
  readonly widthsM: readonly number[];
  readonly closed: boolean;
}

/** An implicit step along the wall, factored: what each row keeps of itself, takes from the sector before and gives to the one after. */
interface Factored {
  readonly alphaDt: number;
  readonly store: Float64Array;
  readonly carried: Float64Array;
  readonly share: Float64Array;
  /** For a closed wall: the rank-one correction for the corner entries of the cyclic matrix (Sherman and Morrison). */
  readonly joint: { readonly z: Float64Array; readonly corner: number; readonly under: number } | null;
}

/** Elimination of one step over `alphaDt`, thermal diffusivity times time, m² (finite volumes, Patankar 1980, ch. 4). */
function factor({ widthsM, closed }: Sectors, alphaDt: number): Factored {
  const n = widthsM.length;
  // Conductance to the next sector; that of the last leads back to the first.
  const next = widthsM.map((w, j) => (2 * alphaDt) / (w + (widthsM[(j + 1) % n] ?? w)));
  const back = closed && n > 2 ? (next[n - 1] ?? 0) : 0;
  const [store, carried, share, z] = [0, 1, 2, 3].map(() => new Float64Array(n)) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  const gamma = -((widthsM[0] ?? 0) + back + (n > 1 ? (next[0] ?? 0) : back));
  for (let j = 0; j < n; j += 1) {
    const before = j > 0 ? (next[j - 1] ?? 0) : 0;
    const after = j < n - 1 ? (next[j] ?? 0) : 0;
    const corner = j === 0 ? back - gamma : j === n - 1 ? back - (back * back) / gamma : 0;
    const d = (widthsM[j] ?? 0) + before + after + (back > 0 ? corner : 0);
    const inverse = 1 / (d - before * (share[j - 1] ?? 0));
    share[j] = after * inverse;
    store[j] = (widthsM[j] ?? 0) * inverse;
    carried[j] = before * inverse;
    const end = back > 0 ? (j === 0 ? gamma : j === n - 1 ? -back : 0) : 0;
    z[j] = end * inverse + (carried[j] ?? 0) * (z[j - 1] ?? 0);
  }
  for (let j = n - 2; j >= 0; j -= 1) z[j] = (z[j] ?? 0) + (share[j] ?? 0) * (z[j + 1] ?? 0);
  const corner = -back / gamma;
  const under = 1 + (z[0] ?? 0) + corner * (z[n - 1] ?? 0);
  return { alphaDt, store, carried, share, joint: back > 0 ? { z, corner, under } : null };
}

/**
 * Conduction along a wall cut into sectors of any width: returns what takes one implicit Euler step over `alphaDt`, in place. Temperatures stand
 * depth by depth, cell i of sector j of n at i·n + j; depths from..to-1 take part. An open wall is insulated at its ends, as where it meets its
 * own mirror image; a closed one is a cyclic tridiagonal system (Press et al., Numerical Recipes, 2.7). Heat is conserved.
 */
export function conductorAlong(
  sectors: Sectors,
): (cells: Float64Array, from: number, to: number, alphaDt: number) => void {
  const n = sectors.widthsM.length;
  const narrowest = Math.min(...sectors.widthsM);
  // Steps of one length follow one another: the last factors serve again.
  let held: Factored | null = null;
  return (cells, from, to, alphaDt) => {
    if (n < 2 || alphaDt / (narrowest * narrowest) < STILL) return;
    if (held?.alphaDt !== alphaDt) held = factor(sectors, alphaDt);
    const { store, carried, share, joint } = held;
    for (let i = from * n; i < to * n; i += n) {
      let before = 0;
      for (let j = 0; j < n; j += 1) {
        before = (store[j] ?? 0) * (cells[i + j] ?? 0) + (carried[j] ?? 0) * before;
        cells[i + j] = before;
      }
      for (let j = n - 2; j >= 0; j -= 1) {
        before = (cells[i + j] ?? 0) + (share[j] ?? 0) * before;
        cells[i + j] = before;
      }
      if (!joint) continue;
      const { z, corner, under } = joint;
      const fact = ((cells[i] ?? 0) + corner * (cells[i + n - 1] ?? 0)) / under;
      for (let j = 0; j < n; j += 1) cells[i + j] = (cells[i + j] ?? 0) - fact * (z[j] ?? 0);
    }
  };
}

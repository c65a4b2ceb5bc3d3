/** A grid of values, row by row from the top. */
export interface Field {
  readonly width: number;
  readonly height: number;
  readonly values: Float64Array;
}

const FAR = 1e20;

/** Squared distances along one line to the lower envelope of the parabolas that stand on its values (Felzenszwalb and Huttenlocher 2012, alg. 1). */
function alongLine(line: Float64Array, n: number, out: Float64Array): void {
  const at = new Int32Array(n);
  const from = new Float64Array(n + 1);
  let k = 0;
  from[0] = -FAR;
  from[1] = FAR;
  const meets = (q: number, p: number): number =>
    ((line[q] as number) + q * q - ((line[p] as number) + p * p)) / (2 * q - 2 * p);
  for (let q = 1; q < n; q += 1) {
    let s = meets(q, at[k] as number);
    while (s <= (from[k] as number)) {
      k -= 1;
      s = meets(q, at[k] as number);
    }
    k += 1;
    at[k] = q;
    from[k] = s;
    from[k + 1] = FAR;
  }
  k = 0;
  for (let q = 0; q < n; q += 1) {
    while ((from[k + 1] as number) < q) k += 1;
    const p = at[k] as number;
    out[q] = (q - p) ** 2 + (line[p] as number);
  }
}

/**
 * Distance of every cell's middle to that of the nearest cell `inside` holds true for, in cells; very large where none is. Exact (Felzenszwalb and
 * Huttenlocher, Distance Transforms of Sampled Functions, Theory of Computing 8, 2012).
 */
export function distanceField(width: number, height: number, inside: (cell: number) => boolean): Field {
  const values = Float64Array.from({ length: width * height }, (_, i) => (inside(i) ? 0 : FAR));
  const most = Math.max(width, height);
  const [line, out] = [new Float64Array(most), new Float64Array(most)];
  for (let x = 0; x < width; x += 1) {
    for (let y = 0; y < height; y += 1) line[y] = values[y * width + x] as number;
    alongLine(line, height, out);
    for (let y = 0; y < height; y += 1) values[y * width + x] = out[y] as number;
  }
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) line[x] = values[y * width + x] as number;
    alongLine(line, width, out);
    for (let x = 0; x < width; x += 1) values[y * width + x] = Math.sqrt(out[x] as number);
  }
  return { width, height, values };
}

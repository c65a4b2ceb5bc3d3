/** Small dense symmetric matrices, row by row. For the handful of unknowns of a fit. */
export type Matrix = readonly (readonly number[])[];

export const identity = (n: number): number[][] =>
  Array.from({ length: n }, (_, i) => Array.from({ length: n }, (_, j) => (i === j ? 1 : 0)));

/** Lower factor of a positive definite matrix (Golub & Van Loan, 4.2). */
export function cholesky(a: Matrix): number[][] {
  const n = a.length;
  const l = identity(n).map((row) => row.map(() => 0));
  for (let i = 0; i < n; i += 1)
    for (let j = 0; j <= i; j += 1) {
      let sum = a[i]?.[j] ?? 0;
      for (let k = 0; k < j; k += 1) sum -= (l[i]?.[k] ?? 0) * (l[j]?.[k] ?? 0);
      const row = l[i];
      if (row) row[j] = i === j ? Math.sqrt(Math.max(sum, 1e-12)) : sum / (l[j]?.[j] ?? 1);
    }
  return l;
}

/** Solves a·x = b for a positive definite matrix. */
export function solve(a: Matrix, b: readonly number[]): number[] {
  const l = cholesky(a);
  const y: number[] = [];
  l.forEach((row, i) => {
    const sum = row.slice(0, i).reduce((s, v, k) => s + v * (y[k] ?? 0), 0);
    y.push(((b[i] ?? 0) - sum) / (row[i] ?? 1));
  });
  const x = y.map(() => 0);
  for (let i = l.length - 1; i >= 0; i -= 1) {
    let sum = y[i] ?? 0;
    for (let k = i + 1; k < l.length; k += 1) sum -= (l[k]?.[i] ?? 0) * (x[k] ?? 0);
    x[i] = sum / (l[i]?.[i] ?? 1);
  }
  return x;
}

export const inverse = (a: Matrix): number[][] => identity(a.length).map((e) => solve(a, e));

export const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((s, v, i) => s + v * (b[i] ?? 0), 0);

/** vᵀ·a·v. */
export const quadratic = (a: Matrix, v: readonly number[]): number =>
  a.reduce((s, row, i) => s + (v[i] ?? 0) * dot(row, v), 0);

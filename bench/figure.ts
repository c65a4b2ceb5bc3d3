/** One measured figure beside its limit and a reference taken in the same run. */
export interface Figure {
  readonly value: number;
  readonly unit: string;
  readonly limit: number;
  readonly reference: { readonly what: string; readonly value: number };
}

export const round = (v: number, places = 2) => Math.round(v * 10 ** places) / 10 ** places;

export function p95(times: readonly number[]): number {
  const sorted = [...times].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length * 0.95)] ?? NaN;
}

export function timed(n: number, task: () => unknown): number[] {
  return Array.from({ length: n }, () => {
    const start = performance.now();
    task();
    return performance.now() - start;
  });
}

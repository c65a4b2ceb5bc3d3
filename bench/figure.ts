import type { Page } from '@playwright/test';

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

/** Begins to note every task of the page that takes over 50 ms. */
export const watchLongTasks = (page: Page): Promise<void> =>
  page.evaluate(() => {
    const seen: number[] = [];
    Object.assign(window, { seen });
    new PerformanceObserver((list) => seen.push(...list.getEntries().map((e) => e.duration))).observe({
      type: 'longtask',
    });
  });

export const longestTask = (page: Page): Promise<number> =>
  page.evaluate(() => Math.max(0, ...(window as unknown as { seen: number[] }).seen));

/** ms the browser takes to encode a plain PNG of a size. */
export const encodePng = (page: Page, widthPx: number, heightPx: number): Promise<number> =>
  page.evaluate(
    async ([w, h]) => {
      const canvas = new OffscreenCanvas(w, h);
      canvas.getContext('2d')?.fillRect(0, 0, w, h);
      const start = performance.now();
      await canvas.convertToBlob({ type: 'image/png' });
      return performance.now() - start;
    },
    [widthPx, heightPx] as const,
  );

/** The worker that keeps time while the page is not seen; started when that first happens. */
let ticker: Worker | null = null;
let wanted: (() => void) | null = null;

function startTicker(): Worker {
  const worker = new Worker(new URL('../../workers/tick.worker.ts', import.meta.url), { type: 'module' });
  worker.addEventListener('message', () => {
    const act = wanted;
    wanted = null;
    act?.();
  });
  return worker;
}

/** Acts after so long, seen or not; gives a way to call it off. One at a time is wanted of the worker: pages draw one screen of presses. */
export function wakeAfter(act: () => void, ms: number): () => void {
  if (!document.hidden) {
    const timer = setTimeout(act, ms);
    return () => clearTimeout(timer);
  }
  ticker ??= startTicker();
  wanted = act;
  ticker.postMessage(ms);
  return () => {
    if (wanted === act) wanted = null;
  };
}

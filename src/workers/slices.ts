import type { Steps } from '@/core/basics/steps';

const breath = (): Promise<void> =>
  new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(null);
  });

/**
 * Goes through the steps in slices of so many ms, so that messages are taken in between; null as soon as `stale` says that nobody waits for the
 * answer any more.
 */
export async function finishInSlices<T>(
  steps: Steps<T>,
  stale: () => boolean,
  sliceMs = 40,
): Promise<T | null> {
  let until = performance.now() + sliceMs;
  for (;;) {
    const at = steps.next();
    if (at.done) return at.value;
    if (performance.now() < until) continue;
    await breath();
    if (stale()) return null;
    until = performance.now() + sliceMs;
  }
}

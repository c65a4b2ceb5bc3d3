import * as Comlink from 'comlink';
import { fail, ok, type Result } from '@/core/result';
import type { BenchWorker } from './bench.worker';

interface Held {
  readonly worker: Worker;
  readonly api: Comlink.Remote<BenchWorker>;
}

let held: Held | null = null;

function holdWorker(): Held {
  if (held) return held;
  const worker = new Worker(new URL('./bench.worker.ts', import.meta.url), { type: 'module' });
  held = { worker, api: Comlink.wrap<BenchWorker>(worker) };
  return held;
}

/** Throws the worker away; whatever it was doing is lost, and the next task starts a new one. */
function dropWorker(): void {
  held?.worker.terminate();
  held = null;
}

const STOPPED = { what: 'Stopped.', where: 'Export', wayOut: 'Start it again when you are ready.' };

/**
 * Runs one task in the worker. An abort ends the worker at once. What goes wrong comes back as a problem in words; the
 * page is never blocked.
 */
export async function inWorker<T>(
  where: string,
  task: (api: Comlink.Remote<BenchWorker>) => Promise<T>,
  signal?: AbortSignal,
): Promise<Result<T>> {
  if (signal?.aborted) return { ok: false, problem: STOPPED };
  const aborted = new Promise<Result<T>>((resolve) => {
    signal?.addEventListener('abort', () => {
      dropWorker();
      resolve({ ok: false, problem: STOPPED });
    });
  });
  const done = (async (): Promise<Result<T>> => {
    try {
      return ok(await task(holdWorker().api));
    } catch (error) {
      dropWorker();
      const why = error instanceof Error ? error.message : 'The work stopped half way.';
      return fail(why, where, 'Nothing was lost. Try again; if it happens twice, use a smaller picture.');
    }
  })();
  return Promise.race([done, aborted]);
}

export const onProgress = (f: (done: number) => void): ((done: number) => void) => Comlink.proxy(f);

import { say, type Message, problemError, unpacked } from '@/core/message/message';
import * as Comlink from 'comlink';
import { fail, ok, type Problem, type Result } from '@/core/basics/result';
import { part } from '@/core/basics/part';
import type { FilesWorker } from './files.worker';
import type { DayWorker } from './day.worker';
import type { HeatWorker } from './heat.worker';
import type { LogWorker } from './log.worker';
import type { RunWorker } from './run.worker';

const STOPPED: Problem = {
  what: say('files.stopped'),
  where: say('files.export'),
  wayOut: say('files.startAgain'),
};

type Task<A, T> = (api: Comlink.Remote<A>) => Promise<T>;

/** Runs one task in a worker; what goes wrong comes back as a problem in words. */
type InWorker<A> = <T>(where: Message | string, task: Task<A, T>, signal?: AbortSignal) => Promise<Result<T>>;

/** Ended for the sake of another task, or its script could not be fetched. */
type Gone = 'ended' | 'not loaded';

/** Whether a task failed because a part of the program it needs could not be fetched. */
const isNotLoaded = (error: unknown): boolean =>
  error instanceof Error && (error.name === 'ChunkLoadError' || /^Failed to load chunk/.test(error.message));

/**
 * One worker, started when it is first needed. An abort ends it at once; whatever else it was doing is begun again in a new one. The page is
 * never blocked.
 */
function workerOf<A>(start: () => Worker): InWorker<A> {
  interface Held {
    readonly worker: Worker;
    readonly api: Comlink.Remote<A>;
  }
  let held: Held | null = null;
  /** Workers that have answered a task, well or ill: they run. */
  const answered = new WeakSet<Worker>();
  /** Tells everyone who waits for the worker that it is gone: a worker that has been ended answers nobody. */
  const waiting = new Set<(why: Gone) => void>();

  /** Throws the worker away; those who wait for it get the reason, and the next task starts a new one. */
  const drop = (why: Gone): void => {
    held?.worker.terminate();
    held = null;
    const left = [...waiting];
    waiting.clear();
    for (const gone of left) gone(why);
  };

  const hold = (): Held => {
    if (held) return held;
    const worker = start();
    const mine: Held = { worker, api: Comlink.wrap<A>(worker) };
    held = mine;
    // A worker whose script cannot be had answers nobody: those who wait get an error. What goes wrong in a task is that task's alone.
    worker.addEventListener('error', () => {
      if (held === mine && !answered.has(worker)) drop('not loaded');
    });
    return mine;
  };

  /** One try at a task, or why its worker was gone before it answered. */
  const attempt = <T>(where: Message | string, task: Task<A, T>): Promise<Result<T> | Gone> => {
    let gone: (why: Gone) => void = () => {};
    const lost = new Promise<Gone>((resolve) => {
      gone = resolve;
      waiting.add(gone);
    });
    const done = (async (): Promise<Result<T> | Gone> => {
      const { worker, api } = hold();
      try {
        return ok(await task(api));
      } catch (error) {
        if (isNotLoaded(error)) return 'not loaded';
        const why = error instanceof Error ? unpacked(error.message) : say('files.workStoppedHalfWay');
        return fail(why, where, say('files.nothingWasLostTry'));
      } finally {
        answered.add(worker);
      }
    })();
    return Promise.race([done, lost]).finally(() => waiting.delete(gone));
  };

  return async <T>(where: Message | string, task: Task<A, T>, signal?: AbortSignal): Promise<Result<T>> => {
    if (signal?.aborted) return { ok: false, problem: STOPPED };
    let stopped = false;
    let over = false;
    const aborted = new Promise<Result<T>>((resolve) => {
      signal?.addEventListener('abort', () => {
        // Stopping what is done already is nobody's loss, and must not be.
        if (over) return;
        stopped = true;
        resolve({ ok: false, problem: STOPPED });
        drop('ended');
      });
    });
    const loaded = () =>
      part(async () => {
        const tried = await attempt(where, task);
        // Nobody waits any more for what was stopped: it must not be offered again.
        if (tried === 'not loaded' && !stopped) throw problemError(say('files.workerNotLoaded'));
        return tried;
      });
    const tried = (async (): Promise<Result<T>> => {
      const first = await loaded();
      const again = first === 'ended' && !stopped ? await loaded() : first;
      return typeof again === 'string'
        ? fail(say('files.workStoppedHalfWay'), where, say('files.nothingWasLostTry2'))
        : again;
    })();
    return Promise.race([tried, aborted]).finally(() => {
      over = true;
    });
  };
}

export type FilesApi = Comlink.Remote<FilesWorker>;

/** Pictures, sheets and searches. */
export const inWorker: InWorker<FilesWorker> = workerOf(
  () => new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' }),
);

/** The heat model, apart: a window takes a second, and no picture should wait for it. */
export const inHeatWorker: InWorker<HeatWorker> = workerOf(
  () => new Worker(new URL('./heat.worker.ts', import.meta.url), { type: 'module' }),
);

/** When the runs will be over, apart again: it is asked while a window is calculated. */
export const inRunWorker: InWorker<RunWorker> = workerOf(
  () => new Worker(new URL('./run.worker.ts', import.meta.url), { type: 'module' }),
);

/** The day, planned and played out. */
export const inDayWorker: InWorker<DayWorker> = workerOf(
  () => new Worker(new URL('./day.worker.ts', import.meta.url), { type: 'module' }),
);

/** The log, filtered and charted: it holds a row of every entry. */
export const inLogWorker: InWorker<LogWorker> = workerOf(
  () => new Worker(new URL('./log.worker.ts', import.meta.url), { type: 'module' }),
);

export const onProgress = (f: (done: number) => void): ((done: number) => void) => Comlink.proxy(f);

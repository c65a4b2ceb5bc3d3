import { useSyncExternalStore } from 'react';

/** Pictures being read now: the first one's name, and how many of those asked for since the last rest are done. */
export interface ReadingProgress {
  readonly name: string;
  readonly done: number;
  readonly of: number;
}

let names: readonly string[] = [];
let done = 0;
let now: ReadingProgress | null = null;
const listeners = new Set<() => void>();

function change(next: readonly string[], finished: number): void {
  names = next;
  done = next.length === 0 ? 0 : finished;
  const [first] = next;
  now = first === undefined ? null : { name: first, done, of: done + next.length };
  listeners.forEach((f) => f());
}

/** Counts a picture as being read until the promise settles. */
export function whileReading<T>(name: string, work: Promise<T>): Promise<T> {
  change([...names, name], done);
  return work.finally(() => {
    const at = names.indexOf(name);
    change(
      names.filter((_, i) => i !== at),
      done + 1,
    );
  });
}

const subscribe = (f: () => void): (() => void) => {
  listeners.add(f);
  return () => listeners.delete(f);
};

/** What is being read this moment; null at rest. */
export const readingNow = (): ReadingProgress | null => now;

export const useReading = (): ReadingProgress | null =>
  useSyncExternalStore(subscribe, readingNow, () => null);

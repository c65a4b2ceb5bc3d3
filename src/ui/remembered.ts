import { useCallback, useSyncExternalStore } from 'react';

const keyOf = (name: string): string => `mesa-drift.view.${name}`;
const listeners = new Set<() => void>();

function read(name: string, usual: boolean): boolean {
  try {
    const kept = localStorage.getItem(keyOf(name));
    return kept === null ? usual : kept === 'yes';
  } catch {
    return usual;
  }
}

const subscribe = (f: () => void): (() => void) => {
  listeners.add(f);
  return () => listeners.delete(f);
};

/** Whether a part of the screen is open, remembered in this browser; a browser that keeps nothing has it as usual. */
export function useRemembered(name: string, usual: boolean): readonly [boolean, (on: boolean) => void] {
  const on = useSyncExternalStore(
    subscribe,
    () => read(name, usual),
    () => usual,
  );
  const put = useCallback(
    (next: boolean) => {
      try {
        localStorage.setItem(keyOf(name), next ? 'yes' : 'no');
      } catch {
        // As usual next time.
      }
      listeners.forEach((f) => f());
    },
    [name],
  );
  return [on, put];
}

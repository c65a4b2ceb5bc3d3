import { useLayoutEffect, useRef } from 'react';

interface Keys {
  readonly onSpace: () => unknown;
  readonly onNumber?: (n: number) => unknown;
}

/** Space is the next step where hands are needed, a number that of one press, wherever the focus rests, except in a control or a dialog. */
export function useStepKeys(keys: Keys): void {
  const latest = useRef(keys);
  useLayoutEffect(() => {
    latest.current = keys;
  });
  // Before the step can be seen, not after: a key tapped at once must not be lost.
  useLayoutEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.repeat || e.ctrlKey || e.metaKey || e.altKey) return;
      const at = e.target instanceof Element ? e.target : null;
      if (at?.closest('[role="dialog"], [role="menu"], input, textarea, select')) return;
      if (e.key === ' ') {
        if (at?.closest('a, button')) return;
        e.preventDefault();
        latest.current.onSpace();
      } else if (/^[1-9]$/.test(e.key)) latest.current.onNumber?.(Number(e.key));
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}

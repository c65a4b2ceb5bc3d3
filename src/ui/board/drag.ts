import type { KeyboardEvent, PointerEvent as ReactPointerEvent } from 'react';

export interface DragHandlers {
  readonly onPointerDown: (e: ReactPointerEvent<Element>) => void;
}

/**
 * Follows a pointer from press to release. `onMove` gets the distance moved since the press, px; `onEnd` once at the end.
 */
export function dragFrom<T>(
  begin: () => T,
  onMove: (start: T, dx: number, dy: number) => void,
  onEnd?: () => void,
): DragHandlers {
  return {
    onPointerDown: (e) => {
      if (e.button !== 0) return;
      e.preventDefault();
      e.stopPropagation();
      if (e.currentTarget instanceof HTMLElement || e.currentTarget instanceof SVGElement)
        e.currentTarget.focus();
      const start = begin();
      const { clientX, clientY } = e;
      const move = (ev: PointerEvent) => onMove(start, ev.clientX - clientX, ev.clientY - clientY);
      const up = () => {
        window.removeEventListener('pointermove', move);
        window.removeEventListener('pointerup', up);
        window.removeEventListener('pointercancel', up);
        onEnd?.();
      };
      window.addEventListener('pointermove', move);
      window.addEventListener('pointerup', up);
      window.addEventListener('pointercancel', up);
    },
  };
}

const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** Arrow keys as steps; ten times as far with Shift. Returns true when the key was one. */
export function arrowStep(e: KeyboardEvent, step: (dx: number, dy: number) => void): boolean {
  const found = STEPS[e.key];
  if (!found) return false;
  e.preventDefault();
  const by = e.shiftKey ? 10 : 1;
  step(found[0] * by, found[1] * by);
  return true;
}

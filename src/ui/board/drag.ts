import { useDrag } from '@use-gesture/react';
import type { KeyboardEvent } from 'react';

let drags = 0;
let held = false;

/** The number of the drag that is going on; null between two. */
export const dragHeld = (): number | null => (held ? drags : null);

/**
 * Handlers that follow a pointer from press to release, captured by what was pressed. `onMove` gets what `begin` gave at the press, and the
 * distance moved since, px.
 */
export function useDragFrom<T>(
  begin: () => T,
  onMove: (start: T, dx: number, dy: number) => void,
): ReturnType<ReturnType<typeof useDrag>> {
  const bind = useDrag(
    ({ first, last, movement: [dx, dy], memo, event, currentTarget }) => {
      if (first) {
        drags += 1;
        held = true;
        event.preventDefault();
        event.stopPropagation();
        if (currentTarget instanceof HTMLElement || currentTarget instanceof SVGElement)
          currentTarget.focus();
        return begin();
      }
      onMove(memo as T, dx, dy);
      if (last) held = false;
      return memo as T;
    },
    // Arrow keys are the handle's own affair.
    { pointer: { buttons: 1, keys: false } },
  );
  return bind();
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

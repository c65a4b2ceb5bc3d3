'use client';

import { createElement, type SVGAttributes } from 'react';
import { useDragFrom } from './drag';

type Props<T> = Omit<SVGAttributes<SVGElement>, 'as' | 'begin' | 'onDrag'> & {
  readonly as: 'g' | 'rect' | 'polygon';
  /** Taken at the press, and handed to every move. */
  readonly begin: () => T;
  /** `dx`, `dy`: distance from the press, px. */
  readonly onDragged: (start: T, dx: number, dy: number) => void;
};

/** A part of a drawing that follows the pointer. */
export function Draggable<T>({ as, begin, onDragged, ...rest }: Props<T>) {
  const handlers = useDragFrom(begin, onDragged);
  return createElement(as, { ...rest, ...handlers });
}

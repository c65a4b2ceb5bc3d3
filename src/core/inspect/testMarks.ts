import type { Mark } from '../shop/mark';
import { pointAt, mark } from './testInspections';

/** A mark of every kind of place, as the board makes them. */
export const MARKS_OF_EVERY_KIND: Mark[] = [
  mark('faded-edge', pointAt(12.5, 30), { piece: 4, severity: 3 }),
  mark('track-line', {
    kind: 'line',
    points: [
      { xMm: 0, yMm: 10 },
      { xMm: 80.5, yMm: 12 },
    ],
  }),
  mark('white-rim', { kind: 'edge', edge: 'top' }, { side: 'back' }),
  mark('dye-left', {
    kind: 'area',
    points: [
      { xMm: 1, yMm: 1 },
      { xMm: 9, yMm: 1 },
      { xMm: 9, yMm: 9 },
    ],
  }),
  mark('browned'),
];

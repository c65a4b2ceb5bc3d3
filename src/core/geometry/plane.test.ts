import { seenArcMm } from '../shapes/seen';
import { around, inset } from './plane';

test('a third of the circumference lies within 60° of the front, all of it within 180°', () => {
  expect(seenArcMm(300, 60)).toBeCloseTo(100, 12);
  expect(seenArcMm(300, 180)).toBeCloseTo(300, 12);
});

test('a box round two boxes holds both; an inset never turns inside out', () => {
  const a = { x: 0, y: 0, width: 10, height: 4 };
  const b = { x: -3, y: 2, width: 5, height: 9 };
  expect(around(a, b)).toEqual({ x: -3, y: 0, width: 13, height: 11 });
  expect(inset(a, 1)).toEqual({ x: 1, y: 1, width: 8, height: 2 });
  expect(inset(a, 3)).toEqual({ x: 3, y: 3, width: 4, height: 0 });
});

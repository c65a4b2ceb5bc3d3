import fc from 'fast-check';
import { fitTo } from './Board';

const size = fc.double({ min: 120, max: 2000, noNaN: true });
const mm = fc.double({ min: 1, max: 900, noNaN: true });
const ROOM = { top: 20, right: 30, bottom: 40, left: 10 };

test('a drawing fills its place to scale, centred, inside the room for its dimensions', () => {
  fc.assert(
    fc.property(mm, mm, size, size, (w, h, width, height) => {
      const fit = fitTo({ x: -w / 2, y: 5, width: w, height: h }, width, height, ROOM);
      const left = fit.x(-w / 2);
      const right = fit.x(w / 2);
      const top = fit.y(5);
      const bottom = fit.y(5 + h);
      expect(right - left).toBeCloseTo(fit.k * w, 6);
      expect(bottom - top).toBeCloseTo(fit.k * h, 6);
      expect(left).toBeGreaterThanOrEqual(ROOM.left - 1e-6);
      expect(right).toBeLessThanOrEqual(width - ROOM.right + 1e-6);
      expect(top).toBeGreaterThanOrEqual(ROOM.top - 1e-6);
      expect(bottom).toBeLessThanOrEqual(height - ROOM.bottom + 1e-6);
      // One way or the other it touches both sides.
      const spareX = left - ROOM.left;
      const spareY = top - ROOM.top;
      expect(Math.min(spareX, spareY)).toBeCloseTo(0, 6);
    }),
  );
});

test('a place smaller than its margins still gives a scale above zero', () => {
  expect(fitTo({ x: 0, y: 0, width: 100, height: 100 }, 10, 10, ROOM).k).toBeGreaterThan(0);
});

import fc from 'fast-check';
import {
  LONGEST_SLEEP_MS,
  openClock,
  readClock,
  recordOf,
  shopTimeMs,
  takenOtherwise,
  type ShopClock,
} from './clock';

const HOUR = 3600_000;
const WALL = 1_790_000_000_000;
const begun = openClock(null, { wallMs: WALL, countMs: 1000 });
/** Ticks by which the counter and, unless it was set, the wall move alike. */
const after = (c: ShopClock, countMs: number, wallMs = countMs): ShopClock =>
  readClock(c, { wallMs: c.last.wallMs + wallMs, countMs: c.last.countMs + countMs });

test('a clock set back an hour or on a day moves no time; time goes on by what was counted', () => {
  for (const by of [-HOUR, 24 * HOUR, -24 * HOUR, LONGEST_SLEEP_MS + HOUR]) {
    const set = after(after(begun, 5000), 300, 300 + by);
    expect(shopTimeMs(set) - WALL).toBe(5300);
    expect(set.jump).toEqual({ byMs: by, taken: 'clock set' });
    expect(shopTimeMs(after(set, 7000)) - WALL).toBe(12_300);
  }
});

test('a machine that slept has slept: its counter stood still, the time it was away counts', () => {
  const woken = after(after(begun, 5000), 200, 200 + 10 * 60_000);
  expect(shopTimeMs(woken) - WALL).toBe(5200 + 600_000);
  expect(woken.jump?.taken).toBe('slept');
  expect(shopTimeMs(takenOtherwise(woken)) - WALL).toBe(5200);
  expect(takenOtherwise(takenOtherwise(woken))).toEqual(woken);
});

test('a wall clock that is kept right by small steps is followed', () => {
  expect(shopTimeMs(after(begun, 1000, 1400)) - WALL).toBe(1400);
  expect(after(begun, 1000, 1400).jump).toBeNull();
});

test('a page opened again goes on from what was kept, whatever the wall was set to meanwhile', () => {
  const kept = recordOf(after(after(begun, 5000), 300, 300 - HOUR));
  // Two seconds later by the wall that is an hour behind.
  expect(shopTimeMs(openClock(kept, { wallMs: kept.wallMs + 2000, countMs: 3 })) - WALL).toBe(7300);
  const setBack = openClock(kept, { wallMs: kept.wallMs - 2 * HOUR, countMs: 3 });
  expect(shopTimeMs(setBack)).toBe(kept.shopMs);
  expect(setBack.jump?.taken).toBe('clock set');
  const slept = openClock(kept, { wallMs: kept.wallMs + HOUR, countMs: 3 });
  expect(shopTimeMs(slept)).toBe(kept.shopMs + HOUR);
});

test('shop time never runs backwards, whatever the wall does', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.tuple(fc.integer({ min: 1, max: 60_000 }), fc.integer({ min: -HOUR * 30, max: HOUR * 30 })),
        { maxLength: 60 },
      ),
      (ticks) => {
        let clock = begun;
        for (const [count, by] of ticks) {
          const next = after(clock, count, count + (Math.abs(by) < 2000 ? 0 : by));
          expect(shopTimeMs(next)).toBeGreaterThanOrEqual(shopTimeMs(clock) + count);
          clock = next;
        }
      },
    ),
  );
});

test('a counter begun again moves no time back', () => {
  const at = after(begun, 5000);
  expect(shopTimeMs(readClock(at, { wallMs: at.last.wallMs + 40, countMs: 1 })) - WALL).toBe(5040);
  expect(shopTimeMs(readClock(at, { wallMs: at.last.wallMs - HOUR, countMs: 1 })) - WALL).toBe(5000);
});

import type { Run } from '../shop/run';
import { foldRun } from './run';
import { leftOpen } from './leftOpen';
import { CYCLE, done, PRESS, queued, pieces, T0, must } from './testRun';

/** A mat of 240 × 220 mm with 500 W: 9000 J/(m² K), 19 W/(m² K) open, 5 closed. */
const RESTS: Run['press'] = { ...PRESS, restingC: 150, power: { watts: 500, from: 'measured', volts: null } };
const AREA = 0.24 * 0.22;
/** All steps of one load, tapped at second `at`. */
const through = (at: number, n = CYCLE.length): Run => ({
  ...queued(pieces(3), 1, { press: RESTS }),
  events: CYCLE.slice(0, n).map((id, i) => ({
    ...done(id, at),
    ...(i === CYCLE.length - 1 ? { next: pieces(1, 2) } : {}),
  })) as Run['events'],
});
const at = (run: Run, s: number) => leftOpen(run, foldRun(run), T0 + s * 1000);

test('it cools as one body to no less than rest, and is brought back by the power left over', () => {
  const run = through(0);
  const [capacity, open, closed] = [9000 * AREA, 19 * AREA, 5 * AREA];
  const after = must(at(run, 90));
  const atC = 22 + (188 - 22) * Math.exp((-90 * open) / capacity);
  expect(after.atC).toBeCloseTo(atC, 6);
  expect(after.backS).toBeCloseTo((capacity * (188 - atC)) / (500 - closed * ((188 + atC) / 2 - 22)), 6);
  expect(must(at(run, 7200)).atC).toBe(150);
});

test('nothing is said of a press that holds its temperature, is closed, or was opened just now', () => {
  expect(at(through(0), 30)).toBeNull();
  expect(at({ ...through(0), press: PRESS }, 900)).toBeNull();
  // Loading and closing the next: closed, it is warming again.
  const closed = through(0);
  const again: Run = { ...closed, events: [...closed.events, done('load', 100), done('close-1', 200)] };
  expect(at(again, 900)).toBeNull();
  expect(at(queued(pieces(3), 1, { press: RESTS }), 900)).toBeNull();
});

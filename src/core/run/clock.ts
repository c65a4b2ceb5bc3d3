/*
 * The clock a shop runs by. A browser has two: one on the wall, which anybody may set, and one that only counts. Between them a changed clock
 * is distinguished from time that passed. Times ms.
 */

/** What the shop's clock was last known to be: its own time, and the wall's at that moment. */
export interface ClockRecord {
  readonly shopMs: number;
  readonly wallMs: number;
}

/** A wall clock and a counter read together. */
export interface ClockReading {
  readonly wallMs: number;
  /** Counts on by itself from when the page was opened; it may stand still while the machine sleeps. */
  readonly countMs: number;
}

export interface ShopClock {
  /** Shop time is wall time and this. */
  readonly offsetMs: number;
  readonly last: ClockReading;
  /** The last jump of the wall clock that was found, and how it was taken. */
  readonly jump: Jump | null;
}

export interface Jump {
  /** How far the wall clock moved beyond the time that was counted. */
  readonly byMs: number;
  readonly taken: 'slept' | 'clock set';
}

/** Smaller differences are the wall clock being kept right. */
const SMALL_MS = 2_000;
/** Nobody sleeps longer than this with a press on: a longer jump is a clock that was set. */
export const LONGEST_SLEEP_MS = 6 * 3600_000;

/** How a wall clock that moved by `byMs` more than was counted is taken. Time does not go back, so a jump back is always a clock that was set. */
const takenAs = (byMs: number): Jump['taken'] =>
  byMs < 0 || byMs > LONGEST_SLEEP_MS ? 'clock set' : 'slept';

/** The clock of a page just opened, from what was kept by the one before; null where nothing was kept. */
export function openClock(kept: ClockRecord | null, now: ClockReading): ShopClock {
  if (!kept) return { offsetMs: 0, last: now, jump: null };
  const offsetMs = kept.shopMs - kept.wallMs;
  const byMs = now.wallMs - kept.wallMs;
  if (byMs >= -SMALL_MS && byMs <= LONGEST_SLEEP_MS) return { offsetMs, last: now, jump: null };
  // How long the page was closed is not known: shop time goes on from where it was.
  return { offsetMs: kept.shopMs - now.wallMs, last: now, jump: { byMs, taken: 'clock set' } };
}

/** Takes a reading in: shop time goes on by what was counted where the clock was set, by the wall where the machine slept. */
export function readClock(clock: ShopClock, now: ClockReading): ShopClock {
  const counted = now.countMs - clock.last.countMs;
  // A counter that was begun again tells nothing: the wall is followed as long as it does not go back.
  if (counted < 0)
    return { ...clock, offsetMs: clock.offsetMs + Math.max(0, clock.last.wallMs - now.wallMs), last: now };
  const byMs = now.wallMs - clock.last.wallMs - counted;
  if (Math.abs(byMs) < SMALL_MS) return { ...clock, last: now };
  const taken = takenAs(byMs);
  const offsetMs = taken === 'clock set' ? clock.offsetMs - byMs : clock.offsetMs;
  return { offsetMs, last: now, jump: { byMs, taken } };
}

/** The last jump taken the other way: a person knows better. */
export function takenOtherwise(clock: ShopClock): ShopClock {
  const { jump } = clock;
  if (!jump) return clock;
  const was = jump.taken === 'clock set';
  return {
    ...clock,
    offsetMs: clock.offsetMs + (was ? jump.byMs : -jump.byMs),
    jump: { ...jump, taken: was ? 'slept' : 'clock set' },
  };
}

export const shopTimeMs = (clock: ShopClock): number => clock.last.wallMs + clock.offsetMs;

export const recordOf = (clock: ShopClock): ClockRecord => ({
  shopMs: shopTimeMs(clock),
  wallMs: clock.last.wallMs,
});

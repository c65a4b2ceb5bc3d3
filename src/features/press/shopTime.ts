import { useEffect, useState, useSyncExternalStore } from 'react';
import { nextSecondMs, type Lane } from '@/core/run/board';
import {
  openClock,
  readClock,
  recordOf,
  shopTimeMs,
  takenOtherwise,
  type ClockRecord,
  type Jump,
  type Reading,
  type ShopClock,
} from '@/core/run/clock';

const KEPT_AS = 'mesa-drift.clock';
/** The clock is kept again after so long. */
const KEEP_MS = 1000;

const reading = (): Reading => ({ wallMs: Date.now(), countMs: performance.now() });

function kept(): ClockRecord | null {
  try {
    const raw: unknown = JSON.parse(localStorage.getItem(KEPT_AS) ?? 'null');
    if (typeof raw !== 'object' || raw === null) return null;
    const { shopMs, wallMs } = raw as Partial<ClockRecord>;
    return Number.isFinite(shopMs) && Number.isFinite(wallMs) ? (raw as ClockRecord) : null;
  } catch {
    return null;
  }
}

function put(record: ClockRecord | null): void {
  try {
    if (record) localStorage.setItem(KEPT_AS, JSON.stringify(record));
    else localStorage.removeItem(KEPT_AS);
  } catch {
    // A browser that keeps nothing still runs by this page's own clock.
  }
}

let clock: ShopClock | null = null;
let keptAt = 0;
const listeners = new Set<() => void>();

/** Shop time now, ms: wall time, but that it neither goes back nor jumps when somebody sets the clock. */
export function shopNow(): number {
  const before = clock;
  clock = before ? readClock(before, reading()) : openClock(kept(), reading());
  if (clock.jump !== before?.jump) listeners.forEach((f) => f());
  return shopTimeMs(clock);
}

/** Keeps the clock for the next page while a run is on, and lets it go when none is: then the wall is right again. */
export function keepClock(running: boolean): void {
  if (!running) {
    if (clock && clock.offsetMs !== 0) clock = openClock(null, reading());
    put(null);
    return;
  }
  const now = shopNow();
  if (clock && Math.abs(now - keptAt) >= KEEP_MS) {
    keptAt = now;
    put(recordOf(clock));
  }
}

const subscribe = (f: () => void): (() => void) => {
  listeners.add(f);
  return () => listeners.delete(f);
};

/** The last jump of the wall clock, and a way to say it was the other thing. */
export function useJump(): { readonly jump: Jump | null; readonly otherwise: () => void } {
  const jump = useSyncExternalStore(
    subscribe,
    () => clock?.jump ?? null,
    () => null,
  );
  const otherwise = () => {
    if (!clock) return;
    clock = takenOtherwise(clock);
    put(recordOf(clock));
    listeners.forEach((f) => f());
  };
  return { jump, otherwise };
}

/** Shop time, renewed when the next second of any of the runs begins, so that no clock on the screen is late. */
export function useShopNow(runs: readonly Pick<Lane, 'state'>[]): number {
  const [now, setNow] = useState(shopNow);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const tick = () => {
      const at = shopNow();
      setNow(at);
      keepClock(runs.length > 0);
      clearTimeout(timer);
      timer = setTimeout(tick, runs.length > 0 ? nextSecondMs(runs, at) : 1000);
    };
    tick();
    document.addEventListener('visibilitychange', tick);
    return () => {
      clearTimeout(timer);
      document.removeEventListener('visibilitychange', tick);
    };
  }, [runs]);
  return now;
}

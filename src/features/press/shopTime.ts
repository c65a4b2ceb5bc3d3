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
  type ClockReading,
  type ShopClock,
} from '@/core/run/clock';
import { wakeAfter } from './wake';

const KEPT_AS = 'mesa-drift.clock';
/** Clocks of two tabs that differ by less are the same. */
const APART_MS = 3000;
/** The clock is kept again after so long. */
const KEEP_MS = 1000;

const reading = (): ClockReading => ({ wallMs: Date.now(), countMs: performance.now() });

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

/**
 * Keeps the clock for the next page while a run is on, and lets it go when none is: then the wall is right again. The tab that leads keeps it;
 * others take it over from there.
 */
function keepClock(running: boolean, lead: boolean): void {
  if (!lead) return;
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

/** What another tab kept: where its clock stands elsewhere, somebody told it why. */
function onKept(e: StorageEvent): void {
  if (e.key !== KEPT_AS || e.newValue === null) return;
  const theirs = openClock(kept(), reading());
  if (Math.abs(shopTimeMs(theirs) - shopNow()) > APART_MS) clock = theirs;
}

const subscribe = (f: () => void): (() => void) => {
  listeners.add(f);
  return () => listeners.delete(f);
};

/** The last jump of the wall clock, a way to say it was the other thing, and one to say it was read. */
export function useJump(): {
  readonly jump: Jump | null;
  readonly otherwise: () => void;
  readonly read: () => void;
} {
  const jump = useSyncExternalStore(
    subscribe,
    () => clock?.jump ?? null,
    () => null,
  );
  const change = (to: (now: ShopClock) => ShopClock) => () => {
    if (!clock) return;
    clock = to(clock);
    put(recordOf(clock));
    listeners.forEach((f) => f());
  };
  return { jump, otherwise: change(takenOtherwise), read: change((c) => ({ ...c, jump: null })) };
}

/** Shop time, renewed when the next second of any of the runs begins, so that no clock on the screen is late; seen or not. */
export function useShopNow(runs: readonly Pick<Lane, 'state'>[], lead: boolean): number {
  const [now, setNow] = useState(shopNow);
  useEffect(() => {
    let callOff = () => {};
    const tick = () => {
      const at = shopNow();
      setNow(at);
      keepClock(runs.length > 0, lead);
      callOff();
      callOff = wakeAfter(tick, runs.length > 0 ? nextSecondMs(runs, at) : 1000);
    };
    tick();
    document.addEventListener('visibilitychange', tick);
    window.addEventListener('storage', onKept);
    return () => {
      callOff();
      document.removeEventListener('visibilitychange', tick);
      window.removeEventListener('storage', onKept);
    };
  }, [runs, lead]);
  return now;
}

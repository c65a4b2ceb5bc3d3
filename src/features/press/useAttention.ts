import { useEffect } from 'react';
import { ring } from './sound';

/** Time that is up goes on cooking: it is said again after so long, until someone acts. */
const AGAIN_MS = 4000;
/** Two presses at once ring one after the other. */
const APART_MS = 900;
const VIBRATE_MS = [250, 120, 250];

/** Whether this browser may show notifications; null where it cannot. */
export const mayNotify = (): NotificationPermission | null =>
  typeof Notification === 'undefined' ? null : Notification.permission;

export const requestNotifications = async (): Promise<NotificationPermission | null> =>
  typeof Notification === 'undefined' ? null : Notification.requestPermission();

function notifyAway(text: string): void {
  if (!document.hidden || mayNotify() !== 'granted') return;
  try {
    new Notification('Mesa Drift', { body: text, tag: 'mesa-drift.press', silent: true });
  } catch {
    // Some phones only show notifications of an installed page: the bell rings all the same.
  }
}

export interface Calling {
  /** Names the step that calls: another step calls again. */
  readonly key: string;
  /** Which of the presses, from 0: each has its own tones. */
  readonly press: number;
  readonly text: string;
}

/** Calls for hands by sound, vibration and, while the page is away, a notification: at once, and again every few seconds. */
export function useAttention(
  calls: readonly Calling[],
  on: { readonly lead: boolean; readonly sound: boolean; readonly nowMs: number },
): void {
  const { lead, sound, nowMs } = on;
  const all = JSON.stringify(calls);
  // Counted by shop time and not by a timer of its own: the page is woken for its clocks, seen or not.
  const beat = calls.length > 0 ? Math.floor(nowMs / AGAIN_MS) : 0;
  useEffect(() => {
    const now = JSON.parse(all) as readonly Calling[];
    if (!lead || now.length === 0) return;
    if (sound) now.forEach(({ press }, i) => setTimeout(() => ring(press), i * APART_MS));
    // Browsers refuse to vibrate before the page was touched, and say so in the console: nobody is harmed.
    const touched = (navigator as { readonly userActivation?: UserActivation }).userActivation?.hasBeenActive;
    if (typeof navigator.vibrate === 'function' && touched) navigator.vibrate(VIBRATE_MS);
    notifyAway(now.map((c) => c.text).join('; '));
  }, [all, lead, sound, beat]);
}

/** Keeps the screen awake while a run is on; the browser lets go when the page is hidden, so it is asked again when it is seen. */
export function useWakeLock(active: boolean): void {
  useEffect(() => {
    const { wakeLock } = navigator as { readonly wakeLock?: WakeLock };
    if (!active || !wakeLock) return;
    let held: WakeLockSentinel | null = null;
    let left = false;
    const hold = async () => {
      if (document.visibilityState !== 'visible') return;
      try {
        const got = await wakeLock.request('screen');
        if (left) void got.release();
        else held = got;
      } catch {
        // Low battery or a browser that refuses: the clock is right whenever the screen is on.
      }
    };
    const seen = () => void hold();
    void hold();
    document.addEventListener('visibilitychange', seen);
    return () => {
      left = true;
      document.removeEventListener('visibilitychange', seen);
      void held?.release();
    };
  }, [active]);
}

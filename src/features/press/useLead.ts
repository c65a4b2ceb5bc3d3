import { useEffect, useState } from 'react';

const LOCK = 'mesa-drift.press';
/** A page being left lets go a moment after the next one asks. */
const SETTLE_MS = 700;

export type Lead = 'leading' | 'asking' | 'following';

/**
 * One tab leads: it takes taps, rings and notifies. Others follow what it does and say so. A browser without locks has each tab lead; a step
 * is counted once even then, where it is stored.
 */
export function useLead(): { readonly lead: Lead; readonly takeOver: () => void } {
  const [lead, setLead] = useState<Lead>('asking');
  const [asked, setAsked] = useState(0);
  useEffect(() => {
    const locks = (navigator as { readonly locks?: LockManager }).locks;
    let release = () => {};
    const left = new AbortController();
    const settle = setTimeout(() => setLead((l) => (l === 'asking' ? 'following' : l)), SETTLE_MS);
    const hold = () =>
      new Promise<void>((resolve) => {
        release = resolve;
        setLead('leading');
      });
    const ask = async (steal: boolean): Promise<void> => {
      if (!locks) {
        setLead('leading');
        return;
      }
      try {
        await locks.request(LOCK, steal ? { steal: true } : { signal: left.signal }, hold);
      } catch {
        // Another tab took over, or this page was left: wait for the next turn, unless nobody is here to lead.
        if (left.signal.aborted) return;
        setLead('following');
        await ask(false);
      }
    };
    void ask(asked > 0);
    return () => {
      clearTimeout(settle);
      left.abort();
      release();
    };
  }, [asked]);
  return { lead, takeOver: () => setAsked((n) => n + 1) };
}

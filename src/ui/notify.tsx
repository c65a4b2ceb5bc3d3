'use client';

import { useEffect, useState, useSyncExternalStore, type CSSProperties } from 'react';
import { problemText, type Problem, type Result } from '@/core/basics/result';
import { part } from '@/core/basics/part';

/** A message at the foot of the page. */
interface Message {
  readonly text: string;
  readonly wrong: boolean;
  readonly action?: { readonly label: string; readonly onClick: () => void };
  readonly forMs: number;
}

type Sonner = typeof import('sonner');

// The library that shows messages is fetched with the first one: most visits show none.
let waiting: readonly Message[] = [];
const listeners = new Set<() => void>();

function put(messages: readonly Message[]): void {
  waiting = messages;
  listeners.forEach((f) => f());
}

const subscribe = (f: () => void): (() => void) => {
  listeners.add(f);
  return () => listeners.delete(f);
};

/** Says something that went well, with a way back where there is one. */
export const notify = (text: string, action?: Message['action']): void =>
  put([...waiting, { text, wrong: false, forMs: action ? 8000 : 4500, ...(action ? { action } : {}) }]);

/**
 * Says what was taken out, and offers it back. What could not be put back stays offered until it is: the message is then the only place that
 * holds it.
 */
export function notifyUndo(text: string, undo: () => Promise<Result<unknown>>, forMs = 8000): void {
  const back = () =>
    void undo().then((r) => {
      if (r.ok) holding.delete(undo);
      else {
        holding.add(undo);
        notifyUndo(`Not restored yet. ${problemText(r.problem)}`, undo, Infinity);
      }
    });
  put([...waiting, { text, wrong: forMs === Infinity, forMs, action: { label: 'Undo', onClick: back } }]);
}

const holding = new Set<() => Promise<Result<unknown>>>();
/** Whether a message holds something that is stored nowhere else: leaving the page would lose it. */
export const holdsUnrestored = (): boolean => holding.size > 0;

/** Says what went wrong, where, and the way out; it stays long enough to be read at arm's length. */
export const notifyProblem = (problem: Problem): void =>
  put([...waiting, { text: problemText(problem), wrong: true, forMs: 12000 }]);

export const notifyWrong = (text: string): void => put([...waiting, { text, wrong: true, forMs: 12000 }]);

function show({ toast }: Sonner, m: Message): void {
  const options = {
    duration: m.forMs,
    dismissible: m.forMs !== Infinity,
    ...(m.action ? { action: m.action } : {}),
  };
  if (m.wrong) toast.error(m.text, options);
  else toast(m.text, options);
}

const LOOK = {
  borderRadius: 0,
  border: '2px solid #14211f',
  boxShadow: 'none',
  background: '#f8faf6',
  color: '#14211f',
  fontFamily: 'Barlow, sans-serif',
  fontSize: 15,
} as const;

export function Messages() {
  const queue = useSyncExternalStore(
    subscribe,
    () => waiting,
    () => waiting,
  );
  const [sonner, setSonner] = useState<Sonner | null>(null);
  const wanted = queue.length > 0;
  useEffect(() => {
    if (wanted && !sonner) void part(() => import('sonner')).then(setSonner);
  }, [wanted, sonner]);
  useEffect(() => {
    if (!sonner || queue.length === 0) return;
    queue.forEach((m) => show(sonner, m));
    put([]);
  }, [sonner, queue]);
  if (!sonner) return null;
  const { Toaster } = sonner;
  // Beside the drawing and above the foot, where there is nothing to press.
  return (
    <Toaster
      position="bottom-right"
      offset={{ bottom: 92, right: 12 }}
      mobileOffset={{ bottom: 92, left: 12, right: 12 }}
      style={{ '--width': '15rem' } as CSSProperties}
      toastOptions={{ style: LOOK }}
    />
  );
}

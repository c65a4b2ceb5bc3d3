'use client';

import { useEffect, useState, useSyncExternalStore, type CSSProperties, type ReactNode } from 'react';
import { problemMessage, type Problem, type Result } from '@/core/basics/result';
import { say, type Message } from '@/core/message/message';
import { Say } from './words';
import { part } from '@/core/basics/part';

/** A message at the foot of the page. */
interface Notice {
  readonly text: string | Message;
  readonly wrong: boolean;
  readonly action?: { readonly label: string | Message; readonly onClick: () => void };
  readonly forMs: number;
}

type Sonner = typeof import('sonner');

// The library that shows messages is fetched with the first one: most visits show none.
let waiting: readonly Notice[] = [];
const listeners = new Set<() => void>();

function put(messages: readonly Notice[]): void {
  waiting = messages;
  listeners.forEach((f) => f());
}

const subscribe = (f: () => void): (() => void) => {
  listeners.add(f);
  return () => listeners.delete(f);
};

/** Says something that went well, with a way back where there is one. */
export const notify = (text: string | Message, action?: Notice['action']): void =>
  put([...waiting, { text, wrong: false, forMs: action ? 8000 : 4500, ...(action ? { action } : {}) }]);

/**
 * Says what was taken out, and offers it back. What could not be put back stays offered until it is: the message is then the only place that
 * holds it.
 */
export function notifyUndo(text: string | Message, undo: () => Promise<Result<unknown>>, forMs = 8000): void {
  const back = () =>
    void undo().then((r) => {
      if (r.ok) holding.delete(undo);
      else {
        holding.add(undo);
        notifyUndo(say('common.restoredYet', { problem: problemMessage(r.problem) }), undo, Infinity);
      }
    });
  put([
    ...waiting,
    { text, wrong: forMs === Infinity, forMs, action: { label: say('common.undo'), onClick: back } },
  ]);
}

const holding = new Set<() => Promise<Result<unknown>>>();
/** Whether a message holds something that is stored nowhere else: leaving the page would lose it. */
export const holdsUnrestored = (): boolean => holding.size > 0;

/** Says what went wrong, where, and the way out; it stays long enough to be read at arm's length. */
export const notifyProblem = (problem: Problem): void =>
  put([...waiting, { text: problemMessage(problem), wrong: true, forMs: 12000 }]);

export const notifyWrong = (text: string | Message): void =>
  put([...waiting, { text, wrong: true, forMs: 12000 }]);

/** Written where it is shown: a part of the catalogue that comes later is then read too. */
const written = (text: string | Message): ReactNode =>
  typeof text === 'string' ? text : <Say message={text} />;

function show({ toast }: Sonner, m: Notice): void {
  const options = {
    duration: m.forMs,
    dismissible: m.forMs !== Infinity,
    ...(m.action ? { action: { label: written(m.action.label), onClick: m.action.onClick } } : {}),
  };
  if (m.wrong) toast.error(written(m.text), options);
  else toast(written(m.text), options);
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

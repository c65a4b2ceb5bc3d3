'use client';

import { Meaning } from './Meaning';
import { inTurn } from '@/core/message/message';
import { useWords } from './words';
import { useEffect, useId, useRef, useState, type ReactNode } from 'react';
import type { Result } from '@/core/basics/result';
import { useRemember } from './restore';

/** What became of a value: nothing to wait for, or whether it was stored. */
export type StoreResult = void | Promise<boolean>;

interface Props<T> {
  readonly label: string;
  readonly hideLabel?: boolean;
  /** How the value in force is written. */
  readonly text: string;
  readonly unit?: string;
  readonly parse: (text: string) => Result<T>;
  /** What was typed stays in the field where the answer is that it was not stored. */
  readonly onValue: (value: T) => StoreResult;
  /** The value in force, kept exactly while the field is typed in: Escape brings it back, not its rounded text. */
  readonly value?: T;
  /** Set by hand: shown as taken. */
  readonly byHand?: boolean;
  /** Nobody said it yet: typing the very figure shown, or Enter on it, says it. */
  readonly guessed?: boolean;
  readonly width?: string;
  readonly after?: ReactNode;
}

/** How a field stood when it was entered. */
interface Before<T> {
  readonly text: string;
  readonly value: T | undefined;
  readonly restore: (() => void) | null;
}

/** What is typed into a field: it takes effect as soon as it can be read, and Escape takes back all of it. */
function useTyped<T>({
  text,
  parse,
  onValue,
  value,
  guessed,
}: Pick<Props<T>, 'text' | 'parse' | 'onValue' | 'value' | 'guessed'>) {
  const t = useWords();
  const [draft, setDraft] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const remember = useRemember();
  const before = useRef<Before<T> | null>(null);
  const commit = useRef<() => void>(() => undefined);
  const typedIn = useRef(false);
  /** What took effect last since the field was entered; the text in force may be drawn a moment after it. */
  const sent = useRef<string | null>(null);

  /** What could not be stored stays in the field, to be tried again, unless something else was typed meanwhile. */
  const keepDraft = (typed: string) => {
    if (sent.current !== typed) return;
    sent.current = null;
    setDraft(typed);
    setWrong(t('common.storedPressEnterHere'));
  };

  const take = (typed: string, leaving: boolean) => {
    // A field that was only entered says nothing: the value may have been changed elsewhere meanwhile.
    if (!typedIn.current) return true;
    const parsed = parse(typed);
    if (parsed.ok) {
      setWrong(null);
      const overtaken = sent.current !== null && sent.current !== typed;
      if (typed !== text || overtaken || (guessed && typedIn.current)) {
        sent.current = typed;
        const taken = onValue(parsed.value);
        if (taken instanceof Promise) void taken.then((stored) => stored || keepDraft(typed));
      }
    } else if (leaving) {
      setWrong(t(inTurn(parsed.problem.what, parsed.problem.wayOut)));
    }
    return parsed.ok;
  };

  const restore = () => {
    const was = before.current;
    setDraft(null);
    setWrong(null);
    before.current = null;
    if (!was || sent.current === null) return;
    const parsed = parse(was.text);
    if (was.restore) was.restore();
    else if (was.value !== undefined) onValue(was.value);
    else if (parsed.ok) onValue(parsed.value);
  };

  useEffect(() => {
    commit.current = () => {
      if (draft !== null) take(draft, false);
    };
  });
  // A closed tab still gets what was being typed.
  useEffect(() => {
    const leave = () => commit.current();
    window.addEventListener('pagehide', leave);
    return () => window.removeEventListener('pagehide', leave);
  }, []);

  return {
    shown: draft ?? text,
    wrong,
    enter: () => {
      before.current = { text, value, restore: remember?.() ?? null };
      typedIn.current = false;
      sent.current = null;
    },
    /** Told of every input: a change event is not sent where the same figure is typed over itself. */
    touch: () => (typedIn.current = true),
    type: (typed: string) => {
      typedIn.current = true;
      setDraft(typed);
      take(typed, false);
    },
    settle: () => {
      if (before.current && take(draft ?? text, true) && typedIn.current) setDraft(null);
    },
    restore,
  };
}

/**
 * A figure typed by hand. It takes effect as soon as it can be read, and says what is wrong on leaving the field. What was
 * there stays in force until then.
 */
export function TypedField<T>({
  label,
  hideLabel = false,
  text,
  unit,
  parse,
  onValue,
  value,
  byHand = false,
  guessed = false,
  width = 'w-20',
  after,
}: Props<T>) {
  const id = useId();
  const typed = useTyped({ text, parse, onValue, value, guessed });
  const { wrong } = typed;
  return (
    <div className="font-label">
      <span className={hideLabel ? 'sr-only' : 'block text-fine leading-tight font-medium text-soft'}>
        <label htmlFor={id}>{label}</label>
        {!hideLabel && <Meaning label={label} />}
      </span>
      <div className="flex items-center gap-1">
        <input
          id={id}
          value={typed.shown}
          aria-invalid={wrong !== null}
          aria-describedby={wrong ? `${id}-wrong` : undefined}
          autoComplete="off"
          spellCheck={false}
          onFocus={(e) => {
            typed.enter();
            e.currentTarget.select();
          }}
          onInput={typed.touch}
          onChange={(e) => typed.type(e.target.value)}
          onBlur={typed.settle}
          onKeyDown={(e) => {
            if (e.key === 'Enter') typed.touch();
            if (e.key === 'Escape') typed.restore();
            if (e.key === 'Enter' || e.key === 'Escape') e.currentTarget.blur();
          }}
          className={`${width} min-h-9 border-b-2 bg-white px-1.5 text-lead font-semibold ${byHand ? 'border-measured text-measured' : guessed ? 'border-rule text-soft italic' : 'border-rule text-ink'} ${wrong ? 'border-act!' : ''}`}
        />
        {unit && <span className="text-fine text-soft">{unit}</span>}
        {after}
      </div>
      {wrong && (
        <p
          id={`${id}-wrong`}
          role="alert"
          className="mt-0.5 max-w-56 text-fine leading-tight font-medium text-act-deep"
        >
          {wrong}
        </p>
      )}
    </div>
  );
}

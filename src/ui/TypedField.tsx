'use client';

import { useEffect, useId, useRef, useState, type ReactNode } from 'react';
import type { Result } from '@/core/result';

interface Props<T> {
  readonly label: string;
  readonly hideLabel?: boolean;
  /** How the value in force is written. */
  readonly text: string;
  readonly unit?: string;
  readonly parse: (text: string) => Result<T>;
  readonly onValue: (value: T) => void;
  /** Set by hand: shown as taken. */
  readonly taken?: boolean;
  readonly width?: string;
  readonly after?: ReactNode;
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
  taken = false,
  width = 'w-20',
  after,
}: Props<T>) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const commit = useRef<() => void>(() => undefined);

  const take = (value: string, leaving: boolean) => {
    const parsed = parse(value);
    if (parsed.ok) {
      setWrong(null);
      if (value !== text) onValue(parsed.value);
    } else if (leaving) {
      setWrong(`${parsed.problem.what} ${parsed.problem.wayOut}`);
    }
    return parsed.ok;
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

  return (
    <div className="font-label">
      <label
        htmlFor={id}
        className={hideLabel ? 'sr-only' : 'block text-fine leading-tight font-medium text-soft'}
      >
        {label}
      </label>
      <div className="flex items-center gap-1">
        <input
          id={id}
          value={draft ?? text}
          aria-invalid={wrong !== null}
          aria-describedby={wrong ? `${id}-wrong` : undefined}
          autoComplete="off"
          spellCheck={false}
          onFocus={(e) => {
            setDraft(text);
            e.currentTarget.select();
          }}
          onChange={(e) => {
            setDraft(e.target.value);
            take(e.target.value, false);
          }}
          onBlur={() => {
            if (draft !== null && take(draft, true)) setDraft(null);
          }}
          onKeyDown={(e) => {
            if (e.key === 'Enter') e.currentTarget.blur();
            if (e.key === 'Escape') {
              setDraft(null);
              setWrong(null);
              e.currentTarget.blur();
            }
          }}
          className={`${width} min-h-9 border-b-2 bg-white px-1.5 text-lead font-semibold ${taken ? 'border-taken text-taken' : 'border-rule text-ink'} ${wrong ? 'border-act!' : ''}`}
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

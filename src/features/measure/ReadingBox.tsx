'use client';

import { METHOD_WORDS } from '@/core/readings/methodWords';
import { type Message } from '@/core/message/message';
import { X } from 'lucide-react';
import { memo, useCallback, useEffect, useRef, useState } from 'react';
import { PLACES, type Job, type Method, type Place, type Reading } from '@/core/job/job';
import { within95 } from '@/core/figures/interval';
import type { PlaceSpec } from '@/core/readings/places';
import { readOne, type PlaceReadings, type ReadReading } from '@/core/readings/readings';
import { fineMm, mm } from '@/core/message/quantity';
import { newId } from '@/data/ids';
import { Select } from '@/ui/Select';
import { useUnits } from '@/ui/units';
import { useWords } from '@/ui/words';
import { useJob } from '../job/jobContext';
import type { Edit } from '../job/jobStore';
import type { Problem } from '@/core/basics/result';

const METHODS_FOR: Readonly<Record<PlaceSpec['kind'], readonly Method[]>> = {
  circumference: ['soft tape', 'paper strip', 'caliper', 'string', 'maker’s figure'],
  length: ['steel rule', 'soft tape', 'caliper', 'maker’s figure'],
};
const OPTIONS: Readonly<Record<PlaceSpec['kind'], readonly { value: Method; label: Message }[]>> = {
  circumference: METHODS_FOR.circumference.map((m) => ({ value: m, label: METHOD_WORDS[m] })),
  length: METHODS_FOR.length.map((m) => ({ value: m, label: METHOD_WORDS[m] })),
};

const isPlace = (id: string): id is Place => (PLACES as readonly string[]).includes(id);

/** The readings of a place: one every job has, or a circumference at a height of the person's own. */
const readingsAt = (job: Job, id: string): readonly Reading[] =>
  isPlace(id) ? job.readings[id] : (job.stations.find((s) => s.id === id)?.readings ?? []);

function withReadings(job: Job, id: string, change: (list: readonly Reading[]) => Reading[]): Job {
  return isPlace(id)
    ? { ...job, readings: { ...job.readings, [id]: change(job.readings[id]) } }
    : {
        ...job,
        stations: job.stations.map((s) => (s.id === id ? { ...s, readings: change(s.readings) } : s)),
      };
}

interface BoxProps {
  readonly section: PlaceReadings;
  /** Letter on the drawing. */
  readonly letter: string;
  readonly onRemove?: () => void;
}

/** The readings of one place, as many as were taken, with what they come to. */
export function ReadingBox({ section, letter, onRemove }: BoxProps) {
  const { job, edit } = useJob();
  const t = useWords();
  const { place } = section;
  const readings = readingsAt(job, place.id);
  const [spareId, setSpareId] = useState(() => newId('r'));
  const born = useCallback(() => setSpareId(newId('r')), []);
  const lastMethod = readings[readings.length - 1]?.method ?? METHODS_FOR[place.kind][0] ?? 'soft tape';
  return (
    <section aria-label={t(place.name)} className="border-2 border-ink bg-sheet px-3 py-1.5">
      <div className="flex items-baseline justify-between gap-3">
        <h2 className="flex items-baseline gap-2 font-name text-lead font-semibold">
          <span
            aria-hidden
            className="grid size-6 shrink-0 place-items-center self-center bg-measured font-label text-fine text-white"
          >
            {letter}
          </span>
          {t(place.name)}
        </h2>
        {section.value && (
          <p className="font-label text-lead font-semibold whitespace-nowrap">
            {t.quantity(mm(section.value.value))}{' '}
            <span className="text-fine font-medium text-soft">
              ± {t.quantity(fineMm(within95(section.value)))}
            </span>
          </p>
        )}
        {onRemove && (
          <button
            type="button"
            aria-label={t('measure.remove', { place: place.name })}
            onClick={onRemove}
            className="grid size-8 shrink-0 place-items-center self-center hover:bg-board"
          >
            <X size={16} aria-hidden />
          </button>
        )}
      </div>
      <p className="mb-1 text-fine leading-tight text-soft">{t(place.hint)}</p>
      <ul className="grid gap-1">
        {[...readings.map((r) => r.id), ...(readings.length < 20 ? [spareId] : [])].map((id, i) => (
          <ReadingRow
            key={id}
            id={id}
            place={place}
            ordinal={i + 1}
            reading={readings.find((r) => r.id === id) ?? null}
            read={section.items.find((x) => x.reading.id === id) ?? null}
            usualMethod={lastMethod}
            edit={edit}
            onBorn={born}
          />
        ))}
      </ul>
    </section>
  );
}

interface RowProps {
  readonly id: string;
  readonly place: PlaceSpec;
  readonly ordinal: number;
  readonly reading: Reading | null;
  readonly read: ReadReading | null;
  readonly usualMethod: Method;
  readonly edit: Edit;
  readonly onBorn: () => void;
}

/**
 * What is typed into one reading. It counts as soon as it can be read, and is kept as written on leaving the field, readable or not, so that
 * nothing typed is lost.
 */
function useReadingDraft({
  id,
  place,
  reading,
  usualMethod,
  edit,
  onBorn,
}: Omit<RowProps, 'ordinal' | 'read'>) {
  const units = useUnits();
  const [draft, setDraft] = useState<string | null>(null);
  const [method, setMethod] = useState<Method | null>(null);
  const how = reading?.method ?? method ?? usualMethod;

  // Written again, a bare number is in the unit the shop reads now; left as it was, it stays what it was.
  const unitFor = (text: string) =>
    reading && text.trim() === reading.text ? reading.bareUnit : units.length;
  const put = (text: string, next: Partial<Reading> = {}) => {
    const made: Reading = {
      id,
      bareUnit: unitFor(text),
      method: how,
      ...next,
      text: text.trim().slice(0, 40),
    };
    edit(
      (j) =>
        withReadings(j, place.id, (list) =>
          list.some((r) => r.id === id) ? list.map((r) => (r.id === id ? made : r)) : [...list, made],
        ),
      `reading-${id}`,
    );
    if (!reading) onBorn();
  };
  const drop = () => edit((j) => withReadings(j, place.id, (list) => list.filter((r) => r.id !== id)));

  const typed = (text: string) => {
    setDraft(text);
    const trial: Reading = {
      id,
      text: text.trim().slice(0, 40) || ' ',
      bareUnit: unitFor(text),
      method: how,
    };
    if (text.trim() !== '' && readOne(trial, place).ok) put(text);
  };
  const settle = () => {
    if (draft === null) return;
    const text = draft.trim();
    setDraft(null);
    if (text === '') {
      if (reading) drop();
    } else if (text !== reading?.text) put(text);
  };
  const settleNow = useRef(settle);
  useEffect(() => {
    settleNow.current = settle;
  });
  useEffect(() => {
    const leave = () => settleNow.current();
    window.addEventListener('pagehide', leave);
    return () => window.removeEventListener('pagehide', leave);
  }, []);
  return {
    draft,
    how,
    put,
    drop,
    typed,
    settle,
    chooseMethod: (m: Method) => (reading ? put(reading.text, { method: m }) : setMethod(m)),
  };
}

/** One reading: what was written, how it was taken, and what is wrong with it. */
const ReadingRow = memo(function ReadingRow({ ordinal, read, ...row }: RowProps) {
  const { place, reading } = row;
  const t = useWords();
  const { draft, how, put, drop, typed, settle, chooseMethod } = useReadingDraft(row);
  const problem = draft === null ? read?.problem : null;
  return (
    <li>
      <div className="flex items-center gap-2">
        <input
          aria-label={reading ? t('measure.reading', { ordinal }) : t('measure.anotherReading')}
          aria-invalid={problem != null}
          value={draft ?? reading?.text ?? ''}
          placeholder={ordinal === 1 && place.expectedMm > 0 ? t.quantity(mm(place.expectedMm)) : undefined}
          autoComplete="off"
          spellCheck={false}
          maxLength={40}
          onChange={(e) => typed(e.target.value)}
          onBlur={settle}
          onKeyDown={(e) => {
            if (e.key === 'Enter') toNextInput(e.currentTarget);
          }}
          className={`min-h-10 w-24 min-w-0 border-b-2 bg-white px-2 font-label text-lead font-semibold ${reading ? 'border-measured text-measured' : 'border-rule'} ${problem ? 'border-act!' : ''} ${read?.odd ? 'border-warning!' : ''}`}
        />
        <Select
          label={t('measure.howReadingWasTaken', { ordinal })}
          value={how}
          options={OPTIONS[place.kind]}
          onChange={chooseMethod}
          className="w-30 shrink text-fine"
        />
        <span className="min-w-0 flex-1 truncate text-right font-label text-fine font-medium text-soft">
          {read?.surfaceMm != null && place.kind === 'circumference' && (
            <>{t('measure.wall', { surface: mm(read.surfaceMm) })}</>
          )}
        </span>
        {reading ? (
          <button
            type="button"
            aria-label={t('measure.removeReading', { reading: reading.text })}
            onClick={drop}
            className="grid size-9 place-items-center hover:bg-board"
          >
            <X size={16} aria-hidden />
          </button>
        ) : (
          <span className="size-9" />
        )}
      </div>
      {problem && (
        <ReadingProblem problem={problem} suggestion={read?.suggestion?.text ?? null} onTake={put} />
      )}
      {read?.odd && !problem && (
        <p className="text-fine font-medium text-act-deep">{t('measure.standsApartFromOthers')}</p>
      )}
    </li>
  );
});

/** Enter goes on to the next reading of the place, and out of the last. */
function toNextInput(from: HTMLInputElement): void {
  const inputs = [...(from.closest('section')?.querySelectorAll('input') ?? [])];
  const next = inputs[inputs.indexOf(from) + 1];
  if (next) next.focus();
  else from.blur();
}

interface ProblemProps {
  readonly problem: Problem;
  readonly suggestion: string | null;
  readonly onTake: (text: string) => void;
}

const ReadingProblem = ({ problem, suggestion, onTake }: ProblemProps) => {
  const t = useWords();
  return (
    <p role="alert" className="flex flex-wrap items-center gap-2 py-0.5 text-fine font-medium text-act-deep">
      {t(problem.what)} {!suggestion && t(problem.wayOut)}
      {suggestion && (
        <button
          type="button"
          onClick={() => onTake(suggestion)}
          className="min-h-8 border-2 border-ink bg-sheet px-2 font-label font-semibold text-ink"
        >
          {t('measure.itWas', { suggestion })}
        </button>
      )}
    </p>
  );
};

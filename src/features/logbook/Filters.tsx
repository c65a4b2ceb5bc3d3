'use client';

import { useState } from 'react';
import { CAUSES, FAULTS, PAPER_FAULTS } from '@/core/look/faults';
import { WHOLE_LOG, type LogQuery } from '@/core/log/rows';
import { CAUSE_IDS } from '@/core/shop/faultIds';
import { VERDICTS } from '@/core/shop/records';
import { Button } from '@/ui/Button';
import { Select } from '@/ui/Select';
import { VERDICT_WORDS } from '../look/Judgement';
import { useShop } from '../shell/shopContext';

interface Props {
  readonly query: LogQuery;
  readonly onChange: (next: Partial<LogQuery>) => void;
}

const ANY = 'any';
const DAY_MS = 24 * 3600_000;

/** Local midnight of a written day. */
function dayAt(text: string): number | null {
  const [y, m, d] = text.split('-').map(Number);
  if (!y || !m || !d) return null;
  const at = new Date(y, m - 1, d).getTime();
  return Number.isNaN(at) ? null : at;
}
const dayOf = (at: number | null): string => {
  if (at === null) return '';
  const d = new Date(at);
  return `${d.getFullYear()}-${String(d.getMonth() + 1).padStart(2, '0')}-${String(d.getDate()).padStart(2, '0')}`;
};

const first = <T extends string>(
  all: string,
  options: readonly { readonly value: T; readonly label: string }[],
) => [{ value: ANY, label: all }, ...options];

/** Words and days at hand, the rest behind one button: every part narrows what is shown. */
export function Filters({ query, onChange }: Props) {
  const { shop, jobs } = useShop();
  const [open, setOpen] = useState(false);
  const pick =
    (key: 'jobId' | 'blankId' | 'pressId' | 'by' | 'verdict' | 'fault' | 'cause') => (value: string) =>
      onChange({ [key]: value === ANY ? null : value });
  const narrowed = Object.entries(query).filter(([k, v]) => k !== 'text' && v !== null).length;
  return (
    <>
      <input
        type="search"
        aria-label="Find in the log"
        placeholder="Words of the log"
        value={query.text}
        onChange={(e) => onChange({ text: e.target.value })}
        className="min-h-10 w-44 border-2 border-ink bg-white px-2"
      />
      <Button aria-expanded={open} onClick={() => setOpen(!open)}>
        {narrowed > 0 ? `Narrowed by ${narrowed}` : 'Narrow'}
      </Button>
      {(narrowed > 0 || query.text !== '') && (
        <Button kind="quiet" onClick={() => onChange(WHOLE_LOG)}>
          Show all
        </Button>
      )}
      {open && (
        <div role="group" aria-label="Narrow the log" className="flex w-full flex-wrap items-end gap-2">
          <Day label="From" value={dayOf(query.fromAt)} onDay={(d) => onChange({ fromAt: dayAt(d) })} />
          <Day
            label="To"
            value={dayOf(query.toAt === null ? null : query.toAt - DAY_MS / 2)}
            onDay={(d) => {
              const at = dayAt(d);
              onChange({ toAt: at === null ? null : at + DAY_MS });
            }}
          />
          <Select
            label="Job"
            value={query.jobId ?? ANY}
            options={first(
              'Any job',
              jobs.map((r) => ({ value: r.id, label: r.job.name })),
            )}
            onChange={pick('jobId')}
          />
          <Select
            label="Blank"
            value={query.blankId ?? ANY}
            options={first(
              'Any blank',
              shop.blanks.map((b) => ({ value: b.id, label: b.name })),
            )}
            onChange={pick('blankId')}
          />
          <Select
            label="Press"
            value={query.pressId ?? ANY}
            options={first(
              'Any press',
              shop.presses.map((p) => ({ value: p.id, label: p.name })),
            )}
            onChange={pick('pressId')}
          />
          {shop.settings.people.length > 0 && (
            <Select
              label="Person"
              value={query.by ?? ANY}
              options={first(
                'Anybody',
                shop.settings.people.map((p) => ({ value: p, label: p })),
              )}
              onChange={pick('by')}
            />
          )}
          <Select
            label="Verdict"
            value={query.verdict ?? ANY}
            options={first(
              'Any verdict',
              VERDICTS.map((v) => ({ value: v, label: VERDICT_WORDS[v] })),
            )}
            onChange={pick('verdict')}
          />
          <Select
            label="Fault"
            value={query.fault ?? ANY}
            options={first(
              'Any fault',
              [...FAULTS, ...PAPER_FAULTS].map((f) => ({ value: f.id, label: f.label })),
            )}
            onChange={pick('fault')}
          />
          <Select
            label="Cause"
            value={query.cause ?? ANY}
            options={first('Any cause', [
              { value: 'none', label: 'not settled' },
              ...CAUSE_IDS.map((c) => ({ value: c, label: CAUSES[c].label })),
            ])}
            onChange={pick('cause')}
          />
        </div>
      )}
    </>
  );
}

function Day({ label, value, onDay }: { label: string; value: string; onDay: (text: string) => void }) {
  return (
    <label className="flex items-center gap-1.5 font-label font-medium">
      {label}
      <input
        type="date"
        value={value}
        onChange={(e) => onDay(e.target.value)}
        className="min-h-9 border-2 border-ink bg-white px-1.5"
      />
    </label>
  );
}

'use client';

import { say, type Message } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { addDays } from 'date-fns';
import { useState } from 'react';
import { CAUSES, FAULTS, PAPER_FAULTS } from '@/core/inspect/faults';
import { SUPPLIES, WHOLE_LOG, type LogQuery, type Supply } from '@/core/log/rows';
import { CAUSE_IDS } from '@/core/shop/faultIds';
import { VERDICTS } from '@/core/shop/records';
import type { Shop } from '@/core/shop/shop';
import type { JobRecord } from '@/data/db';
import { Button } from '@/ui/Button';
import { Select } from '@/ui/Select';
import { VERDICT_WORDS } from '../inspect/Judgement';
import { useShop } from '../shell/shopContext';
import { SUPPLY_LABELS } from './supplyWords';

interface Props {
  readonly query: LogQuery;
  readonly onChange: (next: Partial<LogQuery>) => void;
}

const ANY = 'any';

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

type Key = 'jobId' | 'blankId' | 'pressId' | 'by' | 'verdict' | 'fault' | 'cause' | Supply;
interface Choice {
  readonly key: Key;
  readonly label: Message;
  /** What it says where nothing is chosen. */
  readonly all: Message;
  readonly options: readonly { readonly value: string; readonly label: string | Message }[];
}

const named = (things: readonly { readonly id: string; readonly name: string }[]): Choice['options'] =>
  things.map((t) => ({ value: t.id, label: t.name }));

/** Supplies by the names the shop has now: those of before are found by their words. */
function supplyChoices({ papers, settings, blanks }: Shop): readonly Choice[] {
  const names: Readonly<Record<Supply, readonly string[]>> = {
    paper: papers.map((p) => p.name),
    printer: settings.printers.map((p) => p.name),
    ink: settings.printers.map((p) => p.inkName),
    supplier: blanks.map((b) => b.supplier),
  };
  return SUPPLIES.map((key) => ({
    key,
    ...SUPPLY_LABELS[key],
    options: [...new Set(names[key])]
      .filter((name) => name !== '')
      .sort()
      .map((name) => ({ value: name, label: name })),
  })).filter((c) => c.options.length > 0);
}

/** What the log can be narrowed by besides words and days. */
const choices = (shop: Shop, jobs: readonly JobRecord[]): readonly Choice[] => [
  {
    key: 'jobId',
    label: say('common.job'),
    all: say('logbook.anyJob'),
    options: named(jobs.map((r) => r.job)),
  },
  { key: 'blankId', label: say('common.blank'), all: say('logbook.anyBlank'), options: named(shop.blanks) },
  { key: 'pressId', label: say('common.press'), all: say('logbook.anyPress'), options: named(shop.presses) },
  {
    key: 'by',
    label: say('logbook.person'),
    all: say('logbook.anyPerson'),
    options: shop.settings.people.map((p) => ({ value: p, label: p })),
  },
  ...supplyChoices(shop),
  {
    key: 'verdict',
    label: say('common.verdict'),
    all: say('logbook.anyVerdict'),
    options: VERDICTS.map((v) => ({ value: v, label: VERDICT_WORDS[v] })),
  },
  {
    key: 'fault',
    label: say('logbook.fault'),
    all: say('logbook.anyFault'),
    options: [...FAULTS, ...PAPER_FAULTS].map((f) => ({ value: f.id, label: f.label })),
  },
  {
    key: 'cause',
    label: say('common.cause'),
    all: say('logbook.anyCause'),
    options: [
      { value: 'none', label: say('logbook.notSettled') },
      ...CAUSE_IDS.map((c) => ({ value: c, label: CAUSES[c].label })),
    ],
  },
];

/** Words and days at hand, the rest behind one button: every part narrows what is shown. */
export function Filters({ query, onChange }: Props) {
  const t = useWords();
  const { shop, jobs } = useShop();
  const [open, setOpen] = useState(false);
  const narrowed = Object.entries(query).filter(([k, v]) => k !== 'text' && v !== null).length;
  return (
    <>
      <input
        type="search"
        aria-label={t('logbook.findLog')}
        placeholder={t('logbook.search')}
        value={query.text}
        onChange={(e) => onChange({ text: e.target.value })}
        className="min-h-10 w-44 border-2 border-ink bg-white px-2"
      />
      <Button aria-expanded={open} onClick={() => setOpen(!open)}>
        {narrowed > 0 ? t('logbook.filter', { narrowed }) : t('logbook.filter2')}
      </Button>
      {(narrowed > 0 || query.text !== '') && (
        <Button kind="quiet" onClick={() => onChange(WHOLE_LOG)}>
          {t('logbook.clearFilters')}
        </Button>
      )}
      {open && (
        <div
          role="group"
          aria-label={t('logbook.filterLog')}
          className="flex w-full flex-wrap items-end gap-2"
        >
          <Day
            label={t('logbook.from')}
            value={dayOf(query.fromAt)}
            onDay={(d) => onChange({ fromAt: dayAt(d) })}
          />
          <Day
            label={t('logbook.to')}
            value={dayOf(query.toAt === null ? null : query.toAt - 1)}
            onDay={(d) => {
              const at = dayAt(d);
              onChange({ toAt: at === null ? null : addDays(at, 1).getTime() });
            }}
          />
          {choices(shop, jobs).map(({ key, label, all, options }) => (
            <Select
              key={key}
              label={t(label)}
              value={query[key] ?? ANY}
              options={[{ value: ANY, label: t(all) }, ...options]}
              onChange={(value) => onChange({ [key]: value === ANY ? null : value })}
            />
          ))}
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

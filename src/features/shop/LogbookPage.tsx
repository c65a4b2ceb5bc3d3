'use client';

import { FileDown } from 'lucide-react';
import { createColumnHelper, type ColumnDef } from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import { logCsv } from '@/core/formats/logCsv';
import { FAULTS } from '@/core/look/faults';
import type { LogEntry } from '@/core/shop/records';
import { celsius, seconds } from '@/core/units/quantity';
import { Button } from '@/ui/Button';
import { momentText } from '@/ui/dates';
import { Say } from '@/ui/units';
import { VERDICT_WORDS } from '../look/LookView';
import { saveTextAs } from '../shell/download';
import { ShopFrame } from '../shell/ShopFrame';
import { useShop } from '../shell/shopContext';
import { SortableTable } from './ThingTable';

const VERDICT_GROUND: Readonly<Record<LogEntry['verdict'], string>> = {
  good: 'bg-strata-3 text-white',
  under: 'bg-board text-ink',
  over: 'bg-strata-8 text-white',
  other: 'bg-strata-5 text-ink',
};

/** What was pressed, with what settings, and what came of it. */
export function LogbookPage() {
  const { shop } = useShop();
  const [find, setFind] = useState('');
  const rows = useMemo(() => {
    const wanted = find.trim().toLowerCase();
    return shop.log
      .filter(
        (e) =>
          wanted === '' ||
          `${e.jobName} ${e.blankName} ${e.pressName} ${e.verdict} ${e.note}`.toLowerCase().includes(wanted),
      )
      .sort((a, b) => b.at - a.at);
  }, [shop.log, find]);
  const columns = useMemo(() => {
    const c = createColumnHelper<LogEntry>();
    return [
      c.accessor('at', {
        header: 'When',
        cell: (x) => <span className="whitespace-nowrap">{momentText(x.getValue())}</span>,
      }),
      c.accessor('jobName', {
        header: 'Job',
        cell: (x) => (
          <span className="whitespace-nowrap">
            <span className="font-label text-lead font-semibold">{x.getValue()}</span>
            <br />
            <span className="text-soft">{x.row.original.blankName}</span>
          </span>
        ),
      }),
      c.accessor('pressName', {
        header: 'Press',
        cell: (x) => <span className="whitespace-nowrap">{x.getValue()}</span>,
      }),
      c.accessor((e) => e.settings.platenC, {
        id: 'settings',
        header: 'Settings',
        cell: ({ row: { original: e } }) => (
          <span className="whitespace-nowrap">
            <Say
              phrase={[
                celsius(e.settings.platenC),
                ' · ',
                seconds(e.settings.dwellS),
                e.settings.passes > 1 ? ` × ${e.settings.passes}` : '',
              ]}
            />
          </span>
        ),
      }),
      c.accessor('verdict', {
        header: 'Verdict',
        cell: (x) => (
          <span
            className={`inline-block px-2 py-0.5 font-label font-semibold whitespace-nowrap ${VERDICT_GROUND[x.getValue()]}`}
          >
            {VERDICT_WORDS[x.getValue()]}
          </span>
        ),
      }),
      c.accessor('good', { header: 'Good' }),
      c.accessor('spoiled', { header: 'Spoiled' }),
      c.accessor((e) => e.note, {
        id: 'note',
        header: 'Seen',
        enableSorting: false,
        cell: ({ row: { original: e } }) => <Seen entry={e} />,
      }),
    ] as ColumnDef<LogEntry, string | number>[];
  }, []);
  return (
    <ShopFrame
      title="Logbook"
      about={`${shop.log.length} ${shop.log.length === 1 ? 'entry' : 'entries'}`}
      actions={
        <>
          <input
            type="search"
            aria-label="Find in the log"
            placeholder="Find in the log"
            value={find}
            onChange={(e) => setFind(e.target.value)}
            className="min-h-10 w-44 border-2 border-ink bg-white px-2"
          />
          <Button
            disabled={rows.length === 0}
            onClick={() => saveTextAs('logbook.csv', logCsv(rows), 'text/csv')}
          >
            <FileDown size={18} aria-hidden /> Save as CSV
          </Button>
        </>
      }
    >
      <SortableTable
        label="Logbook"
        rows={rows}
        columns={columns}
        empty={
          find === ''
            ? 'Nothing logged yet. Press a piece, look it over, and write it down: that is what tomorrow starts from.'
            : `Nothing by “${find}”.`
        }
      />
    </ShopFrame>
  );
}

function Seen({ entry }: { entry: LogEntry }) {
  const labels = [...new Set(entry.marks.map((m) => FAULTS.find((f) => f.id === m.fault)?.label ?? m.fault))];
  return (
    <span className="leading-snug">
      {labels.length > 0 && <strong className="font-medium">{labels.join(', ')}. </strong>}
      {entry.note}
    </span>
  );
}

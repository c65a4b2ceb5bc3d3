'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { useLiveQuery } from 'dexie-react-hooks';
import { FileDown } from 'lucide-react';
import { useDeferredValue, useRef, useState } from 'react';
import { logCsv } from '@/core/formats/logCsv';
import { FAULTS } from '@/core/look/faults';
import type { LogEntry } from '@/core/shop/records';
import { celsius, seconds } from '@/core/units/quantity';
import { findInLog, type LogPage } from '@/data/log';
import { Button } from '@/ui/Button';
import { momentText } from '@/ui/dates';
import { Say } from '@/ui/units';
import { VERDICT_WORDS } from '../look/LookView';
import { saveTextAs } from '../shell/download';
import { ShopFrame } from '../shell/ShopFrame';

const VERDICT_GROUND: Readonly<Record<LogEntry['verdict'], string>> = {
  good: 'bg-strata-3 text-white',
  under: 'bg-board text-ink',
  over: 'bg-strata-8 text-white',
  other: 'bg-strata-5 text-ink',
};

/** Entries read at first, and so many more each time the list is scrolled to its end. */
const STRETCH = 120;

/** What was found, with the words it was found by: while others are typed it still says its own. */
interface Found extends LogPage {
  readonly find: string;
}

const totalText = (page: Found | undefined): string => {
  if (!page) return 'reading…';
  const { find } = page;
  const n = page.total ?? page.entries.length;
  const entries = `${n.toLocaleString('en')} ${n === 1 ? 'entry' : 'entries'}`;
  if (page.total === null) return `over ${entries} by “${find}”, newest first`;
  return find === '' ? `${entries}, newest first` : `${entries} by “${find}”`;
};

/** What was pressed, with what settings, and what came of it: newest first, read as far as it is scrolled. */
export function LogbookPage() {
  const [find, setFind] = useState('');
  const [most, setMost] = useState(STRETCH);
  const asked = useDeferredValue(find.trim());
  const page = useLiveQuery(
    async (): Promise<Found> => ({ ...(await findInLog(asked, most)), find: asked }),
    [asked, most],
  );
  const save = async () => {
    const all = await findInLog(asked, Infinity);
    saveTextAs('logbook.csv', logCsv(all.entries), 'text/csv');
  };
  return (
    <ShopFrame
      title="Logbook"
      about={totalText(page)}
      actions={
        <>
          <input
            type="search"
            aria-label="Find in the log"
            placeholder="Words of the log"
            value={find}
            onChange={(e) => {
              setFind(e.target.value);
              setMost(STRETCH);
            }}
            className="min-h-10 w-44 border-2 border-ink bg-white px-2"
          />
          <Button disabled={!page || page.entries.length === 0} onClick={() => void save()}>
            <FileDown size={18} aria-hidden /> Save as CSV
          </Button>
        </>
      }
    >
      {page && page.entries.length === 0 ? (
        <p className="p-8 text-lead">
          {page.find === ''
            ? 'Nothing logged yet. Press a piece, look it over, and write it down: that is what tomorrow starts from.'
            : `Nothing by “${page.find}”. Words are found by how they begin.`}
        </p>
      ) : (
        page && <LogList page={page} onEnd={() => setMost((m) => m + STRETCH)} />
      )}
    </ShopFrame>
  );
}

const HEADS = ['When', 'Job', 'Press', 'Settings', 'Verdict', 'Good', 'Spoiled', 'Seen'] as const;
const GRID =
  'grid min-w-[60rem] grid-cols-[9rem_minmax(10rem,1fr)_7.5rem_8.5rem_6rem_2.5rem_3.5rem_minmax(11rem,1.6fr)] gap-x-3 px-4';

interface ListProps {
  readonly page: LogPage;
  readonly onEnd: () => void;
}

/** Only the rows in sight are drawn. */
function LogList({ page, onEnd }: ListProps) {
  const scroller = useRef<HTMLDivElement>(null);
  const { entries, more } = page;
  // The list keeps its own mutable measurements; React's compiler rules do not apply to it.
  // eslint-disable-next-line react-hooks/incompatible-library
  const list = useVirtualizer({
    count: entries.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => 64,
    overscan: 8,
    getItemKey: (i) => entries[i]?.id ?? i,
    onChange: (v) => {
      const last = v.getVirtualItems().at(-1);
      if (more && last && last.index >= entries.length - 10) onEnd();
    },
  });
  return (
    <div ref={scroller} className="h-full overflow-auto" tabIndex={0} role="region" aria-label="Logbook">
      <div role="table" aria-label="Logbook" aria-rowcount={more ? -1 : entries.length + 1}>
        <div role="rowgroup" className="sticky top-0 z-10 bg-sheet">
          <div role="row" aria-rowindex={1} className={`${GRID} border-b-2 border-ink py-2`}>
            {HEADS.map((h) => (
              <span key={h} role="columnheader" className="font-label text-fine font-semibold">
                {h}
              </span>
            ))}
          </div>
        </div>
        <div role="rowgroup" className="relative" style={{ height: list.getTotalSize() }}>
          {list.getVirtualItems().map((item) => {
            const entry = entries[item.index];
            return (
              entry && (
                <div
                  key={item.key}
                  ref={list.measureElement}
                  data-index={item.index}
                  role="row"
                  aria-rowindex={item.index + 2}
                  className={`${GRID} absolute inset-x-0 top-0 items-center border-b border-rule py-2.5`}
                  style={{ transform: `translateY(${item.start}px)` }}
                >
                  <Row entry={entry} />
                </div>
              )
            );
          })}
        </div>
      </div>
    </div>
  );
}

function Row({ entry: e }: { entry: LogEntry }) {
  return (
    <>
      <span role="cell">{momentText(e.at)}</span>
      <span role="cell" className="min-w-0">
        <span className="font-label text-lead leading-tight font-semibold">{e.jobName}</span>
        <br />
        <span className="text-soft">{e.blankName}</span>
      </span>
      <span role="cell">{e.pressName}</span>
      <span role="cell">
        <Say
          phrase={[
            celsius(e.settings.platenC),
            ' · ',
            seconds(e.settings.dwellS),
            e.settings.passes > 1 ? ` × ${e.settings.passes}` : '',
          ]}
        />
      </span>
      <span role="cell">
        <span className={`inline-block px-2 py-0.5 font-label font-semibold ${VERDICT_GROUND[e.verdict]}`}>
          {VERDICT_WORDS[e.verdict]}
        </span>
      </span>
      <span role="cell">{e.good}</span>
      <span role="cell">{e.spoiled}</span>
      <span role="cell" className="min-w-0">
        <Seen entry={e} />
      </span>
    </>
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

'use client';

import { say } from '@/core/message/message';
import { useVirtualizer } from '@tanstack/react-virtual';
import { Link } from '@/ui/Link';
import { useRef } from 'react';
import { CAUSES, faultLabel } from '@/core/inspect/faults';
import { WHOLE_LOG } from '@/core/log/rows';
import type { LogEntry } from '@/core/shop/records';
import { celsius, seconds, date } from '@/core/message/quantity';
import { useWords, Q } from '@/ui/words';
import { VERDICT_GROUND } from '../inspect/HistoryLine';
import { VERDICT_WORDS } from '../inspect/Judgement';
import type { FoundEntries } from './useLogIndex';

const HEADS = [
  say('logbook.when'),
  say('common.job'),
  say('common.press'),
  say('common.settings2'),
  say('common.verdict'),
  say('common.good22'),
  say('common.spoiled'),
  say('common.seen'),
] as const;
/** A table where there is room; on a phone the cells of a row stand together and say what they are. */
const GRID =
  'flex flex-wrap gap-y-0.5 md:grid md:min-w-[60rem] md:grid-cols-[9rem_minmax(10rem,1fr)_7.5rem_8.5rem_6rem_2.5rem_3.5rem_minmax(11rem,1.6fr)] gap-x-3 px-4';

interface Props {
  readonly found: FoundEntries;
  readonly onEnd: () => void;
}

/** Only the rows in sight are drawn. */
export function LogList({ found, onEnd }: Props) {
  const t = useWords();
  const scroller = useRef<HTMLDivElement>(null);
  const { entries, total } = found;
  const more = total === null ? false : total > entries.length;
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
  if (entries.length === 0)
    return (
      <p className="p-8 text-lead">
        {JSON.stringify(found.query) === JSON.stringify(WHOLE_LOG)
          ? t('logbook.entriesYetPressPiece')
          : t('logbook.entryMatchesRemoveFilter')}
      </p>
    );
  return (
    <div
      ref={scroller}
      className="h-full overflow-auto"
      tabIndex={0}
      role="region"
      aria-label={t('common.logbook')}
    >
      <div role="table" aria-label={t('common.logbook')} aria-rowcount={more ? -1 : entries.length + 1}>
        <div role="rowgroup" className="sticky top-0 z-10 bg-sheet">
          <div role="row" aria-rowindex={1} className={`${GRID} border-b-2 border-ink py-2 max-md:hidden!`}>
            {HEADS.map((h) => (
              <span key={h.id} role="columnheader" className="font-label text-fine font-semibold">
                {t(h)}
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
  const t = useWords();
  return (
    <>
      <span role="cell">
        <Link href={`/logbook/${e.id}`} className="inline-block min-h-6 underline underline-offset-2">
          <Q of={date(e.at, 'moment')} />
        </Link>
        {e.by && <span className="text-soft max-md:ml-2 md:block">{e.by}</span>}
      </span>
      <span role="cell" className="min-w-0 max-md:basis-full">
        <span className="font-label text-lead leading-tight font-semibold">{e.jobName}</span>
        <br />
        <span className="text-soft">{e.blankName}</span>
      </span>
      <span role="cell">{e.pressName}</span>
      <span role="cell">
        {t('common.settings', {
          platen: celsius(e.settings.platenC),
          dwell: seconds(e.settings.dwellS),
          passes: e.settings.passes,
        })}
      </span>
      <span role="cell">
        <span className={`inline-block px-2 py-0.5 font-label font-semibold ${VERDICT_GROUND[e.verdict]}`}>
          {t(VERDICT_WORDS[e.verdict])}
        </span>
      </span>
      <span role="cell">
        {e.good}
        <span className="md:hidden"> {t('common.good2')}</span>
      </span>
      <span role="cell">
        {e.spoiled}
        <span className="md:hidden"> {t('common.spoiled2')}</span>
      </span>
      <span role="cell" className="min-w-0 max-md:basis-full">
        <Seen entry={e} />
      </span>
    </>
  );
}

function Seen({ entry }: { entry: LogEntry }) {
  const t = useWords();
  const labels = [...new Set(entry.marks.map((m) => m.fault))].map(faultLabel);
  return (
    <span className="leading-snug">
      {labels.length > 0 && <strong className="font-medium">{labels.map(t).join(', ')}. </strong>}
      {entry.cause && <span>{t('logbook.cause2', { causes: CAUSES[entry.cause].label })} </span>}
      {entry.note}
      {entry.corrects && <span className="text-soft"> {t('logbook.correctsEarlierEntry')}</span>}
    </span>
  );
}

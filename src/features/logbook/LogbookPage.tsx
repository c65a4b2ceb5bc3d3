'use client';

import { whole } from '@/core/message/quantity';
import { say, type Message } from '@/core/message/message';
import { useWords } from '@/ui/words';
import dynamic from 'next/dynamic';
import { useDeferredValue, useMemo, useState } from 'react';
import { WHOLE_LOG, type LogQuery } from '@/core/log/rows';
import { Segments } from '@/ui/Segments';
import { ShopFrame } from '../shell/ShopFrame';

import { Filters } from './Filters';
import { LogActions } from './LogActions';
import { LogList } from './LogList';
import { useAsideOf } from '../shell/asideStore';
import { checkWholeLog, useFound, useLogIndex, type FoundEntries, type LogIndex } from './useLogIndex';
import { part } from '@/core/basics/part';

const Charts = dynamic(() => part(() => import('./Charts')).then((m) => m.Charts), { ssr: false });
const OverlayMap = dynamic(() => part(() => import('./OverlayMap')).then((m) => m.OverlayMap), {
  ssr: false,
});

const VIEWS = [
  { value: 'list', label: say('logbook.entries') },
  { value: 'charts', label: say('logbook.charts') },
  { value: 'map', label: say('common.overlay') },
] as const;
type View = (typeof VIEWS)[number]['value'];

/** Entries read at first, and so many more each time the list is scrolled to its end. */
const STRETCH = 60;

const isWhole = (q: LogQuery): boolean => JSON.stringify(q) === JSON.stringify(WHOLE_LOG);

function totalText(found: FoundEntries | null, index: LogIndex): Message {
  if (!found) return say('common.reading');
  if (found.total === null)
    return say('logbook.readingEntries', {
      read: whole(index.read),
      of: whole(index.of),
    });
  const entries = say('logbook.entriesInAll', { total: found.total });
  return isWhole(found.query)
    ? say('logbook.newestFirst', { entries })
    : say('logbook.of', { entries, of: whole(index.of) });
}

/** What was pressed, with what settings, and what came of it: filtered, charted, laid over each other. */
interface Props {
  /** What it is narrowed by when it is opened, and how it is shown. */
  readonly start: Partial<LogQuery>;
  readonly startView: string | null;
}

export function LogbookPage({ start, startView }: Props) {
  const t = useWords();
  const [query, setQuery] = useState<LogQuery>({ ...WHOLE_LOG, ...start });
  const [view, setView] = useState<View>(VIEWS.find((v) => v.value === startView)?.value ?? 'list');
  const [most, setMost] = useState(STRETCH);
  const index = useLogIndex();
  useAsideOf('log', checkWholeLog, index.version > 0);
  const asked = useDeferredValue(query);
  const found = useFound(asked, most, index, view === 'charts');
  const change = useMemo(
    () => (next: Partial<LogQuery>) => {
      setQuery((q) => ({ ...q, ...next }));
      setMost(STRETCH);
    },
    [],
  );
  return (
    <ShopFrame
      title={t('common.logbook')}
      about={t(totalText(found, index))}
      actions={<LogActions query={asked} found={found} />}
    >
      <div className="flex h-full flex-col">
        <div className="flex flex-wrap items-center gap-3 border-b border-rule px-4 py-2">
          <Segments label={t('logbook.showLog')} value={view} options={VIEWS} onChange={setView} />
          <Filters query={query} onChange={change} />
        </div>
        <div className="min-h-0 flex-1">
          {view === 'list' && found && <LogList found={found} onEnd={() => setMost((m) => m + STRETCH)} />}
          {view === 'charts' && found?.charts && (
            <Charts
              charts={found.charts}
              onOpen={(next) => {
                change(next);
                setView('list');
              }}
            />
          )}
          {view === 'map' && <OverlayMap query={asked} index={index} />}
        </div>
      </div>
    </ShopFrame>
  );
}

'use client';

import { say } from '@/core/message/message';
import { useLocale } from '@/ui/words';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import type { LogCharts } from '@/core/log/charts';
import type { LogQuery } from '@/core/log/rows';
import type { Overlay } from '@/core/inspect/overlay';
import type { LogEntry } from '@/core/shop/records';
import { db } from '@/data/db';
import { entriesById, newestEntries } from '@/data/log';
import type { SetAside } from '@/data/setAside';
import { inLogWorker, onProgress } from '@/workers/client';
import { notifyProblem } from '@/ui/notify';
import type { LogAnswer } from '@/workers/log.worker';

/** How far the log has been taken in; `version` counts how often it has. */
export interface LogIndex {
  readonly version: number;
  readonly read: number;
  readonly of: number;
}

/** Keeps the worker's rows up with the log of this browser. */
export function useLogIndex(): LogIndex {
  const locale = useLocale();
  const count = useLiveQuery(() => db.log.count(), []);
  const [index, setIndex] = useState<LogIndex>({ version: 0, read: 0, of: 0 });
  useEffect(() => {
    if (count === undefined) return undefined;
    let live = true;
    const report = onProgress((read) => {
      if (live) setIndex((i) => ({ ...i, read, of: count }));
    });
    void inLogWorker(say('common.logbook'), (api) => api.read(locale, report) as Promise<number>).then(
      (r) => {
        if (!live) return;
        if (r.ok) setIndex((i) => ({ version: i.version + 1, read: r.value, of: r.value }));
        else notifyProblem(r.problem);
      },
    );
    return () => {
      live = false;
    };
  }, [count, locale]);
  return index;
}

/** What of the log cannot be read; the worker looks, apart from the page. */
export const checkWholeLog = async (): Promise<readonly SetAside[]> => {
  const r = await inLogWorker(say('common.logbook'), (api) => api.aside() as Promise<readonly SetAside[]>);
  return r.ok ? r.value : [];
};

export interface FoundEntries {
  readonly query: LogQuery;
  readonly total: number | null;
  readonly entries: readonly LogEntry[];
  readonly charts: LogCharts | null;
}

/** Minutes east of Greenwich as ms: weeks begin by the shop’s own clock. */
const offsetMs = (): number => -new Date().getTimezoneOffset() * 60_000;

/** Entries that match, newest first, as many as asked; until the log has been read, the newest of all. */
export function useFound(
  query: LogQuery,
  most: number,
  index: LogIndex,
  charted: boolean,
): FoundEntries | null {
  const [found, setFound] = useState<FoundEntries | null>(null);
  useEffect(() => {
    let live = true;
    const show = (next: FoundEntries) => {
      if (live) setFound(next);
    };
    void (async () => {
      if (index.version === 0) {
        show({ query, total: null, entries: await newestEntries(most), charts: null });
        return;
      }
      const r = await inLogWorker<LogAnswer>(
        say('common.logbook'),
        (api) => api.ask(query, most, charted ? offsetMs() : null) as Promise<LogAnswer>,
      );
      if (!r.ok) return notifyProblem(r.problem);
      const { total, ids, charts } = r.value;
      show({ query, total, entries: await entriesById(ids), charts });
    })();
    return () => {
      live = false;
    };
  }, [query, most, index.version, charted]);
  return found;
}

/** Ids of every entry that matches. */
export async function allIds(query: LogQuery): Promise<readonly string[]> {
  const r = await inLogWorker<readonly string[]>(
    say('common.logbook'),
    (api) => api.ids(query) as Promise<readonly string[]>,
  );
  if (r.ok) return r.value;
  notifyProblem(r.problem);
  return [];
}

/** Charts of a query asked once, for a file. */
export async function chartsFor(query: LogQuery): Promise<LogCharts | null> {
  const r = await inLogWorker<LogAnswer>(
    say('common.logbook'),
    (api) => api.ask(query, 0, offsetMs()) as Promise<LogAnswer>,
  );
  return r.ok ? r.value.charts : null;
}

/** The marks of what matches, laid over each other. */
export function useOverlay(query: LogQuery, index: LogIndex): Overlay | null {
  const [found, setFound] = useState<Overlay | null>(null);
  useEffect(() => {
    if (index.version === 0) return undefined;
    let live = true;
    void inLogWorker<Overlay>(say('common.logbook'), (api) => api.overlay(query) as Promise<Overlay>).then(
      (r) => {
        if (r.ok && live) setFound(r.value);
      },
    );
    return () => {
      live = false;
    };
  }, [query, index.version]);
  return found;
}

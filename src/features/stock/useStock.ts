import { say } from '@/core/message/message';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useMemo, useState } from 'react';
import { spoilageOf } from '@/core/cost/cost';
import { forecastItem, type ItemForecast, type StockNeed } from '@/core/stock/wants';
import { seenOfJobs } from '@/data/seen';
import { loadPrinted, loadStock } from '@/data/stock';
import { inDayWorker } from '@/workers/client';
import { useShopWithRuns } from '../shell/shopContext';

/** Every item in stock with its forecast; null while it is read. Allocations follow from the worker. */
export function useStock(): { readonly stock: readonly ItemForecast[] | null; readonly wantsKnown: boolean } {
  const { shop, jobs, proven } = useShopWithRuns();
  const all = useMemo(() => jobs.map((r) => r.job), [jobs]);
  const held = useLiveQuery(() => loadStock(), []);
  const seen = useLiveQuery(() => seenOfJobs(all), [all]);
  const sheets = useLiveQuery(() => loadPrinted(), []);
  const [wants, setWants] = useState<readonly StockNeed[] | null>(null);
  const items = useMemo(() => held?.map((x) => x.item), [held]);
  const key = items?.map((i) => i.id).join(' ');
  useEffect(() => {
    if (!items || !seen || !sheets) return;
    let gone = false;
    const spoilage = Object.fromEntries(Object.entries(seen).map(([id, s]) => [id, spoilageOf(s)]));
    void inDayWorker(say('common.stock'), (w) =>
      w.wants({ jobs: all, shop, items, proven, spoilage, sheets }),
    ).then((r) => {
      if (!gone && r.ok) setWants(r.value);
    });
    return () => {
      gone = true;
    };
    // What is wanted hangs on which items there are, not on how many of each.
  }, [all, shop, proven, seen, sheets, key]); // eslint-disable-line react-hooks/exhaustive-deps
  const stock = useMemo(
    () => held?.map(({ item, balance }) => forecastItem(item, balance, wants ?? [])) ?? null,
    [held, wants],
  );
  return { stock, wantsKnown: wants !== null };
}

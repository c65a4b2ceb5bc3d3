'use client';

import { say } from '@/core/message/message';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useRef, useState } from 'react';
import { ok } from '@/core/basics/result';
import type { HeatAnswer, HeatCache } from '@/core/heat/answer';
import { heatKey, lastKey, type HeatQuestion } from '@/core/heat/question';
import type { Job } from '@/core/job/job';
import type { LogEntry } from '@/core/shop/records';
import type { Shop } from '@/core/shop/shop';
import { keepAnswer, keptAnswer } from '@/data/heatAnswers';
import { newestOnPress } from '@/data/log';
import { inHeatWorker } from '@/workers/client';

/** Not while a hand is still moving something: on the heat itself soon, elsewhere only once the hand rests. */
const REST_MS = { near: 80, far: 400, beside: 2000 } as const;
const KEPT = 80;
/** Newest entries of each blank of a coating that are weighed. */
const MOST_TRIED = 60;
const NONE: readonly LogEntry[] = [];

const tableStart = (q: Extract<HeatQuestion, { kind: 'start' }>): HeatAnswer => ({
  kind: 'start',
  dwellS: q.settings.dwellS,
  laterS: null,
});

/** The cache with one more answer, as the last of its like as well; the oldest fall out. */
function withAnswer(cache: HeatCache, q: HeatQuestion, answer: HeatAnswer): HeatCache {
  const [key, last] = [heatKey(q), lastKey(q)];
  const others = Object.entries(cache).filter(([k]) => k !== key && k !== last);
  return Object.fromEntries([...others, [key, answer] as const, [last, answer] as const].slice(-KEPT));
}

export interface OpenHeatCache {
  readonly cache: HeatCache;
  /** Has the worker answer what is wanted, one after another, the newest wants first. */
  readonly query: (wanted: readonly HeatQuestion[], where: keyof typeof REST_MS) => () => void;
}

/** Answers of the heat model, filled by the worker and kept while the job is open. */
export function useHeatCache(): OpenHeatCache {
  const [cache, setCache] = useState<HeatCache>({});
  const busy = useRef(false);
  const left = useRef<readonly HeatQuestion[]>([]);
  const failed = useRef(new Set<string>());
  const alive = useRef(true);
  useEffect(() => {
    alive.current = true;
    return () => {
      alive.current = false;
    };
  }, []);
  const [ask] = useState(() => {
    const next = async (): Promise<void> => {
      const q = left.current.find((x) => !failed.current.has(heatKey(x)));
      if (busy.current || !q || !alive.current) return;
      busy.current = true;
      const key = heatKey(q);
      const kept = await keptAnswer(key);
      const r = kept
        ? ok(kept)
        : await inHeatWorker(say('common.heat'), (api) => api.answer(q) as Promise<HeatAnswer>);
      if (r.ok && !kept) void keepAnswer(key, r.value);
      busy.current = false;
      left.current = left.current.filter((x) => heatKey(x) !== key);
      // Where the model cannot say, the start of the table stands: nobody is kept waiting at the press.
      const answer = r.ok ? r.value : q.kind === 'start' ? tableStart(q) : null;
      if (answer) setCache((known) => withAnswer(known, q, answer));
      else failed.current.add(key);
      void next();
    };
    return (wanted: readonly HeatQuestion[], where: keyof typeof REST_MS) => {
      const timer = setTimeout(() => {
        left.current = wanted;
        void next();
      }, REST_MS[where]);
      return () => clearTimeout(timer);
    };
  });
  return { cache: cache, query: ask };
}

/** What is asked away from the heat: settings once the hand rests, what comes of them once it rests longer; pictures and comparisons not at all. */
const waitFor = (q: HeatQuestion): keyof typeof REST_MS | null =>
  q.kind === 'start' ? 'far' : q.kind === 'outcome' || q.kind === 'change' ? 'beside' : null;

/** Asks for what a plan still wants of the model: all of it where the heat is looked at, else what its settings hang on. */
export function useHeatQueries(
  wanted: readonly HeatQuestion[] | undefined,
  ask: OpenHeatCache['query'],
  shown: boolean,
): void {
  useEffect(() => {
    if (shown) return wanted && wanted.length > 0 ? ask(wanted, 'near') : undefined;
    const now = wanted?.filter((q) => waitFor(q) !== null) ?? [];
    const [first] = now;
    return first && ask(now, waitFor(first) ?? 'far');
  }, [wanted, ask, shown]);
}

/** Blanks of the same material and finish as a job's own. */
const alikeOf = (job: Job | null, shop: Shop): readonly string[] => {
  const blank = shop.blanks.find((b) => b.id === job?.blankId);
  return blank
    ? shop.blanks
        .filter((b) => b.material === blank.material && b.coating.finish === blank.coating.finish)
        .map((b) => b.id)
    : [];
};

const newestOn = async (
  blankIds: readonly string[],
  pressIds: readonly string[],
): Promise<readonly LogEntry[]> => {
  const each = await Promise.all(
    blankIds.flatMap((blankId) => pressIds.map((id) => newestOnPress(blankId, id, MOST_TRIED))),
  );
  return each.flat();
};

const pressIdsOf = (shop: Shop): readonly string[] => shop.presses.map((p) => p.id);

/** What was tried on every press of the shop and on coatings like the job's own. */
export const triedOnAll = (job: Job, shop: Shop): Promise<readonly LogEntry[]> =>
  newestOn(alikeOf(job, shop), pressIdsOf(shop));

/** What was tried on this job's press and on coatings like its own, live; on every press where none is chosen. */
export function useTried(job: Job | null, shop: Shop): readonly LogEntry[] {
  const alike = alikeOf(job, shop).join(' ');
  const pressIds = job?.pressId ?? pressIdsOf(shop).join(' ');
  const found = useLiveQuery(
    async () => (pressIds === '' || alike === '' ? NONE : newestOn(alike.split(' '), pressIds.split(' '))),
    [alike, pressIds],
  );
  return found ?? NONE;
}

'use client';

import { useWords } from '@/ui/words';
import { say } from '@/core/message/message';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import type { Problem, Result } from '@/core/basics/result';
import { db, type JobRecord } from '@/data/db';
import { listJobs } from '@/data/jobs';
import { holdsUnkept } from '@/data/journal';
import { seedIfEmpty } from '@/data/seed';
import { settleRuns } from '@/data/live';
import { goodBehind } from '@/data/log';
import { readThings } from '@/data/shop';
import { storageProblem } from '@/data/storage';
import { holdsUnrestored, Messages } from '@/ui/notify';
import { part } from '@/core/basics/part';
import { useChosenLocale, chosenLocale } from '@/ui/locale';
import { UnitsProvider } from '@/ui/units';
import { LocaleProvider } from '@/ui/words';
import { loadParts } from '@/words/loaded';
import { INTL_LOCALE, type Locale } from '@/words/locale';
import { GlobalKeys } from './GlobalKeys';
import { MissingPart } from './MissingPart';
import { RunsContext, ShopContext, type ShopView } from './shopContext';
import { useLiveRuns } from './useLiveRuns';
import { useQueried } from './useQueried';

/** Watches something in the database; what goes wrong comes back in words. */
function useWatched<T>(look: () => Promise<T>, ready: boolean): Result<T> | null {
  const watched = useQueried(async (): Promise<Result<T>> => {
    try {
      return { ok: true, value: await look() };
    } catch (error) {
      return storageProblem(error, say('common.shop'));
    }
  }, ready);
  return watched ?? null;
}

const lookAtShop = async () => {
  const { shop, aside } = await readThings();
  return { shop, aside, proven: await goodBehind(shop.recipes) };
};
const lookAtJobs = () => listJobs();
const NO_JOBS: readonly JobRecord[] = [];

function useSeed(demo: boolean): Result<boolean> | null {
  const [seeded, setSeeded] = useState<Result<boolean> | null>(null);
  useEffect(() => {
    void seedIfEmpty(demo, chosenLocale()).then(async (r) => {
      if (r.ok) await settleRuns().catch(() => undefined);
      setSeeded(r);
    });
  }, [demo]);
  return seeded;
}

/** How long a database may take to answer before the page says what is the matter. */
const PATIENCE_MS = 2000;
/** How long where nothing says why: a database being brought up to date takes its time. */
const SILENCE_MS = 10_000;
const BLOCKED: Problem = {
  what: say('shell.anotherTabKeepsOlder'),
  where: say('common.shop'),
  wayOut: say('shell.closeOtherTabsMesa'),
};
const SILENT: Problem = {
  what: say('shell.browsersDatabaseDoesAnswer'),
  where: say('common.shop'),
  wayOut: say('shell.closeOtherTabsMesa2'),
};

/** What keeps the shop from opening, once it has taken too long: a database that only ever answers “blocked” gives no error. */
function useWaiting(ready: boolean): Problem | null {
  const [blocked, setBlocked] = useState(false);
  const [lateMs, setLateMs] = useState(0);
  useEffect(() => {
    if (ready) return;
    const seen = () => setBlocked(true);
    db.on('blocked', seen);
    const timers = [PATIENCE_MS, SILENCE_MS].map((ms) => setTimeout(() => setLateMs(ms), ms));
    return () => {
      db.on('blocked').unsubscribe(seen);
      timers.forEach(clearTimeout);
    };
  }, [ready]);
  if (ready || lateMs === 0) return null;
  if (blocked) return BLOCKED;
  return lateMs === SILENCE_MS && !db.isOpen() ? SILENT : null;
}

/** Asks before the page is left while it holds something that is stored nowhere else. */
function useAskBeforeLeaving(): void {
  useEffect(() => {
    const ask = (e: BeforeUnloadEvent) => {
      if (holdsUnkept() || holdsUnrestored()) e.preventDefault();
    };
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, []);
}

/** What every page shows. */
const EVERYWHERE = ['common', 'count', 'kinds', 'shell', 'fields', 'files'] as const;

/** The language to write in: the one chosen, once the texts that every page shows are there; until then the one before. */
function useWrittenLocale(): Locale | null {
  const chosen = useChosenLocale();
  const [written, setWritten] = useState<Locale | null>(null);
  useEffect(() => {
    let current = true;
    void part(() => loadParts(chosen, EVERYWHERE)).then(() => {
      if (!current) return;
      document.documentElement.lang = INTL_LOCALE[chosen];
      setWritten(chosen);
    });
    return () => {
      current = false;
    };
  }, [chosen]);
  return written;
}

/** Everything below it finds the texts and the shop loaded. */
export function Shell({ demo, children }: { demo: boolean; children: ReactNode }) {
  const locale = useWrittenLocale();
  if (locale === null) return <Opening />;
  return (
    <LocaleProvider locale={locale}>
      <Loaded demo={demo}>{children}</Loaded>
    </LocaleProvider>
  );
}

function Loaded({ demo, children }: { demo: boolean; children: ReactNode }) {
  const seeded = useSeed(demo);
  const ready = seeded?.ok === true;
  // Apart, so that saving a job does not read the whole shop again.
  const shop = useWatched(lookAtShop, ready);
  const jobs = useWatched(lookAtJobs, ready);
  const runs = useLiveRuns(jobs?.ok ? jobs.value.jobs : NO_JOBS, ready);
  const view = useMemo(
    (): ShopView | null =>
      shop?.ok && jobs?.ok && runs.ready
        ? {
            ...shop.value,
            jobs: jobs.value.jobs,
            aside: [...jobs.value.unreadable, ...shop.value.aside, ...runs.aside],
          }
        : null,
    [shop, jobs, runs],
  );
  const failed = [seeded, shop, jobs].find((r) => r && !r.ok);
  const waiting = useWaiting(view !== null);
  useAskBeforeLeaving();
  if (failed && !failed.ok) return <Refused problem={failed.problem} />;
  if (!view)
    return (
      <>
        {waiting ? <Refused problem={waiting} /> : <Opening />}
        <MissingPart />
      </>
    );
  return (
    <ShopContext value={view}>
      <RunsContext value={runs.read}>
        <UnitsProvider units={view.shop.settings.units}>
          <GlobalKeys />
          {children}
          <Messages />
          <MissingPart />
        </UnitsProvider>
      </RunsContext>
    </ShopContext>
  );
}

const Opening = () => (
  <main className="grid h-dvh place-items-center bg-night text-pale" aria-busy="true">
    <h1 className="font-name text-head font-semibold">Mesa Drift</h1>
  </main>
);

const Refused = ({ problem }: { problem: Problem }) => {
  const t = useWords();
  return (
    <main className="on-night grid h-dvh place-content-center gap-3 bg-night p-6 text-pale">
      <h1 className="font-name text-big font-semibold">{t('shell.shopCannotOpened')}</h1>
      <p className="max-w-prose text-lead">{t(problem.what)}</p>
      <p className="max-w-prose text-lead">{t(problem.wayOut)}</p>
      <p>
        <button
          type="button"
          onClick={() => location.reload()}
          className="min-h-12 border-2 border-mist px-4 font-label font-semibold"
        >
          {t('common.tryAgain')}
        </button>
      </p>
    </main>
  );
};

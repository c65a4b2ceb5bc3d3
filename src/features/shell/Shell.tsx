'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import type { Problem, Result } from '@/core/basics/result';
import { listJobs } from '@/data/jobs';
import { seedIfEmpty } from '@/data/seed';
import { goodBehind } from '@/data/log';
import { loadThings } from '@/data/shop';
import { storageProblem } from '@/data/storage';
import { Messages } from '@/ui/notify';
import { UnitsProvider } from '@/ui/units';
import { GlobalKeys } from './GlobalKeys';
import { ShopContext, type ShopView } from './shopContext';

/** Watches something in the database; what goes wrong comes back in words. */
function useWatched<T>(look: () => Promise<T>, ready: boolean): Result<T> | null {
  const watched = useLiveQuery(async (): Promise<Result<T> | null> => {
    if (!ready) return null;
    try {
      return { ok: true, value: await look() };
    } catch (error) {
      return storageProblem(error, 'Shop');
    }
  }, [ready, look]);
  return watched ?? null;
}

const lookAtShop = async () => {
  const shop = await loadThings();
  return { shop, proven: await goodBehind(shop.recipes) };
};
const lookAtJobs = () => listJobs();

function useSeed(demo: boolean): Result<boolean> | null {
  const [seeded, setSeeded] = useState<Result<boolean> | null>(null);
  useEffect(() => {
    void seedIfEmpty(demo).then(setSeeded);
  }, [demo]);
  return seeded;
}

/** Everything below it finds the shop loaded. */
export function Shell({ demo, children }: { demo: boolean; children: ReactNode }) {
  const seeded = useSeed(demo);
  const ready = seeded?.ok === true;
  // Apart, so that saving a job does not read the whole shop again.
  const shop = useWatched(lookAtShop, ready);
  const jobs = useWatched(lookAtJobs, ready);
  const view = useMemo(
    (): ShopView | null => (shop?.ok && jobs?.ok ? { ...shop.value, ...jobs.value } : null),
    [shop, jobs],
  );
  const failed = [seeded, shop, jobs].find((r) => r && !r.ok);
  if (failed && !failed.ok) return <Refused problem={failed.problem} />;
  if (!view) return <Opening />;
  return (
    <ShopContext value={view}>
      <UnitsProvider units={view.shop.settings.units}>
        <GlobalKeys />
        {children}
        <Messages />
      </UnitsProvider>
    </ShopContext>
  );
}

const Opening = () => (
  <main className="grid h-dvh place-items-center bg-night text-pale" aria-busy="true">
    <h1 className="font-name text-head font-semibold">Mesa Drift</h1>
  </main>
);

const Refused = ({ problem }: { problem: Problem }) => (
  <main className="on-night grid h-dvh place-content-center gap-3 bg-night p-6 text-pale">
    <h1 className="font-name text-big font-semibold">The shop cannot be opened</h1>
    <p className="max-w-prose text-lead">{problem.what}</p>
    <p className="max-w-prose text-lead">{problem.wayOut}</p>
    <p>
      <button
        type="button"
        onClick={() => location.reload()}
        className="min-h-12 border-2 border-mist px-4 font-label font-semibold"
      >
        Try again
      </button>
    </p>
  </main>
);

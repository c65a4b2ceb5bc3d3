'use client';

import './zod';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState, type ReactNode } from 'react';
import { Toaster } from 'sonner';
import type { Problem, Result } from '@/core/result';
import { listJobs } from '@/data/jobs';
import { seedIfEmpty } from '@/data/seed';
import { loadShop } from '@/data/shop';
import { storageProblem } from '@/data/storage';
import { UnitsProvider } from '@/ui/units';
import { GlobalKeys } from './GlobalKeys';
import { ShopContext, type ShopView } from './shopContext';

async function lookAtShop(): Promise<Result<ShopView>> {
  try {
    const [shop, list] = await Promise.all([loadShop(), listJobs()]);
    return { ok: true, value: { shop, ...list } };
  } catch (error) {
    return storageProblem(error, 'Shop');
  }
}

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
  const view = useLiveQuery(async () => (seeded?.ok ? lookAtShop() : null), [seeded?.ok]);
  const problem = seeded && !seeded.ok ? seeded.problem : view && !view.ok ? view.problem : null;
  if (problem) return <Refused problem={problem} />;
  if (!view?.ok) return <Opening />;
  return (
    <ShopContext value={view.value}>
      <UnitsProvider units={view.value.shop.settings.units}>
        <GlobalKeys />
        {children}
        <Toaster position="bottom-center" toastOptions={{ style: { borderRadius: 0, border: '2px solid #14211f', boxShadow: 'none', background: '#f8faf6', color: '#14211f', fontFamily: 'inherit', fontSize: 15 } }} />
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
      <button type="button" onClick={() => location.reload()} className="min-h-12 border-2 border-mist px-4 font-label font-semibold">
        Try again
      </button>
    </p>
  </main>
);

'use client';

import { usePageTitle } from '@/ui/usePageTitle';
import { useWords } from '@/ui/words';
import { Link } from '@/ui/Link';
import { useMemo, useState } from 'react';
import { plan } from '@/core/plan/plan';
import { jobOnPress } from '@/core/plan/heat/pressChoice';
import { pressBlocked } from '@/core/plan/press/newRun';
import { isOn, type RunWithState } from '@/core/run/pieces';
import type { Job } from '@/core/job/job';
import { useHeatCache, useTried, useHeatQueries } from '../job/useHeatCache';
import { useJobRecord, useJobRuns, useShop, useShopWithRuns } from '../shell/shopContext';
import { Ended } from './Ended';
import { Ready } from './Ready';
import { RunBoard } from './RunBoard';

interface Props {
  readonly jobId: string;
  /** The press it is about; null for the job's own, or the one it runs on. */
  readonly pressId: string | null;
  /** Begin on one more press. */
  readonly another: boolean;
}

const onPress = (job: Job, pressId: string | null): Job =>
  pressId === null ? job : jobOnPress(job, pressId);

/** At the press: one run, from the first piece to the last. */
export function Runner({ jobId, pressId, another }: Props) {
  const t = useWords();
  const { shop: things, proven } = useShop();
  const record = useJobRecord(jobId);
  const runs = useJobRuns(jobId);
  const stored = record?.job ?? null;
  const shop = useMemo(() => ({ ...things, runs: [...(runs ?? [])] }), [things, runs]);
  const job = useMemo(() => stored && onPress(stored, pressId), [stored, pressId]);
  const tried = useTried(job, shop);
  const { cache: heatCache, query: ask } = useHeatCache();
  const made = useMemo(
    () => job && plan(job, shop, { proven, tried, heatCache }),
    [job, shop, proven, tried, heatCache],
  );
  useHeatQueries(made?.heat.model?.wanted, ask, false);
  const [again, setAgain] = useState(false);
  usePageTitle(job?.name ?? '');
  if (record === undefined || !runs) return <main className="h-dvh bg-night" aria-busy="true" />;
  if (!job || !made) return <Note text={t('press.jobBrowser')} href="/" to={t('common.goJobs')} />;
  const on = made.press.runs.filter(isOn);
  const here = pressId === null ? on[0] : on.find((r) => r.run.press.id === pressId);
  if (here && !another) return <RunBoard job={job} made={made} of={here} />;
  if (another && pressId === null) return <AnotherPress job={job} on={on} />;
  if (pressBlocked(made))
    return (
      <Note text={t('press.pressingStillBlocked')} href={`/job/${jobId}/heat`} to={t('press.backHeat')} />
    );
  const { runs: ofJob, free } = made.press;
  const last = [...ofJob].reverse().find((r) => pressId === null || r.run.press.id === pressId) ?? null;
  const over = last?.state.ended === 'finished' && (pressId !== null || on.length === 0);
  if (free.length === 0 || (over && !again))
    return <Ended job={job} made={made} last={last} onMore={free.length > 0 ? () => setAgain(true) : null} />;
  return <Ready job={job} made={made} />;
}

const BIG_LINK =
  'inline-flex min-h-16 items-center justify-center bg-act px-8 font-label text-head font-semibold text-white';

const Note = ({ text, href, to }: { text: string; href: string; to: string }) => (
  <main className="on-night grid h-dvh place-content-center justify-items-center gap-5 bg-night p-6 text-center text-pale">
    <h1 className="font-name text-big font-semibold">{text}</h1>
    <Link href={href} className={BIG_LINK}>
      {to}
    </Link>
  </main>
);

/** Presses of the same kind that no run is on. */
function AnotherPress({ job, on }: { job: Job; on: readonly RunWithState[] }) {
  const t = useWords();
  const { shop } = useShopWithRuns();
  const kind = shop.presses.find((p) => p.id === job.pressId)?.kind;
  const busy = new Set(shop.runs.filter((r) => on.some((o) => o.run.id === r.id)).map((r) => r.press.id));
  const free = shop.presses.filter((p) => p.kind === kind && !busy.has(p.id));
  if (free.length === 0)
    return <Note text={t('press.otherPressKindFree')} href="/pressing" to={t('press.backPresses')} />;
  return (
    <main className="on-night grid h-dvh place-content-center gap-4 bg-night p-6 text-pale">
      <h1 className="font-name text-big font-semibold">{t('press.whichPressToo', { job: job.name })}</h1>
      <p className="max-w-xl text-lead">{t('press.eachPressTakesNext')}</p>
      <ul className="grid gap-2">
        {free.map((p) => (
          <li key={p.id}>
            <Link href={`/press/${job.id}?on=${p.id}`} className={`${BIG_LINK} w-full`}>
              {p.name}
            </Link>
          </li>
        ))}
      </ul>
    </main>
  );
}

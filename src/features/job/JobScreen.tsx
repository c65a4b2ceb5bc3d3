'use client';

import { stepStyle } from './stepStyles';
import { say } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { isJobStep } from '../../core/figures/jobSteps';
import { JOB_STEPS, type JobStep } from '@/core/figures/jobSteps';
import { Link } from '@/ui/Link';
import { usePathname, useRouter } from 'next/navigation';
import { useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useLiveQuery } from 'dexie-react-hooks';
import { NONE_CONFIRMED } from '@/core/inspect/shopTable';
import { confirmedCounts } from '@/data/log';
import type { Job } from '@/core/job/job';
import type { Plan } from '@/core/plan/planShape';
import type { Shop } from '@/core/shop/shop';
import { createPlanner } from '@/core/plan/planner';
import { RememberContext } from '@/ui/restore';
import { notify } from '@/ui/notify';
import { ReadingStatus } from '../art/ReadingStatus';
import { useAnalyses } from '../art/useSources';
import { KEYS_ANYWHERE } from '../shell/GlobalKeys';
import { useJobRuns, useShop } from '../shell/shopContext';
import { AfterContext, JobContext, useHistory } from './jobContext';
import { JobFoot } from './JobFoot';
import { JobHeader } from './JobHeader';
import { JobRail } from './JobRail';
import { HowItAddsUp } from './HowItAddsUp';
import { STEP_KEYS, STEP_VIEWS } from './stepViews';
import { useJobLog } from './useJobLog';
import { useHeatCache, useTried, useHeatQueries } from './useHeatCache';
import { useNests, useNestQueries } from './useNests';
import { useOpenJob, type OpenJob } from './useOpenJob';

/** The step in the address; changing it needs no answer from the server. */
function useJobStep(jobId: string): readonly [JobStep, (t: JobStep) => void] {
  const last = usePathname().split('/').pop();
  const go = useCallback((t: JobStep) => window.history.pushState(null, '', `/job/${jobId}/${t}`), [jobId]);
  return [isJobStep(last) ? last : 'blank', go];
}

export function JobScreen({ id }: { id: string }) {
  const opening = useOpenJob(id);
  if (opening === 'opening') return <main className="h-dvh bg-night" aria-busy="true" />;
  if (opening === 'missing') return <Missing />;
  if (opening === 'unreadable') return <Unreadable />;
  return <OpenedJob id={id} open={opening} />;
}

const Missing = () => {
  const t = useWords();
  return (
    <main className="grid h-dvh place-content-center gap-3 p-6">
      <h1 className="font-name text-big font-semibold">{t('job.jobBrowser')}</h1>
      <p>{t('job.wasDeletedAnotherBrowser')}</p>
      <Link href="/" className="font-label font-semibold underline">
        {t('common.goJobs')}
      </Link>
    </main>
  );
};

const Unreadable = () => {
  const t = useWords();
  return (
    <main className="grid h-dvh place-content-center gap-3 p-6">
      <h1 className="font-name text-big font-semibold">{t('job.jobKeptButCannot')}</h1>
      <p className="max-w-prose">{t('job.anotherVersionMesaDrift')}</p>
      <Link href="/" className="font-label font-semibold underline">
        {t('common.goJobs')}
      </Link>
    </main>
  );
};

/** The plan of the open job, made again as it changes, and what it still wants calculated. */
function useMadePlan(job: Job, step: JobStep): { readonly made: Plan; readonly shop: Shop } {
  const { shop: things, jobs, proven } = useShop();
  const { id } = job;
  const log = useJobLog(id);
  const runs = useJobRuns(id);
  const shop = useMemo(
    () => ({ ...things, runs: [...(runs ?? [])], log: [...log.entries] }),
    [things, runs, log.entries],
  );
  const [planJob] = useState(createPlanner);
  const analyses = useAnalyses(job.art);
  const sharedJobs = useMemo(
    () => jobs.flatMap((r) => (r.id !== id && job.sheet.sharedJobIds.includes(r.id) ? [r.job] : [])),
    [jobs, id, job.sheet.sharedJobIds],
  );
  const { nests, look } = useNests();
  const tried = useTried(job, things);
  const { cache: heatCache, query: ask } = useHeatCache();
  const confirmed = useLiveQuery(() => confirmedCounts(), []) ?? NONE_CONFIRMED;
  const made = useMemo(
    () =>
      planJob(job, shop, {
        analyses,
        sharedJobs,
        nests,
        proven,
        tally: log.tally,
        tried,
        confirmed,
        heatCache,
      }),
    [planJob, job, shop, analyses, sharedJobs, nests, proven, log.tally, tried, confirmed, heatCache],
  );
  const wanted = useMemo(
    () => [...(made.heat.model?.wanted ?? []), ...(step === 'inspect' ? made.inspect.wanted : [])],
    [made.heat.model?.wanted, made.inspect.wanted, step],
  );
  useHeatQueries(wanted, ask, step === 'heat');
  useNestQueries(made.sheet.layout?.wanted, look);
  return { made, shop };
}

function OpenedJob({ id, open }: { id: string; open: OpenJob }) {
  const t = useWords();
  const { store, saver } = open;
  const { jobs, aside } = useShop();
  const job = store((s) => s.job);
  const edit = store((s) => s.edit);
  const router = useRouter();
  const [step, go] = useJobStep(id);
  const history = useHistory(store);
  const remember = useCallback(() => {
    const as = store.getState().job;
    return () => edit(() => as);
  }, [store, edit]);
  const wasThere = useRef(false);

  useEffect(() => {
    const record = jobs.find((r) => r.id === id);
    if (record) saver.seen(record);
    else if (wasThere.current && !aside.some((a) => a.kind === 'job' && a.id === id)) saver.gone();
    wasThere.current = record !== undefined;
  }, [jobs, aside, id, saver]);

  useEffect(() => {
    if (open.rescued) notify(say('job.anotherTabHadSaved', { rescued: open.rescued }));
  }, [open.rescued]);

  useHotkeys(
    STEP_KEYS,
    (e) => {
      const t = JOB_STEPS[Number(e.key) - 1];
      if (t) go(t);
    },
    KEYS_ANYWHERE,
  );
  const beside = (by: number) => {
    const at = jobs.findIndex((r) => r.id === id);
    const next = jobs[(at + by + jobs.length) % jobs.length];
    if (next && next.id !== id) router.push(`/job/${next.id}/${step}`);
  };
  useHotkeys('[', () => beside(-1), { ...KEYS_ANYWHERE, useKey: true }, [jobs, step]);
  useHotkeys(']', () => beside(1), { ...KEYS_ANYWHERE, useKey: true }, [jobs, step]);
  useHotkeys(
    'mod+z',
    (e) => {
      e.preventDefault();
      history.undo();
    },
    KEYS_ANYWHERE,
    [store],
  );
  useHotkeys(
    t('job.modShiftZMod'),
    (e) => {
      e.preventDefault();
      history.redo();
    },
    KEYS_ANYWHERE,
    [store],
  );

  const { made, shop } = useMadePlan(job, step);
  const view = useMemo(
    () => ({ job, plan: made, shop, edit, store, saver }),
    [job, made, shop, edit, store, saver],
  );
  // The drawing follows the hand at once; rail, foot and figures a breath later, so that no key waits for them.
  const after = useDeferredValue(view);
  const View = STEP_VIEWS[step];
  return (
    <RememberContext value={remember}>
      <JobContext value={after}>
        <div className="flex h-dvh flex-col md:flex-row">
          <JobRail step={step} go={go} />
          <div className="flex min-h-0 min-w-0 flex-1 flex-col">
            <JobHeader />
            <div className="flex min-h-0 flex-1 flex-col overflow-auto lg:flex-row lg:overflow-hidden">
              <main
                className="flex min-w-0 flex-1 flex-col lg:min-h-0"
                aria-label={t('job.stepOf', { step: stepStyle(step).label, job: job.name })}
              >
                <div className="board-ground relative min-h-[34rem] flex-1 lg:min-h-0">
                  <AfterContext value={after}>
                    <JobContext value={view}>
                      <View key={id} />
                    </JobContext>
                  </AfterContext>
                </div>
                <ReadingStatus />
                <JobFoot step={step} go={go} />
              </main>
              <HowItAddsUp step={step} />
            </div>
          </div>
        </div>
      </JobContext>
    </RememberContext>
  );
}

'use client';

import { useWords } from '@/ui/words';
import { Link } from '@/ui/Link';
import { useMemo, useState } from 'react';
import { plan } from '@/core/plan/plan';
import { pressBlocked } from '@/core/plan/press/newRun';
import { Dialog } from '@/ui/Dialog';
import type { RunWithState } from '@/core/run/pieces';
import { useShopWithRuns } from '../shell/shopContext';
import { DoneRuns } from './DoneRuns';
import { PressButton } from './PressButton';

const MOST = 10;

/** Jobs with pieces that no press holds yet and nothing in their way. */
function ReadyList({ dark }: { dark: boolean }) {
  const t = useWords();
  const { shop, jobs, proven } = useShopWithRuns();
  const ready = useMemo(
    () =>
      jobs
        .map(({ job }) => ({ job, made: plan(job, shop, { proven }) }))
        .filter(({ made }) => !pressBlocked(made) && made.press.free.length > 0 && !made.press.running)
        .slice(0, MOST),
    [jobs, shop, proven],
  );
  return (
    <>
      <p className="text-lead">
        {ready.length > 0 ? t('press.theseJobsReadyPress') : t('press.otherJobReadyPress')}
      </p>
      <ul className="grid max-w-3xl gap-2">
        {ready.map(({ job, made }) => (
          <li key={job.id}>
            <Link
              href={`/press/${job.id}`}
              className={`flex min-h-16 flex-wrap items-center justify-between gap-x-6 border-2 px-5 py-2 font-label text-name ${dark ? 'border-mist hover:bg-strata-2' : 'border-ink hover:bg-board'}`}
            >
              <span className="font-semibold">{job.name}</span>
              <span>
                {t('press.toPress', { free: made.press.free.length, press: made.heat.press?.name ?? '' })}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </>
  );
}

/** No press is on: the jobs that could go in now. */
export const ReadyJobs = ({ done, nowMs }: { done: readonly RunWithState[]; nowMs: number }) => {
  const t = useWords();
  return (
    <div className="grid content-start gap-4 p-5 sm:p-8">
      <DoneRuns runs={done} nowMs={nowMs} />
      <h2 className="font-name text-big font-semibold">{t('press.pressRunning')}</h2>
      <ReadyList dark />
    </div>
  );
};

/** Another job beside those that run. */
export function AnotherJob() {
  const t = useWords();
  const [open, setOpen] = useState(false);
  return (
    <>
      <PressButton onClick={() => setOpen(true)}>{t('press.startAnotherJob')}</PressButton>
      <Dialog
        open={open}
        onClose={() => setOpen(false)}
        wide
        title={t('press.startAnotherJob')}
        about={t('press.otherRunsContinue')}
      >
        <div className="grid gap-3">
          <ReadyList dark={false} />
        </div>
      </Dialog>
    </>
  );
}

'use client';

import { GlossaryButton } from '../shell/GlossaryButton';
import { STEP_STYLES, type StepStyle } from './stepStyles';
import type { JobStep } from '@/core/figures/jobSteps';
import { Check } from 'lucide-react';
import { Link } from '@/ui/Link';
import { memo } from 'react';
import { stepPlanOf } from '@/core/plan/plan';
import type { StepPlan } from '@/core/plan/stepPlan';
import { Say, useWords } from '@/ui/words';
import { Brand } from '../shell/Brand';
import { useJob } from './jobContext';

interface Props {
  readonly step: JobStep;
  readonly go: (t: JobStep) => void;
}

/** The traveller: eight steps, each with the line that sums it up. The open one joins the board. */
export const JobRail = memo(function JobRail({ step, go }: Props) {
  const t = useWords();
  const { plan } = useJob();
  return (
    <nav
      aria-label={t('job.stepsJob')}
      className="on-night flex shrink-0 items-center bg-night md:w-46 md:flex-col md:items-stretch md:overflow-y-auto xl:w-59"
    >
      <Brand />
      <ol className="grid min-w-0 flex-1 grid-cols-4 gap-[3px] md:flex md:min-h-0 md:flex-1 md:flex-col">
        {STEP_STYLES.map((style, i) => (
          <RailStep
            key={style.id}
            style={style}
            index={i}
            made={stepPlanOf(plan, style.id)}
            here={style.id === step}
            go={go}
          />
        ))}
      </ol>
      <ul className="hidden gap-x-4 px-4 py-1 font-label text-fine font-semibold text-pale md:flex">
        <li>
          <Link href="/" className="inline-flex min-h-9 items-center underline underline-offset-4">
            {t('common.jobs')}
          </Link>
        </li>
        <li>
          <Link href="/logbook" className="inline-flex min-h-9 items-center underline underline-offset-4">
            {t('common.logbook')}
          </Link>
        </li>
        <li>
          <Link href="/settings" className="inline-flex min-h-9 items-center underline underline-offset-4">
            {t('common.settings2')}
          </Link>
        </li>
        <li>
          <GlossaryButton className="inline-flex min-h-9 items-center underline underline-offset-4" />
        </li>
      </ul>
    </nav>
  );
});

interface StepProps {
  readonly style: StepStyle;
  readonly index: number;
  readonly made: StepPlan<JobStep>;
  readonly here: boolean;
  readonly go: (t: JobStep) => void;
}

const RailStep = memo(function RailStep({ style, index, made, here, go }: StepProps) {
  const t = useWords();
  const closed = `${style.closed} step md:w-[calc(138px+5px*var(--step))] xl:w-[calc(168px+7px*var(--step))]`;
  return (
    <li className="md:max-h-20 md:min-h-14 md:flex-1" style={{ ['--step' as string]: `${index}` }}>
      <button
        type="button"
        aria-current={here ? 'step' : undefined}
        onClick={() => go(style.id)}
        className={`flex h-full w-full items-center gap-2 px-2 py-2 text-left md:gap-3 md:px-0 md:py-0 md:pl-3 ${here ? 'bg-board text-ink' : closed}`}
      >
        {here && (
          <span aria-hidden className={`hidden h-full w-2 shrink-0 md:-ml-3 md:block ${style.swatch}`} />
        )}
        <span className="hidden w-2 font-label text-fine font-semibold md:inline">{index + 1}</span>
        <span className="min-w-0 flex-1">
          <span className="flex items-center gap-1 font-name text-lead leading-tight font-semibold md:text-name">
            {t(style.label)}
            {made.progress === 'done' && (
              <Check size={16} strokeWidth={3} aria-label={t('common.settled')} role="img" />
            )}
          </span>
          <span className="hidden truncate pr-4 font-label text-fine leading-tight font-medium md:block">
            <Say message={made.summary} />
          </span>
        </span>
      </button>
    </li>
  );
});

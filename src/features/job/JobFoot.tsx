'use client';

import { stepStyle } from './stepStyles';
import type { JobStep } from '@/core/figures/jobSteps';
import { memo } from 'react';
import { Popover } from 'radix-ui';
import { Link } from '@/ui/Link';
import { useRouter } from 'next/navigation';
import { worstFirst, type Finding } from '@/core/figures/figure';
import { allFindings, stepPlanOf } from '@/core/plan/plan';
import { isListed } from '@/core/preflight/check';
import { Button } from '@/ui/Button';
import { PopoverBox } from '@/ui/PopoverBox';
import { Say, useWords } from '@/ui/words';
import { SaveToLog } from '../inspect/SaveToLog';
import { useJob } from './jobContext';
import { LEVEL_BAR, LEVEL_WORDS } from '@/ui/levels';
import { pressBlocked } from '@/core/plan/press/newRun';

interface Props {
  readonly step: JobStep;
  readonly go: (t: JobStep) => void;
}

/** Findings, worst first, and the one next step. */
export const JobFoot = memo(function JobFoot({ step, go }: Props) {
  const t = useWords();
  const { job, plan } = useJob();
  // What the checks of the art list above, with a place to see or a touch to put it right, is not said twice.
  const above = new Set(step === 'art' ? plan.art.checks.filter(isListed).map((c) => `art.${c.id}`) : []);
  const here = worstFirst(stepPlanOf(plan, step).findings).filter((f) => !above.has(f.id));
  const elsewhere = allFindings(plan).filter((f) => f.step !== step && f.level !== 'info');
  const all = [...here, ...elsewhere];
  const [worst] = all;
  return (
    <section
      aria-label={t('job.findings')}
      className="flex min-h-15 flex-wrap items-center justify-end gap-x-3 gap-y-2 border-t-2 border-ink bg-sheet px-5 py-2 sm:flex-nowrap"
    >
      <div className="min-w-0 flex-1 basis-full sm:basis-0" aria-live="polite">
        {worst ? (
          <FindingLine finding={worst} here={step} />
        ) : (
          <p className="text-soft">{above.size > 0 ? t('job.otherIssues') : t('job.noIssues')}</p>
        )}
      </div>
      {all.length > 1 && (
        <Popover.Root>
          <Popover.Trigger asChild>
            <Button kind="quiet" className="shrink-0 px-2 text-fine">
              {t('job.more', { all: all.length - 1 })}
            </Button>
          </Popover.Trigger>
          <PopoverBox label={t('job.allFindings')} align="end" width="w-[28rem]">
            <ul className="grid gap-2">
              {all.map((f) => (
                <li key={f.id}>
                  <button
                    type="button"
                    onClick={() => go(f.step)}
                    className="w-full text-left hover:bg-board"
                  >
                    <FindingLine finding={f} here={step} />
                  </button>
                </li>
              ))}
            </ul>
          </PopoverBox>
        </Popover.Root>
      )}
      {step === 'inspect' && (
        <Link href={`/finish/${job.id}`} className="shrink-0 font-label font-semibold underline">
          {t('job.finishPack')}
        </Link>
      )}
      <NextStep step={step} go={go} />
    </section>
  );
});

function FindingLine({ finding, here }: { finding: Finding; here: JobStep }) {
  const t = useWords();
  return (
    <span className="flex items-stretch gap-2.5">
      <span aria-hidden className={`w-1.5 shrink-0 ${LEVEL_BAR[finding.level]}`} />
      <span className="leading-snug">
        <span className="sr-only">{t(LEVEL_WORDS[finding.level])}: </span>
        {finding.step !== here && (
          <span className="font-label font-semibold">{t(stepStyle(finding.step).label)}: </span>
        )}
        <Say message={finding.text} />
      </span>
    </span>
  );
}

function NextStep({ step, go }: Props) {
  const t = useWords();
  const { job, plan } = useJob();
  const router = useRouter();
  const { next } = stepStyle(step);
  if (step === 'inspect') return <SaveToLog />;
  if (step === 'press' && plan.press.left > 0) {
    const stopped = pressBlocked(plan);
    return (
      <Button
        kind="act"
        className="min-h-11 shrink-0 px-5 text-lead"
        disabled={stopped}
        onClick={() => router.push(`/press/${job.id}`)}
      >
        {plan.press.running ? t('job.backPress') : t('job.startPressing')}
      </Button>
    );
  }
  return (
    <Button kind="act" className="min-h-11 shrink-0 px-5 text-lead" onClick={() => next.to && go(next.to)}>
      {t(next.label)}
    </Button>
  );
}

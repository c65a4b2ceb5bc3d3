'use client';

import { terraceStyle } from './terraceStyles';
import type { Terrace } from '@/core/figures/terraces';
import { memo } from 'react';
import { Popover } from 'radix-ui';
import { Link } from '@/ui/Link';
import { useRouter } from 'next/navigation';
import { worstFirst, type Finding } from '@/core/figures/figure';
import { allFindings, terracePlanOf } from '@/core/plan/plan';
import { isListed } from '@/core/preflight/check';
import { Button } from '@/ui/Button';
import { PopoverBox } from '@/ui/PopoverBox';
import { Say } from '@/ui/units';
import { WriteInLog } from '../look/WriteInLog';
import { useJob } from './jobContext';
import { LEVEL_BAR, LEVEL_WORDS } from '@/ui/levels';
import { pressBlocked } from '@/core/plan/newRun';

interface Props {
  readonly terrace: Terrace;
  readonly go: (t: Terrace) => void;
}

/** Findings, worst first, and the one next step. */
export const JobFoot = memo(function JobFoot({ terrace, go }: Props) {
  const { job, plan } = useJob();
  // What the checks of the art list above, with a place to see or a touch to put it right, is not said twice.
  const above = new Set(terrace === 'art' ? plan.art.checks.filter(isListed).map((c) => `art.${c.id}`) : []);
  const here = worstFirst(terracePlanOf(plan, terrace).findings).filter((f) => !above.has(f.id));
  const elsewhere = allFindings(plan).filter((f) => f.terrace !== terrace && f.level !== 'info');
  const all = [...here, ...elsewhere];
  const [worst] = all;
  return (
    <section
      aria-label="Findings"
      className="flex min-h-15 flex-wrap items-center justify-end gap-x-3 gap-y-2 border-t-2 border-ink bg-sheet px-5 py-2 sm:flex-nowrap"
    >
      <div className="min-w-0 flex-1 basis-full sm:basis-0" aria-live="polite">
        {worst ? (
          <FindingLine finding={worst} here={terrace} />
        ) : (
          <p className="text-soft">{above.size > 0 ? 'No other issues.' : 'No issues.'}</p>
        )}
      </div>
      {all.length > 1 && (
        <Popover.Root>
          <Popover.Trigger asChild>
            <Button kind="quiet" className="shrink-0 px-2 text-fine">
              {all.length - 1} more
            </Button>
          </Popover.Trigger>
          <PopoverBox label="All findings" align="end" width="w-[28rem]">
            <ul className="grid gap-2">
              {all.map((f) => (
                <li key={f.id}>
                  <button
                    type="button"
                    onClick={() => go(f.terrace)}
                    className="w-full text-left hover:bg-board"
                  >
                    <FindingLine finding={f} here={terrace} />
                  </button>
                </li>
              ))}
            </ul>
          </PopoverBox>
        </Popover.Root>
      )}
      {terrace === 'look' && (
        <Link href={`/finish/${job.id}`} className="shrink-0 font-label font-semibold underline">
          Finish and pack
        </Link>
      )}
      <NextStep terrace={terrace} go={go} />
    </section>
  );
});

function FindingLine({ finding, here }: { finding: Finding; here: Terrace }) {
  return (
    <span className="flex items-stretch gap-2.5">
      <span aria-hidden className={`w-1.5 shrink-0 ${LEVEL_BAR[finding.level]}`} />
      <span className="leading-snug">
        <span className="sr-only">{LEVEL_WORDS[finding.level]}: </span>
        {finding.terrace !== here && (
          <span className="font-label font-semibold">{terraceStyle(finding.terrace).label}: </span>
        )}
        <Say phrase={finding.text} />
      </span>
    </span>
  );
}

function NextStep({ terrace, go }: Props) {
  const { job, plan } = useJob();
  const router = useRouter();
  const { next } = terraceStyle(terrace);
  if (terrace === 'look') return <WriteInLog />;
  if (terrace === 'press' && plan.press.left > 0) {
    const stopped = pressBlocked(plan);
    return (
      <Button
        kind="act"
        className="min-h-11 shrink-0 px-5 text-lead"
        disabled={stopped}
        onClick={() => router.push(`/press/${job.id}`)}
      >
        {plan.press.running ? 'Back to the press' : 'Start pressing'}
      </Button>
    );
  }
  return (
    <Button kind="act" className="min-h-11 shrink-0 px-5 text-lead" onClick={() => next.to && go(next.to)}>
      {next.label}
    </Button>
  );
}

'use client';

import { useWords } from '@/ui/words';
import type { JobStep } from '@/core/figures/jobSteps';
import { PanelRightClose, PanelRightOpen } from 'lucide-react';
import { memo, useCallback } from 'react';
import { figureById, stepPlanOf } from '@/core/plan/plan';
import { FigureLines } from '@/ui/FigureLines';
import { useRemembered } from '@/ui/remembered';
import { useJob } from './jobContext';

/** Every figure of the step, with its working; opening one shows the whole arithmetic. */
export const HowItAddsUp = memo(function HowItAddsUp({ step }: { step: JobStep }) {
  const t = useWords();
  const { plan } = useJob();
  const [open, setOpen] = useRemembered('figures', true);
  const { figures } = stepPlanOf(plan, step);
  const find = useCallback((id: string) => figureById(plan, id), [plan]);
  if (!open)
    return (
      <aside
        aria-label={t('common.details')}
        className="shrink-0 border-t-2 border-ink bg-sheet lg:w-11 lg:border-t-0 lg:border-l-2"
      >
        <button
          type="button"
          aria-expanded={false}
          onClick={() => setOpen(true)}
          className="flex min-h-11 w-full items-center justify-center gap-2 px-2 py-3 font-name text-lead font-semibold hover:bg-board lg:[writing-mode:vertical-rl]"
        >
          <PanelRightOpen size={18} aria-hidden /> {t('common.details')}
        </button>
      </aside>
    );
  return (
    <aside
      aria-label={t('common.details')}
      className="shrink-0 border-t-2 border-ink bg-sheet px-3 py-2 lg:w-56 lg:overflow-y-auto xl:w-64 2xl:w-74 lg:border-t-0 lg:border-l-2"
      tabIndex={0}
    >
      <div className="flex items-center justify-between">
        <h2 className="font-name text-lead font-semibold">{t('common.details')}</h2>
        <button
          type="button"
          aria-expanded={true}
          aria-label={t('job.hideDetails')}
          title={t('job.hideDetailsGiveDrawing')}
          onClick={() => setOpen(false)}
          className="grid size-9 place-items-center hover:bg-board"
        >
          <PanelRightClose size={18} aria-hidden />
        </button>
      </div>
      {figures.length === 0 && <p className="mt-2 text-soft">{t('job.figuresYetTheyAppear')}</p>}
      <FigureLines figures={figures} find={find} />
    </aside>
  );
});

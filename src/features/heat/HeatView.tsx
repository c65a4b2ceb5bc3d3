'use client';

import { say, type Message } from '@/core/message/message';
import { preparationWords } from '@/core/plan/press/operationWords';
import { isFlatPress, isChamber } from '@/core/shop/press';
import { Say, useWords } from '@/ui/words';
import { useJob } from '../job/jobContext';
import { NeedsBlank } from '../job/NeedsBlank';
import { BedDiagram } from './BedDiagram';
import { CoatingChart } from './CoatingChart';
import { FineType } from './FineType';
import { HeatFields } from './HeatFields';
import { HeatWindow } from './HeatWindow';
import { PressChoice } from './PressChoice';
import { RecipeButton } from './RecipeCard';
import { RingDiagram } from './RingDiagram';

/** What to set for this blank on this press, why, and how sure that is. */
export function HeatView() {
  const t = useWords();
  const { plan } = useJob();
  if (!plan.blank.blank) return <NeedsBlank />;
  return (
    <div className="absolute inset-0 flex flex-col overflow-y-auto">
      <div className="flex flex-wrap items-start gap-x-4 gap-y-2 px-5 pt-3 sm:flex-nowrap">
        <PressChoice />
        <span className="ml-auto flex items-center gap-3">
          <span role="status" className="font-label text-fine">
            {plan.heat.model?.updating ? t('heat.updating') : ''}
          </span>
          <RecipeButton />
        </span>
      </div>
      {plan.heat.chosen ? <Settings /> : <p className="p-8 text-lead">{t('heat.findingsBelowSayWhy')}</p>}
    </div>
  );
}

function Settings() {
  const t = useWords();
  const { plan } = useJob();
  return (
    <>
      <div className="grid shrink-0 grid-cols-1 px-1 sm:h-[clamp(16rem,45dvh-5rem,34rem)] sm:grid-cols-[3fr_2fr]">
        <div className="relative h-72 sm:h-auto">
          <HeatWindow />
        </div>
        <div className="h-80 min-h-0 sm:h-auto">
          <Drawing />
        </div>
      </div>
      <div className="relative h-32 shrink-0">
        <CoatingChart />
      </div>
      <HeatFields />
      <FineType />
      <WhatIfs />
      <section aria-label={t('heat.beforePressing')} className="px-5 pt-2 pb-3">
        <h2 className="font-name text-lead font-semibold">{t('heat.beforePressingOrder')}</h2>
        <ol className="columns-1 gap-6 md:columns-2">
          {preparationWords(plan).map((step, i) => (
            <li key={i} className="flex break-inside-avoid gap-2 py-0.5 leading-snug">
              <span className="w-5 shrink-0 text-right font-label font-semibold">{i + 1}</span>
              <span>
                <Say message={step} />
              </span>
            </li>
          ))}
        </ol>
      </section>
    </>
  );
}

/** The load as it lies, or the wall seen down the barrel. */
function Drawing() {
  const { plan } = useJob();
  const { press } = plan.heat;
  if (!press) return null;
  if (isFlatPress(press) || isChamber(press)) return <BedDiagram press={press} />;
  return <RingDiagram />;
}

/** One change at a time, and what it does to the time. */
function WhatIfs() {
  const t = useWords();
  const { plan } = useJob();
  const list = plan.heat.model?.whatIfs ?? [];
  if (list.length === 0) return null;
  return (
    <section aria-label={t('common.whatIf')} className="px-5 pt-2">
      <h2 className="font-name text-lead font-semibold">{t('heat.alternativesSameDose')}</h2>
      <ul className="flex flex-wrap gap-x-6 gap-y-1 font-label">
        {list.map((w) => (
          <li key={w.id}>
            <Say message={w.text} />: <strong>{t(byWords(w.byS))}</strong>
          </li>
        ))}
      </ul>
    </section>
  );
}

const byWords = (s: number): Message => {
  const n = Math.round(s);
  return n === 0 ? say('heat.noChange') : say('heat.n2', { which: n > 0 ? 'n' : 'other', n: Math.abs(n) });
};

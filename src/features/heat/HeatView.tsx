'use client';

import { preparationWords } from '@/core/plan/operationWords';
import { isFlatPress, isOven } from '@/core/shop/press';
import { Segments } from '@/ui/Segments';
import { Say } from '@/ui/units';
import { useJob } from '../job/jobContext';
import { NeedsBlank } from '../job/NeedsBlank';
import { BedDiagram } from './BedDiagram';
import { CoatingChart } from './CoatingChart';
import { HeatFields } from './HeatFields';
import { HeatWindow } from './HeatWindow';
import { RecipeButton } from './RecipeCard';
import { RingDiagram } from './RingDiagram';

/** What to set for this blank on this press, why, and how sure that is. */
export function HeatView() {
  const { plan, job, shop, edit } = useJob();
  if (!plan.blank.blank) return <NeedsBlank />;
  return (
    <div className="absolute inset-0 flex flex-col overflow-y-auto">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2 px-5 pt-3">
        <Segments
          label="Press"
          value={job.pressId}
          onChange={(pressId) => edit((j) => ({ ...j, pressId, heat: {}, load: {} }))}
          options={shop.presses.map((p) => ({ value: p.id, label: p.name }))}
        />
        {shop.presses.length === 0 && <p>There is no press yet. Add one under Presses.</p>}
        <span className="ml-auto flex items-center gap-3">
          <span role="status" className="font-label text-fine">
            {plan.heat.model?.updating ? 'Updating…' : ''}
          </span>
          <RecipeButton />
        </span>
      </div>
      {plan.heat.chosen ? (
        <Settings />
      ) : (
        <p className="p-8 text-lead">
          {job.pressId
            ? 'The findings below say why.'
            : 'Choose the press for this job. Its usual or proven settings are filled in.'}
        </p>
      )}
    </div>
  );
}

function Settings() {
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
      <WhatIfs />
      <section aria-label="Before pressing" className="px-5 pt-2 pb-3">
        <h2 className="font-name text-lead font-semibold">Before pressing, in order</h2>
        <ol className="columns-1 gap-6 md:columns-2">
          {preparationWords(plan).map((step, i) => (
            <li key={i} className="flex break-inside-avoid gap-2 py-0.5 leading-snug">
              <span className="w-5 shrink-0 text-right font-label font-semibold">{i + 1}</span>
              <span>
                <Say phrase={step} />
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
  if (isFlatPress(press) || isOven(press)) return <BedDiagram press={press} />;
  return <RingDiagram />;
}

/** One change at a time, and what it does to the time. */
function WhatIfs() {
  const { plan } = useJob();
  const list = plan.heat.model?.whatIfs ?? [];
  if (list.length === 0) return null;
  return (
    <section aria-label="What if" className="px-5 pt-2">
      <h2 className="font-name text-lead font-semibold">Alternatives with the same dose</h2>
      <ul className="flex flex-wrap gap-x-6 gap-y-1 font-label">
        {list.map((w) => (
          <li key={w.id}>
            <Say phrase={w.text} />: <strong>{byWords(w.byS)}</strong>
          </li>
        ))}
      </ul>
    </section>
  );
}

const byWords = (s: number): string => {
  const n = Math.round(s);
  return n === 0 ? 'no change' : `${n > 0 ? '+' : '−'}${Math.abs(n)} s`;
};

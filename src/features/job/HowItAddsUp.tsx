'use client';

import type { Terrace } from '@/core/figures/terraces';
import { ChevronDown, PanelRightClose, PanelRightOpen } from 'lucide-react';
import { Collapsible } from 'radix-ui';
import { memo } from 'react';
import type { Figure } from '@/core/figures/figure';
import { figureById, terracePlanOf } from '@/core/plan/plan';
import { FigureValue, useUncertainty } from '@/ui/FigureValue';
import { quantityText } from '@/core/units/format';
import { fineMm } from '@/core/units/quantity';
import { Say, useUnits } from '@/ui/units';
import { useRemembered } from '@/ui/remembered';
import { useJob } from './jobContext';

/** Every figure of the terrace, with its working; opening one shows the whole arithmetic. */
export const HowItAddsUp = memo(function HowItAddsUp({ terrace }: { terrace: Terrace }) {
  const { plan } = useJob();
  const [open, setOpen] = useRemembered('figures', true);
  const { figures } = terracePlanOf(plan, terrace);
  if (!open)
    return (
      <aside
        aria-label="How it adds up"
        className="shrink-0 border-t-2 border-ink bg-sheet lg:w-11 lg:border-t-0 lg:border-l-2"
      >
        <button
          type="button"
          aria-expanded={false}
          onClick={() => setOpen(true)}
          className="flex min-h-11 w-full items-center justify-center gap-2 px-2 py-3 font-name text-lead font-semibold hover:bg-board lg:[writing-mode:vertical-rl]"
        >
          <PanelRightOpen size={18} aria-hidden /> How it adds up
        </button>
      </aside>
    );
  return (
    <aside
      aria-label="How it adds up"
      className="shrink-0 border-t-2 border-ink bg-sheet px-3 py-2 lg:w-56 lg:overflow-y-auto xl:w-64 2xl:w-74 lg:border-t-0 lg:border-l-2"
      tabIndex={0}
    >
      <div className="flex items-center justify-between">
        <h2 className="font-name text-lead font-semibold">How it adds up</h2>
        <button
          type="button"
          aria-expanded={true}
          aria-label="Hide how it adds up"
          title="Hide: more room for the drawing"
          onClick={() => setOpen(false)}
          className="grid size-9 place-items-center hover:bg-board"
        >
          <PanelRightClose size={18} aria-hidden />
        </button>
      </div>
      {figures.length === 0 && (
        <p className="mt-2 text-soft">
          Nothing to calculate yet. Figures stand here as soon as there is something to make them from.
        </p>
      )}
      <ul>
        {figures.map((f) => (
          <li key={f.id} className="border-b border-rule">
            <FigureLine figure={f} />
          </li>
        ))}
      </ul>
    </aside>
  );
});

const FigureLine = memo(function FigureLine({ figure }: { figure: Figure }) {
  const uncertainty = useUncertainty(figure);
  const more =
    figure.arithmetic.length > 0 ||
    figure.inputs.length > 0 ||
    uncertainty !== null ||
    (figure.improve?.length ?? 0) > 0;
  const head = (
    <>
      <span className="flex flex-wrap items-baseline justify-between gap-x-2">
        <span className="leading-tight">{figure.label}</span>
        <FigureValue figure={figure} />
      </span>
      <span className="flex justify-between gap-1 font-label text-fine leading-snug font-medium text-soft">
        <span>
          <Say phrase={figure.working} />
        </span>
        {more && (
          <ChevronDown size={14} aria-hidden className="mt-0.5 shrink-0 group-data-[state=open]:rotate-180" />
        )}
      </span>
    </>
  );
  if (!more) return <div className="py-2">{head}</div>;
  return (
    <Collapsible.Root>
      <Collapsible.Trigger className="group block w-full py-2 text-left hover:bg-board">
        {head}
      </Collapsible.Trigger>
      <Collapsible.Content className="mb-2 border-l-4 border-strata-5 pl-2 font-label text-fine leading-snug">
        <Detail figure={figure} uncertainty={uncertainty} />
      </Collapsible.Content>
    </Collapsible.Root>
  );
});

/** What following the advice would buy, in the figure’s own unit. */
function Bought({ figure, by }: { figure: Figure; by: number }) {
  const units = useUnits();
  const q = figure.quantity;
  // A chance is not narrowed in its own unit: what is bought there is length.
  const shown = q.kind === 'length' ? { ...q, value: by, fine: true } : fineMm(by);
  return by > 0.005 ? <>It would narrow it by {quantityText(shown, units)}.</> : null;
}

function Detail({ figure, uncertainty }: { figure: Figure; uncertainty: string | null }) {
  const { plan } = useJob();
  const inputs = figure.inputs.flatMap((id) => figureById(plan, id) ?? []);
  return (
    <div className="grid gap-1.5">
      {figure.arithmetic.map((line, i) => (
        <p key={i}>
          <Say phrase={line} />
        </p>
      ))}
      {inputs.length > 0 && (
        <ul>
          {inputs.map((f) => (
            <li key={f.id} className="flex justify-between gap-2">
              <span>from {f.label.toLowerCase()}</span>
              <FigureValue figure={f} size="text-fine" />
            </li>
          ))}
        </ul>
      )}
      {uncertainty && <p>{uncertainty}</p>}
      {figure.improve && figure.improve.length > 0 && (
        <>
          <p className="font-semibold">To know it better</p>
          <ul className="grid gap-1">
            {figure.improve.map((i) => (
              <li key={i.label}>
                {Math.round(i.share * 100)}% of the uncertainty is {i.label}. {i.advice}{' '}
                <Bought figure={figure} by={i.buys} />
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

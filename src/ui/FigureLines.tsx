'use client';

import { meaningOf } from '@/core/glossary/glossary';
import { inSentence, type Message } from '@/core/message/message';
import { ChevronDown } from 'lucide-react';
import { Collapsible } from 'radix-ui';
import { memo } from 'react';
import type { Figure } from '@/core/figures/figure';
import { hasError, improvementsOf } from '@/core/plan/wrap/improvements';

import { fineMm } from '@/core/message/quantity';
import { FigureValue, useUncertainty } from './FigureValue';
import { Say, useWords } from './words';

interface Props {
  readonly figures: readonly Figure[];
  /** Finds the figures one is made from. */
  readonly find: (id: string) => Figure | undefined;
}

/** Figures with their working, a line each; opening one shows the whole arithmetic. */
export const FigureLines = ({ figures, find }: Props) => (
  <ul>
    {figures.map((f) => (
      <li key={f.id} className="border-b border-rule">
        <FigureLine figure={f} find={find} />
      </li>
    ))}
  </ul>
);

const FigureLine = memo(function FigureLine({ figure, find }: { figure: Figure; find: Props['find'] }) {
  const t = useWords();
  const uncertainty = useUncertainty(figure);
  const meaning = meaningOf(figure.label);
  const more =
    meaning !== undefined ||
    figure.arithmetic.length > 0 ||
    figure.inputs.length > 0 ||
    uncertainty !== null ||
    hasError(figure);
  const head = (
    <>
      <span className="flex flex-wrap items-baseline justify-between gap-x-2">
        <span className="leading-tight">{t(figure.label)}</span>
        <FigureValue figure={figure} />
      </span>
      <span className="flex justify-between gap-1 font-label text-fine leading-snug font-medium text-soft">
        <span>
          <Say message={figure.working} />
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
        <Detail figure={figure} meaning={meaning} uncertainty={uncertainty} find={find} />
      </Collapsible.Content>
    </Collapsible.Root>
  );
});

/** What following the advice would buy, in the figure’s own unit. */
function Bought({ figure, by }: { figure: Figure; by: number }) {
  const t = useWords();
  const q = figure.quantity;
  // A chance is not narrowed in its own unit: what is bought there is length.
  const shown = q.kind === 'length' ? { ...q, value: by, fine: true } : fineMm(by);
  return by > 0.005 ? <>{t('common.wouldNarrow', { quantityText: shown })}</> : null;
}

interface DetailProps {
  readonly figure: Figure;
  readonly meaning: Message | undefined;
  readonly uncertainty: string | null;
  readonly find: Props['find'];
}

function Detail({ figure, meaning, uncertainty, find }: DetailProps) {
  const t = useWords();
  const inputs = figure.inputs.flatMap((id) => find(id) ?? []);
  const improve = improvementsOf(figure);
  return (
    <div className="grid gap-1.5">
      {meaning && (
        <p>
          <Say message={meaning} />
        </p>
      )}
      {figure.arithmetic.map((line, i) => (
        <p key={i}>
          <Say message={line} />
        </p>
      ))}
      {inputs.length > 0 && (
        <ul>
          {inputs.map((f) => (
            <li key={f.id} className="flex justify-between gap-2">
              <span>{t('common.from', { f: inSentence(f.label) })}</span>
              <FigureValue figure={f} size="text-fine" />
            </li>
          ))}
        </ul>
      )}
      {uncertainty && <p>{uncertainty}</p>}
      {improve.length > 0 && (
        <>
          <p className="font-semibold">{t('common.knowBetter')}</p>
          <ul className="grid gap-1">
            {improve.map((i) => (
              <li key={i.label.id}>
                {t('common.ofTheUncertaintyIs', {
                  share: Math.round(i.share * 100),
                  i: inSentence(i.label),
                  advice: i.advice,
                })}{' '}
                <Bought figure={figure} by={i.buys} />
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

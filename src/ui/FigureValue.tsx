'use client';

import { say, type Message, type Quantity } from '@/core/message/message';
import { useWords } from './words';
import type { Figure } from '@/core/figures/figure';

const STYLE: Readonly<Record<Figure['origin'], string>> = {
  measured: 'text-measured underline decoration-2 underline-offset-4',
  calculated: 'text-ink',
  estimated: 'italic text-ink',
  proven: 'text-ink',
};

const WORDS: Readonly<Record<Figure['origin'], Message>> = {
  measured: say('common.measuredHand'),
  calculated: say('common.calculated'),
  estimated: say('common.estimated'),
  proven: say('common.provenHere2'),
};

/** A figure with its unit, drawn so that where it came from shows. */
export function FigureValue({ figure, size = 'text-name' }: { figure: Figure; size?: string }) {
  const t = useWords();
  const f = t.parts(figure.quantity);
  const tight = f.unit === '°' || f.unit === '%';
  return (
    <span className="inline-flex items-baseline gap-1.5 whitespace-nowrap" title={f.exact}>
      {figure.origin === 'proven' && figure.provenBy !== undefined && (
        <span className="stamp bg-strata-3 px-2.5 py-0.5 font-label text-fine font-semibold text-white">
          {t('common.good', { provenBy: figure.provenBy })}
        </span>
      )}
      <span className={`font-label font-semibold ${size} ${STYLE[figure.origin]}`}>
        {figure.origin === 'estimated' && <span aria-hidden>≈ </span>}
        {f.number}
        {f.unit !== '' && (
          <span className="text-fine font-medium not-italic">
            {tight ? '' : ' '}
            {f.unit}
          </span>
        )}
      </span>
      <span className="sr-only">, {t(WORDS[figure.origin])}</span>
    </span>
  );
}

const asBase = (q: Quantity, value: number): Quantity =>
  q.kind === 'word' ? q : q.kind === 'length' ? { ...q, value, fine: true } : { ...q, value };

/** ± at 95 %, or the range of an estimate, in words. */
export function useUncertainty(figure: Figure): string | null {
  const t = useWords();
  if (figure.spread) {
    const [lo, hi] = figure.spread;
    return t('common.betweenAnd', {
      quantityText: t.quantity(asBase(figure.quantity, lo)),
      quantityText2: t.quantity(asBase(figure.quantity, hi)),
    });
  }
  if (figure.within95 === undefined || figure.within95 === 0) return null;
  return t('common.n19Times20', { quantityText: t.quantity(asBase(figure.quantity, figure.within95)) });
}

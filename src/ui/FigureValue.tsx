'use client';

import type { Figure } from '@/core/figures/figure';
import { formatQuantity, quantityText } from '@/core/units/format';
import type { Quantity } from '@/core/units/quantity';
import { useUnits } from './units';

const STYLE: Readonly<Record<Figure['origin'], string>> = {
  measured: 'text-measured underline decoration-2 underline-offset-4',
  calculated: 'text-ink',
  estimated: 'italic text-ink',
  proven: 'text-ink',
};

const WORDS: Readonly<Record<Figure['origin'], string>> = {
  measured: 'measured by hand',
  calculated: 'calculated',
  estimated: 'estimated',
  proven: 'proven here',
};

/** A figure with its unit, drawn so that where it came from shows. */
export function FigureValue({ figure, size = 'text-name' }: { figure: Figure; size?: string }) {
  const units = useUnits();
  const f = formatQuantity(figure.quantity, units);
  const tight = f.unit === '°' || f.unit === '%';
  return (
    <span className="inline-flex items-baseline gap-1.5 whitespace-nowrap" title={f.exact}>
      {figure.origin === 'proven' && figure.provenBy !== undefined && (
        <span className="stamp bg-strata-3 px-2.5 py-0.5 font-label text-fine font-semibold text-white">
          {figure.provenBy} good
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
      <span className="sr-only">, {WORDS[figure.origin]}</span>
    </span>
  );
}

const asBase = (q: Quantity, value: number): Quantity =>
  q.kind === 'word' ? q : q.kind === 'length' ? { ...q, value, fine: true } : { ...q, value };

/** ± at 95 %, or the range of an estimate, in words. */
export function useUncertainty(figure: Figure): string | null {
  const units = useUnits();
  if (figure.spread) {
    const [lo, hi] = figure.spread;
    return `between ${quantityText(asBase(figure.quantity, lo), units)} and ${quantityText(asBase(figure.quantity, hi), units)}`;
  }
  if (figure.within95 === undefined || figure.within95 === 0) return null;
  return `± ${quantityText(asBase(figure.quantity, figure.within95), units)}, 19 times in 20`;
}

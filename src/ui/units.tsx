'use client';

import { createContext, useContext, type ReactNode } from 'react';
import { formatQuantity, phraseText, quantityText, type UnitChoice } from '@/core/units/format';
import type { Phrase } from '@/core/units/phrase';
import type { Quantity } from '@/core/units/quantity';

const UnitsContext = createContext<UnitChoice>({ length: 'mm', temperature: 'C', inchDenominator: 16 });

export const UnitsProvider = ({ units, children }: { units: UnitChoice; children: ReactNode }) => (
  <UnitsContext value={units}>{children}</UnitsContext>
);

export const useUnits = (): UnitChoice => useContext(UnitsContext);

/** A quantity in running text; the finer value shows on hover. */
export function Q({ of }: { of: Quantity }) {
  const units = useUnits();
  return <span title={formatQuantity(of, units).exact}>{quantityText(of, units)}</span>;
}

/** A phrase in the shop's units. */
export function Say({ phrase }: { phrase: Phrase }) {
  return <>{phraseText(phrase, useUnits())}</>;
}

export function useSay(): (phrase: Phrase) => string {
  const units = useUnits();
  return (phrase) => phraseText(phrase, units);
}

'use client';

import { createContext, useContext, type ReactNode } from 'react';
import { METRIC, type UnitChoice } from '@/core/units/format';

const UnitsContext = createContext<UnitChoice>(METRIC);

export const UnitsProvider = ({ units, children }: { units: UnitChoice; children: ReactNode }) => (
  <UnitsContext value={units}>{children}</UnitsContext>
);

export const useUnits = (): UnitChoice => useContext(UnitsContext);

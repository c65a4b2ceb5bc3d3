import type { ReactNode } from 'react';
import { TERRACE_LIST, type Terrace } from '@/core/figures/terraces';
import { ArtView } from '../art/ArtView';
import { BlankView } from '../blank/BlankView';
import { HeatView } from '../heat/HeatView';
import { LookView } from '../look/LookView';
import { MeasureView } from '../measure/MeasureView';
import { PressView } from '../press/PressView';
import { SheetView } from '../sheet/SheetView';
import { WrapView } from '../wrap/WrapView';

/** The board of every terrace. */
export const TERRACE_VIEWS: Readonly<Record<Terrace, () => ReactNode>> = {
  blank: BlankView,
  measure: MeasureView,
  wrap: WrapView,
  art: ArtView,
  sheet: SheetView,
  heat: HeatView,
  press: PressView,
  look: LookView,
};

/** The number keys, one a terrace. */
export const TERRACE_KEYS = TERRACE_LIST.map((_, i) => String(i + 1)).join(',');

import type { ReactNode } from 'react';
import { JOB_STEP_LIST, type JobStep } from '@/core/figures/jobSteps';
import { ArtView } from '../art/ArtView';
import { BlankView } from '../blank/BlankView';
import { HeatView } from '../heat/HeatView';
import { InspectView } from '../inspect/InspectView';
import { MeasureView } from '../measure/MeasureView';
import { PressView } from '../press/PressView';
import { SheetView } from '../sheet/SheetView';
import { WrapView } from '../wrap/WrapView';

/** The board of every step. */
export const STEP_VIEWS: Readonly<Record<JobStep, () => ReactNode>> = {
  blank: BlankView,
  measure: MeasureView,
  wrap: WrapView,
  art: ArtView,
  sheet: SheetView,
  heat: HeatView,
  press: PressView,
  inspect: InspectView,
};

/** The number keys, one a step. */
export const STEP_KEYS = JOB_STEP_LIST.map((_, i) => String(i + 1)).join(',');

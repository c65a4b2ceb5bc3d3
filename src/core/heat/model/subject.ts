import type { HeatSettings } from '../../shop/heatSettings';
import type { HeatCase } from './case';
import type { CoatingDose } from './coatings';
import type { Spreads } from './sensitivity';
import type { TimedClosing } from '../press/timing';

/** What the shop saw of a setting on this coating and press. */
export interface SeenOutcome {
  readonly id: string;
  readonly load: HeatCase;
  readonly settings: HeatSettings;
  readonly verdict: 'under' | 'good' | 'over';
  readonly pieces: number;
}

/** One load on one press, with all that is known of both. Plain JSON. */
export interface HeatSubject {
  readonly load: HeatCase;
  readonly spreads: Spreads;
  readonly coating: CoatingDose;
  readonly timings: readonly TimedClosing[];
  readonly seen: readonly SeenOutcome[];
}

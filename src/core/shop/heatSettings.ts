import '../basics/zodSetup';
import * as z from 'zod/mini';
import { TIMER_STARTS } from './press';

export const PRESSURES = [
  'light',
  'light-medium',
  'medium',
  'medium-firm',
  'firm',
  'sleeve',
  'film',
  'tape',
  'membrane',
] as const;
export const PEELS = ['hot', 'warm', 'cold', 'quench'] as const;
export type Peel = (typeof PEELS)[number];
export type Pressure = (typeof PRESSURES)[number];

/** Every setting of the press, and what the hands do between passes. Temperatures °C, times s. */
export const heatSettingsSchema = z.strictObject({
  platenC: z.number().check(z.gte(100), z.lte(260)),
  dwellS: z.number().check(z.gte(1), z.lte(7200)),
  /** Every pass after the first, where it is shorter: the wall is still hot. Null for the same time. */
  laterDwellS: z.nullable(z.number().check(z.gte(1), z.lte(7200))),
  passes: z.int().check(z.gte(1), z.lte(6)),
  timerStart: z.enum(TIMER_STARTS),
  pressure: z.enum(PRESSURES),
  peel: z.enum(PEELS),
  /** Let the press fall to this before closing again; null to close at once. */
  coolDownC: z.nullable(z.number().check(z.gte(20), z.lte(250))),
});
export type HeatSettings = z.infer<typeof heatSettingsSchema>;

/** The time of the second and every later pass, s; of one pass only, its own. */
const laterDwellOf = (s: Pick<HeatSettings, 'dwellS' | 'laterDwellS' | 'passes'>): number =>
  s.passes > 1 ? (s.laterDwellS ?? s.dwellS) : s.dwellS;

/** Settings as one text: the same for settings that do the same to a piece. Counts of good pieces are stored by it. */
export const settingsKey = (s: HeatSettings): string =>
  [s.platenC, s.dwellS, laterDwellOf(s), s.passes, s.timerStart, s.pressure, s.peel, s.coolDownC].join('|');

export const sameSettings = (a: HeatSettings, b: HeatSettings): boolean => settingsKey(a) === settingsKey(b);

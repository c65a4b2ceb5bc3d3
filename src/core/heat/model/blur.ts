import type { HeatSettings, Pressure } from '../../shop/heatSettings';

/** How far dye gas creeps sideways in a minute where the paper does not quite touch, mm: an estimate from the gaps each hold leaves. */
const CREEP_MM: Readonly<Record<Pressure, number>> = {
  light: 0.14,
  'light-medium': 0.11,
  medium: 0.08,
  'medium-firm': 0.06,
  firm: 0.05,
  sleeve: 0.08,
  film: 0.07,
  tape: 0.14,
  membrane: 0.06,
};
/** A printed dot and its spread in the paper, mm. */
const DOT_MM = 0.07;

/** Narrowest line that keeps its shape at these settings, mm. Creep grows with the root of time, as diffusion does (Crank 1975). */
export const blurMm = (h: Pick<HeatSettings, 'dwellS' | 'passes' | 'pressure'>): number =>
  DOT_MM + CREEP_MM[h.pressure] * Math.sqrt((h.dwellS * h.passes) / 60);

import type { Figure } from '../../figures/figure';
import { improvements, type Improvement } from '../../figures/improve';
import { reach95, within95 } from '../../figures/interval';
import { bothMargins95 } from '../../wrap/error';
import { placingImprovements } from '../../wrap/face';

const MEASURES = { within: within95, reach: reach95, 'both margins': bothMargins95 } as const;

/** What to improve first to know a figure better, largest share first; solved once for each source, so only for a figure that is shown. */
export function improvementsOf({ error }: Pick<Figure, 'error'>): readonly Improvement[] {
  if (!error) return [];
  return error.asks === 'edges'
    ? placingImprovements(error)
    : improvements({ value: 0, parts: error.parts }, MEASURES[error.asks]);
}

/** Whether there is anything to improve. */
export const hasError = ({ error }: Pick<Figure, 'error'>): boolean =>
  error !== undefined && (error.asks === 'edges' || Object.values(error.parts).some((u) => u !== 0));

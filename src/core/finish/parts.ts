import type { Finish } from '../job/finish';
import { isFlat, type Blank } from '../shop/blank';
import { hangerPlan } from './hanger';
import { finishSteps } from './steps';

/** A part and how many of it one piece uses up. */
export interface PartNeeded {
  readonly part: string;
  readonly count: number;
}

/** Parts one piece uses up: one of each, and as many hangers as it hangs from. */
export function partsOf(blank: Blank, wish: Finish['hanger']): readonly PartNeeded[] {
  const hangers = (): number => {
    const plan = isFlat(blank) ? hangerPlan(blank, wish) : null;
    return plan?.ok ? plan.value.points.length : (wish.count ?? 1);
  };
  const steps = finishSteps(blank);
  return [...new Set(steps.flatMap((s) => (s.part === null ? [] : [s.part])))].map((part) => ({
    part,
    count: steps.some((s) => s.part === part && s.kind === 'hanger') ? hangers() : 1,
  }));
}

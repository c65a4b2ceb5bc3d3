import { useMemo } from 'react';
import type { DayPlan } from '@/core/day/dayPlan';
import { useCosts } from '../pricing/useCosts';
import { useShop } from '../shell/shopContext';

export interface Earned {
  readonly cents: number;
  readonly hourCents: number;
  readonly currency: string;
  /** Jobs whose cost is known, of how many. */
  readonly known: number;
  readonly jobs: number;
}

/** What the jobs of a day leave above their cost, and what an hour of hands in them brings; null while none of it is known. */
export function useEarned(day: DayPlan): Earned | null {
  const costs = useCosts();
  const { shop } = useShop();
  return useMemo(() => {
    if (!costs) return null;
    const of = day.jobs.flatMap((j) => {
      const found = costs.find((c) => c.job.id === j.id)?.cost;
      return found?.ok ? [found.value] : [];
    });
    if (of.length === 0) return null;
    const hours = of.reduce((s, c) => s + c.price.cost.handsS, 0) / 3600;
    const cents = of.reduce((s, c) => s + c.price.earnedCents, 0);
    const pay = of.reduce((s, c) => s + c.price.cost.paidCents, 0);
    return {
      cents,
      hourCents: hours > 0 ? Math.round((cents + pay) / hours) : 0,
      currency: shop.settings.currency,
      known: of.length,
      jobs: day.jobs.length,
    };
  }, [costs, day, shop.settings.currency]);
}

import { useWords } from '@/ui/words';
import type { Lane } from '@/core/run/board';
import { cycleOf } from '@/core/run/run';

const LEAST_PX = 8;
const LONGEST_PX = 350;

/** The steps of a load as bars as long as they take: done, in hand, to come. */
export function StepBar({ lane, flood }: { lane: Lane; flood: boolean }) {
  const t = useWords();
  const cycle = cycleOf(lane.run);
  const total = cycle.reduce((s, o) => s + o.plannedS, 0);
  const at = lane.state.stepIndex;
  const colour = (i: number): string =>
    i < at
      ? flood
        ? 'bg-pale'
        : 'bg-strata-4'
      : i === at
        ? flood
          ? 'bg-white'
          : 'bg-strata-6'
        : flood
          ? 'bg-strata-8'
          : 'bg-strata-2';
  return (
    <div
      className="flex h-3 max-w-full gap-1"
      role="img"
      aria-label={t('press.stepOf', { at: at + 1, cycle: cycle.length })}
    >
      {cycle.map((o, i) => (
        <span
          key={o.id}
          className={`h-full ${colour(i)} ${i === at ? 'outline-2 outline-offset-1 outline-pale' : ''}`}
          style={{ flex: `0 1 ${Math.max(LEAST_PX, (LONGEST_PX * o.plannedS) / total)}px` }}
        />
      ))}
    </div>
  );
}

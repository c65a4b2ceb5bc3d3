import { useMemo } from 'react';
import { useWords, type Words } from '@/ui/words';
import type { DayPlan } from '@/core/day/dayPlan';
import { blocksOf, type Block, type Task } from '@/core/day/tasks';
import { BarShape, fits } from './Bars';
import type { Range } from './chart';
import { groundOf, shortName } from './dayWords';
import { taskText, taskWord } from './taskWords';

interface Props {
  readonly day: DayPlan;
  readonly tasks: readonly Task[];
  readonly x: (s: number) => number;
  readonly y: number;
  readonly height: number;
  readonly range: Range;
  readonly chosen: number | null;
  readonly onChoose: (work: number | null) => void;
}

/** What a block holds, in as many words as fit: tasks with their pieces and job, named anew where the kind of work changes; else the first kind alone. */
function words(day: DayPlan, { tasks }: Block, px: number, t: Words): string | null {
  const counted = tasks.filter((k) => k.pieces > 0);
  const parts = counted.map((k, i) => {
    const what = `${k.pieces} ${shortName(k.work === null ? '' : (day.jobs[k.work]?.name ?? ''))}`;
    return counted[i - 1]?.kind === k.kind ? what : `${t(taskWord(k.kind))} ${what}`;
  });
  const tries = parts.map((_, i) => parts.slice(0, parts.length - i).join(', '));
  return [...tries, t(taskWord(tasks[0]?.kind ?? 'prepare'))].find((text) => fits(text, px)) ?? null;
}

/** What a person does, as blocks: away from the presses above, at them below, since both go on at once. */
export function TaskBars({ day, tasks, x, y, height, range, chosen, onChoose }: Props) {
  const t = useWords();
  const tierPx = (height - 12) / 2;
  const blocks = useMemo(() => blocksOf(tasks), [tasks]);
  return (
    <g>
      {blocks
        .filter((b) => b.toS > range.fromS && b.fromS < range.toS)
        .map((b) => {
          const left = x(Math.max(b.fromS, range.fromS));
          const px = Math.max(1.5, x(Math.min(b.toS, range.toS)) - left);
          const top = y + 4 + (b.atPress ? tierPx : 0);
          const work = b.tasks[0]?.work ?? null;
          const text = words(day, b, px, t);
          return (
            <g
              key={`${b.atPress} ${b.fromS}`}
              opacity={chosen !== null && b.tasks.every((k) => k.work !== chosen) ? 0.25 : 1}
              onClick={() => onChoose(work)}
              className="cursor-pointer"
            >
              <title>{b.tasks.map((k) => t(taskText(day, k))).join('\n')}</title>
              <BarShape
                box={{ x: left, y: top, width: px, height: tierPx - 1 }}
                ground={groundOf(work)}
                text={text}
              />
            </g>
          );
        })}
    </g>
  );
}

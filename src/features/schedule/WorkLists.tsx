'use client';

import { date } from '@/core/message/quantity';
import { ok } from '@/core/basics/result';
import type { DayPlan } from '@/core/day/dayPlan';
import type { Task } from '@/core/day/tasks';
import { workListPages } from '@/core/day/workList';
import { Button } from '@/ui/Button';
import { Link } from '@/ui/Link';
import { useWords } from '@/ui/words';
import { saveDrawn } from '../shell/saveDrawn';
import type { Range } from './chart';
import { groundOf, msOf, personLabel } from './dayWords';
import { taskText, taskTime } from './taskWords';

interface Props {
  readonly day: DayPlan;
  readonly people: readonly string[];
  readonly range: Range;
  readonly nowS: number;
}

/** What each person does next, as a list for the phone or on paper. */
export function WorkLists({ day, people, range, nowS }: Props) {
  const t = useWords();
  const lists = day.tasks.map((tasks, i) => ({
    name: t(personLabel(people, i)),
    tasks: tasks.filter((k) => k.toS > Math.max(nowS, range.fromS) && k.fromS < range.toS),
  }));
  const print = () => {
    const pages = workListPages(
      lists.map(({ name, tasks }) => ({
        title: `${name}, ${t.quantity(date(msOf(day, range.fromS), 'weekdayAndDay'))}`,
        lines: tasks.map((k) => ({ time: t(taskTime(day, k)), text: t(taskText(day, k)) })),
      })),
    );
    void saveDrawn('work-lists.pdf', t('schedule.workLists'), ok(pages));
  };
  return (
    <div
      tabIndex={0}
      role="region"
      aria-label={t('schedule.workLists')}
      className="bg-sheet p-4 lg:h-full lg:overflow-y-auto"
    >
      <Button onClick={print}>{t('schedule.saveWorkLists')}</Button>
      <div className="mt-3 grid gap-6 md:grid-cols-[repeat(auto-fit,minmax(20rem,1fr))]">
        {lists.map(({ name, tasks }) => (
          <section key={name} aria-label={name}>
            <h2 className="border-b-2 border-ink font-name text-head font-semibold">{name}</h2>
            {tasks.length === 0 ? (
              <p className="py-2 text-soft">{t('schedule.nothingPlanned')}</p>
            ) : (
              <ol>
                {tasks.map((k, i) => (
                  <TaskRow key={i} day={day} task={k} now={k.fromS <= nowS} />
                ))}
              </ol>
            )}
          </section>
        ))}
      </div>
    </div>
  );
}

function TaskRow({ day, task, now }: { readonly day: DayPlan; readonly task: Task; readonly now: boolean }) {
  const t = useWords();
  const job = task.work === null ? undefined : day.jobs[task.work];
  const text = t(taskText(day, task));
  return (
    <li className={`flex min-h-13 gap-3 border-b border-rule py-1.5 ${now ? 'bg-board' : ''}`}>
      <span aria-hidden className="w-2 shrink-0" style={{ background: groundOf(task.work).fill }} />
      <span>
        <span className="block font-label text-base font-medium">
          {t(taskTime(day, task))}
          {now && <span className="ml-2 font-semibold text-act-deep">{t('press.now')}</span>}
        </span>
        <span className="block text-lead leading-snug font-semibold">
          {job ? (
            <Link href={`/job/${job.id}/heat`} className="hover:underline">
              {text}
            </Link>
          ) : (
            text
          )}
        </span>
      </span>
    </li>
  );
}

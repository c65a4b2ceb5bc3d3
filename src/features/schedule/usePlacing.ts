import { useWords } from '@/ui/words';
import { useState } from 'react';
import type { DayPlan } from '@/core/day/dayPlan';
import type { Job, Pin } from '@/core/job/job';
import { changeJob } from '@/data/jobs';
import { notifyProblem, notifyWrong } from '@/ui/notify';
import { msOf } from './dayWords';
import type { Moved } from './Handles';

export interface Placing {
  /** The newest change: the day as it was before, and what takes it back; null where there is none. */
  readonly change: { readonly before: DayPlan; readonly undo: () => void } | null;
  readonly setPins: (jobId: string, pins: readonly Pin[]) => Promise<void>;
  readonly move: (m: Moved) => void;
  readonly wait: (jobId: string) => Promise<void>;
}

/** Jobs put somewhere in the day by hand, held back, and let go again. */
export function usePlacing(day: DayPlan, onChosen: (jobId: string | null) => void): Placing {
  const t = useWords();
  const [change, setChange] = useState<Placing['change']>(null);
  const put = async (jobId: string, next: (now: Job['day']) => Job['day']): Promise<boolean> => {
    let was: Job['day'] | null = null;
    const r = await changeJob(jobId, (j) => {
      was = j.day;
      return { ...j, day: next(j.day) };
    });
    if (!r.ok) {
      notifyProblem(r.problem);
      return false;
    }
    setChange({
      before: day,
      undo: () => {
        void changeJob(jobId, (j) => ({ ...j, day: was ?? j.day }));
        setChange(null);
      },
    });
    return true;
  };
  const setPins = async (jobId: string, pins: readonly Pin[]): Promise<void> => {
    await put(jobId, (now) => ({ ...now, pins: [...pins] }));
  };
  return {
    change,
    setPins,
    move: ({ work, press, fromS }) => {
      const [job, to] = [day.jobs[work], day.presses[press]];
      if (!job || !to) return;
      onChosen(job.id);
      if (job.presses.includes(press))
        void setPins(job.id, [{ pressId: to.id, from: Math.round(msOf(day, fromS)) }]);
      else notifyWrong(t('schedule.setUpChoosePress', { job: job.name, to: to.name }));
    },
    wait: async (jobId) => {
      if (await put(jobId, (now) => ({ ...now, waits: true }))) onChosen(null);
    },
  };
}

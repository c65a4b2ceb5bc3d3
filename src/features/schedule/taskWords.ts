import { date } from '@/core/message/quantity';
import { say, type Message } from '@/core/message/message';
import type { DayPlan } from '@/core/day/dayPlan';
import type { Task, TaskKind } from '@/core/day/tasks';
import { msOf } from './dayWords';

const WORDS: Readonly<Record<TaskKind, Message>> = {
  on: say('schedule.switchOn'),
  set: say('schedule.setPress'),
  press: say('schedule.press'),
  prepare: say('schedule.tape'),
  finish: say('schedule.finishBox'),
};
export const taskWord = (kind: TaskKind): Message => WORDS[kind];

/** A task in words. */
export function taskText(day: DayPlan, task: Task): Message {
  const job = task.work === null ? '' : (day.jobs[task.work]?.name ?? '');
  const press = task.press === null ? '' : (day.presses[task.press]?.name ?? '');
  const { pieces } = task;
  switch (task.kind) {
    case 'on': {
      const which = day.presses[task.press ?? -1]?.kind === 'oven' ? 'oven' : 'other';
      return say('schedule.taskOn', { press, hot: date(msOf(day, task.toS), 'time'), which });
    }
    case 'set':
      return say('schedule.taskSet', { press, job });
    case 'press':
      return say('schedule.taskPress', { pieces, job, press });
    case 'prepare':
      return say('schedule.taskTape', { pieces, job });
    case 'finish':
      return say('schedule.taskFinish', { pieces, job });
  }
}

/** From when to when, on the clock of this place; one time for what takes less than a minute. */
export const taskTime = (day: DayPlan, { fromS, toS }: Pick<Task, 'fromS' | 'toS'>): Message => {
  const from = date(msOf(day, fromS), 'time');
  return toS - fromS < 60
    ? say('schedule.atTime', { at: from })
    : say('shop.fromTo', { from, to: date(msOf(day, toS), 'time') });
};

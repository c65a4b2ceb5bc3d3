import { date } from '@/core/message/quantity';
import { say, type Message, amountMessage } from '@/core/message/message';
import { differenceInCalendarDays, parseISO } from 'date-fns';

/** When a job is due, as the list of jobs shows it. */
export function dueWords(
  dueOn: string | null,
  today: Date,
): { readonly day: Message; readonly left: Message | null; readonly late: boolean } {
  if (dueOn === null) return { day: say('jobs.daySet'), left: null, late: false };
  const due = parseISO(dueOn);
  const left = differenceInCalendarDays(due, today);
  const day = amountMessage(date(due.getTime(), 'day'));
  if (left < -1) return { day, left: say('jobs.daysLate', { left: -left }), late: true };
  if (left === -1) return { day, left: say('jobs.dayLate'), late: true };
  if (left === 0) return { day, left: say('jobs.today'), late: true };
  if (left === 1) return { day, left: say('jobs.tomorrow'), late: false };
  return { day, left: say('jobs.inDays', { left }), late: false };
}

import { differenceInCalendarDays, parseISO } from 'date-fns';
import { dayText } from '@/ui/dates';

/** When a job is due, as the list of jobs shows it. */
export function dueWords(
  dueOn: string | null,
  today: Date,
): { readonly day: string; readonly left: string; readonly late: boolean } {
  if (dueOn === null) return { day: 'no day set', left: '', late: false };
  const date = parseISO(dueOn);
  const left = differenceInCalendarDays(date, today);
  const day = dayText(date);
  if (left < -1) return { day, left: `${-left} days late`, late: true };
  if (left === -1) return { day, left: 'a day late', late: true };
  if (left === 0) return { day, left: 'today', late: true };
  if (left === 1) return { day, left: 'tomorrow', late: false };
  return { day, left: `in ${left} days`, late: false };
}

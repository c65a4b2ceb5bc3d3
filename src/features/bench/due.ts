import { differenceInCalendarDays, parseISO } from 'date-fns';
import { dayText } from '@/ui/dates';

/** When a job is due, as the bench says it. */
export function dueWords(
  dueOn: string | null,
  today: Date,
): { readonly text: string; readonly late: boolean } {
  if (dueOn === null) return { text: 'no day set', late: false };
  const day = parseISO(dueOn);
  const left = differenceInCalendarDays(day, today);
  if (left < 0) return { text: `was due ${dayText(day)}`, late: true };
  if (left === 0) return { text: 'due today', late: true };
  if (left === 1) return { text: 'due tomorrow', late: false };
  return { text: `due ${dayText(day)}, ${left} days`, late: false };
}

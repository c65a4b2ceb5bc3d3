const DAY = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
const MOMENT = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  hour: '2-digit',
  minute: '2-digit',
  hour12: false,
});
const TIME_OF_DAY = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', hour12: false });

/** “Fri 4 Dec”. */
export const dayText = (d: Date): string => DAY.format(d).replace(',', '');
/** “24 Nov 2026, 16:40”. */
export const momentText = (ms: number): string => MOMENT.format(ms);
/** “16:40”. */
export const clockTimeText = (d: Date): string => TIME_OF_DAY.format(d);

/** A day as files have it, by the calendar of this place. */
export const isoDay = (d: Date): string =>
  `${d.getFullYear()}-${String(d.getMonth() + 1).padStart(2, '0')}-${String(d.getDate()).padStart(2, '0')}`;

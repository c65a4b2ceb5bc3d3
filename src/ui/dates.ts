/** A day as files have it, by the calendar of this place. */
export const isoDay = (d: Date): string =>
  `${d.getFullYear()}-${String(d.getMonth() + 1).padStart(2, '0')}-${String(d.getDate()).padStart(2, '0')}`;

/** Midday of a day written so, for writing it out. */
export const middayMs = (iso: string): number => new Date(`${iso}T12:00:00`).getTime();

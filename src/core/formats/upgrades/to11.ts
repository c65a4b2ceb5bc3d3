import { isRaw, list, type VersionStep } from './raw';

/*
 * Version 10 to version 11: what was done to a blank before measuring is kept by an id, no longer by the English words of its line; a figure
 * kept in a log entry may name a message. Stands alone.
 */

const TAKE_OFF = 'Take off: ';

const prepared = (v: unknown): unknown => {
  if (typeof v !== 'string') return v;
  if (v.startsWith(TAKE_OFF)) return `take-off: ${v.slice(TAKE_OFF.length)}`;
  return v === 'Peel the film before wrapping' ? 'peel-film' : v;
};

export const TO_11: VersionStep = {
  to: 11,
  job: (v) =>
    isRaw(v) && Array.isArray(v.prepared) ? { ...v, prepared: list(v.prepared).map(prepared) } : v,
};

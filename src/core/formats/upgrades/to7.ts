import { isRaw, type VersionStep } from './raw';

/*
 * Version 6 to version 7: runs tell their pieces apart, may have counted blanks, and may know what over-time does to the dose; jobs may have a
 * reprint list; settings name the people at the press. Stands alone.
 */

/** Runs of before did not say which pieces they were: they are not guessed. */
const run = (v: unknown): unknown =>
  isRaw(v) && v.queue === undefined ? { ...v, queue: null, blanks: null, dose: null } : v;

const job = (v: unknown): unknown => (isRaw(v) && v.reprint === undefined ? { ...v, reprint: null } : v);

const settings = (v: unknown): unknown => (isRaw(v) && v.people === undefined ? { ...v, people: [] } : v);

export const TO_7: VersionStep = { to: 7, run, job, settings };

import { isRaw, type VersionStep } from './raw';

/*
 * Version 12 to version 13: the field `look` of a job is called `inspection`. Its content does not change. Self-contained.
 */
const job = (v: unknown): unknown => {
  if (!isRaw(v) || !('look' in v)) return v;
  const { look, ...rest } = v;
  return { ...rest, inspection: look };
};

export const TO_13: VersionStep = { to: 13, job };

import { isRaw, type VersionStep } from './raw';

/*
 * Version 12 to version 13: what is seen of a pressed piece is called its inspection. Nothing in it changes. Stands alone.
 */
const job = (v: unknown): unknown => {
  if (!isRaw(v) || !('look' in v)) return v;
  const { look, ...rest } = v;
  return { ...rest, inspection: look };
};

export const TO_13: VersionStep = { to: 13, job };

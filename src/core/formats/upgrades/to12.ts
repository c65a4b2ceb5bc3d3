import type { VersionStep } from './raw';

/*
 * Version 11 to version 12: a file says which version of the application wrote it, and a press may be a vacuum press. Nothing older changes.
 * Stands alone.
 */
export const TO_12: VersionStep = {
  to: 12,
  shopFile: (raw) => ({ ...raw, writtenBy: null }),
  jobFile: (raw) => ({ ...raw, writtenBy: null }),
};

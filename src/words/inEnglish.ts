import { isMessage } from '@/core/message/message';
import { english } from './english';

/** Plain data with every message in it written in English, for tests that read what a person reads. */
export function inEnglish(data: unknown): unknown {
  if (isMessage(data)) return english.text(data);
  if (Array.isArray(data)) return data.map(inEnglish);
  if (typeof data !== 'object' || data === null || Object.getPrototypeOf(data) !== Object.prototype)
    return data;
  return Object.fromEntries(Object.entries(data).map(([k, v]) => [k, inEnglish(v)]));
}

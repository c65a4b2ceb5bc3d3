import { say, verbatim, type Message } from '@/core/message/message';
import { fail, ok, type Result } from '@/core/basics/result';
import type { Hours } from '@/core/shop/day';

const clock = (min: number): string => `${Math.floor(min / 60)}:${String(min % 60).padStart(2, '0')}`;
/** Hours as they stand in their field. */
export const hoursMessage = (h: Hours | null): Message =>
  h ? verbatim(`${clock(h.fromMin)}–${clock(h.toMin)}`) : say('shop.closed');

/** No hours, in English and Spanish. */
const CLOSED = ['', '-', '–', 'closed', 'cerrado'];

/** Hours as people write them: `9:00-17:00`, `9–17`, `9 a 17`, or closed. */
export function readHours(text: string): Result<Hours | null> {
  const clean = text.trim().toLowerCase();
  if (CLOSED.includes(clean)) return ok(null);
  const found = /^(\d{1,2})(?:[:.](\d{2}))?\s*(?:-|–|to|a)\s*(\d{1,2})(?:[:.](\d{2}))?$/.exec(clean);
  const minutes = (h: string | undefined, m: string | undefined) => Number(h) * 60 + Number(m ?? 0);
  const fromMin = minutes(found?.[1], found?.[2]);
  const toMin = minutes(found?.[3], found?.[4]);
  if (!found || fromMin > 1440 || toMin > 1440)
    return fail(say('shop.hoursWritten900'), say('shop.hours'), say('shop.orClosed'));
  return fromMin < toMin
    ? ok({ fromMin, toMin })
    : fail(say('shop.endsBeforeBegins'), say('shop.hours'), say('shop.writeLaterTimeSecond'));
}

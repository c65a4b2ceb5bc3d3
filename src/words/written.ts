import { isMessage, type Message } from '@/core/message/message';

/** A copy of plain data in which every message also carries its text: for who reads it without the catalogue. */
export function written(data: unknown, text: (m: Message) => string): unknown {
  if (Array.isArray(data)) return data.map((one) => written(one, text));
  if (typeof data !== 'object' || data === null) return data;
  const inner = Object.fromEntries(Object.entries(data).map(([k, v]) => [k, written(v, text)]));
  return isMessage(data) ? { ...inner, text: text(data) } : inner;
}

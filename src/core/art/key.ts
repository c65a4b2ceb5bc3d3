/** A short name for a value: what was made for one is not used for another (FNV-1a, 32 bits). */
export function artKey(of: unknown): string {
  let h = 0x811c9dc5;
  for (const ch of JSON.stringify(of)) h = Math.imul(h ^ (ch.codePointAt(0) ?? 0), 0x01000193) >>> 0;
  return h.toString(16).padStart(8, '0');
}

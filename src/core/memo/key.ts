/** A short name for a value: what was made for one is not used for another (FNV-1a over its JSON, 32 bits). */
export function keyOf(of: unknown): string {
  const text = JSON.stringify(of);
  let h = 0x811c9dc5;
  for (let i = 0; i < text.length; i += 1) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193);
  return (h >>> 0).toString(16).padStart(8, '0');
}

/** FNV-1a over the JSON of a value, 32 bits as 8 hexadecimal digits. Only for ids that are stored: `keyOf` is long enough for a cache. */
export function fnv32(of: unknown): string {
  const text = JSON.stringify(of);
  let h = 0x811c9dc5;
  for (let i = 0; i < text.length; i += 1) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193);
  return (h >>> 0).toString(16).padStart(8, '0');
}

/** A short key of a value, for caches: 64 bits as 16 hexadecimal digits, so that two values of one shop never share one. */
export function keyOf(of: unknown): string {
  const text = JSON.stringify(of) ?? '';
  let a = 0x811c9dc5;
  let b = 0x41c6ce57;
  for (let i = 0; i < text.length; i += 1) {
    const c = text.charCodeAt(i);
    a = Math.imul(a ^ c, 0x85ebca77);
    b = Math.imul(b ^ c, 0xc2b2ae3d);
  }
  return mixed(a, b) + mixed(b, a);
}

/** One lane finished with the other: the finaliser of MurmurHash3 (Appleby 2011). */
function mixed(a: number, b: number): string {
  let h = Math.imul(a ^ (a >>> 16) ^ Math.imul(b, 0x9e3779b1), 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
  return ((h ^ (h >>> 16)) >>> 0).toString(16).padStart(8, '0');
}

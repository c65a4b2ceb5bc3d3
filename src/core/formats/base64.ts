/** Bytes to base64 and back, in steps that fit any call stack. */
export function toBase64(bytes: Uint8Array): string {
  const parts: string[] = [];
  for (let i = 0; i < bytes.length; i += 0x6000)
    parts.push(String.fromCharCode(...bytes.subarray(i, i + 0x6000)));
  return btoa(parts.join(''));
}

export function fromBase64(text: string): Uint8Array {
  const binary = atob(text);
  const bytes = new Uint8Array(binary.length);
  for (let i = 0; i < binary.length; i += 1) bytes[i] = binary.charCodeAt(i);
  return bytes;
}

/** A new id: what it is of, and 12 random letters and digits. */
export function newId(of: string): string {
  const bytes = crypto.getRandomValues(new Uint8Array(12));
  return `${of}-${Array.from(bytes, (b) => (b % 36).toString(36)).join('')}`;
}

/** The id of a picture is of its content, so the same picture is kept once. */
export async function contentId(bytes: Uint8Array): Promise<string> {
  const digest = new Uint8Array(await crypto.subtle.digest('SHA-256', Uint8Array.from(bytes)));
  return `pic-${Array.from(digest.subarray(0, 10), (b) => b.toString(16).padStart(2, '0')).join('')}`;
}

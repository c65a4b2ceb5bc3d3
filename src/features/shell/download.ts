/** Hands a file to the browser to save. */
function saveBlobAs(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const a = document.createElement('a');
  a.href = url;
  a.download = name;
  a.click();
  // Revoked late: the browser reads it after the click returns.
  setTimeout(() => URL.revokeObjectURL(url), 30_000);
}

export const saveTextAs = (name: string, text: string, mime: string): void =>
  saveBlobAs(name, new Blob([text], { type: mime }));

export const saveBytesAs = (name: string, bytes: Uint8Array, mime: string): void =>
  saveBlobAs(name, new Blob([Uint8Array.from(bytes)], { type: mime }));

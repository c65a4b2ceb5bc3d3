import { fail, ok, type Result } from '@/core/basics/result';

const MOVED = 'It may have been moved. Choose it again.';

/** Refuses what is too large before a byte of it is read. */
function fits(file: File, mostBytes: number, wayOut: string): Result<File> {
  if (file.size <= mostBytes) return ok(file);
  const mb = (bytes: number) => `${Math.round(bytes / 1e6).toLocaleString('en')} MB`;
  return fail(
    `The file is ${mb(file.size)}; at most ${mb(mostBytes)} can be opened here.`,
    file.name,
    wayOut,
  );
}

/** The bytes of a file no larger than `mostBytes`; `wayOut` says what to do with a larger one. */
export async function readBytes(
  file: File,
  mostBytes: number,
  wayOut: string,
): Promise<Result<Uint8Array<ArrayBuffer>>> {
  const held = fits(file, mostBytes, wayOut);
  if (!held.ok) return held;
  try {
    return ok(new Uint8Array(await file.arrayBuffer()));
  } catch {
    return fail('The file could not be read.', file.name, MOVED);
  }
}

/** The text of a file no larger than `mostBytes`; `wayOut` says what to do with a larger one. */
export async function readText(file: File, mostBytes: number, wayOut: string): Promise<Result<string>> {
  const held = fits(file, mostBytes, wayOut);
  if (!held.ok) return held;
  try {
    return ok(await file.text());
  } catch {
    return fail('The file could not be read.', file.name, MOVED);
  }
}

/** Files with pictures or photographs inside. */
export const MOST_WITH_PICTURES_BYTES = 400_000_000;
/** Tables and lists. */
export const MOST_TABLE_BYTES = 5_000_000;

import { say, type Message } from '@/core/message/message';
import { fail, ok, type Result } from '@/core/basics/result';

const MOVED = say('files.mayHaveMoved');

/** Refuses what is too large before a byte of it is read. */
function fits(file: File, mostBytes: number, wayOut: Message): Result<File> {
  if (file.size <= mostBytes) return ok(file);
  const mb = (bytes: number) => say('files.size', { n: Math.round(bytes / 1e6) });
  return fail(
    say('files.fileMostCanOpened', { size: mb(file.size), mostBytes: mb(mostBytes) }),
    file.name,
    wayOut,
  );
}

/** The bytes of a file no larger than `mostBytes`; `wayOut` says what to do with a larger one. */
export async function readBytes(
  file: File,
  mostBytes: number,
  wayOut: Message,
): Promise<Result<Uint8Array<ArrayBuffer>>> {
  const held = fits(file, mostBytes, wayOut);
  if (!held.ok) return held;
  try {
    return ok(new Uint8Array(await file.arrayBuffer()));
  } catch {
    return fail(say('files.fileCouldRead'), file.name, MOVED);
  }
}

/** The text of a file no larger than `mostBytes`; `wayOut` says what to do with a larger one. */
export async function readText(file: File, mostBytes: number, wayOut: Message): Promise<Result<string>> {
  const held = fits(file, mostBytes, wayOut);
  if (!held.ok) return held;
  try {
    return ok(await file.text());
  } catch {
    return fail(say('files.fileCouldRead'), file.name, MOVED);
  }
}

/** Files with pictures or photographs inside. */
export const MOST_WITH_PICTURES_BYTES = 400_000_000;
/** Tables and lists. */
export const MOST_TABLE_BYTES = 5_000_000;

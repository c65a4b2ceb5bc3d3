import '@/core/basics/zodSetup';
import * as z from 'zod/mini';
import { fail, ok, type Result } from '@/core/basics/result';

const names = (error: unknown): string => {
  if (!(error instanceof Error)) return '';
  const inner = (error as { inner?: unknown }).inner;
  return `${error.name} ${inner instanceof Error ? inner.name : ''}`;
};

/** Puts a storage error into words with a way out. */
export function storageProblem(error: unknown, where: string): Result<never> {
  const name = names(error);
  if (/NewerDatabase/.test(name)) {
    return fail(
      'The shop in this browser was written by a newer Mesa Drift.',
      where,
      'Update Mesa Drift, then open it again. Nothing was changed.',
    );
  }
  if (/Quota/i.test(name)) {
    return fail(
      'This browser’s storage is full.',
      where,
      'Save the job to a file now, then delete old jobs or pictures.',
    );
  }
  if (/MissingAPI|OpenFailed|Security|InvalidState|DatabaseClosed|UnknownError/i.test(name)) {
    return fail(
      'This browser refuses to store anything here.',
      where,
      'Leave private browsing, or save the job to a file before closing.',
    );
  }
  if (error instanceof z.core.$ZodError) {
    const [issue] = error.issues;
    const at = issue?.path.map(String).join(' › ') ?? '';
    return fail(
      `Something in it is missing or out of range${at === '' ? '' : ` (${at.slice(0, 80)})`}: ${issue?.message ?? 'it cannot be read.'}`,
      where,
      'Nothing was changed. Reload the page, then try again.',
    );
  }
  const why = error instanceof Error && error.message !== '' ? error.message : 'The browser gave no reason.';
  return fail(`It could not be stored: ${why}`, where, 'Save the job to a file, then reload the page.');
}

/** Runs a storage task; what goes wrong comes back as a problem. */
export async function stored<T>(where: string, task: () => Promise<T>): Promise<Result<T>> {
  try {
    return ok(await task());
  } catch (error) {
    return storageProblem(error, where);
  }
}

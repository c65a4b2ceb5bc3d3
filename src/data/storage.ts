import { issueText } from '@/core/basics/rule';
import { say, type Message, unpacked } from '@/core/message/message';
import '@/core/basics/zodSetup';
import * as z from 'zod/mini';
import { fail, ok, type Result } from '@/core/basics/result';

const names = (error: unknown): string => {
  if (!(error instanceof Error)) return '';
  const inner = (error as { inner?: unknown }).inner;
  return `${error.name} ${inner instanceof Error ? inner.name : ''}`;
};

/** Puts a storage error into words with a way out. */
export function storageProblem(error: unknown, where: Message | string): Result<never> {
  const name = names(error);
  if (/NewerDatabase/.test(name)) {
    return fail(say('files.shopBrowserWasWritten'), where, say('files.updateMesaDriftThen'));
  }
  if (/Quota/i.test(name)) {
    return fail(say('files.browsersStorageFull'), where, say('files.saveJobFileNow'));
  }
  if (/MissingAPI|OpenFailed|Security|InvalidState|DatabaseClosed|UnknownError/i.test(name)) {
    return fail(say('files.browserRefusesStoreAnything'), where, say('files.leavePrivateBrowsingSave'));
  }
  if (error instanceof z.core.$ZodError) {
    const [issue] = error.issues;
    const at = issue?.path.map(String).join(' › ') ?? '';
    return fail(
      say('files.somethingMissingOutRange', {
        at: at.slice(0, 80),
        which: at === '' ? 'none' : 'other',
        problem: issue ? issueText(issue.message) : say('common.cannotBeRead'),
      }),
      where,
      say('files.nothingWasChangedReload'),
    );
  }
  const why =
    error instanceof Error && error.message !== '' ? unpacked(error.message) : say('files.noReason');
  return fail(say('files.couldStored', { why }), where, say('files.saveJobFileThen'));
}

/** Runs a storage task; what goes wrong comes back as a problem. */
export async function stored<T>(where: Message | string, task: () => Promise<T>): Promise<Result<T>> {
  try {
    return ok(await task());
  } catch (error) {
    return storageProblem(error, where);
  }
}

import { say } from '@/core/message/message';
import { fail, ok, type Result } from '@/core/basics/result';

/** The font of labels on printed pages; it ships with the application. */
export async function labelFont(): Promise<Result<Uint8Array>> {
  try {
    const response = await fetch('/fonts/barlow-latin-600-normal.woff');
    if (!response.ok) throw new Error('not there');
    return ok(new Uint8Array(await response.arrayBuffer()));
  } catch {
    return fail(say('logbook.fontPageCouldHad'), say('common.pdf'), say('logbook.reloadPageThenSave'));
  }
}

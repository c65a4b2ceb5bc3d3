import type * as z from 'zod/mini';
import type { MessageId } from '@/words/ids';
import { packed, say, unpacked, type Message, type ValuesOf } from '../message/message';

/** A message as a schema carries it, which holds text only. `issueText` reads it back. */
export const rule = <I extends MessageId>(id: I, ...values: ValuesOf<I>): string =>
  packed(say(id, ...values));

/** A message that was made elsewhere, as a schema carries it. */
export const asIssue = packed;

/** What one issue of a schema says. */
export const issueText = unpacked;

/** The first thing a schema found wrong; null where it says nothing. */
export function issueOf(error: z.core.$ZodError): Message | null {
  const [issue] = error.issues;
  return issue ? issueText(issue.message) : null;
}

import { say, verbatim, type Message } from '../message/message';
/** What is wrong, where, and the way out: the three things every message to a person must carry. */
export interface Problem {
  readonly what: Message;
  readonly where: Message;
  readonly wayOut: Message;
}

/** An outcome that is either a value or a problem a person can act on. Core code never throws for bad input. */
export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: Problem };

export const ok = <T>(value: T): Result<T> => ({ ok: true, value });

/** `where`: a message, or the name of a thing as it is. */
export const fail = (what: Message, where: Message | string, wayOut: Message): Result<never> => ({
  ok: false,
  problem: { what, where: typeof where === 'string' ? verbatim(where) : where, wayOut },
});

/** The problem as one message for a status line: where, what, and the way out. */
export const problemMessage = (p: Problem): Message =>
  say('common.problem', { where: p.where, what: p.what, wayOut: p.wayOut });

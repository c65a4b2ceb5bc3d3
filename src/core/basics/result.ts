/** What is wrong, where, and the way out: the three things every message to a person must carry. */
export interface Problem {
  readonly what: string;
  readonly where: string;
  readonly wayOut: string;
}

/** An outcome that is either a value or a problem a person can act on. Core code never throws for bad input. */
export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: Problem };

export const ok = <T>(value: T): Result<T> => ({ ok: true, value });

export const fail = (what: string, where: string, wayOut: string): Result<never> => ({
  ok: false,
  problem: { what, where, wayOut },
});

/** The problem as one sentence for a toast or a status line. */
export const problemText = (p: Problem): string => `${p.where}: ${p.what} ${p.wayOut}`;

/** A list that grows at its end without being copied: whoever holds a shorter one keeps it. Null is empty. */
export interface Link<T> {
  readonly last: T;
  readonly before: Chain<T>;
  readonly size: number;
}
export type Chain<T> = Link<T> | null;

export const sizeOf = <T>(chain: Chain<T>): number => chain?.size ?? 0;

export const added = <T>(chain: Chain<T>, last: T): Link<T> => ({
  last,
  before: chain,
  size: sizeOf(chain) + 1,
});

/** As an array, oldest first. */
export function listOf<T>(chain: Chain<T>): readonly T[] {
  const newestFirst: T[] = [];
  for (let at = chain; at; at = at.before) newestFirst.push(at.last);
  return newestFirst.reverse();
}

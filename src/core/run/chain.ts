/** A list that grows at its end without being copied; a reference to a shorter one stays valid. Null is empty. */
export interface ChainLink<T> {
  readonly last: T;
  readonly before: Chain<T>;
  readonly size: number;
}
export type Chain<T> = ChainLink<T> | null;

export const chainSize = <T>(chain: Chain<T>): number => chain?.size ?? 0;

export const appended = <T>(chain: Chain<T>, last: T): ChainLink<T> => ({
  last,
  before: chain,
  size: chainSize(chain) + 1,
});

/** As an array, oldest first. */
export function listOf<T>(chain: Chain<T>): readonly T[] {
  const newestFirst: T[] = [];
  for (let at = chain; at; at = at.before) newestFirst.push(at.last);
  return newestFirst.reverse();
}

import type { RunPiece } from '../shop/run';
import type { Chain, ChainLink } from './chain';
import type { LoadThrough } from './loadThrough';

/** A piece is known by its number and its name together: where a names list was changed, another has that number now. */
export const pieceKey = (p: RunPiece): string => `${p.number} ${p.name}`;

/** Pieces that came out good, load by load along one chain. */
interface GoodIndex {
  readonly links: ChainLink<LoadThrough>[];
  /** Keys of the pieces that each load was the first to bring out good. */
  readonly fresh: string[][];
  readonly good: Set<string>;
}

const indexes = new WeakMap<ChainLink<LoadThrough>, GoodIndex>();
const NONE: ReadonlySet<string> = new Set();

function add(index: GoodIndex, link: ChainLink<LoadThrough>): void {
  const spoiled = new Set(link.last.spoiled.map((s) => pieceKey(s.piece)));
  const fresh = link.last.pieces.map(pieceKey).filter((k) => !spoiled.has(k) && !index.good.has(k));
  for (const key of fresh) index.good.add(key);
  index.fresh.push(fresh);
  index.links.push(link);
  indexes.set(link, index);
}

/** Takes back the loads after so many: a run gone back to before them goes on otherwise. */
function cutBack(index: GoodIndex, size: number): void {
  while (index.links.length > size) {
    for (const key of index.fresh.pop() ?? []) index.good.delete(key);
    index.links.pop();
  }
}

/**
 * Keys of all pieces that came out good in some loads. A load more costs only its own pieces: what was found of the loads before it is gone on
 * from, as long as it is about these very loads.
 */
export function goodPiecesIn(loads: Chain<LoadThrough>): ReadonlySet<string> {
  if (!loads) return NONE;
  const own = indexes.get(loads);
  if (own && own.links.at(-1) === loads) return own.good;
  const { before } = loads;
  const known = before && indexes.get(before);
  if (before && known && known.links[before.size - 1] === before) {
    cutBack(known, before.size);
    add(known, loads);
    return known.good;
  }
  const index: GoodIndex = { links: [], fresh: [], good: new Set() };
  const oldestFirst: ChainLink<LoadThrough>[] = [];
  for (let at: Chain<LoadThrough> = loads; at; at = at.before) oldestFirst.push(at);
  for (const link of oldestFirst.reverse()) add(index, link);
  return index.good;
}

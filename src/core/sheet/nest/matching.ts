import { seeded } from '../../random/random';
import {
  usedHeight,
  type Nest,
  type NestArea,
  type NestPlacement,
  type NestShape,
  type QuarterTurn,
} from './shape';

/**
 * Rectangles in a sequence, the lowest place filled with the first piece that matches it best: its full width, and level with a neighbour
 * (the scoring rule of Leung, Zhang and Sim, European Journal of Operational Research 215, 2011). The sequence is improved by late
 * acceptance hill climbing (Burke and Bykov, European Journal of Operational Research 258, 2017). Where sizes are parts of one another, as
 * in panels and tiles, this finds layouts without waste that a best fit by slack misses.
 */

interface Piece {
  readonly shape: number;
  readonly width: number;
  readonly height: number;
}

/** The skyline from left to right: stretches of one height. */
interface Skyline {
  readonly y: number[];
  readonly width: number[];
}

interface Choice {
  /** Place in the sequence. */
  readonly at: number;
  readonly turned: boolean;
  readonly score: number;
}

const EPS = 1e-6;
/** Full width and level with the taller neighbour: nothing matches better. */
const PERFECT = 5;

function scoreOf(width: number, height: number, niche: number, taller: number, lower: number): number {
  const full = width > niche - EPS;
  if (Math.abs(height - taller) < EPS) return full ? PERFECT : 2;
  if (Math.abs(height - lower) < EPS) return full ? 4 : 1;
  return full ? 3 : 0;
}

function firstMatch(
  pieces: readonly Piece[],
  niche: number,
  room: number,
  [taller, lower]: readonly [number, number],
  mayRotate: boolean,
): Choice | null {
  let best: Choice | null = null;
  for (let at = 0; at < pieces.length; at += 1) {
    const p = pieces[at] as Piece;
    for (let turn = 0; turn < (mayRotate ? 2 : 1); turn += 1) {
      const width = turn === 0 ? p.width : p.height;
      const height = turn === 0 ? p.height : p.width;
      if (width > niche + EPS || height > room + EPS) continue;
      const score = scoreOf(width, height, niche, taller, lower);
      if (!best || score > best.score) best = { at, turned: turn === 1, score };
      if (score === PERFECT) return best;
    }
  }
  return best;
}

/** Joins stretches of one height on either side of a change. */
function join({ y, width }: Skyline): void {
  for (let i = y.length - 1; i > 0; i -= 1)
    if (Math.abs((y[i] as number) - (y[i - 1] as number)) < EPS) {
      width[i - 1] = (width[i - 1] as number) + (width[i] as number);
      y.splice(i, 1);
      width.splice(i, 1);
    }
}

const startOf = (width: readonly number[], at: number): number =>
  width.slice(0, at).reduce((a, b) => a + b, 0);

/** Fills one sheet and takes what it holds out of the pieces. */
function oneSheet(pieces: Piece[], area: NestArea): NestPlacement[] {
  const limit = area.heightMm + area.gapMm;
  const sky: Skyline = { y: [0], width: [area.widthMm + area.gapMm] };
  const placements: NestPlacement[] = [];
  while (pieces.length > 0) {
    const y = Math.min(...sky.y);
    const at = sky.y.indexOf(y);
    const niche = sky.width[at] as number;
    const left = (sky.y[at - 1] ?? Infinity) - y;
    const right = (sky.y[at + 1] ?? Infinity) - y;
    const sides = [Math.max(left, right), Math.min(left, right)] as const;
    const choice = firstMatch(pieces, niche, limit - y, sides, area.mayRotate);
    if (!choice) {
      if (sky.y.length === 1) break;
      sky.y[at] = y + sides[1];
      join(sky);
      continue;
    }
    const [piece] = pieces.splice(choice.at, 1) as [Piece];
    const turn: QuarterTurn = choice.turned ? 90 : 0;
    const width = choice.turned ? piece.height : piece.width;
    const height = choice.turned ? piece.width : piece.height;
    const rest = niche - width;
    // Beside the taller neighbour, unless it is the lower one that the piece is level with.
    const toLeft = left >= right !== (choice.score === 1);
    const x = startOf(sky.width, at) + (toLeft ? 0 : rest);
    placements.push({
      shape: piece.shape,
      turn,
      x,
      y,
      width: width - area.gapMm,
      height: height - area.gapMm,
    });
    const stretches = rest > EPS ? (toLeft ? [width, rest] : [rest, width]) : [niche];
    const heights = rest > EPS ? (toLeft ? [y + height, y] : [y, y + height]) : [y + height];
    sky.y.splice(at, 1, ...heights);
    sky.width.splice(at, 1, ...stretches);
    join(sky);
  }
  return placements;
}

function layInSequence(sequence: readonly Piece[], area: NestArea): Nest {
  const pieces = [...sequence];
  const sheets: NestPlacement[][] = [];
  while (pieces.length > 0) {
    const placements = oneSheet(pieces, area);
    if (placements.length === 0) break;
    sheets.push(placements);
  }
  return { sheets, left: pieces.length };
}

/** One number to climb by, mm: what finds no room weighs most, then full sheets, then the height of the last. */
const costOf = (n: Nest, area: NestArea): number =>
  (n.left * 1e3 + n.sheets.length) * (area.heightMm + area.gapMm) + usedHeight(n.sheets.at(-1) ?? []);

/** Least possible cost: all the pieces' area without waste. */
const leastCost = (pieces: readonly Piece[], area: NestArea): number =>
  area.heightMm + pieces.reduce((sum, p) => sum + p.width * p.height, 0) / (area.widthMm + area.gapMm);

const ORDERS: readonly ((p: Piece) => number)[] = [
  (p) => p.width * p.height,
  (p) => Math.max(p.width, p.height),
  (p) => p.width + p.height,
  (p) => Math.min(p.width, p.height),
];

/** A piece moved to another place of the sequence, or two exchanged. */
function changed(sequence: readonly Piece[], random: () => number): readonly Piece[] {
  const next = [...sequence];
  const i = Math.floor(random() * next.length);
  const j = Math.floor(random() * next.length);
  const [a, b] = [next[i] as Piece, next[j] as Piece];
  if (random() < 0.5) {
    next[i] = b;
    next[j] = a;
  } else {
    next.splice(i, 1);
    next.splice(j, 0, a);
  }
  return next;
}

/** How many trials back a change is compared with. */
const LATE = 100;

/** The best layout found in so many trials; the same pieces are always laid the same way. */
export function matchingNest(shapes: readonly NestShape[], area: NestArea, trials: number): Nest {
  const pieces = shapes.flatMap((s, shape) =>
    Array.from({ length: s.count }, (): Piece => ({
      shape,
      width: s.widthMm + area.gapMm,
      height: s.heightMm + area.gapMm,
    })),
  );
  const random = seeded(pieces.length);
  const least = leastCost(pieces, area) + EPS;
  const starts = ORDERS.map((key) => [...pieces].sort((a, b) => key(b) - key(a))).map((sequence) => {
    const made = layInSequence(sequence, area);
    return { sequence: sequence as readonly Piece[], made, cost: costOf(made, area) };
  });
  let current = starts.reduce((a, b) => (b.cost < a.cost ? b : a));
  let best = current;
  const late = new Float64Array(LATE).fill(current.cost);
  for (let trial = 0; trial < trials && best.cost > least; trial += 1) {
    const sequence = changed(current.sequence, random);
    const made = layInSequence(sequence, area);
    const tried = { sequence, made, cost: costOf(made, area) };
    const slot = trial % LATE;
    if (tried.cost <= Math.max(current.cost, late[slot] as number) + EPS) current = tried;
    if (tried.cost < best.cost - EPS) best = tried;
    late[slot] = current.cost;
  }
  return best.made;
}

import { say, type Message } from '../message/message';
import { apply, type Affine } from '../geometry/affine';
import type { Point } from '../geometry/plane';
import { seeded } from '../random/random';
import type { Lay, LogEntry } from '../shop/records';
import { middleOf, type FaceSize } from './places';
import { isOnPaper } from './faults';

/** A mark of some piece, where it lies on its face and where that lay in the press. */
export interface LaidMark {
  readonly entryId: string;
  readonly pressId: string;
  readonly fault: LogEntry['marks'][number]['fault'];
  readonly severity: 1 | 2 | 3;
  /** On the face, as shares of its width and height, so that blanks of other sizes lie over each other. */
  readonly onFace: Point;
  /** On platen or mat, as shares of its width and depth; null where nobody said how it lay. */
  readonly onPress: Point | null;
  /** From shares of the face to shares of the press. */
  readonly to: Affine | null;
}

const shareMap = (to: Affine, face: FaceSize, press: { widthMm: number; heightMm: number }): Affine => [
  (to[0] * face.widthMm) / press.widthMm,
  (to[1] * face.widthMm) / press.heightMm,
  (to[2] * face.heightMm) / press.widthMm,
  (to[3] * face.heightMm) / press.heightMm,
  to[4] / press.widthMm,
  to[5] / press.heightMm,
];

/** How a piece lay, by its number; the only one there was, where nobody said which. */
export const laidAs = (lay: Lay, piece: number | null): Affine | null =>
  (lay.pieces.find((p) => p.piece === piece) ?? (lay.pieces.length === 1 ? lay.pieces[0] : undefined))?.to ??
  null;

/** The marks of some entries that lie somewhere. A mark all over says nothing of a place. */
export function laidMarks(entries: readonly LogEntry[]): readonly LaidMark[] {
  return entries.flatMap((e) =>
    e.marks.flatMap((m): LaidMark[] => {
      if (!e.face || m.place.kind === 'all' || isOnPaper(m.fault)) return [];
      const face: FaceSize = { ...e.face, wrap: e.face.form !== 'flat' };
      const at = middleOf(m.place, face);
      const lay = e.lay;
      const own = lay && laidAs(lay, m.piece);
      const to = lay && own ? shareMap(own, face, lay) : null;
      const onFace = { x: at.xMm / face.widthMm, y: at.yMm / face.heightMm };
      return [
        {
          entryId: e.id,
          pressId: e.pressId,
          fault: m.fault,
          severity: m.severity,
          onFace,
          to,
          onPress: to && apply(to, onFace),
        },
      ];
    }),
  );
}

/** Thirds of a side: corners, edges, middle. */
const CELLS = 4;
const TRIALS = 999;

/** How many points lie in each cell of a unit square. */
function cellCounts(points: readonly Point[]): ReadonlyMap<number, number> {
  const cells = new Map<number, number>();
  const at = (v: number) => Math.min(CELLS - 1, Math.max(0, Math.floor(v * CELLS)));
  for (const p of points) {
    const k = at(p.y) * CELLS + at(p.x);
    cells.set(k, (cells.get(k) ?? 0) + 1);
  }
  return cells;
}

/** How unevenly points lie over the cells: Σ n². */
function unevenness(points: readonly Point[]): number {
  let sum = 0;
  for (const n of cellCounts(points).values()) sum += n * n;
  return sum;
}

export interface Gathering {
  readonly marks: number;
  /** Chance that marks strewn over the faces by chance would gather like this, 1/1000 to 1. */
  readonly chance: number;
  /** The cell most of them lie in: column and row of a grid of CELLS, and its share. */
  readonly most: { readonly column: number; readonly row: number; readonly share: number };
}
export const MAP_CELLS = CELLS;

function mostOf(points: readonly Point[]): Gathering['most'] {
  const [cell, count] = [...cellCounts(points)].reduce((x, y) => (y[1] > x[1] ? y : x), [0, 0]);
  return {
    column: cell % CELLS,
    row: Math.floor(cell / CELLS),
    share: count / Math.max(1, points.length),
  };
}

/** Monte Carlo test (Barnard 1963): how often chance does at least as much. */
function chanceOf(seen: number, draw: (random: () => number) => number, seed: number): number {
  const random = seeded(seed);
  let as = 0;
  for (let i = 0; i < TRIALS; i += 1) if (draw(random) >= seen) as += 1;
  return (as + 1) / (TRIALS + 1);
}

/** A map of this many marks or more says something; the newest so many are weighed. */
export const LEAST_MARKS = 5;
const MOST_MARKS = 300;

export interface Overlay {
  readonly marks: readonly LaidMark[];
  readonly onFace: Gathering | null;
  readonly onPress: Gathering | null;
  /** Whose coordinates the press’s are: the one most of the marks come from. A corner of one press is none of another. */
  readonly pressId: string | null;
  /** What the faults go with, so far as pieces that lay differently tell. */
  readonly follows: 'press' | 'blank' | 'both' | 'neither' | 'too-few';
}

/** What occurs most often; null in an empty list. */
function commonest(names: readonly string[]): string | null {
  const counts = new Map<string, number>();
  for (const n of names) counts.set(n, (counts.get(n) ?? 0) + 1);
  return [...counts].reduce<readonly [string | null, number]>((x, y) => (y[1] > x[1] ? y : x), [null, 0])[0];
}

/** Below this a gathering is not taken for chance. */
const UNLIKELY = 0.02;

/**
 * Many pieces laid over each other. In both coordinates the marks are held against marks strewn evenly over the same faces, lying as they lay.
 * Where both gather, the ways the pieces lay are dealt out again among the marks: what still gathers then does not need them.
 */
export function overlay(all: readonly LaidMark[]): Overlay {
  const marks = all.slice(0, MOST_MARKS);
  if (marks.length < LEAST_MARKS)
    return { marks: all, onFace: null, onPress: null, pressId: null, follows: 'too-few' };
  const strewn = (random: () => number): readonly Point[] => marks.map(() => ({ x: random(), y: random() }));
  const faces = marks.map((m) => m.onFace);
  const onFace: Gathering = {
    marks: marks.length,
    chance: chanceOf(unevenness(faces), (r) => unevenness(strewn(r)), 11),
    most: mostOf(faces),
  };
  const anywhere = marks.flatMap((m) => (m.onPress && m.to ? [{ ...m, onPress: m.onPress, to: m.to }] : []));
  const pressId = commonest(anywhere.map((m) => m.pressId));
  const laid = anywhere.filter((m) => m.pressId === pressId);
  if (laid.length < LEAST_MARKS)
    return {
      marks: all,
      onFace,
      onPress: null,
      pressId,
      follows: onFace.chance < UNLIKELY ? 'blank' : 'neither',
    };
  const presses = laid.map((m) => m.onPress);
  const onPress: Gathering = {
    marks: laid.length,
    chance: chanceOf(
      unevenness(presses),
      (r) => unevenness(laid.map((m) => apply(m.to, { x: r(), y: r() }))),
      12,
    ),
    most: mostOf(presses),
  };
  return { marks: all, onFace, onPress, pressId, follows: followed(laid, onFace, onPress) };
}

function followed(
  laid: readonly (LaidMark & { readonly onPress: Point; readonly to: Affine })[],
  onFace: Gathering,
  onPress: Gathering,
): Overlay['follows'] {
  const [face, press] = [onFace.chance < UNLIKELY, onPress.chance < UNLIKELY];
  if (!face && !press) return 'neither';
  // Pieces that all lay alike cannot distinguish the two.
  if (new Set(laid.map((m) => m.to.map((v) => v.toFixed(2)).join())).size === 1) return 'both';
  if (face !== press) return face ? 'blank' : 'press';
  const shuffled = (random: () => number): readonly Affine[] => {
    const maps = laid.map((m) => m.to);
    for (let i = maps.length - 1; i > 0; i -= 1) {
      const j = Math.floor(random() * (i + 1));
      const [a, b] = [maps[i], maps[j]];
      if (a && b) [maps[i], maps[j]] = [b, a];
    }
    return maps;
  };
  const seen = unevenness(laid.map((m) => m.onPress));
  const needsLay = chanceOf(
    seen,
    (r) => {
      const maps = shuffled(r);
      return unevenness(laid.map((m, i) => apply(maps[i] ?? m.to, m.onFace)));
    },
    13,
  );
  return needsLay < UNLIKELY ? 'press' : 'blank';
}

const ROWS = ['back', 'middle', 'middle', 'front'] as const;
const COLUMNS = ['left', 'middle', 'middle', 'right'] as const;

/** Where a cell lies: its side and its end, seen on the press or on the piece. */
export function cellWords({ column, row }: Gathering['most'], on: 'press' | 'face'): Message {
  const side = COLUMNS[column] ?? 'middle';
  const end =
    on === 'press' ? (ROWS[row] ?? 'middle') : row === 0 ? 'top' : row === CELLS - 1 ? 'foot' : 'middle';
  if (side === 'middle' && end === 'middle') return say('inspect.cellMiddle');
  if (side === 'middle') return say('inspect.cellEnd', { end });
  return end === 'middle' ? say('inspect.cellSide', { side }) : say('inspect.cellCorner', { end, side });
}

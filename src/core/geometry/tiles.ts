import { say, type Message, type Write } from '../message/message';
import { A4_MM, type DrawnPage } from './drawing';
import { boundsOf, type Point } from './plane';

/** Printed part of a page of the usual size, mm; what is larger goes over several, joined at their marks. */
const TILE = { widthMm: 190, heightMm: 262 } as const;
const LEFT_MM = 10;
const TOP_MM = 25;

export interface Box {
  readonly fromX: number;
  readonly fromY: number;
  readonly toX: number;
  readonly toY: number;
}

/** The part of a ring inside a box (Sutherland & Hodgman 1974). */
export function clipped(ring: readonly Point[], box: Box): readonly Point[] {
  const cut = (
    points: readonly Point[],
    inside: (p: Point) => boolean,
    meet: (a: Point, b: Point) => Point,
  ) =>
    points.flatMap((p, i) => {
      const before = points[(i + points.length - 1) % points.length] ?? p;
      const [was, is] = [inside(before), inside(p)];
      return is ? (was ? [p] : [meet(before, p), p]) : was ? [meet(before, p)] : [];
    });
  const atX = (x: number) => (a: Point, b: Point) => ({
    x,
    y: a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x),
  });
  const atY = (y: number) => (a: Point, b: Point) => ({
    x: a.x + ((b.x - a.x) * (y - a.y)) / (b.y - a.y),
    y,
  });
  return [
    [(p: Point) => p.x >= box.fromX, atX(box.fromX)] as const,
    [(p: Point) => p.x <= box.toX, atX(box.toX)] as const,
    [(p: Point) => p.y >= box.fromY, atY(box.fromY)] as const,
    [(p: Point) => p.y <= box.toY, atY(box.toY)] as const,
  ].reduce<readonly Point[]>((points, [inside, meet]) => cut(points, inside, meet), ring);
}

type Shape = DrawnPage['shapes'][number];

export const outlineShape = (
  points: readonly Point[],
  closed: boolean,
  grey: number,
  widthMm: number,
): Shape => ({ points, closed, line: grey, ground: null, widthMm });

/** A closed ring of a drawing at true size, with the grey and the width of its line. */
export interface DrawnRing {
  readonly ring: readonly Point[];
  readonly grey: number;
  readonly widthMm: number;
}

export interface Tiling {
  readonly rings: readonly DrawnRing[];
  /** First line of every page; the part is added where there are several. */
  readonly title: Message;
  /** Second line, by where the page begins in the drawing, mm. */
  readonly about: (fromXMm: number, fromYMm: number) => Message;
}

function page(t: Tiling, box: Box, title: Message, write: Write): DrawnPage {
  const place = (p: Point): Point => ({ x: p.x - box.fromX + LEFT_MM, y: p.y - box.fromY + TOP_MM });
  const frame: Point[] = [
    { x: box.fromX, y: box.fromY },
    { x: box.toX, y: box.fromY },
    { x: box.toX, y: box.toY },
    { x: box.fromX, y: box.toY },
  ];
  return {
    ...A4_MM,
    words: [
      { x: LEFT_MM, y: 10, sizeMm: 4.2, text: write(title) },
      { x: LEFT_MM, y: 16, sizeMm: 3.2, text: write(t.about(box.fromX, box.fromY)) },
      { x: LEFT_MM, y: 292, sizeMm: 3, text: write(say('common.tileBar')) },
    ],
    shapes: [
      outlineShape(frame.map(place), true, 0.75, 0.15),
      ...t.rings
        .map((r) => ({ ...r, ring: clipped(r.ring, box) }))
        .filter((r) => r.ring.length >= 3)
        .map((r) => outlineShape(r.ring.map(place), true, r.grey, r.widthMm)),
      outlineShape(
        [
          { x: 100, y: 291 },
          { x: 200, y: 291 },
        ],
        false,
        0,
        0.6,
      ),
    ],
  };
}

/** A drawing at true size over as many pages as it takes. */
export function tilePages(t: Tiling, write: Write): readonly DrawnPage[] {
  const all = boundsOf(t.rings.flatMap((r) => r.ring));
  const columns = Math.max(1, Math.ceil(all.width / TILE.widthMm - 1e-6));
  const rows = Math.max(1, Math.ceil(all.height / TILE.heightMm - 1e-6));
  return Array.from({ length: columns * rows }, (_, k) => {
    const fromX = all.x + (k % columns) * TILE.widthMm;
    const fromY = all.y + Math.floor(k / columns) * TILE.heightMm;
    const box = {
      fromX,
      fromY,
      toX: Math.min(fromX + TILE.widthMm, all.x + all.width),
      toY: Math.min(fromY + TILE.heightMm, all.y + all.height),
    };
    const title =
      columns * rows === 1
        ? t.title
        : say('common.tilePart', { title: t.title, part: k + 1, of: columns * rows });
    return page(t, box, title, write);
  });
}

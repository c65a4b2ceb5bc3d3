import { A4_MM, type DrawnPage } from '../geometry/drawing';
import { clamp, type Point } from '../geometry/plane';
import type { Packing, PackingSheet, PlatenSize } from './packing';

/** Printed part of a page of the usual size, mm; what is larger goes over several, joined at their marks. */
const TILE = { widthMm: 190, heightMm: 262 } as const;
const LEFT_MM = 10;
const TOP_MM = 25;

interface Box {
  readonly fromX: number;
  readonly fromY: number;
  readonly toX: number;
  readonly toY: number;
}

function boxOf(sheet: PackingSheet): Box {
  const all = sheet.polygons.flat(2);
  return {
    fromX: Math.min(...all.map((p) => p.x)),
    fromY: Math.min(...all.map((p) => p.y)),
    toX: Math.max(...all.map((p) => p.x)),
    toY: Math.max(...all.map((p) => p.y)),
  };
}

/** The part of a ring inside a tile (Sutherland & Hodgman 1974). */
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

const line = (points: readonly Point[], closed: boolean, grey: number, widthMm: number) => ({
  points,
  closed,
  line: grey,
  ground: null,
  widthMm,
});

function tilePage(
  sheet: PackingSheet,
  box: Box,
  part: string,
  { cardMm, count, platen, name }: { cardMm: number; count: number; platen: PlatenSize; name: string },
): DrawnPage {
  const place = (p: Point): Point => ({ x: p.x - box.fromX + LEFT_MM, y: p.y - box.fromY + TOP_MM });
  const rings = sheet.polygons
    .flatMap((rs) => rs.map((r) => clipped(r, box)))
    .filter((r) => r.length >= 3)
    .map((r) => r.map(place));
  const frame: Point[] = [
    { x: box.fromX, y: box.fromY },
    { x: box.toX, y: box.fromY },
    { x: box.toX, y: box.toY },
    { x: box.fromX, y: box.toY },
  ].map(place);
  const mm = (v: number) => `${Math.round(v)} mm`;
  const at = `from ${mm(box.fromX)} of the left side and ${mm(box.fromY)} of the back`;
  return {
    ...A4_MM,
    words: [
      { x: LEFT_MM, y: 10, sizeMm: 4.2, text: `${name}: packing, sheet ${sheet.number} of ${count}${part}` },
      {
        x: LEFT_MM,
        y: 16,
        sizeMm: 3.2,
        text: `Cut along the lines from card of ${cardMm} mm. Lay it ${at}. Platen ${mm(platen.widthMm)} by ${mm(platen.heightMm)}.`,
      },
      { x: LEFT_MM, y: 292, sizeMm: 3, text: 'Print at 100 %, not fitted to the page: this bar is 100 mm.' },
    ],
    shapes: [
      line(frame, true, 0.75, 0.15),
      ...rings.map((r) => line(r, true, 0, 0.4)),
      line(
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

/** Every sheet of card at true size, over as many pages as it takes. */
export function packingPages(packing: Packing, platen: PlatenSize, name: string): readonly DrawnPage[] {
  const about = { cardMm: packing.cardMm, count: packing.sheets.length, platen, name };
  return packing.sheets.flatMap((sheet) => {
    const box = boxOf(sheet);
    const columns = Math.max(1, Math.ceil((box.toX - box.fromX) / TILE.widthMm - 1e-6));
    const rows = Math.max(1, Math.ceil((box.toY - box.fromY) / TILE.heightMm - 1e-6));
    const tiles = Array.from({ length: columns * rows }, (_, k) => {
      const fromX = box.fromX + (k % columns) * TILE.widthMm;
      const fromY = box.fromY + Math.floor(k / columns) * TILE.heightMm;
      return {
        fromX,
        fromY,
        toX: clamp(fromX + TILE.widthMm, fromX, box.toX),
        toY: clamp(fromY + TILE.heightMm, fromY, box.toY),
      };
    });
    return tiles.map((tile, k) =>
      tilePage(sheet, tile, tiles.length > 1 ? `, part ${k + 1} of ${tiles.length}` : '', about),
    );
  });
}

import type { Words } from '../job/job';
import { flatten, type Contour } from '../shapes/contour';
import type { Point, Rect } from '../shapes/plane';
import { distanceToRing, insideRing } from '../shapes/ring';
import type { FontId } from './fonts';
import { FONT_METRICS } from './fontMetrics';

interface FontMetrics {
  readonly capHeight: number;
  readonly ascent: number;
  readonly descent: number;
  readonly advances: Readonly<Record<string, number>>;
}

const METRICS: Readonly<Record<FontId, FontMetrics>> = FONT_METRICS;

export interface SetWords {
  /** Em size, mm. */
  readonly emMm: number;
  readonly box: Rect;
  readonly baselineMm: number;
  /** Left edge of each letter, mm from the left of the box; letters are set without kerning so that screen and sheet agree. */
  readonly letters: readonly { readonly letter: string; readonly xMm: number }[];
  /** Letters the font does not have. */
  readonly missing: readonly string[];
}

/** Measures words set with their middle at (dx, dy) from the middle of the trim. Box is capital height by advance. */
export function setWords(words: Words, trim: Rect): SetWords {
  const metrics = METRICS[words.font];
  const emMm = words.capHeightMm / metrics.capHeight;
  const blank = metrics.advances[' '] ?? 0.25;
  let pen = 0;
  const letters: { letter: string; xMm: number }[] = [];
  const missing = new Set<string>();
  for (const letter of words.text) {
    const advance = metrics.advances[letter];
    if (advance === undefined) missing.add(letter);
    else letters.push({ letter, xMm: pen * emMm });
    pen += advance ?? blank;
  }
  const width = pen * emMm;
  const cx = trim.x + trim.width / 2 + words.dxMm;
  const cy = trim.y + trim.height / 2 + words.dyMm;
  const box = { x: cx - width / 2, y: cy - words.capHeightMm / 2, width, height: words.capHeightMm };
  return { emMm, box, baselineMm: box.y + box.height, letters, missing: [...missing] };
}

/** Points round the edge of a box, close enough that no arc of a pattern slips between. */
function edgePoints(box: Rect): readonly Point[] {
  const n = 8;
  return Array.from({ length: n }, (_, i) => i / n).flatMap((t) => [
    { x: box.x + t * box.width, y: box.y },
    { x: box.x + box.width, y: box.y + t * box.height },
    { x: box.x + box.width - t * box.width, y: box.y + box.height },
    { x: box.x, y: box.y + box.height - t * box.height },
  ]);
}

/** How far a box runs out of a zone made of pieces, mm; 0 when inside, Infinity where there is no zone. */
export function runsOutOf(box: Rect, zone: readonly Contour[]): number {
  const rings = zone.map((c) => flatten(c));
  const out = (p: Point) =>
    rings.some((r) => insideRing(r, p)) ? 0 : Math.min(Infinity, ...rings.map((r) => distanceToRing(r, p)));
  return Math.max(
    ...edgePoints(box)
      .map(out)
      .map((d) => (d < 1e-6 ? 0 : d)),
  );
}

/** Whether a box and a zone overlap. */
export function touches(box: Rect, zones: readonly Contour[]): boolean {
  const holds = (p: Point) =>
    p.x > box.x && p.x < box.x + box.width && p.y > box.y && p.y < box.y + box.height;
  const grid = [0, 0.25, 0.5, 0.75, 1].flatMap((u) =>
    [0, 0.5, 1].map((v) => ({ x: box.x + u * box.width, y: box.y + v * box.height })),
  );
  return zones.some((c) => {
    const ring = flatten(c);
    return ring.some(holds) || [...grid, ...edgePoints(box)].some((p) => insideRing(ring, p));
  });
}

/** How far a box runs past an upright strip on its worse side, mm. */
export const runsPast = (box: Rect, fromX: number, toX: number): number =>
  Math.max(0, fromX - box.x, box.x + box.width - toX);

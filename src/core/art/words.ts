import type { Words } from '../job/job';
import type { Rect } from '../shapes/straight';
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

const crosses = (a: Rect, b: Rect): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;

/** How far a box runs out of a frame on its worst side, mm; 0 when inside. */
export function runsOutMm(box: Rect, frame: Rect): number {
  return Math.max(
    0,
    frame.x - box.x,
    frame.y - box.y,
    box.x + box.width - frame.x - frame.width,
    box.y + box.height - frame.y - frame.height,
  );
}

export const touches = (box: Rect, zones: readonly Rect[]): boolean => zones.some((z) => crosses(box, z));

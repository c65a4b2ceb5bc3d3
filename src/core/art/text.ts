import type { TextLayer } from '../job/art';
import { flatten, type Contour } from '../geometry/contour';
import { type Point, type Rect, boundsOf, rectCorners } from '../geometry/plane';
import { distanceToRing, insideRing } from '../geometry/ring';
import { apply, compose, rotate, translate, type Affine } from '../geometry/affine';
import { bent, levelDeg, type Bend } from './bend';
import type { FontId } from '../job/fonts';
import { FONT_METRICS } from './fontMetrics';
import { type Polygon } from '../geometry/polygon';

interface FontMetrics {
  readonly capHeight: number;
  readonly ascent: number;
  readonly descent: number;
  readonly advances: Readonly<Record<string, number>>;
}

const METRICS: Readonly<Record<FontId, FontMetrics>> = FONT_METRICS;

/** A letter with its own place: its origin on the baseline, em units already in mm. */
export interface LetterAt {
  readonly letter: string;
  readonly matrix: Affine;
}

/** How a text comes out before any letter is placed: smaller than asked where it had to be fitted. Lengths mm. */
export interface Fitted {
  readonly emMm: number;
  readonly capHeightMm: number;
  readonly lengthMm: number;
  /** Share of the wished size it is set at, 0..1. */
  readonly fitted: number;
  /** How much too long it is for its room; 0 where it fits. */
  readonly overMm: number;
  /** Letters the font does not have. */
  readonly missing: readonly string[];
}

export interface SetText extends Fitted {
  readonly text: string;
  /** Upright box on the straight board, and what the letters cover there: one four-cornered run, or one a letter round a circle. */
  readonly box: Rect;
  readonly quads: readonly Polygon[];
  /** Letters on the straight board, without kerning so that screen and sheet agree. */
  readonly letters: readonly LetterAt[];
}

/** Smaller than this share of the wished size and a fitted line no longer looks like its neighbours. */
export const LEAST_FIT = 0.6;

interface Run {
  readonly advance: number;
  readonly letters: readonly { readonly letter: string; readonly at: number; readonly wide: number }[];
  readonly missing: readonly string[];
}

/** Advances in ems. A letter the font lacks keeps the room of a space. */
function runOf(text: string, metrics: FontMetrics): Run {
  const blank = metrics.advances[' '] ?? 0.25;
  let pen = 0;
  const letters: { letter: string; at: number; wide: number }[] = [];
  const missing = new Set<string>();
  for (const letter of text) {
    const advance = metrics.advances[letter];
    if (advance === undefined) missing.add(letter);
    else letters.push({ letter, at: pen, wide: advance });
    pen += advance ?? blank;
  }
  return { advance: pen, letters, missing: [...missing] };
}

/** Radius of the circle words follow on a flat blank: from the blank's middle to the middle of the words. */
interface Circle {
  readonly centre: Point;
  readonly radiusMm: number;
  /** Words below the middle read along the foot of the circle, upright. */
  readonly below: boolean;
}

function circleOf(words: TextLayer, trim: Rect): Circle | null {
  const radiusMm = Math.hypot(words.dxMm, words.dyMm);
  if (words.along !== 'arc' || radiusMm < words.capHeightMm) return null;
  const centre = { x: trim.x + trim.width / 2, y: trim.y + trim.height / 2 };
  return { centre, radiusMm, below: words.dyMm > 0 };
}

/** A letter's middle goes on the circle, turned so that it stands on it. */
function onCircle(c: Circle, middleDeg: number, along: number, wide: number, cap: number): Affine {
  const mid = along + wide / 2;
  const turn = ((mid / c.radiusMm) * 180) / Math.PI;
  return c.below
    ? compose(
        translate(c.centre.x, c.centre.y),
        rotate(middleDeg - 90 - turn),
        translate(-wide / 2, c.radiusMm + cap / 2),
      )
    : compose(
        translate(c.centre.x, c.centre.y),
        rotate(middleDeg + 90 + turn),
        translate(-wide / 2, -c.radiusMm + cap / 2),
      );
}

function fit(words: TextLayer, run: Pick<Run, 'advance' | 'missing'>): Fitted {
  const { capHeight } = METRICS[words.font];
  const wishedMm = (run.advance * words.capHeightMm) / capHeight;
  const room = words.mostMm ?? Infinity;
  const fitted = words.overlong === 'fit' && wishedMm > room ? Math.max(LEAST_FIT, room / wishedMm) : 1;
  const capHeightMm = words.capHeightMm * fitted;
  const emMm = capHeightMm / capHeight;
  const lengthMm = run.advance * emMm;
  return { emMm, capHeightMm, lengthMm, fitted, overMm: Math.max(0, lengthMm - room), missing: run.missing };
}

/** How long a text of a layer comes out: far quicker than setting it. */
export function fitText(words: TextLayer, text: string): Fitted {
  const { advances } = METRICS[words.font];
  const blank = advances[' '] ?? 0.25;
  let advance = 0;
  const missing: string[] = [];
  for (const letter of text) {
    const wide = advances[letter];
    if (wide === undefined && !missing.includes(letter)) missing.push(letter);
    advance += wide ?? blank;
  }
  return fit(words, { advance, missing });
}

/** Whether the text follows a circle, with each letter rotated. */
export const isOnCircle = (words: TextLayer, trim: Rect, flat: boolean): boolean =>
  flat && circleOf(words, trim) !== null;

/**
 * Measures words set with their middle at (dx, dy) from the middle of the straight board. Box is capital height by advance. On a flat
 * blank words along an arc follow the circle about its middle; on a wall they lie level and are bent with `ontoPaper`.
 */
export function setText(words: TextLayer, trim: Rect, flat = false): SetText {
  const metrics = METRICS[words.font];
  const run = runOf(words.text, metrics);
  const fitted = fit(words, run);
  const { emMm, capHeightMm: cap, lengthMm } = fitted;
  const cx = trim.x + trim.width / 2 + words.dxMm;
  const cy = trim.y + trim.height / 2 + words.dyMm;
  const own = compose(translate(cx, cy), rotate(words.rotationDeg), translate(-lengthMm / 2, cap / 2));
  const circle = flat ? circleOf(words, trim) : null;
  const middleDeg = (Math.atan2(words.dyMm, words.dxMm) * 180) / Math.PI;
  const letters = run.letters.map(({ letter, at, wide }) => ({
    letter,
    matrix: circle
      ? onCircle(circle, middleDeg, at * emMm - lengthMm / 2, wide * emMm, cap)
      : compose(own, translate(at * emMm, 0)),
  }));
  const quads = circle
    ? run.letters.map(({ wide }, i) => cornersOf(letters[i]?.matrix ?? own, wide * emMm, cap))
    : [cornersOf(own, lengthMm, cap)];
  return {
    ...fitted,
    text: words.text,
    box: boundsOf(quads.length > 0 ? quads.flat() : [{ x: cx, y: cy }]),
    quads,
    letters,
  };
}

const cornersOf = (m: Affine, wide: number, cap: number): Polygon =>
  rectCorners({ x: 0, y: -cap, width: wide, height: cap }).map((p) => apply(m, p));

/** A matrix that takes a small thing at a board point to the paper, turned with the level line there but not stretched. */
function carried(b: Bend, at: Point): Affine {
  const to = bent(b, at);
  return compose(translate(to.x, to.y), rotate(levelDeg(b, at)), translate(-at.x, -at.y));
}

/**
 * Letters from the straight board to the paper. Along the arc every letter turns by itself, its middle kept its own distance along the
 * level line; along a line the words stay one straight line, turned as a whole.
 */
export function ontoPaper(set: SetText, words: TextLayer, b: Bend | null): readonly LetterAt[] {
  if (!b) return set.letters;
  const mid = set.box.x + set.box.width / 2;
  const whole = { x: mid, y: set.box.y + set.box.height / 2 };
  if (words.along === 'line') {
    const m = carried(b, whole);
    return set.letters.map((l) => ({ ...l, matrix: compose(m, l.matrix) }));
  }
  return set.letters.map((l) => {
    const middle = apply(l.matrix, { x: advanceMm(set, words, l.letter) / 2, y: -set.capHeightMm / 2 });
    return { ...l, matrix: compose(carried(b, middle), l.matrix) };
  });
}

const advanceMm = (set: SetText, words: TextLayer, letter: string): number =>
  (METRICS[words.font].advances[letter] ?? 0) * set.emMm;

/** Points round the edge of the words, close enough that no arc of a pattern slips between. */
function edgePoints(corners: Polygon): readonly Point[] {
  const n = 8;
  return corners.flatMap((a, i) => {
    const b = corners[(i + 1) % corners.length] ?? a;
    return Array.from({ length: n }, (_, k) => ({
      x: a.x + ((b.x - a.x) * k) / n,
      y: a.y + ((b.y - a.y) * k) / n,
    }));
  });
}

/** How far words run out of a zone made of pieces, mm; 0 when inside, Infinity where there is no zone. */
export function runsOutOf(quads: readonly Polygon[], zone: readonly Contour[]): number {
  const rings = zone.map((c) => flatten(c));
  const out = (p: Point) =>
    rings.some((r) => insideRing(r, p)) ? 0 : Math.min(Infinity, ...rings.map((r) => distanceToRing(r, p)));
  return Math.max(
    ...quads
      .flatMap(edgePoints)
      .map(out)
      .map((d) => (d < 1e-6 ? 0 : d)),
  );
}

/** Whether words and a zone overlap. */
export function touches(quads: readonly Polygon[], zones: readonly Contour[]): boolean {
  const inner = quads.flatMap(edgePoints);
  return zones.some((c) => {
    const ring = flatten(c);
    return ring.some((p) => quads.some((q) => insideRing(q, p))) || inner.some((p) => insideRing(ring, p));
  });
}

/** How far a box runs past an upright strip on its worse side, mm. */
export const runsPast = (box: Rect, fromX: number, toX: number): number =>
  Math.max(0, fromX - box.x, box.x + box.width - toX);

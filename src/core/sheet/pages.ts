import { apply, compose, rotate, translate, type Affine } from '../art/affine';
import { boundsOf, rectCorners, type Polygon } from '../art/polygon';
import type { FontId } from '../art/fonts';
import { setWords, type SetWords } from '../art/words';
import type { Placed } from '../art/place';
import type { Words } from '../job/job';
import { boundsOfContour, flatten, type Contour } from '../shapes/contour';
import type { Point, Rect } from '../shapes/plane';
import type { Face, Pattern } from '../wrap/pattern';
import { madeGood, spotMatrix, type SheetLayout, type Spot } from './layout';

/**
 * What is drawn on a page, in page mm with y down. The PDF, the PNG, the SVG and the screen all draw this same list, so
 * none can disagree with another.
 */
export type PageItem =
  | { readonly kind: 'picture'; readonly matrix: Affine; readonly clip: Polygon }
  | {
      readonly kind: 'words';
      readonly set: SetWords;
      readonly font: FontId;
      readonly colour: string;
      readonly matrix: Affine;
      readonly clip: Polygon;
    }
  | { readonly kind: 'line'; readonly from: Point; readonly to: Point; readonly widthMm: number }
  | { readonly kind: 'bar'; readonly rect: Rect; readonly filled: boolean; readonly matrix: Affine }
  | { readonly kind: 'text'; readonly text: string; readonly emMm: number; readonly matrix: Affine };

export interface Page {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly trimBox: Rect;
  readonly bleedBox: Rect;
  readonly items: readonly PageItem[];
  /** How many of this page to print. */
  readonly copies: number;
}

export interface PageArt {
  readonly placed: Placed | null;
  readonly words: Words | null;
}

export interface PageLabel {
  readonly job: string;
  readonly blank: string;
  readonly mirrored: boolean;
  readonly rulerMm: number;
  readonly rulerText: string;
}

const HAIR_MM = 0.15;
/** How far the clip's chords may stray from an arc: a third of a dot at 300 to the inch. */
const CLIP_TOLERANCE_MM = 0.03;

/** The pattern's own cut marks, all outside the bleed; and the fold, dashed by its two ticks only. */
const ticks = (pattern: Pattern, m: Affine): PageItem[] =>
  pattern.ticks.map((t) => ({ kind: 'line', from: apply(m, t.from), to: apply(m, t.to), widthMm: HAIR_MM }));

/** The word “rim” (“top” on a flat blank) outside that edge, always readable, so nobody wraps it upside down. */
function upMark(pattern: Pattern, spot: Spot, mirrored: boolean): PageItem {
  const { whole, front, trim } = pattern;
  const middle = front ? front.x : trim.x + trim.width / 2;
  const x = mirrored ? 2 * (whole.x + whole.width / 2) - middle : middle;
  const at = apply(spot.plain, { x: x + 1.2, y: whole.y - 0.6 });
  const turn = Math.round((Math.atan2(spot.plain[1], spot.plain[0]) * 180) / Math.PI);
  return {
    kind: 'text',
    text: pattern.form === 'flat' ? 'top' : 'rim',
    emMm: 2.4,
    matrix: compose(translate(at.x, at.y), rotate(turn)),
  };
}

function faceItems(face: Face, pattern: Pattern, matrix: Affine, art: PageArt): PageItem[] {
  const m = compose(matrix, face.matrix);
  const clip = flatten(face.bleed, CLIP_TOLERANCE_MM).map((p) => apply(m, p));
  const items: PageItem[] = [];
  if (art.placed) items.push({ kind: 'picture', matrix: compose(m, art.placed.matrix), clip });
  if (art.words) {
    const set = setWords(art.words, pattern.trim);
    const at = compose(m, translate(set.box.x, set.baselineMm));
    items.push({ kind: 'words', set, font: art.words.font, colour: art.words.colour, matrix: at, clip });
  }
  return items;
}

/** The picture and words on every face. */
const artItems = (pattern: Pattern, matrix: Affine, art: PageArt): PageItem[] =>
  pattern.faces.flatMap((face) => faceItems(face, pattern, matrix, art));

function pieceItems(pattern: Pattern, spot: Spot, art: PageArt, mirrored: boolean): PageItem[] {
  return [
    ...artItems(pattern, spot.matrix, art),
    ...ticks(pattern, spot.matrix),
    upMark(pattern, spot, mirrored),
  ];
}

/** One piece out to its bleed with no marks at all, as a page of its own. */
export function pieceAlone(pattern: Pattern, art: PageArt, mirrored: boolean): Page {
  const { whole } = pattern;
  const matrix = spotMatrix(pattern, 0, 0, false, mirrored);
  const boxOf = (of: (f: Face) => Contour) => boundsOf(facePoints(pattern, matrix, of));
  return {
    widthMm: whole.width,
    heightMm: whole.height,
    bleedBox: boxOf((f) => f.bleed),
    trimBox: boxOf((f) => f.trim),
    items: artItems(pattern, matrix, art),
    copies: 1,
  };
}

/** Corners of the box of every face's contour, carried to the page. */
const facePoints = (pattern: Pattern, matrix: Affine, of: (f: Face) => Contour): readonly Point[] =>
  pattern.faces.flatMap((f) =>
    rectCorners(boundsOfContour(of(f))).map((p) => apply(compose(matrix, f.matrix), p)),
  );

/** The strip's own coordinates: x along it, y down across it. */
function stripMatrix({ strip, paper }: SheetLayout): { readonly matrix: Affine; readonly lengthMm: number } {
  const { rect, upright } = strip;
  const fit = madeGood(paper);
  return upright
    ? { matrix: compose(fit, translate(rect.x, rect.y)), lengthMm: rect.width }
    : { matrix: compose(fit, translate(rect.x + rect.width, rect.y), rotate(90)), lengthMm: rect.height };
}

const cut = (text: string, most: number): string =>
  text.length <= most ? text : `${text.slice(0, most - 1)}…`;

function stripItems(layout: SheetLayout, label: PageLabel, sheetText: string): PageItem[] {
  const { matrix, lengthMm } = stripMatrix(layout);
  const step = label.rulerMm / 10;
  const y = 4;
  const ruler: PageItem[] = Array.from({ length: 10 }, (_, i) => ({
    kind: 'bar',
    rect: { x: 1 + i * step, y, width: step, height: 2.4 },
    filled: i % 2 === 0,
    matrix,
  }));
  const text = (t: string, x: number, base: number): PageItem => ({
    kind: 'text',
    text: t,
    emMm: 2.6,
    matrix: compose(matrix, translate(x, base)),
  });
  const mirrorLine = label.mirrored
    ? 'Mirrored in this file: driver mirror OFF'
    : 'NOT mirrored in this file: driver mirror ON';
  const textX = label.rulerMm + 4;
  const room = Math.max(12, Math.floor((lengthMm - textX) / 1.25));
  return [
    ...ruler,
    text(`must measure ${label.rulerText}`, 1, 3.2),
    text(cut(`${cut(label.job, 34)} · ${cut(label.blank, 30)}`, room), textX, 3.2),
    text(cut(`${mirrorLine} · 100 % scale · ${sheetText}`, room), textX, 6.4),
  ];
}

function page(
  layout: SheetLayout,
  pattern: Pattern,
  art: PageArt,
  label: PageLabel,
  n: number,
  copies: number,
  text: string,
): Page {
  const spots = layout.spots.slice(0, n);
  const boxOf = (of: (f: Face) => Contour) =>
    boundsOf(spots.flatMap((s) => facePoints(pattern, s.matrix, of)));
  return {
    widthMm: layout.paper.widthMm,
    heightMm: layout.paper.heightMm,
    trimBox: boxOf((f) => f.trim),
    bleedBox: boxOf((f) => f.bleed),
    items: [
      ...spots.flatMap((s) => pieceItems(pattern, s, art, label.mirrored)),
      ...stripItems(layout, label, text),
    ],
    copies,
  };
}

/** The distinct pages of a job: the full sheet, and the last one where it holds fewer. */
export function drawPages(
  layout: SheetLayout,
  pattern: Pattern,
  art: PageArt,
  label: PageLabel,
): readonly Page[] {
  const { sheets, perSheet, onLast } = layout;
  const full = onLast === perSheet ? sheets : sheets - 1;
  const pages: Page[] = [];
  if (full > 0) pages.push(page(layout, pattern, art, label, perSheet, full, `print ${full}`));
  if (onLast !== perSheet) pages.push(page(layout, pattern, art, label, onLast, 1, 'print 1'));
  return pages;
}

/** A ruler that fits the strip and reads in round numbers of the shop's unit, mm. */
export function rulerFor(
  layout: SheetLayout,
  unit: 'mm' | 'in',
): { readonly rulerMm: number; readonly rulerText: string } {
  const room = stripMatrix(layout).lengthMm - 60;
  if (unit === 'mm')
    return room >= 100 ? { rulerMm: 100, rulerText: '100 mm' } : { rulerMm: 50, rulerText: '50 mm' };
  return room >= 101.6 ? { rulerMm: 101.6, rulerText: '4 in' } : { rulerMm: 50.8, rulerText: '2 in' };
}

import { say, type Message, type Write } from '../message/message';
import { apply, compose, rotate, translate, type Affine } from '../geometry/affine';
import { faceItems, type ArtItem } from '../art/items';
import type { PlacedLayer } from '../art/placedLayers';
import { type Polygon } from '../geometry/polygon';
import { boundsOfContour, flatten, type Contour } from '../geometry/contour';
import { type Point, type Rect, boundsOf, rectCorners } from '../geometry/plane';
import type { Ring } from '../geometry/ring';
import { mainFace, type Face, type Pattern } from '../wrap/pattern';
import type { SheetPlacements, SheetLayout, PiecePlacement } from './layout';
import { compensated, placementMatrix } from './placementMatrix';
import type { JoinEnd } from './panels';

/**
 * What is drawn on a page, in page mm with y down. The PDF, the PNG, the SVG and the screen all draw this same list, so
 * none can disagree with another.
 */
export type PageItem =
  | ArtItem
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

/** One panel of a wrap printed in several. */
export interface PanelPrint {
  readonly number: number;
  readonly of: number;
  readonly outline: Ring;
  readonly ends: readonly JoinEnd[];
}

/** What a part of the layout is printed with. */
export interface Print {
  readonly pattern: Pattern;
  /** Box the spots are placed by. */
  readonly box: Rect;
  readonly panel: PanelPrint | null;
  readonly placedLayersOf: (piece: number) => readonly PlacedLayer[];
  /** Says which piece it is; '' where all are alike. */
  readonly nameOf: (piece: number) => string;
}

export interface PageLabel {
  readonly job: string;
  readonly blank: string;
  readonly mirrored: boolean;
  readonly rulerMm: number;
  readonly rulerText: string;
}

const HAIR_MM = 0.15;
const MARK_EM_MM = 2.4;
/** Width of a letter of the marks, mm, on the large side. */
const MARK_LETTER_MM = 1.35;
const CHORD_MM = 0.03;

const hair = (from: Point, to: Point): PageItem => ({ kind: 'line', from, to, widthMm: HAIR_MM });

/** Cut marks and the fold's two ticks, all outside the bleed; of a panel only those beside it. */
function ticks({ pattern, panel, box }: Print, m: Affine): PageItem[] {
  const reach = 3;
  const near = (p: Point) =>
    !panel ||
    (p.x > box.x - reach &&
      p.x < box.x + box.width + reach &&
      p.y > box.y - reach &&
      p.y < box.y + box.height + reach);
  return pattern.ticks.filter((t) => near(t.from)).map((t) => hair(apply(m, t.from), apply(m, t.to)));
}

/** A small word at a point of the pattern, always readable, however the piece lies and whichever side mirrors. */
function wordAt(at: Point, text: string, placement: PiecePlacement): PageItem {
  const turn = Math.round((Math.atan2(placement.plain[1], placement.plain[0]) * 180) / Math.PI);
  return { kind: 'text', text, emMm: MARK_EM_MM, matrix: compose(translate(at.x, at.y), rotate(turn)) };
}

/** Where panels meet: the same named ticks on both, outside the wrap. */
function registerTicks({ panel }: Print, placement: PiecePlacement): PageItem[] {
  return (panel?.ends ?? []).flatMap(({ name, at, out }) => {
    const by = (mm: number): Point => ({ x: at.x + out.x * mm, y: at.y + out.y * mm });
    const [from, to] = [apply(placement.matrix, by(0.5)), apply(placement.matrix, by(2.7))];
    // Beside the tick, on the side that reads after it, within the room ticks have.
    const beside = apply(compose(translate(to.x, to.y), turnOnly(placement)), {
      x: 0.5,
      y: out.y < 0 ? MARK_EM_MM * 0.75 : 0,
    });
    return [hair(from, to), wordAt(beside, name, placement)];
  });
}

/** A spot's turn alone, unmirrored. */
const turnOnly = (placement: PiecePlacement): Affine =>
  rotate(Math.round((Math.atan2(placement.plain[1], placement.plain[0]) * 180) / Math.PI));

/** Upper edge of an outline at x, or Infinity beside it. */
function topAt(ring: Ring, x: number): number {
  let top = Infinity;
  ring.forEach((a, i) => {
    const b = ring[(i + 1) % ring.length] ?? a;
    if (x < Math.min(a.x, b.x) || x > Math.max(a.x, b.x)) return;
    const y =
      Math.abs(b.x - a.x) < 1e-12 ? Math.min(a.y, b.y) : a.y + ((x - a.x) / (b.x - a.x)) * (b.y - a.y);
    top = Math.min(top, y);
  });
  return top;
}

/** Outline the mark stands on, as it lies after mirroring. */
function edgeRing({ pattern, panel, box }: Print, mirrored: boolean): Ring {
  const single = pattern.faces.length === 1 && !pattern.grip && pattern.tails.length === 0 && !panel;
  const ring = single ? flatten(mainFace(pattern).bleed, CHORD_MM) : rectCorners(box);
  return mirrored ? ring.map((p) => ({ x: 2 * box.x + box.width - p.x, y: p.y })) : ring;
}

/** A label with what writes it, in the language of the shop. */
type WrittenLabel = PageLabel & { readonly write: Write };

/** The word “rim” (“top” on a flat blank) and the piece's name outside that edge, always readable, so nobody wraps it upside down. */
function upMark(print: Print, placement: PiecePlacement, { mirrored, write }: WrittenLabel): PageItem {
  const { pattern, panel, box } = print;
  const { front, trim } = pattern;
  const wanted = front && !panel ? front.x : panel ? box.x + box.width / 2 - 14 : trim.x + trim.width / 2;
  const middle = Math.min(box.x + box.width - 2, Math.max(box.x + 2, wanted));
  const x = (mirrored && !panel ? 2 * (box.x + box.width / 2) - middle : middle) + 1.2;
  const name = print.nameOf(placement.piece);
  const words = [
    write(pattern.form === 'flat' ? say('common.top') : say('sheet.rim')),
    ...(panel ? [write(say('sheet.panelOf', { number: panel.number, of: panel.of }))] : []),
    ...(name === '' ? [] : [name]),
  ].join(' · ');
  const room = Math.max(3, Math.floor((box.x + box.width - x) / MARK_LETTER_MM));
  const text = cut(words, room);
  const ring = edgeRing(print, mirrored);
  const wide = text.length * MARK_LETTER_MM;
  const tops = Array.from({ length: 6 }, (_, i) => topAt(ring, x - 1.2 + (i * wide) / 5)).filter(
    Number.isFinite,
  );
  const y = (tops.length > 0 ? Math.min(...tops) : box.y) - 0.6;
  return wordAt(apply(placement.plain, { x, y }), text, placement);
}

const cut = (text: string, most: number): string =>
  text.length <= most ? text : `${text.slice(0, Math.max(1, most - 1))}…`;

/** The pictures and words on every face. */
function artItems(
  pattern: Pattern,
  matrix: Affine,
  placedLayers: readonly PlacedLayer[],
  panel: Ring | null,
): ArtItem[] {
  const clip: Polygon | null = panel && panel.map((p) => apply(matrix, p));
  return pattern.faces.flatMap((face) => faceItems(placedLayers, face, compose(matrix, face.matrix), clip));
}

function pieceItems(print: Print, placement: PiecePlacement, label: WrittenLabel): PageItem[] {
  return [
    ...artItems(
      print.pattern,
      placement.matrix,
      print.placedLayersOf(placement.piece),
      print.panel?.outline ?? null,
    ),
    ...ticks(print, placement.matrix),
    ...registerTicks(print, placement),
    upMark(print, placement, label),
  ];
}

/** One piece out to its bleed with no marks at all, as a page of its own. */
export function pieceAlone(pattern: Pattern, placedLayers: readonly PlacedLayer[], mirrored: boolean): Page {
  const { whole } = pattern;
  const matrix = placementMatrix(whole, 0, 0, 0, mirrored);
  const boxOf = (of: (f: Face) => Contour) => boundsOf(facePoints(pattern, matrix, of, null));
  return {
    widthMm: whole.width,
    heightMm: whole.height,
    bleedBox: boxOf((f) => f.bleed),
    trimBox: boxOf((f) => f.trim),
    items: artItems(pattern, matrix, placedLayers, null),
    copies: 1,
  };
}

function within(r: Rect, box: Rect | null): Rect {
  if (!box) return r;
  const [x, y] = [Math.max(r.x, box.x), Math.max(r.y, box.y)];
  return {
    x,
    y,
    width: Math.max(0, Math.min(r.x + r.width, box.x + box.width) - x),
    height: Math.max(0, Math.min(r.y + r.height, box.y + box.height) - y),
  };
}

/** Corners of the box of every face's contour, carried to the page; of a panel, of its part of it. */
const facePoints = (
  pattern: Pattern,
  matrix: Affine,
  of: (f: Face) => Contour,
  panel: Rect | null,
): readonly Point[] =>
  pattern.faces.flatMap((f) => {
    const own = boundsOf(rectCorners(boundsOfContour(of(f))).map((p) => apply(f.matrix, p)));
    return rectCorners(within(own, panel)).map((p) => apply(matrix, p));
  });

/** The strip's own coordinates: x along it, y down across it. */
function stripMatrix(
  { strip, heightMm }: SheetPlacements,
  { paper }: SheetLayout,
): { readonly matrix: Affine; readonly lengthMm: number } {
  const { rect, upright } = strip;
  const fit = compensated(paper, heightMm);
  return upright
    ? { matrix: compose(fit, translate(rect.x, rect.y)), lengthMm: rect.width }
    : { matrix: compose(fit, translate(rect.x + rect.width, rect.y), rotate(90)), lengthMm: rect.height };
}

/** The line that says, on every label and list, who mirrors. */
export const mirrorLine = (mirrored: boolean): Message =>
  mirrored ? say('sheet.mirroredInFile') : say('sheet.notMirroredInFile');

function stripItems(
  sheet: SheetPlacements,
  layout: SheetLayout,
  label: WrittenLabel,
  sheetText: Message,
  inPanels: boolean,
): PageItem[] {
  const { matrix, lengthMm } = stripMatrix(sheet, layout);
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
  const textX = label.rulerMm + 4;
  const room = Math.max(12, Math.floor((lengthMm - textX) / 1.25));
  return [
    ...ruler,
    text(label.write(say('sheet.mustMeasure', { length: label.rulerText })), 1, 3.2),
    text(cut(`${cut(label.job, 34)} · ${cut(label.blank, 30)}`, room), textX, 3.2),
    ...(inPanels ? [text(label.write(say('sheet.layingPanels')), 1, 8.8)] : []),
    text(
      cut(
        label.write(say('sheet.labelLine', { mirror: mirrorLine(label.mirrored), sheet: sheetText })),
        room,
      ),
      textX,
      6.4,
    ),
  ];
}

function page(
  sheet: SheetPlacements,
  layout: SheetLayout,
  prints: readonly Print[],
  label: WrittenLabel,
  text: Message,
): Page {
  const printOf = (s: PiecePlacement) => prints[s.part] as Print;
  const boxOf = (of: (f: Face) => Contour) =>
    boundsOf(
      sheet.placements.flatMap((s) => {
        const { pattern, panel, box } = printOf(s);
        return facePoints(pattern, s.matrix, of, panel ? box : null);
      }),
    );
  return {
    widthMm: layout.paper.widthMm,
    heightMm: sheet.heightMm,
    trimBox: boxOf((f) => f.trim),
    bleedBox: boxOf((f) => f.bleed),
    items: [
      ...sheet.placements.flatMap((s) => pieceItems(printOf(s), s, label)),
      ...stripItems(
        sheet,
        layout,
        label,
        text,
        sheet.placements.some((s) => printOf(s).panel !== null),
      ),
    ],
    copies: sheet.copies,
  };
}

/** One page by its number from 0, null where there is none: sheets alike are one page that says how often to print it. */
export function drawPage(
  layout: SheetLayout,
  at: number,
  prints: readonly Print[],
  label: PageLabel,
  write: Write,
): Page | null {
  const many = layout.sheets.length;
  const sheet = layout.sheets[at];
  if (!sheet) return null;
  const text =
    many === 1
      ? say('sheet.printCopies', { copies: sheet.copies })
      : say('sheet.sheetOfCopies', { number: at + 1, of: many, copies: sheet.copies });
  return page(sheet, layout, prints, { ...label, write }, text);
}

/** A ruler that fits the strip and reads in round numbers of the shop's unit, mm. */
export function rulerFor(
  layout: SheetLayout,
  unit: 'mm' | 'in',
): { readonly rulerMm: number; readonly rulerText: string } {
  const lengths = layout.sheets.map((s) => stripMatrix(s, layout).lengthMm);
  const room = Math.min(...lengths) - 60;
  if (unit === 'mm')
    return room >= 100 ? { rulerMm: 100, rulerText: '100 mm' } : { rulerMm: 50, rulerText: '50 mm' };
  return room >= 101.6 ? { rulerMm: 101.6, rulerText: '4 in' } : { rulerMm: 50.8, rulerText: '2 in' };
}

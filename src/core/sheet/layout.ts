import { fail, ok, type Result } from '../result';
import { compose, mirrorX, rotate, scale, translate, type Affine } from '../art/affine';
import { contourArea } from '../shapes/contour';
import { inset, type Rect } from '../shapes/plane';
import type { Paper } from '../shop/paper';
import type { Pattern } from '../wrap/pattern';
import { scaleOf } from './calibration';

/** Room round every bleed for ticks and the rim mark, mm. */
export const TICK_ROOM_MM = 3;
/** Strip for the ruler bar and the label, mm. */
export const STRIP_MM = 9;

export interface Spot {
  /** Printed box on the page, mm. */
  readonly box: Rect;
  /** Pattern mm to page mm, mirrored when the application mirrors. */
  readonly matrix: Affine;
  /** The same without the mirror, for marks that must read. */
  readonly plain: Affine;
}

export interface SheetLayout {
  readonly paper: Paper;
  readonly turned: boolean;
  readonly spots: readonly Spot[];
  readonly strip: { readonly rect: Rect; readonly upright: boolean };
  readonly perSheet: number;
  readonly sheets: number;
  /** Pieces on the last sheet. */
  readonly onLast: number;
  /** Share of the paper that becomes wrap, 0..1. */
  readonly used: number;
}

export interface LayoutInput {
  readonly pattern: Pattern;
  readonly paper: Paper;
  readonly marginMm: number;
  readonly gapMm: number;
  readonly pieces: number;
  readonly mirror: boolean;
}

interface Try {
  readonly turned: boolean;
  readonly stripAtFoot: boolean;
  readonly cols: number;
  readonly rows: number;
  readonly area: Rect;
}

const fitCount = (room: number, size: number, gap: number): number =>
  Math.max(0, Math.floor((room - 2 * TICK_ROOM_MM + gap + 1e-9) / (size + gap)));

function tryLayout(input: LayoutInput, turned: boolean, stripAtFoot: boolean): Try {
  const printable = inset(
    { x: 0, y: 0, width: input.paper.widthMm, height: input.paper.heightMm },
    input.marginMm,
  );
  const area: Rect = stripAtFoot
    ? { ...printable, height: Math.max(0, printable.height - STRIP_MM) }
    : { ...printable, width: Math.max(0, printable.width - STRIP_MM) };
  const { whole } = input.pattern;
  const [w, h] = turned ? [whole.height, whole.width] : [whole.width, whole.height];
  const gap = spacing(input.gapMm);
  return {
    turned,
    stripAtFoot,
    area,
    cols: fitCount(area.width, w, gap),
    rows: fitCount(area.height, h, gap),
  };
}

/** Neighbours stand at least the tick room apart, so no tick ever enters another piece. */
const spacing = (gapMm: number): number => Math.max(gapMm, TICK_ROOM_MM);

function bestTry(input: LayoutInput): Try | null {
  const tries = [
    tryLayout(input, false, true),
    tryLayout(input, false, false),
    tryLayout(input, true, true),
    tryLayout(input, true, false),
  ];
  const worth = (t: Try) => Math.min(input.pieces, t.cols * t.rows);
  const best = tries.reduce((a, b) => (worth(b) > worth(a) ? b : a));
  return worth(best) > 0 ? best : null;
}

/** Pattern mm to page mm for a piece whose printed box starts at (x, y). */
export function spotMatrix(pattern: Pattern, x: number, y: number, turned: boolean, mirror: boolean): Affine {
  const { whole } = pattern;
  const place = turned
    ? compose(translate(x + whole.height, y), rotate(90), translate(-whole.x, -whole.y))
    : translate(x - whole.x, y - whole.y);
  return mirror ? compose(place, mirrorX(whole.x + whole.width / 2)) : place;
}

/** Undoes what the printer is known to do to lengths on this paper, about the middle of the page. */
export function madeGood(paper: Paper): Affine {
  const { across, along } = scaleOf(paper);
  const [cx, cy] = [paper.widthMm / 2, paper.heightMm / 2];
  return compose(translate(cx, cy), scale(1 / across.scale, 1 / along.scale), translate(-cx, -cy));
}

function spotsOf(input: LayoutInput, t: Try): readonly Spot[] {
  const { whole } = input.pattern;
  const [w, h] = t.turned ? [whole.height, whole.width] : [whole.width, whole.height];
  const gap = spacing(input.gapMm);
  const fit = madeGood(input.paper);
  const n = Math.min(input.pieces, t.cols * t.rows);
  const rows = Math.ceil(n / t.cols);
  const cols = Math.min(n, t.cols);
  const left = t.area.x + (t.area.width - cols * w - (cols - 1) * gap) / 2;
  const top = t.area.y + (t.area.height - rows * h - (rows - 1) * gap) / 2;
  return Array.from({ length: n }, (_, i) => {
    const x = left + (i % t.cols) * (w + gap);
    const y = top + Math.floor(i / t.cols) * (h + gap);
    return {
      box: { x, y, width: w, height: h },
      matrix: compose(fit, spotMatrix(input.pattern, x, y, t.turned, input.mirror)),
      plain: compose(fit, spotMatrix(input.pattern, x, y, t.turned, false)),
    };
  });
}

/** Size a sheet must have for one piece, ticks, strip and margins, mm, the smaller way round. */
export function needMm(
  pattern: Pattern,
  marginMm: number,
): { readonly shortMm: number; readonly longMm: number } {
  const around = 2 * (TICK_ROOM_MM + marginMm);
  const a = pattern.whole.width + around;
  const b = pattern.whole.height + around;
  const [short, long] = a <= b ? [a, b] : [b, a];
  return { shortMm: short, longMm: long + STRIP_MM };
}

/** Lays copies on sheets: most to a sheet, upright before turned, strip at the foot before the side. */
export function layoutSheet(input: LayoutInput): Result<SheetLayout> {
  if (2 * input.marginMm >= Math.min(input.paper.widthMm, input.paper.heightMm)) {
    return fail(
      `The printer’s ${input.marginMm} mm margins leave nothing of ${input.paper.name}.`,
      'Sheet',
      'Set the margin in Settings, or choose a larger paper.',
    );
  }
  const best = bestTry(input);
  if (!best) return fail(`The wrap does not fit on ${input.paper.name}.`, 'Sheet', 'Choose a larger paper.');
  const spots = spotsOf(input, best);
  const perSheet = spots.length;
  const sheets = Math.ceil(input.pieces / perSheet);
  const faceArea = input.pattern.faces.reduce((sum, f) => sum + Math.abs(contourArea(f.trim)), 0);
  const strip: Rect = best.stripAtFoot
    ? { x: best.area.x, y: best.area.y + best.area.height, width: best.area.width, height: STRIP_MM }
    : { x: best.area.x + best.area.width, y: best.area.y, width: STRIP_MM, height: best.area.height };
  return ok({
    paper: input.paper,
    turned: best.turned,
    spots,
    strip: { rect: strip, upright: best.stripAtFoot },
    perSheet,
    sheets,
    onLast: input.pieces - (sheets - 1) * perSheet,
    used: (perSheet * faceArea) / (input.paper.widthMm * input.paper.heightMm),
  });
}

/** The smallest paper of the shop that would hold one piece; null when none does. */
export function smallestThatFits(input: Omit<LayoutInput, 'paper'>, papers: readonly Paper[]): Paper | null {
  const fitting = papers.filter((paper) => layoutSheet({ ...input, paper }).ok);
  return fitting.reduce<Paper | null>(
    (best, p) => (best && best.widthMm * best.heightMm <= p.widthMm * p.heightMm ? best : p),
    null,
  );
}

import { IDENTITY, rotate, translate, compose, apply, type Affine } from '../geometry/affine';
import { scaled, type Uncertain } from '../figures/uncertain';
import type { Fold } from '../job/job';
import { around, type Line, type Rect, boundsOf } from '../geometry/plane';
import {
  boundsOfContour,
  contourArea,
  contourLength,
  mirrorContour,
  rectContour,
  type Contour,
} from '../geometry/contour';
import { holeContour, offsetOutline, outlineContour } from '../shapes/flat';
import type { FlatOutline, FlatShape, Hole } from '../shop/blank';
import type { AxisScale } from '../calibration/calibration';
import { bleedFor19In20, coverChance, facePlacing, foldRegistration, type FacePlacing } from './face';
import type { Face, Pattern, Zone } from './pattern';

/** Left round each hole so that no dye runs through it, mm. */
const HOLE_CLEAR_MM = 2;
/** Turned in over the back by paper wrapped over the edges, where nobody has said otherwise, mm. */
export const USUAL_TURN_IN_MM = 8;
/** Between the two bleeds and the fold, so that the fold never lies on a picture, mm. */
const FOLD_ROOM_MM = 1;
const TICK_FROM_MM = 0.5;
const TICK_TO_MM = 2.7;

export interface FlatWrapInput {
  readonly shape: FlatShape;
  readonly width: Uncertain;
  readonly height: Uncertain;
  readonly thicknessMm: number;
  readonly edge: 'bleed' | 'wrapped';
  readonly bleedMm: number;
  readonly turnInMm: number;
  readonly safeMm: number;
  readonly fold: Fold;
  readonly bothFaces: boolean;
  /** What printer and paper do along the picture's width and its height. */
  readonly print: FacePrint;
}

export type FacePrint = { readonly x: AxisScale; readonly y: AxisScale };

export interface FlatWrap {
  /** Paper past the blank's edge on every side, mm. */
  readonly pastMm: number;
  readonly areaMm2: number;
  readonly edgeMm: number;
  /** How far the blank may lie off its picture; and how much bleed hides it 19 times in 20. */
  readonly placing: FacePlacing;
  readonly bleedFor19In20Mm: number;
  /** Chance that no white shows at an edge, 0..1. */
  readonly coverChance: number;
  /** How far the two faces may be apart; null for one face. */
  readonly registration: Uncertain | null;
  readonly pattern: Pattern;
}

/** The catalogue's outline at the size that was measured, its holes with it. */
function measuredOutline(shape: FlatShape, widthMm: number, heightMm: number): FlatOutline {
  return { ...shape.outline, widthMm, heightMm };
}

function measuredHole(hole: Hole, kx: number, ky: number): Hole {
  if (hole.form === 'drawn') return { ...hole, points: hole.points.map(([x, y]) => [x * kx, y * ky]) };
  return { ...hole, xMm: hole.xMm * kx, yMm: hole.yMm * ky };
}

interface Faces {
  readonly front: Face;
  readonly past: number;
}

function frontFace(input: FlatWrapInput): Faces {
  const { shape, edge } = input;
  const outline = measuredOutline(shape, input.width.value, input.height.value);
  const past = edge === 'wrapped' ? input.thicknessMm + input.turnInMm : input.bleedMm;
  const kx = input.width.value / shape.outline.widthMm;
  const ky = input.height.value / shape.outline.heightMm;
  const exclusionZones: Zone[] = shape.holes.map((hole) => ({
    what: hole.form === 'slot' ? 'slot' : 'hole',
    contour: holeContour(measuredHole(hole, kx, ky), HOLE_CLEAR_MM),
  }));
  const trim = outlineContour(outline);
  return {
    past,
    front: {
      name: 'front',
      matrix: IDENTITY,
      trim,
      bleed: offsetOutline(outline, past)[0] ?? trim,
      safe: offsetOutline(outline, -input.safeMm),
      exclusionZones,
    },
  };
}

const mirrored = (contours: readonly Contour[], axis: number): readonly Contour[] =>
  contours.map((c) => mirrorContour(c, axis));

/** The back as its own viewer sees it: the front's outline in a mirror, then set down on the far side of the fold. */
function backFace(front: Face, matrix: Affine, widthMm: number): Face {
  const axis = widthMm / 2;
  return {
    name: 'back',
    matrix,
    trim: mirrorContour(front.trim, axis),
    bleed: mirrorContour(front.bleed, axis),
    safe: mirrored(front.safe, axis),
    exclusionZones: front.exclusionZones.map((z) => ({ ...z, contour: mirrorContour(z.contour, axis) })),
  };
}

interface Folded {
  readonly matrix: Affine;
  readonly line: Line;
}

/**
 * Where the back stands: the front reflected about the fold. About an upright fold its viewer's up stays up; about a level one the
 * back is upside down on the sheet, so that it hangs right when the sheet is folded.
 */
function foldOf(fold: Fold, w: number, h: number, past: number): Folded {
  const off = past + FOLD_ROOM_MM;
  const upright = (x: number): Line => ({ from: { x, y: -past }, to: { x, y: h + past } });
  switch (fold) {
    case 'right':
      return { matrix: translate(w + 2 * off, 0), line: upright(w + off) };
    case 'left':
      return { matrix: translate(-w - 2 * off, 0), line: upright(-off) };
    case 'top':
      return {
        matrix: compose(translate(w, -2 * off), rotate(180)),
        line: { from: { x: -past, y: -off }, to: { x: w + past, y: -off } },
      };
  }
}

/** Box of a contour carried through a map that only turns by quarters or shifts. */
function boxThrough(c: Contour, m: Affine): Rect {
  const b = boundsOfContour(c);
  return boundsOf(rectContour(b).map((p) => apply(m, p)));
}

/** Marks at the middles of the sides, and at the ends of the fold, outside all that is printed. */
function ticksOf(faces: readonly Face[], whole: Rect, fold: Line | null): Line[] {
  const right = whole.x + whole.width;
  const foot = whole.y + whole.height;
  const line = (x1: number, y1: number, x2: number, y2: number): Line => ({
    from: { x: x1, y: y1 },
    to: { x: x2, y: y2 },
  });
  const upDown = (x: number) => [
    line(x, whole.y - TICK_FROM_MM, x, whole.y - TICK_TO_MM),
    line(x, foot + TICK_FROM_MM, x, foot + TICK_TO_MM),
  ];
  const across = (y: number) => [
    line(whole.x - TICK_FROM_MM, y, whole.x - TICK_TO_MM, y),
    line(right + TICK_FROM_MM, y, right + TICK_TO_MM, y),
  ];
  const middles = faces.map((f) => {
    const b = boxThrough(f.trim, f.matrix);
    return { x: b.x + b.width / 2, y: b.y + b.height / 2 };
  });
  const uprightFold = fold !== null && fold.from.x === fold.to.x;
  const xs = [...new Set(middles.map((m) => m.x)), ...(uprightFold ? [fold.from.x] : [])];
  const ys = [...new Set(middles.map((m) => m.y)), ...(fold && !uprightFold ? [fold.from.y] : [])];
  return [...xs.flatMap(upDown), ...ys.flatMap(across)];
}

function flatPattern(input: FlatWrapInput, { front, past }: Faces): Pattern {
  const trim = boundsOfContour(front.trim);
  const bleed = boundsOfContour(front.bleed);
  const folded = input.bothFaces ? foldOf(input.fold, trim.width, trim.height, past) : null;
  const faces = folded ? [front, backFace(front, folded.matrix, trim.width)] : [front];
  const whole = faces.map((f) => boxThrough(f.bleed, f.matrix)).reduce(around);
  const safe = front.safe[0];
  return {
    form: 'flat',
    trim,
    bleed,
    safe: safe ? boundsOfContour(safe) : { x: trim.width / 2, y: trim.height / 2, width: 0, height: 0 },
    whole,
    faces,
    seams: [],
    front: null,
    meets: null,
    meetsAtMm: trim.width,
    marks: [],
    ticks: ticksOf(faces, whole, folded?.line ?? null),
    fold: folded?.line ?? null,
    grip: null,
    tails: [],
    onBlank: null,
    roll: null,
  };
}

/** Sizes the paper for a flat blank: its outline, and past it bleed or the turn-in of paper wrapped over the edges. All lengths mm. */
export function sizeFlatWrap(asked: FlatWrapInput): FlatWrap {
  const { print } = asked;
  // Longer by what the heat takes back, so that it fits once it is pressed.
  const input: FlatWrapInput = {
    ...asked,
    width: scaled(asked.width, 1 / (1 - print.x.shrink)),
    height: scaled(asked.height, 1 / (1 - print.y.shrink)),
  };
  const made = frontFace(input);
  const placing = facePlacing(input.width, input.height, print);
  return {
    pastMm: made.past,
    areaMm2: Math.abs(contourArea(made.front.trim)),
    edgeMm: contourLength(made.front.trim),
    placing,
    bleedFor19In20Mm: bleedFor19In20(placing),
    coverChance: coverChance(placing, made.past),
    registration: input.bothFaces ? foldRegistration() : null,
    pattern: flatPattern(input, made),
  };
}

import type { Warp } from '../job/art';
import { radiusAt } from '../shapes/cone';
import { boundsOfContour, flatten, type Contour } from '../geometry/contour';
import type { Line, Point } from '../geometry/plane';
import { patternPoint, wallPoint } from '../wrap/roll';
import type { Face, Pattern, Roll } from '../wrap/pattern';

/**
 * How art drawn on a straight board is bent on to the paper of a tapered wall. Board x runs along the wall in mm at mid height, y down the
 * wall from its top edge. *true* keeps upright lines on the wall's own lines, so widths grow and shrink with the wall; *level* keeps every
 * width as drawn, so upright lines lean a little away from the middle. Both keep level lines level when the blank stands.
 */
export interface Bend {
  readonly way: 'true' | 'level';
  readonly roll: Roll;
}

/** The bend of a pattern, or null where art lies straight on the paper: no taper, a flat blank, or at the person's wish. */
export const bendOf = (pattern: Pattern, warp: Warp): Bend | null =>
  warp === 'flat' || !pattern.roll || pattern.form !== 'cone' ? null : { way: warp, roll: pattern.roll };

const midRadiusMm = (roll: Roll): number => radiusAt(roll.cone, roll.cone.slantMm / 2);

/** Board x of the middle of the paper, mm. */
const boardMiddleMm = (roll: Roll): number => ((roll.toRad - roll.fromRad) * midRadiusMm(roll)) / 2;

/** Radius that turns board widths into azimuths at a height. */
const radiusFor = (b: Bend, v: number): number =>
  b.way === 'true' ? midRadiusMm(b.roll) : radiusAt(b.roll.cone, v);

/** A point of the straight board to its place on the flat paper, mm. */
export function bent(b: Bend, p: Point): Point {
  const azimuth = (b.roll.fromRad + b.roll.toRad) / 2 + (p.x - boardMiddleMm(b.roll)) / radiusFor(b, p.y);
  return patternPoint(b.roll, azimuth, p.y);
}

/** The inverse: where a point of the paper comes from on the straight board, mm. */
export function straight(b: Bend, p: Point): Point {
  const on = wallPoint(b.roll, p);
  const middle = (b.roll.fromRad + b.roll.toRad) / 2;
  return {
    x: boardMiddleMm(b.roll) + (on.azimuth - middle) * radiusFor(b, on.slantMm),
    y: on.slantMm,
  };
}

/** Direction of the level line through a board point on the paper, degrees clockwise. */
export function levelDeg(b: Bend, p: Point): number {
  const step = 0.01;
  const a = bent(b, { x: p.x - step, y: p.y });
  const c = bent(b, { x: p.x + step, y: p.y });
  return (Math.atan2(c.y - a.y, c.x - a.x) * 180) / Math.PI;
}

const CHORD_MM = 0.02;
/** A straight side of the paper can bend on the board: taken in steps no longer than this. */
const STEP_MM = 6;

function steps(a: Point, b: Point): readonly Point[] {
  const n = Math.max(1, Math.ceil(Math.hypot(b.x - a.x, b.y - a.y) / STEP_MM));
  return Array.from({ length: n }, (_, i) => ({
    x: a.x + ((b.x - a.x) * i) / n,
    y: a.y + ((b.y - a.y) * i) / n,
  }));
}

function straightContour(b: Bend, c: Contour): Contour {
  const ring = flatten(c, CHORD_MM);
  return ring.flatMap((p, i) => steps(p, ring[(i + 1) % ring.length] ?? p)).map((p) => straight(b, p));
}

const straightLine = (b: Bend, l: Line): Line => ({ from: straight(b, l.from), to: straight(b, l.to) });

const straightFace = (b: Bend, f: Face): Face => ({
  ...f,
  trim: straightContour(b, f.trim),
  bleed: straightContour(b, f.bleed),
  safe: f.safe.map((c) => straightContour(b, c)),
  exclusionZones: f.exclusionZones.map((z) => ({ ...z, contour: straightContour(b, z.contour) })),
});

/** The pattern laid straight: the board art is set out on, before it is bent to the paper. */
export function straightened(pattern: Pattern, b: Bend): Pattern {
  const faces = pattern.faces.map((f) => straightFace(b, f));
  const [main] = faces;
  if (!main) return pattern;
  const trim = boundsOfContour(main.trim);
  const bleed = boundsOfContour(main.bleed);
  const safe = main.safe[0] ? boundsOfContour(main.safe[0]) : { ...pattern.safe, x: trim.x, y: trim.y };
  const { front, meets } = pattern;
  return {
    ...pattern,
    form: 'rectangle',
    trim,
    bleed,
    safe,
    whole: bleed,
    faces,
    seams: pattern.seams.map((s) => straightContour(b, s)),
    front: front && { ...front, x: straight(b, front.line.from).x, line: straightLine(b, front.line) },
    meets: meets && straightLine(b, meets),
    marks: pattern.marks.map((m) => ({ ...m, line: straightLine(b, m.line) })),
    ticks: [],
    grip: pattern.grip && straightContour(b, pattern.grip),
    tails: pattern.tails.map((t) => straightContour(b, t)),
    onBlank: pattern.onBlank && straightContour(b, pattern.onBlank),
  };
}

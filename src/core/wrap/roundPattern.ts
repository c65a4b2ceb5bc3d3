import { say, type Message } from '../message/message';
import { SEEN_AT_ALL_DEG, SEEN_WELL_DEG, seenArcMm } from '../shapes/seen';
import { IDENTITY } from '../geometry/affine';
import type { Band } from '../shapes/band';
import {
  besideGenerator,
  cosineOf,
  develop,
  patchContour,
  radiusAt,
  type Cone,
  type Patch,
  type PatchSide,
} from '../shapes/cone';
import { boundsOfContour, moveContour, type Contour } from '../geometry/contour';
import { around, type Line, type Point, type Rect } from '../geometry/plane';
import type { RoundShape } from '../shop/blank';
import type { Pattern, PencilMark, Roll, Zone } from './pattern';

const SEAM_ZONE_MM = 6;
const GRIP_MM = 8;
const TICK_FROM_MM = 0.5;
const TICK_TO_MM = 2.7;

/** How far the picture runs past each cut edge, mm. */
export interface Bleeds {
  readonly rimMm: number;
  readonly footMm: number;
  readonly endsMm: number;
}

/** How far the paper stands past the edges of the blank, down the paper, mm; 0 where it does not. */
export interface Past {
  readonly rimMm: number;
  readonly footMm: number;
}

export interface RoundPatternInput {
  /** The paper's own mid-surface over the band it covers, and the circumference of the wall at its middle. */
  readonly cone: Cone;
  readonly wallCircumferenceMm: number;
  readonly band: Band;
  /** Sides of the paper before the seam method adds or takes anything, and after. */
  readonly base: { readonly left: PatchSide; readonly right: PatchSide };
  readonly left: PatchSide;
  readonly right: PatchSide;
  readonly printedOverMm: number;
  readonly bleed: Bleeds;
  readonly safeMm: number;
  readonly shape: RoundShape;
  readonly grip: 'rim' | 'foot' | null;
  readonly tailMm: number;
  readonly past: Past;
  readonly ownMarks: readonly { readonly id: string; readonly alongMm: number }[];
}

const shift = (side: PatchSide, by: number): PatchSide => ({ ...side, offMm: side.offMm + by });

/** Drawing of one unrolled wall: patches and lines of the cone, set so that the trim box starts at 0, 0. */
interface Sheet {
  readonly roll: Roll;
  readonly patch: (p: Patch) => Contour;
  /** A point `offMm` beside a generator, v down the wall. */
  readonly point: (side: PatchSide, v: number) => Point;
}

function sheetOf(input: RoundPatternInput): Sheet {
  const { cone, left, right } = input;
  const mid = cone.slantMm / 2;
  const at = (side: PatchSide, v: number) => besideGenerator(cone, side.azimuth, side.offMm, v);
  const fromRad = at(left, mid);
  const toRad = at(right, mid);
  const middleRad = (fromRad + toRad) / 2;
  const turned = (side: PatchSide): PatchSide => ({ ...side, azimuth: side.azimuth - middleRad });
  const raw = (p: Patch) => patchContour(cone, { ...p, left: turned(p.left), right: turned(p.right) });
  const box = boundsOfContour(raw({ fromMm: 0, toMm: cone.slantMm, left, right }));
  const roll: Roll = {
    cone,
    middleRad,
    dxMm: 0 - box.x,
    dyMm: 0 - box.y,
    fromRad,
    toRad,
    topMm: input.band.topMm,
  };
  return {
    roll,
    patch: (p) => moveContour(raw(p), -box.x, -box.y),
    point: (side, v) => {
      const p = develop(cone, at(side, v) - middleRad, v);
      return { x: p.x - box.x, y: p.y - box.y };
    },
  };
}

/** Marks at the corners, the front and the meeting line, all outside what is printed. */
function ticksOf(input: RoundPatternInput, sheet: Sheet, front: PatchSide): Line[] {
  const { bleed, grip, left, right, base, cone, tailMm } = input;
  const endsMm = Math.max(bleed.endsMm, tailMm);
  const h = cone.slantMm;
  const top = -Math.max(bleed.rimMm, grip === 'rim' ? GRIP_MM : 0);
  const foot = h + Math.max(bleed.footMm, grip === 'foot' ? GRIP_MM : 0);
  const line = (a: PatchSide, va: number, b: PatchSide, vb: number): Line => ({
    from: sheet.point(a, va),
    to: sheet.point(b, vb),
  });
  const ups = [left, right, front, ...(input.printedOverMm > 0 ? [base.right] : [])];
  return [
    ...ups.flatMap((s) => [
      line(s, top - TICK_FROM_MM, s, top - TICK_TO_MM),
      line(s, foot + TICK_FROM_MM, s, foot + TICK_TO_MM),
    ]),
    ...[0, h].flatMap((v) => [
      line(shift(left, -endsMm - TICK_FROM_MM), v, shift(left, -endsMm - TICK_TO_MM), v),
      line(shift(right, endsMm + TICK_FROM_MM), v, shift(right, endsMm + TICK_TO_MM), v),
    ]),
  ];
}

/** Zones of the wall the picture may not cross, mapped to the paper and cut to its height. */
function clearZones(input: RoundPatternInput, sheet: Sheet): Zone[] {
  const { cone, band, shape, left, right, bleed } = input;
  const cos = cosineOf(cone);
  const lo = -bleed.rimMm;
  const hi = cone.slantMm + bleed.footMm;
  return shape.exclusionZones.flatMap((z): Zone[] => {
    const v0 = Math.max(lo, (z.fromRimMm - band.topMm) / cos);
    const v1 = Math.min(hi, (z.fromRimMm + z.heightMm - band.topMm) / cos);
    if (v1 <= v0) return [];
    if (z.widthMm === null)
      return [
        {
          what: z.what,
          contour: sheet.patch({
            fromMm: v0,
            toMm: v1,
            left: shift(left, -bleed.endsMm),
            right: shift(right, bleed.endsMm),
          }),
        },
      ];
    const azimuth = (z.atDeg * Math.PI) / 180;
    const half = z.widthMm / 2;
    // The paper may have the place on either side of where it starts: the one that lies on it counts.
    return [-2 * Math.PI, 0, 2 * Math.PI]
      .map((turn) => azimuth + turn)
      .filter((a) => {
        const reach = half / radiusAt(cone, Math.max(0, v0));
        return a + reach > sheet.roll.fromRad && a - reach < sheet.roll.toRad;
      })
      .map((a) => ({
        what: z.what,
        contour: sheet.patch({
          fromMm: v0,
          toMm: v1,
          left: { azimuth: a, offMm: -half },
          right: { azimuth: a, offMm: half },
        }),
      }));
  });
}

/** Places a person finds again: the front, the two sides, opposite a handle, and the person's own. */
function pencilMarks(input: RoundPatternInput, sheet: Sheet): PencilMark[] {
  const { cone, shape, ownMarks } = input;
  const { fromRad, toRad } = sheet.roll;
  const h = cone.slantMm;
  const rMid = radiusAt(cone, h / 2);
  const quarter = Math.PI / 2;
  const named: readonly (readonly [string, Message, number])[] = shape.handle
    ? [
        ['opposite', say('wrap.oppositeHandle'), 0],
        ['left-face', say('wrap.middleLeftFace'), -quarter],
        ['right-face', say('wrap.middleRightFace'), quarter],
      ]
    : [['front', say('common.front'), 0]];
  const mark = (id: string, label: Message, azimuth: number, own: boolean): PencilMark => {
    const side = { azimuth, offMm: 0 };
    return {
      id,
      label,
      line: { from: sheet.point(side, 0), to: sheet.point(side, h) },
      alongMm: (azimuth - fromRad) * rMid,
      own,
    };
  };
  const fixed = named.map(([id, label, azimuth]) => mark(id, label, onto(azimuth, fromRad, toRad), false));
  const own = ownMarks
    .map((m) => mark(m.id, say('wrap.yourMark'), fromRad + m.alongMm / rMid, true))
    .filter((m) => m.alongMm <= (toRad - fromRad) * rMid);
  return [...fixed.filter((m) => m.alongMm >= 0 && m.alongMm <= (toRad - fromRad) * rMid), ...own];
}

/** The same place a whole turn on or back, where that lies on the paper. */
function onto(azimuth: number, from: number, to: number): number {
  const turn = 2 * Math.PI;
  const mid = (from + to) / 2;
  return azimuth + turn * Math.round((mid - azimuth) / turn);
}

const union = (rects: readonly Rect[]): Rect => rects.reduce(around);

/** Lays the paper flat: every zone by the same unrolling, so a straight wall gives exact rectangles. */
export function roundPattern(input: RoundPatternInput): Pattern {
  const { cone, left, right, safeMm, base, printedOverMm, grip, tailMm, past } = input;
  // A tail is left white: nothing runs past the ends into it.
  const bleed = tailMm > 0 ? { ...input.bleed, endsMm: 0 } : input.bleed;
  const sheet = sheetOf(input);
  const h = cone.slantMm;
  const full: Patch = { fromMm: 0, toMm: h, left, right };
  const bleedRim = grip === 'rim' ? 0 : bleed.rimMm;
  const bleedFoot = grip === 'foot' ? 0 : bleed.footMm;
  const printed = { ...input, bleed: { ...bleed, rimMm: bleedRim, footMm: bleedFoot } };
  const trim = sheet.patch(full);
  const bleedContour = sheet.patch({
    fromMm: -bleedRim,
    toMm: h + bleedFoot,
    left: shift(left, -bleed.endsMm),
    right: shift(right, bleed.endsMm),
  });
  const over = Math.max(0, printedOverMm);
  const seamMm = Math.max(SEAM_ZONE_MM, over);
  const roomMm = (sheet.roll.toRad - sheet.roll.fromRad) * Math.min(cone.topRadiusMm, cone.footRadiusMm);
  const hasSafe = h - past.rimMm - past.footMm - 2 * safeMm > 0 && roomMm - over - 2 * safeMm > 0;
  const safe = hasSafe
    ? sheet.patch({
        fromMm: past.rimMm + safeMm,
        toMm: h - past.footMm - safeMm,
        left: shift(left, safeMm),
        right: shift(right, -over - safeMm),
      })
    : null;
  const front: PatchSide = { azimuth: onto(0, sheet.roll.fromRad, sheet.roll.toRad), offMm: 0 };
  const gripContour =
    grip === null
      ? null
      : sheet.patch({
          ...full,
          ...(grip === 'rim' ? { fromMm: -GRIP_MM, toMm: 0 } : { fromMm: h, toMm: h + GRIP_MM }),
        });
  const tails =
    tailMm > 0
      ? [
          sheet.patch({ ...full, left: shift(left, -tailMm), right: left }),
          sheet.patch({ ...full, left: right, right: shift(right, tailMm) }),
        ]
      : [];
  const onBlank =
    past.rimMm > 0 || past.footMm > 0
      ? sheet.patch({ ...full, fromMm: past.rimMm, toMm: h - past.footMm })
      : null;
  const bleedBox = boundsOfContour(bleedContour);
  const empty: Rect = { x: safeMm, y: safeMm, width: 0, height: 0 };
  const line = { from: sheet.point(front, 0), to: sheet.point(front, h) };
  const rMid = radiusAt(cone, h / 2);
  return {
    form: cone.k === 0 ? 'rectangle' : 'cone',
    trim: boundsOfContour(trim),
    bleed: bleedBox,
    safe: safe ? boundsOfContour(safe) : empty,
    whole: union([bleedBox, ...[...(gripContour ? [gripContour] : []), ...tails].map(boundsOfContour)]),
    faces: [
      {
        name: 'wrap',
        matrix: IDENTITY,
        trim,
        bleed: bleedContour,
        safe: safe ? [safe] : [],
        exclusionZones: clearZones(printed, sheet),
      },
    ],
    seams: [
      sheet.patch({ ...full, right: shift(left, Math.min(SEAM_ZONE_MM, roomMm / 2)) }),
      sheet.patch({ ...full, left: shift(right, -Math.min(seamMm, roomMm / 2)) }),
    ],
    front: {
      x: line.from.x,
      line,
      wellMm: seenArcMm(input.wallCircumferenceMm, SEEN_WELL_DEG),
      atAllMm: seenArcMm(input.wallCircumferenceMm, SEEN_AT_ALL_DEG),
    },
    meets: over > 0 ? { from: sheet.point(base.right, 0), to: sheet.point(base.right, h) } : null,
    meetsAtMm: (sheet.roll.toRad - sheet.roll.fromRad) * rMid - over,
    marks: pencilMarks(input, sheet),
    ticks: ticksOf(printed, sheet, front),
    fold: null,
    grip: gripContour,
    tails,
    onBlank,
    roll: sheet.roll,
  };
}

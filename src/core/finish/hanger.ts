import { mm } from '../message/quantity';
import { say } from '../message/message';
import { fail, ok, type Result } from '../basics/result';
import { flatten } from '../geometry/contour';
import { boundsOf, type Point } from '../geometry/plane';
import { distanceToRing, insideRing, ringCentroid, signedArea, type Ring } from '../geometry/ring';
import type { Finish } from '../job/finish';
import { holeContour, outlineRing } from '../shapes/flat';
import type { FlatBlank } from '../shop/blank';

const RAD = Math.PI / 180;
const WHERE = say('finish.hanger');
/** Two hangers from this width on: one lets a wide plate swing out of level at every touch. Our own choice, mm. */
const TWO_FROM_MM = 350;
/** Two hangers stand so far apart, as a share of the width. */
const APART = 0.5;
/** No hanger nearer above the balance than this share of the height: nearer, a touch tips it. */
const LEAST_ABOVE = 1 / 6;

/** A flat piece as a plate of even thickness, seen from its back: as it lies when the hanger is put on. mm. */
export interface Plate {
  readonly outline: Ring;
  readonly holes: readonly Ring[];
  /** Where it balances. */
  readonly balance: Point;
}

/** Outline and holes as the back shows them, and the centre of what is left (area centroid; holes count as less than nothing). */
export function plateOf(blank: FlatBlank): Plate {
  const front = outlineRing(blank.shape.outline);
  const box = boundsOf(front);
  const mirrored = (r: Ring): Ring => r.map((p) => ({ x: 2 * box.x + box.width - p.x, y: p.y }));
  const outline = mirrored(front);
  const holes = blank.shape.holes.map((h) => mirrored(flatten(holeContour(h), 0.02)));
  const parts = [
    { area: Math.abs(signedArea(outline)), at: ringCentroid(outline) },
    ...holes.map((h) => ({ area: -Math.abs(signedArea(h)), at: ringCentroid(h) })),
  ];
  const area = parts.reduce((s, p) => s + p.area, 0);
  const sum = (axis: 'x' | 'y') => parts.reduce((s, p) => s + p.area * p.at[axis], 0) / area;
  return { outline, holes, balance: { x: sum('x'), y: sum('y') } };
}

export interface HangerPlan {
  readonly plate: Plate;
  /** Middle of the top edge of each holder: it hangs from there. */
  readonly points: readonly Point[];
  readonly widthMm: number;
  readonly heightMm: number;
  readonly fromTopMm: number;
  /** How far above its balance it hangs, mm. */
  readonly aboveMm: number;
  /** How much it hangs out of level for each millimetre a single hanger, or one of two, is off, degrees. */
  readonly degPerMm: number;
}

/** Whether a holder with the middle of its top edge at a point lies on the piece, clear of its edges and holes. */
function lies(plate: Plate, at: Point, { widthMm, heightMm, edgeMm }: Finish['hanger']): boolean {
  const corners: Point[] = [];
  for (let i = 0; i <= 4; i += 1)
    for (let j = 0; j <= 4; j += 1)
      corners.push({ x: at.x + (i / 4 - 0.5) * widthMm, y: at.y + (j / 4) * heightMm });
  return corners.every(
    (c) =>
      insideRing(plate.outline, c) &&
      distanceToRing(plate.outline, c) >= edgeMm - 1e-9 &&
      plate.holes.every((h) => !insideRing(h, c) && distanceToRing(h, c) >= 2),
  );
}

/**
 * Where hangers go on the back of a piece: on the plumb line of its balance, or at even distances from it, as high as they fit but where a
 * person set the height. A plate hung from a point d above its balance leans by atan(e / d) where that point is e beside it.
 */
export function hangerPlan(blank: FlatBlank, wish: Finish['hanger']): Result<HangerPlan> {
  const plate = plateOf(blank);
  const box = boundsOf(plate.outline);
  const count = wish.count ?? (box.width >= TWO_FROM_MM ? 2 : 1);
  const half = count === 2 ? (box.width * APART) / 2 : 0;
  const at = (fromTopMm: number): readonly Point[] =>
    (count === 2 ? [-half, half] : [0]).map((dx) => ({ x: plate.balance.x + dx, y: box.y + fromTopMm }));
  const mostMm = plate.balance.y - box.y - LEAST_ABOVE * box.height;
  const fits = (fromTopMm: number) => at(fromTopMm).every((p) => lies(plate, p, wish));
  const found = (fromTopMm: number): HangerPlan => {
    const aboveMm = plate.balance.y - box.y - fromTopMm;
    return {
      plate,
      points: at(fromTopMm),
      widthMm: wish.widthMm,
      heightMm: wish.heightMm,
      fromTopMm,
      aboveMm,
      degPerMm: (count === 2 ? Math.atan(1 / (2 * half)) : Math.atan(1 / aboveMm)) / RAD,
    };
  };
  if (wish.fromTopMm !== null) {
    const { fromTopMm } = wish;
    if (fromTopMm >= plate.balance.y - box.y)
      return fail(
        say('finish.hungThereTurnsUpside'),
        WHERE,
        say('finish.lessThanBelowTop', { most: mm(Math.floor(plate.balance.y - box.y)) }),
      );
    return fits(fromTopMm)
      ? ok(found(fromTopMm))
      : fail(say('finish.hangerDoesLiePiece'), WHERE, say('finish.anotherHeightSmallerHanger'));
  }
  for (let atMm = wish.edgeMm; atMm <= mostMm; atMm += 1) if (fits(atMm)) return ok(found(atMm));
  return fail(say('finish.hangerSizeFitsAbove'), WHERE, say('finish.smallerHangerLessDistance'));
}

/** How a piece hangs from a hole of its own: how far it leans from upright, degrees, to the right where positive as seen from the front. */
export interface HoleHang {
  readonly hole: number;
  readonly leansDeg: number;
}

/** The hole a piece hangs by: the highest that is not above nothing; null where it has none, or none above its balance. */
export function holeHang(blank: FlatBlank): HoleHang | null {
  const { holes, balance } = plateOf(blank);
  const centres = holes.map((h, hole) => ({ hole, at: ringCentroid(h) }));
  const up = centres
    .filter((c) => c.at.y < balance.y)
    .sort((a, b) => Math.abs(a.at.x - balance.x) - Math.abs(b.at.x - balance.x) || a.at.y - b.at.y)[0];
  if (!up) return null;
  // Seen from the back: what is right there is left from the front.
  const leansDeg = Math.atan2(balance.x - up.at.x, balance.y - up.at.y) / RAD;
  return { hole: up.hole, leansDeg: leansDeg === 0 ? 0 : -leansDeg };
}

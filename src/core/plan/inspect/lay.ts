import { compose, IDENTITY, mirrorX, rotate, translate, type Affine } from '../../geometry/affine';
import { boundsOfContour, flatten, moveContour } from '../../geometry/contour';
import { simplify } from '../../geometry/ring';
import type { BedPlacement } from '../../heat/press/bed';
import type { Gap } from '../../inspect/places';
import type { RunWithState } from '../../run/pieces';
import { listOf } from '../../run/chain';
import type { Lay, SeenFace } from '../../shop/records';
import { mainFace, type Pattern } from '../../wrap/pattern';
import type { HeatPlan } from '../heat/heat';
import type { WrapPlan } from '../wrap/wrapPlan';

const MOST_POINTS = 240;
const MOST_RINGS = 16;
/** Adding 0 turns −0 into 0, which JSON could not keep. */
const tenth = (v: number): number => Math.round(v * 10) / 10 + 0;

/** The face that is looked at, with its own outline and what is cut out of it. */
export function seenFace(pattern: Pattern): SeenFace {
  const face = mainFace(pattern);
  const box = boundsOfContour(face.trim);
  const rings = [face.trim, ...face.exclusionZones.map((z) => z.contour)]
    .slice(0, MOST_RINGS)
    .map((c) => {
      const points = flatten(moveContour(c, -box.x, -box.y), 0.1);
      const few = points.length > MOST_POINTS ? simplify(points, 0.5).slice(0, MOST_POINTS) : points;
      return few.map((p): [number, number] => [tenth(p.x), tenth(p.y)]);
    })
    .filter((ring) => ring.length >= 3);
  return {
    form: pattern.form === 'flat' ? 'flat' : pattern.form === 'cone' ? 'sector' : 'wrap',
    widthMm: box.width,
    heightMm: box.height,
    rings,
  };
}

/** From the face, as it is seen, to the platen it lay on: turned a quarter where the grid is, mirrored where it lay face down. */
export function onBed(
  p: BedPlacement,
  face: Pick<SeenFace, 'widthMm' | 'heightMm'>,
  faceDown: boolean,
): Affine {
  const seen = faceDown ? mirrorX(face.widthMm / 2) : IDENTITY;
  const turned = p.turned ? compose(translate(face.heightMm, 0), rotate(90)) : IDENTITY;
  return compose(translate(p.xMm, p.yMm), turned, seen);
}

type Six = [number, number, number, number, number, number];
const six = (m: Affine): Six => [m[0], m[1], m[2], m[3], m[4], m[5]];

/** Place of every piece in the load it went in with, by its number; the newest run that pressed it counts. */
function placesInLoads(runs: readonly RunWithState[]): ReadonlyMap<number, number> {
  const found = new Map<number, number>();
  for (const { state } of runs)
    for (const load of listOf(state.loads)) load.pieces.forEach((p, i) => found.set(p.number, i));
  return found;
}

const MOST_LAID = 300;

/** Where the pieces lay in platen, rack or mat; null where it cannot be said. */
export function layOf(
  heat: HeatPlan,
  { pattern, face }: { readonly pattern: Pattern | null; readonly face: SeenFace | null },
  runs: readonly RunWithState[],
): Lay | null {
  if (!pattern || !face || !heat.load || !heat.press) return null;
  const { bed } = heat.load;
  if (bed) {
    const faceDown = heat.load.load.heatedFrom === 'blank';
    const laid = bed.placements.filter((p) => !p.dummy);
    const to = (i: number): Six | null => {
      const p = laid[i];
      return p ? six(onBed(p, face, faceDown)) : null;
    };
    const places = placesInLoads(runs);
    const pieces = [...places].flatMap(([piece, i]) => {
      const map = to(i);
      return map ? [{ piece, to: map }] : [];
    });
    const only = to(0);
    return {
      on: heat.press.kind === 'oven' ? 'rack' : 'platen',
      widthMm: bed.widthMm,
      heightMm: bed.heightMm,
      pieces:
        pieces.length > 0
          ? pieces.slice(0, MOST_LAID)
          : laid.length === 1 && only
            ? [{ piece: null, to: only }]
            : [],
    };
  }
  const { heater } = heat;
  if (!heater) return null;
  // The front stands in the middle of the mat at the first closing; the wrap is centred on its height.
  const frontMm = pattern.front?.x ?? face.widthMm / 2;
  const to = translate(heater.lengthMm / 2 - frontMm, (heater.heightMm - face.heightMm) / 2);
  return {
    on: 'mat',
    widthMm: heater.lengthMm,
    heightMm: heater.heightMm,
    pieces: [{ piece: null, to: six(to) }],
  };
}

const STEP_MM = 1;

/** Where along a wrap no closing heats it, mm from its left end; null where the press is no wrap press. */
export function heaterGaps(heat: HeatPlan, wrap: Pick<WrapPlan, 'pattern' | 'wall'>): readonly Gap[] | null {
  const { heater, chosen } = heat;
  const { pattern, wall } = wrap;
  if (!heater || !chosen || !pattern || !wall) return null;
  const around = wall.widest.value;
  const front = pattern.front?.x ?? pattern.trim.width / 2;
  const half = heater.lengthMm / 2;
  const { passes } = chosen.settings;
  const heated = (xMm: number): boolean => {
    for (let k = 0; k < passes; k += 1) {
      const off = (((xMm - front - (k * around) / passes) % around) + around * 1.5) % around;
      if (Math.abs(off - around / 2) <= half) return true;
    }
    return false;
  };
  const gaps: Gap[] = [];
  let from: number | null = null;
  const end = pattern.trim.width;
  for (let x = 0; x <= end; x += STEP_MM) {
    if (!heated(x)) from ??= x;
    else if (from !== null) {
      gaps.push({ fromMm: from, toMm: x });
      from = null;
    }
  }
  if (from !== null) gaps.push({ fromMm: from, toMm: end });
  return gaps;
}

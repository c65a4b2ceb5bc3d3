import ClipperLib from 'clipper-lib';
import { offsetRing } from '../src/core/geometry/offset';
import type { Ring } from '../src/core/geometry/ring';
import { LIBRARY } from '../src/core/library/library';
import { outlineRing } from '../src/core/shapes/flat';
import { isFlat } from '../src/core/shop/blank';
import { p95, round, timed, type Figure } from './figure';

const MICRO = 1e6;
/** As round as our own corners are, mm. */
const TOLERANCE_MM = 0.01;

/** The same offset by a general polygon clipper, in whole millionths of a millimetre. */
function clipped(ring: Ring, d: number): void {
  const offset = new ClipperLib.ClipperOffset(2, TOLERANCE_MM * MICRO);
  offset.AddPath(
    ring.map((p) => ({ X: Math.round(p.x * MICRO), Y: Math.round(p.y * MICRO) })),
    ClipperLib.JoinType.jtRound,
    ClipperLib.EndType.etClosedPolygon,
  );
  offset.Execute([], d * MICRO);
}

/** Every flat outline of the library moved out and in, ms an outline; why the offset is our own. */
export function benchOffset(): Figure {
  const rings = LIBRARY.filter(isFlat).map((b) => outlineRing(b.shape.outline));
  const each = (task: (ring: Ring, d: number) => void) =>
    p95(rings.flatMap((ring) => [4, -4, -12].flatMap((d) => timed(5, () => task(ring, d)))));
  const own = each((ring, d) => void offsetRing(ring, d));
  return {
    value: round(own),
    unit: 'ms at 95 % to move a flat outline of the library out or in',
    limit: 5,
    reference: { what: 'ms at 95 % by a general polygon clipper', value: round(each(clipped)) },
  };
}

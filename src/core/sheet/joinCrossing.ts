import type { Point } from '../geometry/plane';

/** Lines round a panel: two that run down, two that run across, each from end to end of the wrap. */
export interface Sides {
  readonly left: readonly Point[];
  readonly right: readonly Point[];
  readonly top: readonly Point[];
  readonly foot: readonly Point[];
}

type Axis = 'x' | 'y';

/** A line of ever greater `along`, read at one place; past its ends it runs on level. */
function at(line: readonly Point[], along: Axis, v: number): number {
  const off: Axis = along === 'x' ? 'y' : 'x';
  let [lo, hi] = [0, line.length - 1];
  while (hi - lo > 1) {
    const mid = (lo + hi) >> 1;
    if ((line[mid]?.[along] ?? 0) <= v) lo = mid;
    else hi = mid;
  }
  const [a, b] = [line[lo], line[hi]];
  if (!a || !b) return NaN;
  const run = b[along] - a[along];
  const t = run > 0 ? Math.min(1, Math.max(0, (v - a[along]) / run)) : 0;
  return a[off] + t * (b[off] - a[off]);
}

/** Halvings that bring a segment of a metre under a billionth of a millimetre. */
const HALVINGS = 50;

/** Where a line running down first meets one running across; at its nearer end where it does not reach. */
export function crossing(down: readonly Point[], across: readonly Point[]): Point {
  const under = (p: Point): boolean => p.y >= at(across, 'x', p.x);
  const i = down.findIndex(under);
  const [a, b] = [down[i - 1], down[i]];
  const [first, last] = [down[0], down[down.length - 1]];
  if (!a || !b) return (i === 0 ? first : last) ?? { x: NaN, y: NaN };
  let [lo, hi] = [0, 1];
  const point = (t: number): Point => ({ x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) });
  for (let n = 0; n < HALVINGS; n += 1) {
    const mid = (lo + hi) / 2;
    if (under(point(mid))) hi = mid;
    else lo = mid;
  }
  // On the line across exactly, so that panels either side of it share the corner to the last digit.
  const { x } = point(hi);
  return { x, y: at(across, 'x', x) };
}

/** The part of a line between two of its points, both kept. */
const part = (line: readonly Point[], along: Axis, from: Point, to: Point): readonly Point[] => [
  from,
  ...line.filter((p) => p[along] > from[along] + 1e-9 && p[along] < to[along] - 1e-9),
  to,
];

/** The same sides, each only as far as its neighbours. */
export function between({ left, right, top, foot }: Sides): Sides {
  const corners = {
    leftTop: crossing(left, top),
    rightTop: crossing(right, top),
    leftFoot: crossing(left, foot),
    rightFoot: crossing(right, foot),
  };
  return {
    left: part(left, 'y', corners.leftTop, corners.leftFoot),
    right: part(right, 'y', corners.rightTop, corners.rightFoot),
    top: part(top, 'x', corners.leftTop, corners.rightTop),
    foot: part(foot, 'x', corners.leftFoot, corners.rightFoot),
  };
}

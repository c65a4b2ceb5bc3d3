import { compose, mirrorX, rotate, scale, translate, type Affine } from '../geometry/affine';
import type { Rect } from '../geometry/plane';
import type { Paper } from '../shop/paper';
import { scaleOf } from '../calibration/calibration';
import type { QuarterTurn } from './nest/shape';

/** Pattern mm to page mm for a piece whose turned box starts at (x, y). */
export function placementMatrix(box: Rect, x: number, y: number, turn: QuarterTurn, mirror: boolean): Affine {
  const corner: Readonly<Record<QuarterTurn, readonly [number, number]>> = {
    0: [0, 0],
    90: [box.height, 0],
    180: [box.width, box.height],
    270: [0, box.width],
  };
  const [dx, dy] = corner[turn];
  const place = compose(translate(x + dx, y + dy), rotate(turn), translate(-box.x, -box.y));
  return mirror ? compose(place, mirrorX(box.x + box.width / 2)) : place;
}

/** Undoes what the printer is known to do to lengths on this paper, about the middle of the page. */
export function compensated(paper: Paper, heightMm = paper.heightMm): Affine {
  const { across, along } = scaleOf(paper);
  const [cx, cy] = [paper.widthMm / 2, heightMm / 2];
  return compose(translate(cx, cy), scale(1 / across.scale, 1 / along.scale), translate(-cx, -cy));
}

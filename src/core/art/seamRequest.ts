import type { PictureLayer, PicturePlacement } from '../job/art';
import type { Pattern } from '../wrap/pattern';
import { invert, apply } from '../geometry/affine';
import type { PlacedPicture } from './placedLayers';
import type { SeamRequest, SeamCut } from './seam';

/** Most a picture may be enlarged to make its ends meet. */
const MOST_ENLARGE = 0.08;

/** Length at which the two ends of the art meet on the wall, mm. */
export const closesAtMm = (p: Pattern): number => (p.meets ? p.meetsAtMm : p.trim.width);

/** What to search a laid picture for; null where it is turned, so that no upright cut is one of its own columns. */
export function seamRequest(
  l: PlacedPicture,
  layer: PictureLayer,
  board: Pattern,
  cyclic: boolean,
): SeamRequest | null {
  const back = invert(l.transform.matrix);
  if (!back || layer.placement.rotationDeg !== 0 || layer.flip.across || layer.flip.down) return null;
  const top = apply(back, { x: board.trim.x, y: board.trim.y });
  const foot = apply(back, { x: board.trim.x, y: board.trim.y + board.trim.height });
  return {
    fromRow: Math.max(0, top.y),
    toRow: Math.min(l.ref.heightPx, foot.y),
    lengthPx: closesAtMm(board) / l.transform.mmPerPx,
    startPx: top.x,
    cyclic,
    enlarge: MOST_ENLARGE,
  };
}

/** The placement that begins the wrap at a cut. */
export function placedAtCut(
  cut: Pick<SeamCut, 'startPx' | 'lengthPx'>,
  l: PlacedPicture,
  placement: PicturePlacement,
  board: Pattern,
): PicturePlacement {
  const mmPerPx = closesAtMm(board) / cut.lengthPx;
  const left = board.trim.x + (l.ref.widthPx / 2 - cut.startPx) * mmPerPx;
  return {
    ...placement,
    scale: (placement.scale * mmPerPx) / l.transform.mmPerPx,
    dxMm: left - (board.trim.x + board.trim.width / 2),
  };
}

import fc from 'fast-check';
import { exact } from '../figures/uncertain';
import { pictureLayer, START_PLACEMENT, type PictureRef } from '../job/art';
import { sizeRoundWrap } from '../wrap/roundWrap';
import { wrapInput } from '../wrap/testWraps';
import { apply } from '../geometry/affine';
import type { PlacedPicture } from './placedLayers';
import { placePicture } from './pictureTransform';
import { closesAtMm, placedAtCut, seamRequest } from './seamRequest';

const REF: PictureRef = {
  id: 'p',
  name: 'wide.png',
  mime: 'image/png',
  widthPx: 6000,
  heightPx: 2400,
  orientation: 1,
  drawn: null,
};
const board = sizeRoundWrap(
  wrapInput({
    circumferenceTop: exact(236),
    circumferenceFoot: exact(236),
    slant: exact(190),
    seamMethod: 'over',
    amountMm: 6,
  }),
).pattern;

function placedLayers(over = {}, flip = { across: false, down: false }) {
  const layer = pictureLayer('l', REF, { placement: { ...START_PLACEMENT, ...over }, flip });
  const transform = placePicture(6000, 2400, layer.placement, board.trim, board.bleed, flip);
  return { layer, l: { kind: 'picture', id: 'l', ref: REF, transform } as PlacedPicture };
}
/** mm of the board at a column of the picture. */
const columnAt = (over: object, px: number): number => {
  const { l } = placedLayers(over);
  return apply(l.transform.matrix, { x: px, y: 0 }).x;
};

test('what is asked for is the wall’s own stretch of the picture, in its pixels', () => {
  const { l, layer } = placedLayers();
  const request = seamRequest(l, layer, board, false);
  if (!request) throw new Error('nothing asked');
  expect(request.lengthPx * l.transform.mmPerPx).toBeCloseTo(closesAtMm(board), 9);
  expect(columnAt({}, request.startPx)).toBeCloseTo(board.trim.x, 9);
  expect(request.fromRow).toBeGreaterThanOrEqual(0);
  expect(request.toRow).toBeLessThanOrEqual(2400);
  expect((request.toRow - request.fromRow) * l.transform.mmPerPx).toBeLessThanOrEqual(
    board.trim.height + 1e-9,
  );
});

test('the ends meet a circumference apart, not where the paper ends', () => {
  // Printed over by 6 mm a side: the paper is longer than the wall it closes on.
  expect(closesAtMm(board)).toBeLessThan(board.trim.width);
  expect(closesAtMm(board)).toBeGreaterThan(230);
});

test('begun at a cut, the wrap starts on that column and closes on the one after its length', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 3000, noNaN: true }),
      fc.double({ min: 2600, max: 3400, noNaN: true }),
      (startPx, lengthPx) => {
        const { l, layer } = placedLayers();
        const p = placedAtCut({ startPx, lengthPx }, l, layer.placement, board);
        return (
          Math.abs(columnAt(p, startPx) - board.trim.x) < 1e-6 &&
          Math.abs(columnAt(p, startPx + lengthPx) - board.trim.x - closesAtMm(board)) < 1e-6
        );
      },
    ),
  );
});

test('the cut found where the picture already lies changes nothing', () => {
  const { l, layer } = placedLayers();
  const request = seamRequest(l, layer, board, true);
  if (!request) throw new Error('nothing asked');
  const p = placedAtCut({ startPx: request.startPx, lengthPx: request.lengthPx }, l, layer.placement, board);
  expect(p.scale).toBeCloseTo(1, 9);
  expect(p.dxMm).toBeCloseTo(0, 6);
});

test('a picture turned, or turned over, is not searched: its columns do not stand upright', () => {
  const turned = placedLayers({ rotationDeg: 3 });
  expect(seamRequest(turned.l, turned.layer, board, false)).toBeNull();
  const over = placedLayers({}, { across: true, down: false });
  expect(seamRequest(over.l, over.layer, board, false)).toBeNull();
});

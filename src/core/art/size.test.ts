import fc from 'fast-check';
import { straightPattern } from '../wrap/testWraps';
import { pictureLayer, type PictureLayer, type PictureRef } from '../job/art';
import { NO_ART } from '../job/art';
import { apply } from '../geometry/affine';
import { boardOf, placePictureLayer } from './placedLayers';
import {
  actualSize,
  alignedBy,
  evenAtHandle,
  layerBox,
  movedBy,
  resized,
  SIDES,
  spreadAcross,
  type Anchor,
} from './size';

const REF: PictureRef = {
  id: 'p',
  name: 'p',
  mime: 'image/png',
  widthPx: 1200,
  heightPx: 800,
  orientation: 1,
  drawn: null,
};
const BOARD = boardOf(straightPattern(230, 90), NO_ART);
const placed = (layer: PictureLayer) => placePictureLayer(layer, BOARD).transform;
const amount = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const anchors = fc
  .tuple(fc.constantFrom(-1, 0, 1), fc.constantFrom(-1, 0, 1))
  .map(([x, y]) => ({ x, y }) as Anchor);
const layers = fc
  .record({
    base: fc.constantFrom('cover' as const, 'fit' as const),
    scale: amount(0.3, 2),
    dxMm: amount(-60, 60),
    dyMm: amount(-30, 30),
    rotationDeg: fc.integer({ min: -180, max: 180 }),
  })
  .map((placement) => pictureLayer('l', REF, { placement }));

test('a side typed in millimetres is that long, the other keeps the ratio, and the anchor stays where it is', () => {
  fc.assert(
    fc.property(layers, anchors, amount(20, 200), fc.boolean(), (layer, anchor, mm, wide) => {
      const before = placed(layer);
      const next = {
        ...layer,
        placement: resized(layer, before, wide ? { widthMm: mm } : { heightMm: mm }, anchor),
      };
      const after = placed(next);
      expect(wide ? after.widthMm : after.heightMm).toBeCloseTo(mm, 6);
      expect(after.widthMm / after.heightMm).toBeCloseTo(1200 / 800, 6);
      const at = { x: ((anchor.x + 1) / 2) * 1200, y: ((anchor.y + 1) / 2) * 800 };
      expect(apply(after.matrix, at).x).toBeCloseTo(apply(before.matrix, at).x, 6);
      expect(apply(after.matrix, at).y).toBeCloseTo(apply(before.matrix, at).y, 6);
    }),
  );
});

test('both sides typed stretch it to them, and its own ratio comes back', () => {
  fc.assert(
    fc.property(layers, amount(40, 120), amount(40, 120), (layer, widthMm, heightMm) => {
      const next = { ...layer, placement: resized(layer, placed(layer), { widthMm, heightMm }) };
      const after = placed(next);
      expect([after.widthMm, after.heightMm]).toEqual([
        expect.closeTo(widthMm, 6),
        expect.closeTo(heightMm, 6),
      ]);
      // Judged by the side on which its pixels are largest.
      expect(after.mmPerPx).toBeCloseTo(Math.max(widthMm / 1200, heightMm / 800), 9);
      const back = resized(next, after, { widthMm: heightMm * 1.5, heightMm });
      expect(back.stretch ?? 1).toBeCloseTo(1, 9);
    }),
  );
});

test('actual size is what the file says: 1200 px at 300 to the inch are 101.6 mm', () => {
  expect(actualSize({ ...REF, ppi: 300 })).toEqual({
    widthMm: expect.closeTo(101.6, 9),
    heightMm: expect.closeTo(67.7333, 4),
  });
  expect(actualSize(REF)).toBeNull();
});

test('aligned, a layer touches that side of the area or has the same room on both', () => {
  const area = { x: 5, y: 7, width: 200, height: 80 };
  fc.assert(
    fc.property(layers, fc.constantFrom(...SIDES), (layer, side) => {
      const box = layerBox(placePictureLayer(layer, BOARD));
      const { dxMm, dyMm } = alignedBy(box, area, side);
      const moved = layerBox(placePictureLayer(movedBy(layer, dxMm, dyMm) as PictureLayer, BOARD));
      const room = {
        left: moved.x - area.x,
        right: area.x + area.width - moved.x - moved.width,
        top: moved.y - area.y,
        bottom: area.y + area.height - moved.y - moved.height,
        centre: moved.x + moved.width / 2 - area.x - area.width / 2,
        middle: moved.y + moved.height / 2 - area.y - area.height / 2,
      };
      expect(room[side]).toBeCloseTo(0, 6);
    }),
  );
});

test('spread evenly, all gaps are alike and the outer two stay', () => {
  const box = (id: string, x: number, width: number) => ({ id, box: { x, y: 0, width, height: 10 } });
  const boxes = [box('c', 80, 20), box('a', 0, 10), box('b', 12, 30)];
  // 100 across less 60 of boxes leaves 40 for two gaps: b from 30 to 60, c at 80.
  expect(spreadAcross(boxes)).toEqual(
    new Map([
      ['a', 0],
      ['b', 18],
      ['c', 0],
    ]),
  );
  expect(spreadAcross(boxes.slice(1))).toEqual(new Map());
});

test('beside a handle the white is the same on both sides, and the pair keeps its distance', () => {
  const trim = { x: 0, y: 0, width: 235, height: 84 };
  const box = (id: string, x: number, width: number) => ({ id, box: { x, y: 0, width, height: 10 } });
  // 10 mm on the left and 25 mm on the right: both move by 7.5 mm.
  expect(evenAtHandle([box('l', 10, 60), box('r', 150, 60)], trim)).toEqual(
    new Map([
      ['l', 7.5],
      ['r', 7.5],
    ]),
  );
  expect(evenAtHandle([box('one', 0, 100)], trim)).toEqual(new Map([['one', 67.5]]));
});

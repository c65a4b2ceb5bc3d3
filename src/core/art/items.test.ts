import { DRAWN_PICTURES } from './drawn';
import { sourceKey, sourcesOf } from './items';
import { boardOf, placePictureLayer } from './placedLayers';
import { exact } from '../figures/uncertain';
import { NO_ART, pictureLayer, type PictureRef } from '../job/art';
import { sizeRoundWrap } from '../wrap/roundWrap';
import { straightPattern, wrapInput } from '../wrap/testWraps';

const REF = DRAWN_PICTURES[0] as PictureRef;
const art = { ...NO_ART, layers: [pictureLayer('same', REF)] };
const placedOn = (foot: number) => {
  const { pattern } = sizeRoundWrap(
    wrapInput({ circumferenceTop: exact(270), circumferenceFoot: exact(foot), slant: exact(180) }),
  );
  const board = boardOf(pattern, art);
  return { board, pattern, placedLayers: placePictureLayer(pictureLayer('same', REF), board) };
};

test('the same picture in a layer of the same name, bent for two tapers, is two sources', () => {
  const [a, b, again] = [placedOn(220), placedOn(235), placedOn(220)];
  expect(sourceKey(a.placedLayers)).not.toBe(sourceKey(b.placedLayers));
  expect(sourceKey(a.placedLayers)).toBe(sourceKey(again.placedLayers));
});

test('a picture that is neither bent nor repeated is its file; a repeat is made', () => {
  const pattern = straightPattern(230, 190);
  const board = boardOf(pattern, art);
  const once = placePictureLayer(pictureLayer('l', REF), board);
  expect(sourcesOf([once], board, pattern.bleed)).toEqual({ [REF.id]: { kind: 'file', ref: REF } });
  const small = { base: 'cover', scale: 0.3, dxMm: 0, dyMm: 0, rotationDeg: 0 } as const;
  const many = placePictureLayer(pictureLayer('l', REF, { repeat: 'half-drop', placement: small }), board);
  expect(many.tiles.length).toBeGreaterThan(9);
  expect(Object.values(sourcesOf([many], board, pattern.bleed))).toMatchObject([
    { kind: 'made', bend: null },
  ]);
});

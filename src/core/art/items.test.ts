import { DRAWN_PICTURES } from './drawn';
import { sourceKey, sourcesOf } from './items';
import { boardOf, layPicture } from './lay';
import { exact } from '../figures/uncertain';
import { NO_ART, pictureLayer, type PictureRef } from '../job/art';
import { sizeRoundWrap } from '../wrap/roundWrap';
import { straightPattern, wrapInput } from '../wrap/testWraps';

const REF = DRAWN_PICTURES[0] as PictureRef;
const art = { ...NO_ART, layers: [pictureLayer('same', REF)] };
const laidOn = (foot: number) => {
  const { pattern } = sizeRoundWrap(
    wrapInput({ girthTop: exact(270), girthFoot: exact(foot), slant: exact(180) }),
  );
  const board = boardOf(pattern, art);
  return { board, pattern, laid: layPicture(pictureLayer('same', REF), board) };
};

test('the same picture in a layer of the same name, bent for two tapers, is two sources', () => {
  const [a, b, again] = [laidOn(220), laidOn(235), laidOn(220)];
  expect(sourceKey(a.laid)).not.toBe(sourceKey(b.laid));
  expect(sourceKey(a.laid)).toBe(sourceKey(again.laid));
});

test('a picture that is neither bent nor repeated is its file; a repeat is made', () => {
  const pattern = straightPattern(230, 190);
  const board = boardOf(pattern, art);
  const once = layPicture(pictureLayer('l', REF), board);
  expect(sourcesOf([once], board, pattern.bleed)).toEqual({ [REF.id]: { kind: 'file', ref: REF } });
  const small = { base: 'cover', scale: 0.3, dxMm: 0, dyMm: 0, turnDeg: 0 } as const;
  const many = layPicture(pictureLayer('l', REF, { repeat: 'half-drop', placement: small }), board);
  expect(many.tiles.length).toBeGreaterThan(9);
  expect(Object.values(sourcesOf([many], board, pattern.bleed))).toMatchObject([
    { kind: 'made', bend: null },
  ]);
});

import { NO_ART, pictureLayer, textLayer, MOST_LAYERS, type Layer, type PictureRef } from '@/core/job/art';
import { jobSchema, newJob, type Job } from '@/core/job/job';
import {
  withLayer,
  editPicture,
  editText,
  isFull,
  movedTo,
  newPicture,
  withPlacement,
  pulled,
  removed,
  replaced,
  layerMoved,
} from './layers';

const ref = (id: string): PictureRef => ({
  id,
  name: `${id}.png`,
  mime: 'image/png',
  widthPx: 100,
  heightPx: 80,
  orientation: 1,
  drawn: null,
});
const job = (...layers: readonly Layer[]): Job => ({
  ...newJob('j', 'Job'),
  art: { ...NO_ART, layers: [...layers] },
});
const ids = (j: Job) => j.art.layers.map((l) => l.id);
const three = job(pictureLayer('a', ref('p')), textLayer('b', 'Hi'), pictureLayer('c', ref('q')));

test('a step up or down changes places with one neighbour; past either end nothing moves', () => {
  expect(ids(layerMoved('a', 1)(three))).toEqual(['b', 'a', 'c']);
  expect(ids(layerMoved('c', -1)(three))).toEqual(['a', 'c', 'b']);
  expect(layerMoved('c', 1)(three)).toBe(three);
  expect(layerMoved('a', -1)(three)).toBe(three);
  expect(layerMoved('nobody', 1)(three)).toBe(three);
  expect(ids(layerMoved('a', -1)(layerMoved('a', 1)(three)))).toEqual(ids(three));
});

test('a change goes to the layer named, of the kind it is for, and to no other', () => {
  const turned = withPlacement('a', { rotationDeg: 30 })(three);
  expect(turned.art.layers[0]).toMatchObject({ placement: { rotationDeg: 30, base: 'cover' } });
  expect(turned.art.layers.slice(1)).toEqual(three.art.layers.slice(1));
  expect(editPicture('b', (l) => ({ ...l, repeat: 'mirror' }))(three)).toEqual(three);
  expect(editText('b', (l) => ({ ...l, text: 'Ho' }))(three).art.layers[1]).toMatchObject({ text: 'Ho' });
  expect(three.art.layers[1]).toMatchObject({ text: 'Hi' });
});

test('wherever a layer is dragged, the job can still be kept', () => {
  for (const [x, y] of [
    [9999, -9999],
    [-1e9, 12.5],
    [0, 0],
  ] as const)
    for (const id of ['a', 'b']) expect(jobSchema.safeParse(movedTo(id, x, y)(three)).success).toBe(true);
  expect(movedTo('b', 12, -7)(three).art.layers[1]).toMatchObject({ dxMm: 12, dyMm: -7 });
});

test('taken off, another in its place, what must be seen forgotten with the old picture', () => {
  expect(ids(removed('b')(three))).toEqual(['a', 'c']);
  const kept = editPicture('a', (l) => ({ ...l, focalArea: { x: 0, y: 0, width: 0.5, height: 0.5 } }))(three);
  expect(replaced('a', ref('new'))(kept).art.layers[0]).toMatchObject({
    picture: { id: 'new' },
    focalArea: null,
  });
});

test('a full pile refuses one more and loses none', () => {
  const full = job(...Array.from({ length: MOST_LAYERS }, (_, i) => textLayer(`w${i}`, 'x')));
  expect(isFull(full)).toBe(true);
  expect(ids(withLayer(textLayer('more', 'x'))(full))).toEqual(ids(full));
  const almost = removed('w0')(full);
  expect(isFull(almost)).toBe(false);
  expect(ids(withLayer(textLayer('more', 'x'))(almost)).at(-1)).toBe('more');
});

test('the first picture fills the wrap, words or no words; the next lies on it at half size', () => {
  expect(newPicture(job(textLayer('w', 'x')), 'p', ref('p')).placement).toMatchObject({
    base: 'cover',
    scale: 1,
  });
  expect(newPicture(three, 'p', ref('p')).placement).toMatchObject({ base: 'fit', scale: 0.5 });
});

test('a dragged middle comes to rest on a line within seven pixels, else where it was let go', () => {
  expect(pulled(10, [12, 40], 3)).toBe(12);
  expect(pulled(10, [12.5, 40], 3)).toBe(10);
  expect(pulled(10, [], 3)).toBe(10);
});

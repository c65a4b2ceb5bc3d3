import { exact } from '../figures/uncertain';
import { demoShop } from '../demo/demoShop';
import {
  artSchema,
  NO_ART,
  pictureLayer,
  textLayer,
  type Art,
  type Names,
  type PictureRef,
} from '../job/art';
import type { Job } from '../job/job';
import { plan } from '../plan/plan';
import { insideRing } from '../geometry/ring';
import { mainFace } from '../wrap/pattern';
import { sizeRoundWrap } from '../wrap/roundWrap';
import { straightPattern, wrapInput } from '../wrap/testWraps';
import { apply, IDENTITY, translate } from '../geometry/affine';
import { faceItems, sourceBox, sourceKey, sourcesOf } from './items';
import { bareOf, boardOf, isOnFace, placeArt, type PlacedLayer } from './placedLayers';
import { piecesOf } from './names';

const ref = (id: string, rest: Partial<PictureRef> = {}): PictureRef => ({
  id,
  name: `${id}.png`,
  mime: 'image/png',
  widthPx: 2500,
  heightPx: 2000,
  orientation: 1,
  drawn: null,
  ...rest,
});
const NAMES: Names = {
  columns: ['Name', 'Picture', 'How many'],
  rows: [
    ['Amaro', 'moon', '2'],
    ['', 'STAR.PNG', '1'],
    ['Corin', 'nowhere', '0'],
    ['Ione', '', 'some'],
  ],
  countColumn: 'How many',
  pictures: [ref('m', { name: 'moon.jpg' }), ref('s', { name: 'star.png' })],
};
const ART: Art = artSchema.parse({
  ...NO_ART,
  layers: [
    pictureLayer('pic', ref('own'), { field: 'Picture' }),
    textLayer('name', 'Name', { field: 'Name', along: 'line' }),
    textLayer('fixed', 'Dry Fork', { along: 'line', dyMm: 30 }),
  ],
  names: NAMES,
});
const pattern = straightPattern(230, 190);
const board = boardOf(pattern, ART);
const seen = (placedLayers: readonly PlacedLayer[]) =>
  placedLayers.map((l) => (l.kind === 'picture' ? l.ref.id : l.set.text));
const rowOf = (i: number) => NAMES.rows[i] ?? [];

describe('one piece of a list', () => {
  test('its own cells, in the layers they are for; the rest as it is on all', () => {
    expect(seen(placeArt(ART, board, rowOf(0)))).toEqual(['m', 'Amaro', 'Dry Fork']);
  });
  test('an empty cell leaves its layer off that piece', () => {
    expect(seen(placeArt(ART, board, rowOf(1)))).toEqual(['s', 'Dry Fork']);
    expect(seen(placeArt(ART, board, rowOf(3)))).toEqual(['Ione', 'Dry Fork']);
  });
  test('a picture that was not brought leaves the layer’s own', () => {
    expect(seen(placeArt(ART, board, rowOf(2)))).toEqual(['own', 'Corin', 'Dry Fork']);
  });
  test('without a row, or without a list, the layers as they are', () => {
    expect(seen(placeArt(ART, board, null))).toEqual(['own', 'Name', 'Dry Fork']);
    expect(seen(placeArt({ ...ART, names: null }, board, rowOf(0)))).toEqual(['own', 'Name', 'Dry Fork']);
  });
  test('as many pieces as the list counts: nought is none, what is no number is one', () => {
    expect(piecesOf(ART).map((p) => `${p.number} ${p.label}`)).toEqual([
      '1 Amaro',
      '2 Amaro',
      '3 ',
      '4 Ione',
    ]);
  });
});

describe('faces', () => {
  test('a wrap has but one and takes every layer; a front or back only its own', () => {
    expect((['both', 'front', 'back'] as const).map((on) => isOnFace(on, 'wrap'))).toEqual([
      true,
      true,
      true,
    ]);
    expect((['both', 'front', 'back'] as const).map((on) => isOnFace(on, 'front'))).toEqual([
      true,
      true,
      false,
    ]);
    expect((['both', 'front', 'back'] as const).map((on) => isOnFace(on, 'back'))).toEqual([
      true,
      false,
      true,
    ]);
  });

  test('on a two-sided ornament each face shows what is for it', () => {
    const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
    const ornament = jobs.find((j) => j.id === 'moon-and-star-ornaments') as Job;
    const both = plan(ornament, shop).wrap.pattern;
    if (!both || both.faces.length !== 2) throw new Error('two faces');
    const art: Art = {
      ...NO_ART,
      layers: [
        pictureLayer('f', ref('front'), { on: 'front' }),
        pictureLayer('b', ref('back'), { on: 'back' }),
      ],
    };
    const b = boardOf(both, art);
    const placedLayers = placeArt(art, b, null);
    const shown = both.faces.map((f) =>
      faceItems(placedLayers, f, IDENTITY).flatMap((i) => (i.kind === 'picture' ? [i.source] : [])),
    );
    expect(shown).toEqual(both.faces.map((f) => (f.name === 'back' ? ['back'] : ['front'])));
    expect(bareOf(placedLayers, b, 'front').bare).toEqual([]);
    expect(bareOf(placedLayers.slice(0, 1), b, 'back').bare.length).toBeGreaterThan(0);
  });
});

describe('items on paper', () => {
  const once = placeArt(ART, board, rowOf(0));

  test('a picture’s corners go where it was placed, carried on with the paper', () => {
    const [item] = faceItems(once, mainFace(pattern), translate(100, 50));
    const [picture] = once;
    if (item?.kind !== 'picture' || picture?.kind !== 'picture') throw new Error('a picture first');
    const corner = apply(item.matrix, { x: 0, y: 0 });
    const transform = picture.transform.corners[0];
    expect(corner.x).toBeCloseTo((transform?.x ?? NaN) + 100, 9);
    expect(corner.y).toBeCloseTo((transform?.y ?? NaN) + 50, 9);
  });

  test('everything is clipped to the bleed, and to a panel where there is one', () => {
    const panel = [
      { x: 0, y: 0 },
      { x: 50, y: 0 },
      { x: 50, y: 50 },
    ];
    const items = faceItems(once, mainFace(pattern), IDENTITY, panel);
    expect(items).toHaveLength(3);
    for (const i of items) {
      expect(i.clips).toHaveLength(2);
      expect(i.clips[1]).toBe(panel);
      const middle = { x: pattern.bleed.x + pattern.bleed.width / 2, y: pattern.bleed.y + 10 };
      expect(insideRing(i.clips[0] ?? [], middle)).toBe(true);
      expect(insideRing(i.clips[0] ?? [], { x: pattern.bleed.x - 1, y: 10 })).toBe(false);
    }
  });

  test('bottom first, as the layers lie', () => {
    expect(faceItems(once, mainFace(pattern), IDENTITY).map((i) => i.kind)).toEqual([
      'picture',
      'letters',
      'letters',
    ]);
  });

  test('a source is named once however many pieces carry it, and its box is in its own units', () => {
    const sources = sourcesOf([...once, ...placeArt(ART, board, rowOf(0))], board, pattern.bleed);
    expect(Object.keys(sources)).toEqual(['m']);
    const [file] = Object.values(sources);
    expect(file && sourceBox(file)).toEqual({ x: 0, y: 0, width: 2500, height: 2000 });
  });

  test('bent, it is made for its part of the paper, in mm', () => {
    const cone = sizeRoundWrap(
      wrapInput({ circumferenceTop: exact(260), circumferenceFoot: exact(200), slant: exact(150) }),
    ).pattern;
    const b = boardOf(cone, ART);
    const placedLayers = placeArt(ART, b, null);
    const [picture] = placedLayers;
    if (picture?.kind !== 'picture') throw new Error('a picture first');
    const made = sourcesOf(placedLayers, b, cone.bleed)[sourceKey(picture)];
    expect(made).toMatchObject({ kind: 'made', area: cone.bleed });
    expect(made && sourceBox(made)).toEqual(cone.bleed);
    const flat = { ...ART, warp: 'flat' as const };
    const straight = placeArt(flat, boardOf(cone, flat), null)[0];
    expect(straight?.kind === 'picture' && sourceKey(straight)).toBe('own');
  });
});

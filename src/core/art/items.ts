import type { PictureRef } from '../job/art';
import { flatten } from '../geometry/contour';
import type { Rect } from '../geometry/plane';
import type { Face } from '../wrap/pattern';
import { apply, compose, type Affine } from '../geometry/affine';
import type { Bend } from './bend';
import type { FontId } from '../job/fonts';
import { keyOf } from '../memo/key';
import { isOnFace, type ArtBoard, type PlacedLayer, type PlacedPicture } from './placedLayers';
import type { Polygon } from '../geometry/polygon';
import type { LetterAt } from './text';

/** Where the pixels of a picture item come from: a file as it is, or one bent or repeated at the resolution of the printer. */
export type PixelSource =
  | { readonly kind: 'file'; readonly ref: PictureRef }
  | {
      readonly kind: 'made';
      readonly ref: PictureRef;
      readonly tiles: readonly Affine[];
      readonly bend: Bend | null;
      /** Part of the paper it covers, mm. */
      readonly area: Rect;
    };
export type Sources = Readonly<Record<string, PixelSource>>;

/** Art on paper: the matrix takes the source's own units (px of a file, paper mm of a made one) to the page. */
export type ArtItem =
  | {
      readonly kind: 'picture';
      readonly source: string;
      readonly matrix: Affine;
      /** Shown only inside every one of these. */
      readonly clips: readonly Polygon[];
    }
  | {
      readonly kind: 'letters';
      readonly letters: readonly LetterAt[];
      readonly emMm: number;
      readonly font: FontId;
      readonly colour: string;
      readonly matrix: Affine;
      /** Shown only inside every one of these. */
      readonly clips: readonly Polygon[];
    };

/** How far the clip's chords may stray from an arc: a third of a dot at 300 to the inch. */
const CLIP_TOLERANCE_MM = 0.03;

const isMade = (l: PlacedPicture): boolean => l.bend !== null || l.tiles.length > 1;

const keys = new WeakMap<PlacedPicture, string>();

/**
 * Names a source. A made one is named by its geometry too: two jobs on one sheet, one perhaps a copy of the other, may hold the same picture
 * in a layer of the same name and bend it otherwise.
 */
export function sourceKey(l: PlacedPicture): string {
  if (!isMade(l)) return l.ref.id;
  const known = keys.get(l);
  if (known !== undefined) return known;
  const made = `${l.ref.id}:${keyOf([l.tiles, l.bend, l.over])}`;
  keys.set(l, made);
  return made;
}

const sourceOf = (l: PlacedPicture, board: ArtBoard, area: Rect): PixelSource =>
  isMade(l)
    ? { kind: 'made', ref: l.ref, tiles: l.tiles, bend: board.bend, area }
    : { kind: 'file', ref: l.ref };

/** Every source some laid art is drawn from. `area` is the printed box of a face, mm of the paper. */
export function sourcesOf(placedLayers: readonly PlacedLayer[], board: ArtBoard, area: Rect): Sources {
  return Object.fromEntries(
    placedLayers.flatMap((l) =>
      l.kind === 'picture' ? [[sourceKey(l), sourceOf(l, board, area)] as const] : [],
    ),
  );
}

/** The art of one face as items, its own millimetres carried on by `to`; clipped to its bleed, and to a panel where there is one. */
export function faceItems(
  placedLayers: readonly PlacedLayer[],
  face: Face,
  to: Affine,
  panel: Polygon | null = null,
): readonly ArtItem[] {
  const bleed = flatten(face.bleed, CLIP_TOLERANCE_MM).map((p) => apply(to, p));
  const clips = panel ? [bleed, panel] : [bleed];
  return placedLayers.flatMap((l): ArtItem[] => {
    if (!isOnFace(l.on, face.name)) return [];
    if (l.kind === 'picture') {
      const matrix = isMade(l) ? to : compose(to, l.transform.matrix);
      return [{ kind: 'picture', source: sourceKey(l), matrix, clips }];
    }
    const { letters, font, colour } = l;
    return letters.length === 0
      ? []
      : [{ kind: 'letters', letters, emMm: l.set.emMm, font, colour, matrix: to, clips }];
  });
}

/** Box a source fills in its own units. */
export const sourceBox = (s: PixelSource): Rect =>
  s.kind === 'made' ? s.area : { x: 0, y: 0, width: s.ref.widthPx, height: s.ref.heightPx };

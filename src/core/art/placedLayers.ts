import type { Art, OnFace, PictureLayer, PictureRef, TextLayer } from '../job/art';
import { cellOf, pictureNamed } from './names';
import { mainFace, type Face, type Pattern } from '../wrap/pattern';
import type { Rect } from '../geometry/plane';
import type { Affine } from '../geometry/affine';
import { bendOf, straightened, type Bend } from './bend';
import { bareAreas, placePicture, tilesOf, type BareAreas, type PictureTransform } from './pictureTransform';
import type { FontId } from '../job/fonts';
import { ontoPaper, setText, type LetterAt, type SetText } from './text';

/** The straight board art is set out on, and how it is bent on to the paper (null: it is the paper). */
export interface ArtBoard {
  readonly pattern: Pattern;
  readonly bend: Bend | null;
}

export interface PlacedPicture {
  readonly kind: 'picture';
  readonly id: string;
  readonly ref: PictureRef;
  readonly on: OnFace;
  readonly transform: PictureTransform;
  /** Every copy, px to mm of the straight board. */
  readonly tiles: readonly Affine[];
  readonly bend: Bend | null;
  /** Printed box on the straight board it has to cover, mm. */
  readonly over: Rect;
}

export interface PlacedText {
  readonly kind: 'text';
  readonly id: string;
  readonly on: OnFace;
  readonly font: FontId;
  readonly colour: string;
  readonly set: SetText;
  /** On the face's paper, mm. */
  readonly letters: readonly LetterAt[];
}

/** A layer with its place calculated. The PDF, the PNG and every screen draw this same list. */
export type PlacedLayer = PlacedPicture | PlacedText;

export function boardOf(pattern: Pattern, art: Art): ArtBoard {
  const bend = bendOf(pattern, art.warp);
  return { pattern: bend ? straightened(pattern, bend) : pattern, bend };
}

export function placePictureLayer(layer: PictureLayer, board: ArtBoard, ref = layer.picture): PlacedPicture {
  const { trim, bleed } = board.pattern;
  const transform = placePicture(ref.widthPx, ref.heightPx, layer.placement, trim, bleed, layer.flip);
  return {
    kind: 'picture',
    id: layer.id,
    ref,
    on: layer.on,
    transform,
    tiles: tilesOf(transform, ref.widthPx, ref.heightPx, layer.repeat, bleed),
    bend: board.bend,
    over: bleed,
  };
}

export function placeText(layer: TextLayer, board: ArtBoard, text = layer.text): PlacedText {
  const words = { ...layer, text };
  const set = setText(words, board.pattern.trim, board.pattern.form === 'flat');
  return {
    kind: 'text',
    id: layer.id,
    on: layer.on,
    font: layer.font,
    colour: layer.colour,
    set,
    letters: ontoPaper(set, words, board.bend),
  };
}

/**
 * Every layer laid out for one piece, bottom first. `row` is the piece's row of the names list; an empty cell leaves its layer off that
 * piece, a picture not found leaves the layer's own.
 */
export function placeArt(art: Art, board: ArtBoard, row: readonly string[] | null): readonly PlacedLayer[] {
  return art.layers.flatMap((layer): PlacedLayer[] => {
    const cell = art.names && row && layer.field !== null ? cellOf(art.names, row, layer.field) : null;
    if (layer.kind === 'picture') {
      if (cell === '') return [];
      const named = cell !== null && art.names ? pictureNamed(art.names, cell) : null;
      return [placePictureLayer(layer, board, named ?? layer.picture)];
    }
    return cell === '' ? [] : [placeText(layer, board, cell ?? layer.text)];
  });
}

/** Whether a layer is for a face. */
export const isOnFace = (on: OnFace, face: Face['name']): boolean =>
  on === 'both' || face === 'wrap' || face === on;

/** What the pictures of one face leave bare. Repeats leave nothing. */
export function bareOf(placedLayers: readonly PlacedLayer[], board: ArtBoard, face: Face['name']): BareAreas {
  const pictures = placedLayers.flatMap((l) => (l.kind === 'picture' && isOnFace(l.on, face) ? [l] : []));
  const { pattern } = board;
  const whole = pictures.some((l) => l.tiles.length > 1);
  return bareAreas(
    mainFace(pattern).bleed,
    pattern.bleed,
    whole ? [everything(pattern)] : pictures.map((l) => l.transform.corners),
  );
}

const everything = ({ bleed: b }: Pattern) => [
  { x: b.x - 1, y: b.y - 1 },
  { x: b.x + b.width + 1, y: b.y - 1 },
  { x: b.x + b.width + 1, y: b.y + b.height + 1 },
  { x: b.x - 1, y: b.y + b.height + 1 },
];

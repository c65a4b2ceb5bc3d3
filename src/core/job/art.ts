import '../basics/zodSetup';
import * as z from 'zod/mini';
import { FONT_IDS } from './fonts';
import { colourSchema, idSchema, mmSchema, momentSchema } from '../shop/common';

export const MIMES = ['image/png', 'image/jpeg', 'image/webp', 'image/tiff', 'image/svg+xml'] as const;
export type Mime = (typeof MIMES)[number];

const SCENES = ['star chart', 'comet', 'moon band'] as const;

const pictureRefSchema = z.strictObject({
  id: idSchema,
  name: z.string().check(z.minLength(1), z.maxLength(120)),
  mime: z.enum(MIMES),
  /** Size as seen, after the file's own orientation has been applied; of a drawing, the size it is drawn at. */
  widthPx: z.int().check(z.gte(1), z.lte(40000)),
  heightPx: z.int().check(z.gte(1), z.lte(40000)),
  /** Resolution its file says; absent where it says none. */
  ppi: z.optional(z.number().check(z.gte(1), z.lte(20000))),
  /** EXIF orientation, 1..8. */
  orientation: z.int().check(z.gte(1), z.lte(8)),
  /** Drawn by the application from a seed; null for a picture brought in. */
  drawn: z.nullable(z.strictObject({ scene: z.enum(SCENES), seed: z.int() })),
});
export type PictureRef = z.infer<typeof pictureRefSchema>;

/** Where a picture sits, relative to cover or fit, so it follows the wrap when that is measured again. */
const picturePlacementSchema = z.strictObject({
  base: z.enum(['cover', 'fit']),
  scale: z.number().check(z.gte(0.02), z.lte(50)),
  /** Wider than its own ratio by so much; absent for its own ratio. */
  stretch: z.optional(z.number().check(z.gte(0.1), z.lte(10))),
  dxMm: z.number().check(z.gte(-2000), z.lte(2000)),
  dyMm: z.number().check(z.gte(-2000), z.lte(2000)),
  rotationDeg: z.number().check(z.gte(-360), z.lte(360)),
});
export type PicturePlacement = z.infer<typeof picturePlacementSchema>;

/** How a small picture is set again and again: rows, each column half drop, or each turned over. */
const REPEATS = ['none', 'rows', 'half-drop', 'mirror'] as const;
export type Repeat = (typeof REPEATS)[number];

/** Which faces of a two-sided blank a layer is for. */
const ON_FACES = ['both', 'front', 'back'] as const;
export type OnFace = (typeof ON_FACES)[number];

/** A column of the names list; null where the layer is the same on every piece. */
const fieldSchema = z.nullable(z.string().check(z.minLength(1), z.maxLength(60)));

/** Part of a picture that must be seen, such as a face or its own lettering: shares of the picture from its top left. */
const focalAreaSchema = z.strictObject({
  x: z.number().check(z.gte(0), z.lte(1)),
  y: z.number().check(z.gte(0), z.lte(1)),
  width: z.number().check(z.gt(0), z.lte(1)),
  height: z.number().check(z.gt(0), z.lte(1)),
});
export type FocalArea = z.infer<typeof focalAreaSchema>;

const pictureLayerSchema = z.strictObject({
  kind: z.literal('picture'),
  id: idSchema,
  picture: pictureRefSchema,
  placement: picturePlacementSchema,
  flip: z.strictObject({ across: z.boolean(), down: z.boolean() }),
  repeat: z.enum(REPEATS),
  focalArea: z.nullable(focalAreaSchema),
  on: z.enum(ON_FACES),
  field: fieldSchema,
});
export type PictureLayer = z.infer<typeof pictureLayerSchema>;

/** x and y of the middle of the words, mm from the middle of the trimmed wrap laid straight. */
const textLayerSchema = z.strictObject({
  kind: z.literal('text'),
  id: idSchema,
  text: z.string().check(z.minLength(1), z.maxLength(60)),
  font: z.enum(FONT_IDS),
  capHeightMm: mmSchema(1, 120),
  dxMm: z.number().check(z.gte(-1000), z.lte(1000)),
  dyMm: z.number().check(z.gte(-1000), z.lte(1000)),
  rotationDeg: z.number().check(z.gte(-360), z.lte(360)),
  colour: colourSchema,
  /** Along a straight line, or along the arc that stays level on the blank. */
  along: z.enum(['line', 'arc']),
  /** Longest the words may be; null for as long as they come out. */
  mostMm: z.nullable(mmSchema(5, 1300)),
  /** Longer text: set smaller, or only reported. */
  overlong: z.enum(['fit', 'flag']),
  on: z.enum(ON_FACES),
  field: fieldSchema,
});
export type TextLayer = z.infer<typeof textLayerSchema>;

const layerSchema = z.discriminatedUnion('kind', [pictureLayerSchema, textLayerSchema]);
export type Layer = z.infer<typeof layerSchema>;

/** How art lies on a tapered wrap: bent two ways, or straight on the paper. */
const WARPS = ['true', 'level', 'flat'] as const;
export type Warp = (typeof WARPS)[number];

export const MOST_NAMES = 500;
const cellSchema = z.string().check(z.maxLength(120));
const namesSchema = z.strictObject({
  columns: z.array(z.string().check(z.minLength(1), z.maxLength(60))).check(z.minLength(1), z.maxLength(12)),
  rows: z.array(z.array(cellSchema).check(z.maxLength(12))).check(z.maxLength(MOST_NAMES)),
  /** Column that says how many of each; null for one of each. */
  countColumn: z.nullable(z.string()),
  /** Pictures that cells name, by file name. */
  pictures: z.array(pictureRefSchema).check(z.maxLength(60)),
});
export type Names = z.infer<typeof namesSchema>;

export const MOST_LAYERS = 24;
/** An empty template saved for a design made elsewhere: known again by its pixels. */
const templateSchema = z.strictObject({
  savedAt: momentSchema,
  ppi: z.int().check(z.gte(72), z.lte(1200)),
  widthPx: z.int().check(z.gte(1), z.lte(40000)),
  heightPx: z.int().check(z.gte(1), z.lte(40000)),
  widthMm: mmSchema(1, 2600),
  heightMm: mmSchema(1, 2600),
});
export type ArtTemplate = z.infer<typeof templateSchema>;
export const MOST_TEMPLATES = 12;

export const artSchema = z.strictObject({
  /** Bottom first. */
  layers: z.array(layerSchema).check(z.maxLength(MOST_LAYERS)),
  warp: z.enum(WARPS),
  names: z.nullable(namesSchema),
  /** Oldest first. */
  templates: z.array(templateSchema).check(z.maxLength(MOST_TEMPLATES)),
});
export type Art = z.infer<typeof artSchema>;

export const START_PLACEMENT: PicturePlacement = {
  base: 'cover',
  scale: 1,
  dxMm: 0,
  dyMm: 0,
  rotationDeg: 0,
};
export const NO_ART: Art = { layers: [], warp: 'level', names: null, templates: [] };

/** Whether the lowest picture is to fill the wrap. Beside one set to Fit the blank is meant to show. */
export const isToCover = (art: Art): boolean =>
  art.layers.find((l) => l.kind === 'picture')?.placement.base !== 'fit';

export const pictureLayer = (
  id: string,
  picture: PictureRef,
  rest: Partial<PictureLayer> = {},
): PictureLayer => ({
  kind: 'picture',
  id,
  picture,
  placement: START_PLACEMENT,
  flip: { across: false, down: false },
  repeat: 'none',
  focalArea: null,
  on: 'both',
  field: null,
  ...rest,
});

export const textLayer = (id: string, text: string, rest: Partial<TextLayer> = {}): TextLayer => ({
  kind: 'text',
  id,
  text,
  font: 'narrow',
  capHeightMm: 9,
  dxMm: 0,
  dyMm: 0,
  rotationDeg: 0,
  colour: '#f4efe0',
  along: 'arc',
  mostMm: null,
  overlong: 'fit',
  on: 'both',
  field: null,
  ...rest,
});

/** Every picture a job's art holds, those its list names included. */
export const picturesOf = (art: Art): readonly PictureRef[] => [
  ...art.layers.flatMap((l) => (l.kind === 'picture' ? [l.picture] : [])),
  ...(art.names?.pictures ?? []),
];

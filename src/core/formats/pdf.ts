import { WRITTEN_BY } from '../basics/version';
import {
  PDFDocument,
  PDFName,
  PDFNumber,
  PDFRawStream,
  beginText,
  clip,
  closePath,
  concatTransformationMatrix,
  drawObject,
  endPath,
  endText,
  fill,
  lineTo,
  moveTo,
  popGraphicsState,
  pushGraphicsState,
  setFillingRgbColor,
  setFontAndSize,
  setLineWidth,
  setTextMatrix,
  showText,
  stroke,
  type PDFFont,
  type PDFOperator,
  type PDFPage,
  type PDFRef,
} from 'pdf-lib';
import fontkit from '@pdf-lib/fontkit';
import { apply, compose, IDENTITY, orientationMap, scale, translate, type Affine } from '../geometry/affine';
import { type Polygon } from '../geometry/polygon';
import type { FontId } from '../job/fonts';
import { sourceBox, type PixelSource, type Sources } from '../art/items';
import type { LetterAt } from '../art/text';
import type { PictureRef } from '../job/art';
import { type Rect, rectCorners } from '../geometry/plane';
import type { Page, PageItem } from '../sheet/pages';
import { MM_PER_INCH } from '../message/quantity';
import { liftPixels } from './png';

/** Pixels ready for a PDF: rows of the PNG predictor “up”, deflated; clear parts as a mask of their own. */
export interface Raster {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly rgb: Uint8Array;
  readonly alpha: Uint8Array | null;
}

export interface PdfInput {
  readonly title: string;
  readonly pages: readonly Page[];
  readonly sources: Sources;
  /** Bytes of the pictures that go in as they came, by picture id. PNG or JPEG. */
  readonly files: Readonly<Record<string, Uint8Array>>;
  /** Pixels of the sources that were bent, repeated, or come in a form no PDF takes, by source key. */
  readonly rasters: Readonly<Record<string, Raster>>;
  /** Font files: the label's, and that of the words where there are any. WOFF, TTF or OTF. */
  readonly labelFont: Uint8Array;
  readonly wordFonts: Partial<Readonly<Record<FontId, Uint8Array>>>;
  readonly onProgress?: (done: number) => void;
}

const PT_PER_MM = 72 / MM_PER_INCH;

interface Inked {
  readonly ref: PDFRef;
  /** A PDF image fills the unit square from its lower left; this takes that to the source's own units. */
  readonly fromUnit: Affine;
}

interface Ink {
  readonly pictures: ReadonlyMap<string, Inked>;
  readonly label: PDFFont;
  readonly words: ReadonlyMap<FontId, PDFFont>;
}

/** Pixels go in as they came: JPEG whole, PNG's own compressed rows where they hold no transparency. */
async function embedPixels(doc: PDFDocument, ref: PictureRef, bytes: Uint8Array): Promise<PDFRef> {
  if (ref.mime === 'image/jpeg') return (await doc.embedJpg(bytes)).ref;
  const lifted = liftPixels(bytes);
  if (!lifted) return (await doc.embedPng(bytes)).ref;
  const { header, idat, palette } = lifted;
  const space =
    header.colourType === 3 && palette
      ? ['Indexed', 'DeviceRGB', palette.length / 3 - 1, doc.context.register(doc.context.stream(palette))]
      : PDFName.of(header.colourType === 2 ? 'DeviceRGB' : 'DeviceGray');
  const dict = doc.context.obj({
    Type: 'XObject',
    Subtype: 'Image',
    Width: header.widthPx,
    Height: header.heightPx,
    BitsPerComponent: header.bitDepth,
    ColorSpace: space,
    Filter: 'FlateDecode',
    DecodeParms: {
      Predictor: 15,
      Colors: header.colourType === 2 ? 3 : 1,
      BitsPerComponent: header.bitDepth,
      Columns: header.widthPx,
    },
    Length: idat.length,
  });
  return doc.context.register(PDFRawStream.of(dict, idat));
}

/** Predictor rows of 8-bit samples as an image of their own. */
function rasterStream(
  doc: PDFDocument,
  r: Raster,
  data: Uint8Array,
  space: string,
  mask: PDFRef | null,
): PDFRef {
  const colours = space === 'DeviceRGB' ? 3 : 1;
  const dict = doc.context.obj({
    Type: 'XObject',
    Subtype: 'Image',
    Width: r.widthPx,
    Height: r.heightPx,
    BitsPerComponent: 8,
    ColorSpace: space,
    Filter: 'FlateDecode',
    DecodeParms: { Predictor: 15, Colors: colours, BitsPerComponent: 8, Columns: r.widthPx },
    Length: data.length,
    ...(mask ? { SMask: mask } : {}),
  });
  return doc.context.register(PDFRawStream.of(dict, data));
}

function embedRaster(doc: PDFDocument, r: Raster): PDFRef {
  const mask = r.alpha && rasterStream(doc, r, r.alpha, 'DeviceGray', null);
  return rasterStream(doc, r, r.rgb, 'DeviceRGB', mask);
}

async function inkOf(doc: PDFDocument, input: PdfInput, key: string, source: PixelSource): Promise<Inked> {
  const raster = input.rasters[key];
  if (raster) {
    const b = sourceBox(source);
    return { ref: embedRaster(doc, raster), fromUnit: [b.width, 0, 0, -b.height, b.x, b.y + b.height] };
  }
  const { ref } = source;
  // Drawn as it came, a bent or repeated picture would be straight and of another size; left out, it would be missed only on the blank.
  if (source.kind === 'made')
    throw new Error(
      `“${ref.name}” is bent or repeated, and its pixels have not been made. Save the file again.`,
    );
  const bytes = input.files[ref.id];
  if (!bytes) throw new Error(`The file of “${ref.name}” is missing. Import the picture again, then save.`);
  const [w, h] = ref.orientation >= 5 ? [ref.heightPx, ref.widthPx] : [ref.widthPx, ref.heightPx];
  const unitToStored: Affine = [w, 0, 0, -h, 0, h];
  return {
    ref: await embedPixels(doc, ref, bytes),
    fromUnit: compose(orientationMap(ref.orientation, ref.widthPx, ref.heightPx), unitToStored),
  };
}

async function loadInk(doc: PDFDocument, input: PdfInput): Promise<Ink> {
  doc.registerFontkit(fontkit);
  const label = await doc.embedFont(input.labelFont, { subset: true });
  const words = new Map<FontId, PDFFont>();
  for (const [id, bytes] of Object.entries(input.wordFonts)) {
    words.set(id as FontId, await doc.embedFont(bytes, { subset: true }));
  }
  const pictures = new Map<string, Inked>();
  for (const [key, source] of Object.entries(input.sources)) {
    pictures.set(key, await inkOf(doc, input, key, source));
  }
  return { pictures, label, words };
}

const concat = (m: Affine): PDFOperator => concatTransformationMatrix(...m);

function path(corners: Polygon): PDFOperator[] {
  return [...corners.map((p, i) => (i === 0 ? moveTo(p.x, p.y) : lineTo(p.x, p.y))), closePath()];
}

const rgb = (hex: string): PDFOperator => {
  const channel = (i: number) => parseInt(hex.slice(i, i + 2), 16) / 255;
  return setFillingRgbColor(channel(1), channel(3), channel(5));
};

/** Letters one at a time at their own places, so the sheet agrees with the screen to the hair. */
function letterOps(
  font: PDFFont,
  key: PDFName,
  em: number,
  m: Affine,
  letters: readonly LetterAt[],
  colour: string,
): PDFOperator[] {
  return [
    pushGraphicsState(),
    rgb(colour),
    concat(m),
    beginText(),
    setFontAndSize(key, em),
    // A text matrix has y up; a letter's own matrix has it down.
    ...letters.flatMap(({ letter, matrix: [a, b, c, d, e, f] }) => [
      setTextMatrix(a, b, -c, -d, e, f),
      showText(font.encodeText(letter)),
    ]),
    endText(),
    popGraphicsState(),
  ];
}

interface PageKeys {
  readonly pictures: ReadonlyMap<string, PDFName>;
  readonly label: PDFName;
  readonly words: ReadonlyMap<FontId, PDFName>;
}

const clipOps = (clips: readonly Polygon[]): PDFOperator[] =>
  clips.flatMap((c) => [...path(c), clip(), endPath()]);

function itemOps(item: PageItem, ink: Ink, keys: PageKeys): PDFOperator[] {
  switch (item.kind) {
    case 'picture': {
      const inked = ink.pictures.get(item.source);
      const key = keys.pictures.get(item.source);
      if (!inked || !key) return [];
      return [
        pushGraphicsState(),
        ...clipOps(item.clips),
        concat(compose(item.matrix, inked.fromUnit)),
        drawObject(key),
        popGraphicsState(),
      ];
    }
    case 'letters': {
      const font = ink.words.get(item.font);
      const key = keys.words.get(item.font);
      if (!font || !key) return [];
      const letters = letterOps(font, key, item.emMm, item.matrix, item.letters, item.colour);
      return [pushGraphicsState(), ...clipOps(item.clips), ...letters, popGraphicsState()];
    }
    case 'line':
      return [
        setLineWidth(item.widthMm),
        moveTo(item.from.x, item.from.y),
        lineTo(item.to.x, item.to.y),
        stroke(),
      ];
    case 'bar':
      return barOps(item.rect, item.filled, item.matrix);
    case 'text': {
      const run = [{ letter: item.text, matrix: IDENTITY }];
      return letterOps(ink.label, keys.label, item.emMm, item.matrix, run, '#000000');
    }
  }
}

/** A block of the ruler: black ones fill their length exactly; white ones are two hairlines drawn inside. */
function barOps(rect: Rect, filled: boolean, m: Affine): PDFOperator[] {
  const draw = (r: Rect) => [...path(rectCorners(r).map((p) => apply(m, p))), fill()];
  if (filled) return draw(rect);
  const hair = 0.15;
  return [
    ...draw({ ...rect, height: hair }),
    ...draw({ ...rect, y: rect.y + rect.height - hair, height: hair }),
  ];
}

/** Longest side a page may have in its own units (ISO 32000-1, annex C). */
const MOST_UNITS = 14_400;

/** Points to a unit of the page: 1, and as many as a longer page needs, whole, so that every program reads it alike. */
export const userUnit = (page: Pick<Page, 'widthMm' | 'heightMm'>): number =>
  Math.max(1, Math.ceil((Math.max(page.widthMm, page.heightMm) * PT_PER_MM) / MOST_UNITS));

function setBoxes(target: PDFPage, page: Page, perMm: number): void {
  const box = (r: Rect) =>
    [r.x * perMm, (page.heightMm - r.y - r.height) * perMm, r.width * perMm, r.height * perMm] as const;
  target.setMediaBox(0, 0, page.widthMm * perMm, page.heightMm * perMm);
  target.setTrimBox(...box(page.trimBox));
  target.setBleedBox(...box(page.bleedBox));
}

function drawPage(doc: PDFDocument, page: Page, ink: Ink): void {
  const unit = userUnit(page);
  const perMm = PT_PER_MM / unit;
  const target = doc.addPage([page.widthMm * perMm, page.heightMm * perMm]);
  if (unit > 1) target.node.set(PDFName.of('UserUnit'), PDFNumber.of(unit));
  setBoxes(target, page, perMm);
  const used = new Set(page.items.flatMap((i) => (i.kind === 'picture' ? [i.source] : [])));
  const keys: PageKeys = {
    pictures: new Map(
      [...used].flatMap((k) => {
        const inked = ink.pictures.get(k);
        return inked ? [[k, target.node.newXObject('Picture', inked.ref)] as const] : [];
      }),
    ),
    label: target.node.newFontDictionary(ink.label.name, ink.label.ref),
    words: new Map(
      [...ink.words].map(([id, font]) => [id, target.node.newFontDictionary(font.name, font.ref)]),
    ),
  };
  // Page mm with y down, to the page's units with y up.
  const base = compose(translate(0, page.heightMm * perMm), scale(perMm, -perMm));
  target.pushOperators(
    pushGraphicsState(),
    concat(base),
    ...page.items.flatMap((i) => itemOps(i, ink, keys)),
    popGraphicsState(),
  );
}

/** Writes the pages as a PDF at true size; throws where a picture on them has no pixels to write. Text is live text in embedded, subset fonts; nothing is resampled. */
export async function writePdf(input: PdfInput): Promise<Uint8Array> {
  const doc = await PDFDocument.create();
  doc.setTitle(input.title);
  doc.setProducer(WRITTEN_BY);
  doc.setCreator(WRITTEN_BY);
  const ink = await loadInk(doc, input);
  input.pages.forEach((page, i) => {
    drawPage(doc, page, ink);
    input.onProgress?.((i + 1) / (input.pages.length + 1));
  });
  return doc.save();
}

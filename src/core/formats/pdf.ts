import {
  PDFDocument,
  PDFName,
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
import { apply, compose, orientationMap, scale, translate, type Affine } from '../art/affine';
import { rectCorners, type Polygon } from '../art/polygon';
import type { FontId } from '../art/fonts';
import type { PictureRef } from '../job/job';
import type { Rect } from '../shapes/plane';
import type { Page, PageItem } from '../sheet/pages';
import { MM_PER_INCH } from '../units/quantity';
import { liftPixels } from './png';

export interface PdfInput {
  readonly title: string;
  readonly pages: readonly Page[];
  readonly picture: { readonly ref: PictureRef; readonly bytes: Uint8Array } | null;
  /** Font files: the label's, and that of the words where there are any. WOFF, TTF or OTF. */
  readonly labelFont: Uint8Array;
  readonly wordFonts: Partial<Readonly<Record<FontId, Uint8Array>>>;
  readonly onProgress?: (done: number) => void;
}

const PT_PER_MM = 72 / MM_PER_INCH;

interface Ink {
  readonly picture: { readonly ref: PDFRef; readonly unitToSeen: Affine } | null;
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

async function loadInk(doc: PDFDocument, input: PdfInput): Promise<Ink> {
  doc.registerFontkit(fontkit);
  const label = await doc.embedFont(input.labelFont, { subset: true });
  const words = new Map<FontId, PDFFont>();
  for (const [id, bytes] of Object.entries(input.wordFonts)) {
    words.set(id as FontId, await doc.embedFont(bytes, { subset: true }));
  }
  if (!input.picture) return { picture: null, label, words };
  const { ref, bytes } = input.picture;
  const pixels = await embedPixels(doc, ref, bytes);
  const sideways = ref.orientation >= 5;
  const [w, h] = sideways ? [ref.heightPx, ref.widthPx] : [ref.widthPx, ref.heightPx];
  // A PDF image fills the unit square from its lower left; stored rows run down from its upper left.
  const unitToStored: Affine = [w, 0, 0, -h, 0, h];
  const unitToSeen = compose(orientationMap(ref.orientation, ref.widthPx, ref.heightPx), unitToStored);
  return { picture: { ref: pixels, unitToSeen }, label, words };
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
  letters: readonly { letter: string; xMm: number }[],
  colour: string,
): PDFOperator[] {
  return [
    pushGraphicsState(),
    rgb(colour),
    concat(m),
    beginText(),
    setFontAndSize(key, em),
    ...letters.flatMap(({ letter, xMm }) => [
      setTextMatrix(1, 0, 0, -1, xMm, 0),
      showText(font.encodeText(letter)),
    ]),
    endText(),
    popGraphicsState(),
  ];
}

interface PageKeys {
  readonly picture: PDFName | null;
  readonly label: PDFName;
  readonly words: ReadonlyMap<FontId, PDFName>;
}

function itemOps(item: PageItem, ink: Ink, keys: PageKeys): PDFOperator[] {
  switch (item.kind) {
    case 'picture':
      if (!ink.picture || !keys.picture) return [];
      return [
        pushGraphicsState(),
        ...path(item.clip),
        clip(),
        endPath(),
        concat(compose(item.matrix, ink.picture.unitToSeen)),
        drawObject(keys.picture),
        popGraphicsState(),
      ];
    case 'words': {
      const font = ink.words.get(item.font);
      const key = keys.words.get(item.font);
      if (!font || !key) return [];
      const letters = letterOps(font, key, item.set.emMm, item.matrix, item.set.letters, item.colour);
      return [pushGraphicsState(), ...path(item.clip), clip(), endPath(), ...letters, popGraphicsState()];
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
      const run = [{ letter: item.text, xMm: 0 }];
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

function setBoxes(target: PDFPage, page: Page): void {
  const box = (r: Rect) =>
    [
      r.x * PT_PER_MM,
      (page.heightMm - r.y - r.height) * PT_PER_MM,
      r.width * PT_PER_MM,
      r.height * PT_PER_MM,
    ] as const;
  target.setMediaBox(0, 0, page.widthMm * PT_PER_MM, page.heightMm * PT_PER_MM);
  target.setTrimBox(...box(page.trimBox));
  target.setBleedBox(...box(page.bleedBox));
}

function drawPage(doc: PDFDocument, page: Page, ink: Ink): void {
  const target = doc.addPage([page.widthMm * PT_PER_MM, page.heightMm * PT_PER_MM]);
  setBoxes(target, page);
  const keys: PageKeys = {
    picture: ink.picture && target.node.newXObject('Picture', ink.picture.ref),
    label: target.node.newFontDictionary(ink.label.name, ink.label.ref),
    words: new Map(
      [...ink.words].map(([id, font]) => [id, target.node.newFontDictionary(font.name, font.ref)]),
    ),
  };
  // Page mm with y down, to points with y up.
  const base = compose(translate(0, page.heightMm * PT_PER_MM), scale(PT_PER_MM, -PT_PER_MM));
  target.pushOperators(
    pushGraphicsState(),
    concat(base),
    ...page.items.flatMap((i) => itemOps(i, ink, keys)),
    popGraphicsState(),
  );
}

/** Writes the pages as a PDF at true size. Text is live text in embedded, subset fonts; nothing is resampled. */
export async function writePdf(input: PdfInput): Promise<Uint8Array> {
  const doc = await PDFDocument.create();
  doc.setTitle(input.title);
  doc.setProducer('Mesa Drift');
  doc.setCreator('Mesa Drift');
  const ink = await loadInk(doc, input);
  input.pages.forEach((page, i) => {
    drawPage(doc, page, ink);
    input.onProgress?.((i + 1) / (input.pages.length + 1));
  });
  return doc.save();
}

import { apply } from '../geometry/affine';
import type { PlacedPicture } from '../art/placedLayers';
import type { ImageCell, ImageAnalysis } from '../art/analyseImage';
import { type Polygon } from '../geometry/polygon';
import { runsOutOf, runsPast, touches } from '../art/text';
import { type Rect, boundsOf, rectCorners } from '../geometry/plane';
import { say } from '../message/message';
import { fineMm, mm, MM_PER_INCH, ppi, ratio } from '../message/quantity';
import { mainFace } from '../wrap/pattern';
import { check, viewingMm, type Check, type CheckInput, type PictureCheck } from './check';

/** In the hand (300 mm): below these a print looks soft, or plainly blocky. Farther off, less will do. */
export const SOFT_BELOW_PPI = 200;
const BLOCKY_BELOW_PPI = 120;

const layerOf = (l: PlacedPicture, c: CheckInput) => {
  const found = c.art.layers.find((x) => x.id === l.id);
  return found?.kind === 'picture' ? found : null;
};

const bottomPicture = (c: CheckInput): PlacedPicture | undefined =>
  c.placedLayers.find((l): l is PlacedPicture => l.kind === 'picture');

const resolution: PictureCheck = (l, c) => {
  const viewed = viewingMm(c.blank, c.board.pattern.trim);
  const part = 300 / viewed;
  const { ppi: at } = l.transform;
  const where = [overlap(boundsOf(l.transform.corners), c.board.pattern.bleed)];
  const seen = viewed > 300 ? say('art.seenFrom', { viewed: mm(viewed) }) : say('common.n');
  if (at < BLOCKY_BELOW_PPI * part)
    return [check('ppi', 'warning', say('art.onlySizeLookPixelated', { at: ppi(at), seen }), where)];
  return at < SOFT_BELOW_PPI * part
    ? [check('ppi', 'warning', say('art.sizeFineLinesSoft', { at: ppi(at), seen }), where)]
    : [];
};

/** Within a share of a size, or what rounding to whole pixels hides of a small one. */
const near = (px: number, b: number, part: number): boolean => Math.abs(px - b) <= Math.max(part * b, 0.5);

/** Pixels that are the wrap's own millimetres or inches: a size typed into the wrong box of a drawing program. */
const unitSlip: PictureCheck = (l, c) => {
  const { trim, bleed } = c.board.pattern;
  const { widthPx, heightPx } = l.ref;
  const like = (k: number) =>
    [trim, bleed].some((r) => near(widthPx, r.width * k, 0.03) && near(heightPx, r.height * k, 0.03));
  const unit = like(1) ? 'millimetres' : like(10 / MM_PER_INCH) || like(1 / MM_PER_INCH) ? 'inches' : null;
  if (unit)
    return [
      check('unit', 'warning', say('art.picturePxWrapsOwn', { widthPx, heightPx, unit, value: ppi(300) })),
    ];
  const coarse = [72, 96].find((d) => like(d / MM_PER_INCH));
  return coarse
    ? [check('unit', 'warning', say('art.pictureWasSavedScreen', { coarse: ppi(coarse), value: ppi(300) }))]
    : [];
};

/** Share of a covering picture lost because it is of another shape than the wrap. */
const aspect: PictureCheck = (l, c) => {
  const layer = layerOf(l, c);
  if (
    !layer ||
    layer.placement.base !== 'cover' ||
    layer.placement.rotationDeg !== 0 ||
    layer.repeat !== 'none'
  )
    return [];
  if (layer.placement.scale < 0.9) return [];
  const { bleed } = c.board.pattern;
  const k = l.ref.widthPx / l.ref.heightPx / (bleed.width / bleed.height);
  const lost = 1 - Math.min(k, 1 / k);
  return lost > 0.3
    ? [
        check(
          'aspect',
          'info',
          say('art.thePictureIs', {
            which: k > 1 ? 'wider' : 'other',
            lost: ratio(lost),
            which2: k > 1 ? 'atTheEnds' : 'other',
          }),
        ),
      ]
    : [];
};

const NAME_SAYS_MIRRORED = /(mirror|flipp?ed|reversed?|backwards|rtl)/i;

/** A picture turned over by its maker and again by the sheet comes out wrong way round. */
const mirrored: PictureCheck = (l, c) => {
  const layer = layerOf(l, c);
  if (!layer || layer.flip.across || !NAME_SAYS_MIRRORED.test(l.ref.name)) return [];
  return [
    check(
      'mirrored',
      'warning',
      say('art.hasNameSuggestsMirrored', { ref: l.ref.name }),
      [overlap(boundsOf(l.transform.corners), c.board.pattern.bleed)],
      { kind: 'flip', label: say('art.flipIt'), layer: l.id },
    ),
  ];
};

/** The part a person marked as having to be seen. */
const kept: PictureCheck = (l, c) => {
  const focalArea = layerOf(l, c)?.focalArea;
  if (!focalArea) return [];
  const { widthPx: w, heightPx: h } = l.ref;
  const quad = rectCorners({
    x: focalArea.x * w,
    y: focalArea.y * h,
    width: focalArea.width * w,
    height: focalArea.height * h,
  }).map((p) => apply(l.transform.matrix, p));
  return zoneChecks(quad, c);
};

function zoneChecks(quad: Polygon, c: CheckInput): readonly Check[] {
  const { pattern } = c.board;
  const face = mainFace(pattern);
  const box = boundsOf(quad);
  const exclusionZones = face.exclusionZones.map((z) => z.contour);
  if (touches([quad], exclusionZones))
    return [check('keep', 'warning', say('art.focalAreaLiesExclusion'), [box])];
  if (touches([quad], pattern.seams))
    return [check('keep', 'warning', say('art.focalAreaReachesSeam'), [box])];
  const out = face.safe.length === 0 ? 0 : runsOutOf([quad], face.safe);
  if (out > 0) return [check('keep', 'warning', say('art.focalAreaOutsideSafe', { out: mm(out) }), [box])];
  const { front } = pattern;
  const past = front ? runsPast(box, front.x - front.wellMm / 2, front.x + front.wellMm / 2) : 0;
  return past > 0 ? [check('keep', 'info', say('art.focalAreaOutsideFront', { past: mm(past) }), [box])] : [];
}

/** Where a picture is set to Fit the blank is meant to show round it. */
const covers = (l: PlacedPicture, c: CheckInput): boolean => layerOf(l, c)?.placement.base !== 'fit';

/** A bare frame round a picture that is to cover, where it falls inside the printed shape. */
function frames(l: PlacedPicture, look: ImageAnalysis, c: CheckInput): readonly Check[] {
  const layer = layerOf(l, c);
  if (!covers(l, c)) return [];
  const kx = l.ref.widthPx / look.widthPx;
  return look.frames.flatMap((f): Check[] => {
    const { widthPx: w, heightPx: h } = l.ref;
    const inner: Rect = {
      x: f.leftPx * kx,
      y: f.topPx * kx,
      width: w - (f.leftPx + f.rightPx) * kx,
      height: h - (f.topPx + f.bottomPx) * kx,
    };
    const strips: readonly Rect[] = [
      { x: 0, y: 0, width: w, height: inner.y },
      { x: 0, y: inner.y + inner.height, width: w, height: f.bottomPx * kx },
      { x: 0, y: 0, width: inner.x, height: h },
      { x: inner.x + inner.width, y: 0, width: f.rightPx * kx, height: h },
    ];
    const at = strips
      .map((s) =>
        overlap(boundsOf(rectCorners(s).map((p) => apply(l.transform.matrix, p))), c.board.pattern.bleed),
      )
      .filter((r) => r.width > 0.3 && r.height > 0.3);
    if (at.length === 0 || c.placedLayers.filter((x) => x.kind === 'picture')[0] !== l) return [];
    const deep = Math.max(...at.map((r) => Math.min(r.width, r.height)));
    const grow = Math.max(w / Math.max(1, inner.width), h / Math.max(1, inner.height));
    const fix =
      layer && grow < 2
        ? ({
            kind: 'picture',
            label: say('art.enlargePastFrame'),
            layer: l.id,
            placement: { scale: Math.min(50, layer.placement.scale * grow * 1.002) },
          } as const)
        : null;
    return [
      check('frame', 'warning', say('art.frameRoundPicture', { frame: f.kind, deep: mm(deep) }), at, fix),
    ];
  });
}

const overlap = (a: Rect, b: Rect): Rect => {
  const x = Math.max(a.x, b.x);
  const y = Math.max(a.y, b.y);
  return {
    x,
    y,
    width: Math.max(0, Math.min(a.x + a.width, b.x + b.width) - x),
    height: Math.max(0, Math.min(a.y + a.height, b.y + b.height) - y),
  };
};

interface CellAt {
  readonly cell: ImageCell;
  /** Its square of the picture, px. */
  readonly px: Rect;
}

/** Squares of the look whose middle falls inside a box of the board. */
function cellsWithin(l: PlacedPicture, look: ImageAnalysis, zone: Rect): readonly CellAt[] {
  const w = l.ref.widthPx / look.cols;
  const h = l.ref.heightPx / look.rows;
  const [right, foot] = [zone.x + zone.width, zone.y + zone.height];
  const found: CellAt[] = [];
  look.cells.forEach((cell, i) => {
    const [col, row] = [i % look.cols, Math.floor(i / look.cols)];
    const mid = apply(l.transform.matrix, { x: (col + 0.5) * w, y: (row + 0.5) * h });
    if (mid.x >= zone.x && mid.x <= right && mid.y >= zone.y && mid.y <= foot)
      found.push({ cell, px: { x: col * w, y: row * h, width: w, height: h } });
  });
  return found;
}

const mean = (cells: readonly CellAt[], of: (c: ImageCell) => number): number =>
  cells.length === 0 ? 0 : cells.reduce((s, c) => s + of(c.cell), 0) / cells.length;

const MOST_PLACES = 12;
const worst = (
  l: PlacedPicture,
  cells: readonly CellAt[],
  of: (c: ImageCell) => number,
  from: number,
): readonly Rect[] =>
  [...cells]
    .filter((c) => of(c.cell) >= from)
    .sort((a, b) => of(b.cell) - of(a.cell))
    .slice(0, MOST_PLACES)
    .map((c) => boundsOf(rectCorners(c.px).map((p) => apply(l.transform.matrix, p))));

const isTinted = ({ coating }: CheckInput['blank']): boolean =>
  coating.stock === 'clear' || coating.colour.toLowerCase() !== '#ffffff';

function pale(l: PlacedPicture, look: ImageAnalysis, c: CheckInput): readonly Check[] {
  if (!isTinted(c.blank)) return [];
  const of = (x: ImageCell) => x.white + x.pale;
  const cells = cellsWithin(l, look, c.board.pattern.trim);
  const share = mean(cells, of);
  const what = c.blank.coating.stock === 'clear' ? say('art.stayClear') : say('art.takeColourBlank');
  return share > 0.02
    ? [
        check(
          'tint',
          share > 0.12 ? 'warning' : 'info',
          say('art.pictureWhiteNearlyThose', { share: ratio(share), what }),
          worst(l, cells, of, 0.4),
        ),
      ]
    : [];
}

const RIM_MM = 8;

function darkRim(l: PlacedPicture, look: ImageAnalysis, c: CheckInput): readonly Check[] {
  if (c.blank.shape.kind !== 'round') return [];
  const { trim } = c.board.pattern;
  const zone = { ...trim, height: Math.max(RIM_MM, l.transform.heightMm / look.rows) };
  const cells = cellsWithin(l, look, zone);
  const share = mean(cells, (x) => x.dark);
  return share > 0.6
    ? [check('rim', 'info', say('art.darkSolidAreaReaches'), [{ ...trim, height: RIM_MM }])]
    : [];
}

function tooMuchInk(l: PlacedPicture, look: ImageAnalysis, c: CheckInput): readonly Check[] {
  const cells = cellsWithin(l, look, c.board.pattern.bleed);
  const over = cells.filter((x) => x.cell.inkPct > c.mostInkPct);
  const share = cells.length === 0 ? 0 : over.length / cells.length;
  const most = Math.max(0, ...over.map((x) => x.cell.inkPct));
  return share > 0.02
    ? [
        check(
          'ink',
          'warning',
          say('art.aboutPictureLaysUp', {
            share: ratio(share),
            most: ratio(most / 100),
            mostInk: ratio(c.mostInkPct / 100),
          }),
          worst(l, over, (x) => x.inkPct, 0),
        ),
      ]
    : [];
}

function hairlines(l: PlacedPicture, look: ImageAnalysis, c: CheckInput): readonly Check[] {
  if (look.finestPx === null || c.blurMm === null) return [];
  const wide = look.finestPx * (l.ref.widthPx / look.widthPx) * l.transform.mmPerPx;
  return wide < c.blurMm
    ? [check('hair', 'info', say('art.finestLinesAboutDye', { wide: fineMm(wide), blur: fineMm(c.blurMm) }))]
    : [];
}

function holes(l: PlacedPicture, look: ImageAnalysis, c: CheckInput): readonly Check[] {
  if (bottomPicture(c) !== l || !covers(l, c)) return [];
  const cells = cellsWithin(l, look, c.board.pattern.trim);
  const share = mean(cells, (x) => x.clear);
  return share > 0.01 && look.frames.every((f) => f.kind !== 'clear')
    ? [
        check(
          'clear',
          'info',
          say('art.pictureClearBareBlank', { share: ratio(share) }),
          worst(l, cells, (x) => x.clear, 0.5),
        ),
      ]
    : [];
}

/** Every check of one picture; those that need its pixels wait until they have been analysed. */
export function checkPicture(l: PlacedPicture, c: CheckInput): readonly Check[] {
  const look = c.analyses[l.ref.id];
  const plain = [resolution, unitSlip, aspect, mirrored, kept].flatMap((f) => f(l, c));
  const deep = look
    ? [frames, pale, darkRim, tooMuchInk, hairlines, holes].flatMap((f) => f(l, look, c))
    : [];
  const untold = !look && isTinted(c.blank) && bottomPicture(c) === l;
  return [...plain, ...deep, ...(untold ? [check('tint', 'info', say('art.whiteNeverPrintedPale'))] : [])];
}

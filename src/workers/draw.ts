import type { Affine } from '@/core/geometry/affine';
import { fontById, type FontId } from '@/core/job/fonts';
import type { Polygon } from '@/core/geometry/polygon';
import type { Scene, Shape } from '@/core/art/scenes';
import type { Rect } from '@/core/geometry/plane';
import type { PageItem } from '@/core/sheet/pages';

/** Draws core's lists of shapes on a canvas. The core decides what; this only holds the brush. */
export type Brush = OffscreenCanvasRenderingContext2D;

function drawMoon(g: Brush, s: Extract<Shape, { kind: 'moon' }>): void {
  const lit = '#f4efe0';
  const dark = '#26305e';
  g.fillStyle = dark;
  g.beginPath();
  g.arc(s.x, s.y, s.r, 0, 2 * Math.PI);
  g.fill();
  // Phase 0 new, ½ full: the lit limb is a half disc, the terminator half an ellipse.
  const waxing = s.phase < 0.5;
  const swell = Math.cos(2 * Math.PI * s.phase);
  g.fillStyle = lit;
  g.beginPath();
  g.arc(s.x, s.y, s.r, -Math.PI / 2, Math.PI / 2, !waxing);
  g.ellipse(s.x, s.y, Math.abs(swell) * s.r, s.r, 0, Math.PI / 2, (3 * Math.PI) / 2, waxing === swell > 0);
  g.fill();
}

function drawShape(g: Brush, s: Shape, scene: Scene): void {
  switch (s.kind) {
    case 'fill': {
      const paint = g.createLinearGradient(0, 0, 0, scene.height);
      for (const [at, colour] of s.stops) paint.addColorStop(at, colour);
      g.fillStyle = paint;
      g.fillRect(0, 0, scene.width, scene.height);
      return;
    }
    case 'dot':
      g.fillStyle = s.colour;
      g.beginPath();
      g.arc(s.x, s.y, s.r, 0, 2 * Math.PI);
      g.fill();
      return;
    case 'moon':
      drawMoon(g, s);
      return;
    case 'line':
      g.strokeStyle = s.colour;
      g.lineWidth = s.width;
      g.beginPath();
      s.points.forEach(([x, y], i) => (i === 0 ? g.moveTo(x, y) : g.lineTo(x, y)));
      g.stroke();
      return;
    case 'ring':
      g.strokeStyle = s.colour;
      g.lineWidth = s.width;
      g.beginPath();
      g.arc(s.x, s.y, s.r, 0, 2 * Math.PI);
      g.stroke();
  }
}

export function drawSceneOn(g: Brush, scene: Scene): void {
  for (const shape of scene.shapes) drawShape(g, shape, scene);
}

const enter = (g: Brush, m: Affine): void => g.transform(...m);

function clipTo(g: Brush, clips: readonly Polygon[]): void {
  for (const corners of clips) {
    g.beginPath();
    corners.forEach((p, i) => (i === 0 ? g.moveTo(p.x, p.y) : g.lineTo(p.x, p.y)));
    g.closePath();
    g.clip();
  }
}

function drawLetters(
  g: Brush,
  item: Extract<PageItem, { kind: 'letters' }>,
  family: (id: FontId) => string,
): void {
  const font = fontById(item.font);
  enter(g, item.matrix);
  g.fillStyle = item.colour;
  // Set large and scaled down: canvas rounds small type.
  const per = item.emMm / 100;
  g.font = `${font.weight} 100px "${family(item.font)}"`;
  g.fontKerning = 'none';
  for (const { letter, matrix } of item.letters) {
    g.save();
    enter(g, matrix);
    g.scale(per, per);
    g.fillText(letter, 0, 0);
    g.restore();
  }
}

/** A source with its pixels, and the box they fill in its own units. */
export interface Painted {
  readonly bitmap: ImageBitmap;
  readonly box: Rect;
}

/** Family name of the face that sheets are labelled in. */
export const LABEL_FACE = 'sheet-label';

function drawPicture(g: Brush, item: Extract<PageItem, { kind: 'picture' }>, { bitmap, box }: Painted): void {
  clipTo(g, item.clips);
  enter(g, item.matrix);
  g.imageSmoothingQuality = 'high';
  g.drawImage(bitmap, box.x, box.y, box.width, box.height);
}

function drawBar(g: Brush, { rect, filled, matrix }: Extract<PageItem, { kind: 'bar' }>): void {
  enter(g, matrix);
  g.fillStyle = filled ? '#000000' : '#ffffff';
  g.fillRect(rect.x, rect.y, rect.width, rect.height);
  g.strokeStyle = '#000000';
  g.lineWidth = 0.1;
  g.strokeRect(rect.x, rect.y, rect.width, rect.height);
}

function drawText(g: Brush, { text, emMm, matrix }: Extract<PageItem, { kind: 'text' }>): void {
  enter(g, matrix);
  g.scale(emMm / 100, emMm / 100);
  g.fillStyle = '#000000';
  g.font = `600 100px "${LABEL_FACE}"`;
  g.fillText(text, 0, 0);
}

function drawLine(g: Brush, { from, to, widthMm }: Extract<PageItem, { kind: 'line' }>): void {
  g.strokeStyle = '#000000';
  g.lineWidth = widthMm;
  g.beginPath();
  g.moveTo(from.x, from.y);
  g.lineTo(to.x, to.y);
  g.stroke();
}

/** Draws one page item in page mm. */
function drawItem(
  g: Brush,
  item: PageItem,
  paints: ReadonlyMap<string, Painted>,
  family: (id: FontId) => string,
): void {
  g.save();
  switch (item.kind) {
    case 'picture': {
      const paint = paints.get(item.source);
      if (paint) drawPicture(g, item, paint);
      break;
    }
    case 'letters':
      clipTo(g, item.clips);
      drawLetters(g, item, family);
      break;
    case 'line':
      drawLine(g, item);
      break;
    case 'bar':
      drawBar(g, item);
      break;
    case 'text':
      drawText(g, item);
  }
  g.restore();
}

/** Part of some page items as pixels on white: `area` in mm, `perMm` pixels to the millimetre. */
export function drawPart(
  g: Brush,
  items: readonly PageItem[],
  area: Rect,
  perMm: number,
  paints: ReadonlyMap<string, Painted>,
  family: (id: FontId) => string,
  ground: 'white' | 'clear' = 'white',
): void {
  g.setTransform(1, 0, 0, 1, 0, 0);
  if (ground === 'white') {
    g.fillStyle = '#ffffff';
    g.fillRect(0, 0, g.canvas.width, g.canvas.height);
  }
  g.setTransform(perMm, 0, 0, perMm, -area.x * perMm, -area.y * perMm);
  for (const item of items) drawItem(g, item, paints, family);
}

import type { Affine } from '@/core/art/affine';
import { fontById, type FontId } from '@/core/art/fonts';
import type { Polygon } from '@/core/art/polygon';
import type { Scene, Shape } from '@/core/art/scenes';
import type { Page, PageItem } from '@/core/sheet/pages';

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

function clipTo(g: Brush, corners: Polygon): void {
  g.beginPath();
  corners.forEach((p, i) => (i === 0 ? g.moveTo(p.x, p.y) : g.lineTo(p.x, p.y)));
  g.closePath();
  g.clip();
}

function drawLetters(
  g: Brush,
  item: Extract<PageItem, { kind: 'words' }>,
  family: (id: FontId) => string,
): void {
  const font = fontById(item.font);
  enter(g, item.matrix);
  g.fillStyle = item.colour;
  // Set large and scaled down: canvas rounds small type.
  const per = item.set.emMm / 100;
  g.font = `${font.weight} 100px "${family(item.font)}"`;
  g.fontKerning = 'none';
  for (const { letter, xMm } of item.set.letters) {
    g.save();
    g.translate(xMm, 0);
    g.scale(per, per);
    g.fillText(letter, 0, 0);
    g.restore();
  }
}

/** Draws one page item in page mm. Ticks, bars and labels belong to sheets, which leave as PDF. */
export function drawItem(
  g: Brush,
  item: PageItem,
  picture: ImageBitmap | null,
  family: (id: FontId) => string,
): void {
  g.save();
  if (item.kind === 'picture' && picture) {
    clipTo(g, item.clip);
    enter(g, item.matrix);
    g.imageSmoothingQuality = 'high';
    g.drawImage(picture, 0, 0);
  } else if (item.kind === 'words') {
    clipTo(g, item.clip);
    drawLetters(g, item, family);
  }
  g.restore();
}

/** A page as pixels on white, `ppi` to the inch. */
export function rasterPage(
  page: Page,
  ppi: number,
  picture: ImageBitmap | null,
  family: (id: FontId) => string,
): OffscreenCanvas {
  const perMm = ppi / 25.4;
  const canvas = new OffscreenCanvas(Math.round(page.widthMm * perMm), Math.round(page.heightMm * perMm));
  const g = canvas.getContext('2d', { alpha: false });
  if (!g) throw new Error('The browser gives no canvas.');
  g.fillStyle = '#ffffff';
  g.fillRect(0, 0, canvas.width, canvas.height);
  g.scale(perMm, perMm);
  for (const item of page.items) drawItem(g, item, picture, family);
  return canvas;
}

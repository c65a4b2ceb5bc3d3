import { fontById } from '@/core/art/fonts';
import type { Placed } from '@/core/art/place';
import type { SetWords } from '@/core/art/words';
import type { PictureRef, Words } from '@/core/job/job';
import { flatten, type Contour } from '@/core/shapes/contour';
import type { Rect } from '@/core/shapes/plane';
import type { Face } from '@/core/wrap/pattern';

/** Long side of the texture, px: sharp at arm's length, light enough for a tablet. */
const LONG_PX = 1400;

export interface ArtOnFace {
  readonly picture: PictureRef | null;
  readonly placed: Placed | null;
  readonly url: string | null;
  readonly words: Words | null;
  readonly set: SetWords | null;
}

const loadImage = (url: string): Promise<HTMLImageElement> =>
  new Promise((resolve, reject) => {
    const image = new Image();
    image.onload = () => resolve(image);
    image.onerror = () => reject(new Error('The picture did not load.'));
    image.src = url;
  });

function trace(g: CanvasRenderingContext2D, c: Contour): void {
  g.beginPath();
  flatten(c, 0.1).forEach((p, i) => (i === 0 ? g.moveTo(p.x, p.y) : g.lineTo(p.x, p.y)));
  g.closePath();
}

/** One face's art in its own box, as a canvas; what is not paper stays clear. Null where the browser gives no canvas. */
export async function faceTexture(face: Face, box: Rect, art: ArtOnFace): Promise<HTMLCanvasElement | null> {
  const canvas = document.createElement('canvas');
  const k = LONG_PX / Math.max(box.width, box.height);
  canvas.width = Math.max(2, Math.round(box.width * k));
  canvas.height = Math.max(2, Math.round(box.height * k));
  const g = canvas.getContext('2d');
  if (!g) return null;
  g.setTransform(k, 0, 0, k, -box.x * k, -box.y * k);
  trace(g, face.trim);
  g.fillStyle = '#ffffff';
  g.fill();
  g.save();
  g.clip();
  if (art.placed && art.picture && art.url) {
    const image = await loadImage(art.url);
    g.save();
    g.transform(...art.placed.matrix);
    g.drawImage(image, 0, 0, art.picture.widthPx, art.picture.heightPx);
    g.restore();
  }
  if (art.words && art.set) {
    const font = fontById(art.words.font);
    g.font = `${font.weight} ${art.set.emMm}px ${font.family}`;
    g.fillStyle = art.words.colour;
    for (const l of art.set.letters) g.fillText(l.letter, art.set.box.x + l.xMm, art.set.baselineMm);
  }
  g.restore();
  g.fillStyle = '#c8371b55';
  for (const z of face.noGo) {
    trace(g, z.contour);
    g.fill();
  }
  return canvas;
}

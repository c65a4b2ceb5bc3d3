import { fontById } from '@/core/job/fonts';
import { sourceBox, type ArtItem, type Sources } from '@/core/art/items';
import { flatten, type Contour } from '@/core/geometry/contour';
import type { Rect } from '@/core/geometry/plane';
import type { Face } from '@/core/wrap/pattern';

/** Long side of the texture, px: sharp at arm's length, light enough for a tablet. */
const LONG_PX = 1400;

export interface ArtOnFace {
  readonly items: readonly ArtItem[];
  readonly sources: Sources;
  readonly urls: Readonly<Record<string, string>>;
}

const loadImage = (url: string): Promise<HTMLImageElement> =>
  new Promise((resolve, reject) => {
    const image = new Image();
    image.onload = () => resolve(image);
    image.onerror = () => reject(new Error('not loaded'));
    image.src = url;
  });

function trace(g: CanvasRenderingContext2D, c: Contour): void {
  g.beginPath();
  flatten(c, 0.1).forEach((p, i) => (i === 0 ? g.moveTo(p.x, p.y) : g.lineTo(p.x, p.y)));
  g.closePath();
}

async function paintPicture(g: CanvasRenderingContext2D, key: string, art: ArtOnFace): Promise<void> {
  const source = art.sources[key];
  const url = art.urls[key];
  if (!source || !url) return;
  const box = sourceBox(source);
  g.drawImage(await loadImage(url), box.x, box.y, box.width, box.height);
}

function paintLetters(g: CanvasRenderingContext2D, item: Extract<ArtItem, { kind: 'letters' }>): void {
  const font = fontById(item.font);
  g.font = `${font.weight} ${item.emMm}px ${font.family}`;
  g.fillStyle = item.colour;
  for (const l of item.letters) {
    g.save();
    g.transform(...l.matrix);
    g.fillText(l.letter, 0, 0);
    g.restore();
  }
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
  for (const item of art.items) {
    g.save();
    g.transform(...item.matrix);
    if (item.kind === 'picture') await paintPicture(g, item.source, art);
    else paintLetters(g, item);
    g.restore();
  }
  g.restore();
  g.fillStyle = '#c8371b55';
  for (const z of face.exclusionZones) {
    trace(g, z.contour);
    g.fill();
  }
  return canvas;
}

import { SaxesParser } from 'saxes';
import { fail, ok, type Result } from '../basics/result';
import type { PictureFacts } from './picture';

/** Long side a drawing is drawn at, px: 300 to the inch on the longest wrap there is. */
const DRAWN_PX = 4800;
const MOST_CHARS = 8_000_000;

export function isSvg(b: Uint8Array): boolean {
  const head = new TextDecoder().decode(b.subarray(0, 1024));
  return (
    /^\uFEFF?\s*(<\?xml|<!--|<!doctype svg|<svg)/i.test(head) &&
    /<svg[\s/>]/i.test(head + textOf(b.subarray(0, 20_000)))
  );
}

const textOf = (b: Uint8Array): string => new TextDecoder().decode(b);

const PER_UNIT: Readonly<Record<string, number>> = {
  '': 1,
  px: 1,
  mm: 3.7795,
  cm: 37.795,
  in: 96,
  pt: 1.3333,
  pc: 16,
};

function lengthPx(text: string | undefined): number | null {
  const m = /^\s*([\d.]+(?:e[-+]?\d+)?)\s*(px|mm|cm|in|pt|pc)?\s*$/i.exec(text ?? '');
  return m ? Number(m[1]) * (PER_UNIT[(m[2] ?? '').toLowerCase()] ?? 1) : null;
}

/** Width and height as given; one alone takes the other from the shape of the view box, whose units are its own (SVG 2, 8.2). */
function sizeOf(
  w: number | null,
  h: number | null,
  ratio: number,
  box: readonly [number, number],
): readonly [number, number] {
  if (w !== null && h !== null) return [w, h];
  if (w !== null) return [w, w / ratio];
  if (h !== null) return [h * ratio, h];
  return box;
}

/** Size a drawing is to be drawn at, from its own width and height or its view box. */
export function svgFacts(bytes: Uint8Array, where: string): Result<PictureFacts> {
  const text = textOf(bytes);
  if (text.length > MOST_CHARS)
    return fail('The drawing is too large.', where, 'Simplify it, or save it as PNG.');
  const root: { attributes: Record<string, string> | null } = { attributes: null };
  let broken: string | null = null;
  const parser = new SaxesParser();
  parser.on('opentag', (tag) => {
    root.attributes ??= tag.attributes as Record<string, string>;
  });
  parser.on('error', (e) => (broken ??= e.message));
  parser.write(text).close();
  if (broken !== null || !root.attributes)
    return fail('The SVG drawing is damaged or cut short.', where, 'Save it again as plain SVG.');
  const box = (root.attributes.viewBox ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const [w, h] = sizeOf(
    lengthPx(root.attributes.width),
    lengthPx(root.attributes.height),
    (box[2] ?? NaN) / (box[3] ?? NaN),
    [box[2] ?? NaN, box[3] ?? NaN],
  );
  if (!(w > 0 && h > 0 && w / h < 200 && h / w < 200))
    return fail('The SVG drawing does not say its size.', where, 'Give it a width, a height or a viewBox.');
  const k = DRAWN_PX / Math.max(w, h);
  return ok({
    mime: 'image/svg+xml',
    widthPx: Math.max(1, Math.round(w * k)),
    heightPx: Math.max(1, Math.round(h * k)),
  });
}

import { say, type Message } from '../message/message';
import { SaxesParser } from 'saxes';
import { fail, ok, type Result } from '../basics/result';
import { ppiFact, type PictureFacts } from './pictureFacts';

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
  mm: 96 / 25.4,
  cm: 960 / 25.4,
  in: 96,
  pt: 96 / 72,
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

/** Groups within groups, and parts once every reference is drawn: more than any program writes, and as many as a tablet draws in a breath. */
const MOST_DEEP = 256;
const MOST_PARTS = 200_000;

/** Parts of a stretch of the drawing, and the ids it draws again. */
interface Stretch {
  readonly id: string | undefined;
  parts: number;
  readonly uses: string[];
}

/** How many parts are drawn once what refers to others is followed; a reference back to itself draws nothing. */
function partsDrawn(root: Stretch, byId: ReadonlyMap<string, Stretch>): number {
  const known = new Map<Stretch, number>();
  const open = new Set<Stretch>();
  const count = (s: Stretch): number => {
    const had = known.get(s);
    if (had !== undefined) return had;
    if (open.has(s)) return 0;
    open.add(s);
    let sum = s.parts;
    for (const id of s.uses) {
      const of = byId.get(id);
      if (of) sum += count(of);
      if (sum > MOST_PARTS) break;
    }
    open.delete(s);
    known.set(s, sum);
    return sum;
  };
  return count(root);
}

/** The attributes of the root of a drawing that can be drawn, or why it cannot. Stops reading as soon as that is known. */
function readTree(text: string): Readonly<Record<string, string>> | 'damaged' | 'too deep' | 'too many' {
  const stack: Stretch[] = [];
  const byId = new Map<string, Stretch>();
  let first: { readonly root: Stretch; readonly attributes: Record<string, string> } | undefined;
  let wrong: 'damaged' | 'too deep' | 'too many' | null = null;
  const parser = new SaxesParser();
  parser.on('opentag', (tag) => {
    const attributes = tag.attributes as Record<string, string>;
    const own: Stretch = { id: attributes.id, parts: 1, uses: [] };
    const href = attributes.href ?? attributes['xlink:href'] ?? '';
    if (/^(.*:)?use$/.test(tag.name) && href.startsWith('#')) own.uses.push(href.slice(1));
    first ??= { root: own, attributes };
    stack.push(own);
    if (stack.length > MOST_DEEP) throw (wrong = 'too deep');
  });
  parser.on('closetag', () => {
    const own = stack.pop();
    const above = stack.at(-1);
    if (!own) return;
    if (own.id !== undefined) byId.set(own.id, own);
    if (!above) return;
    above.parts += own.parts;
    if (above.parts > MOST_PARTS) throw (wrong = 'too many');
    for (const id of own.uses) above.uses.push(id);
  });
  parser.on('error', () => {
    throw (wrong = 'damaged');
  });
  try {
    parser.write(text).close();
  } catch (e) {
    if (wrong === null) throw e;
    return wrong;
  }
  const found = first as { readonly root: Stretch; readonly attributes: Record<string, string> } | undefined;
  if (!found) return 'damaged';
  return partsDrawn(found.root, byId) > MOST_PARTS ? 'too many' : found.attributes;
}

/** Size a drawing is to be drawn at, from its own width and height or its view box. */
export function svgFacts(bytes: Uint8Array, where: Message): Result<PictureFacts> {
  const text = textOf(bytes);
  if (text.length > MOST_CHARS)
    return fail(say('files.drawingTooLarge'), where, say('files.simplifySavePng'));
  const read = readTree(text);
  if (read === 'too deep' || read === 'too many')
    return fail(
      read === 'too deep' ? say('files.svgDrawingNestedToo') : say('files.svgDrawingHoldsToo'),
      where,
      say('files.simplifyProgramMadeSave'),
    );
  if (read === 'damaged')
    return fail(say('files.svgDrawingDamagedCut'), where, say('files.saveAgainPlainSvg3'));
  const box = (read.viewBox ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const [w, h] = sizeOf(lengthPx(read.width), lengthPx(read.height), (box[2] ?? NaN) / (box[3] ?? NaN), [
    box[2] ?? NaN,
    box[3] ?? NaN,
  ]);
  if (!(w > 0 && h > 0 && w / h < 200 && h / w < 200))
    return fail(say('files.svgDrawingDoesSay'), where, say('files.giveWidthHeightViewbox'));
  const k = DRAWN_PX / Math.max(w, h);
  return ok({
    mime: 'image/svg+xml',
    widthPx: Math.max(1, Math.round(w * k)),
    heightPx: Math.max(1, Math.round(h * k)),
    // A drawing that gives its size in real units is drawn at so many pixels to the inch (CSS: 96 px).
    ...ppiFact(/(mm|cm|in|pt|pc)\s*$/i.test(read.width ?? '') ? 96 * k : null),
  });
}

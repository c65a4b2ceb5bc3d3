import { say, type Message } from '@/core/message/message';
import type { PictureRef } from '@/core/job/art';
import { fail, ok, type Result } from '@/core/basics/result';
import { part } from '@/core/basics/part';

/** A drawing as PNG, and what could not be taken over, in words. */
export interface DrawnSvg {
  readonly png: Uint8Array;
  readonly dropped: readonly Message[];
}

/** What a drawing may not hold, and how that is said. */
const DROPPED = {
  script: say('files.aScript'),
  foreign: say('files.droppedForeign'),
  outside: say('files.droppedOutside'),
  css: say('files.droppedStyle'),
  animation: say('files.droppedAnimation'),
} as const;
type Dropped = keyof typeof DROPPED;

const TAGS: Readonly<Record<string, Dropped>> = {
  script: 'script',
  foreignobject: 'foreign',
  iframe: 'foreign',
  animate: 'animation',
  animatetransform: 'animation',
  animatemotion: 'animation',
  set: 'animation',
};

/** An address inside the drawing, or a picture inside the file itself. */
const isInside = (address: string): boolean =>
  /^(#|data:image\/(png|jpeg|webp|gif);)/i.test(
    address
      .trim()
      .replace(/^['"]|['"]$/g, '')
      .trim(),
  );

const URLS = /url\(([^)]*)\)/gi;
const reachesOut = (css: string): boolean => [...css.matchAll(URLS)].some((m) => !isInside(m[1] ?? ''));

/** A style sheet without what it would fetch: imports, fonts and pictures from elsewhere. */
function insideCss(css: string): string {
  return css
    .replace(/@import[^;]*;?/gi, '')
    .replace(/@font-face\s*\{[^}]*\}/gi, (rule) => (reachesOut(rule) ? '' : rule))
    .replace(URLS, (whole, address: string) => (isInside(address) ? whole : 'none'));
}

/** Removes all that could run or reach out, and says what of it will be missed. Style sheets and references inside the drawing stay. */
async function sanitised(
  text: string,
): Promise<{ readonly text: string; readonly dropped: readonly Message[] }> {
  // Loaded with the first drawing: most shops bring none.
  const { default: DOMPurify } = await part(() => import('dompurify'));
  const dropped = new Set<Dropped>();
  DOMPurify.addHook('uponSanitizeElement', (node, { tagName }) => {
    const what = TAGS[tagName.toLowerCase()];
    if (what) dropped.add(what);
    if (tagName !== 'style' || node.textContent === null) return;
    const clean = insideCss(node.textContent);
    if (clean !== node.textContent) dropped.add('css');
    node.textContent = clean;
  });
  DOMPurify.addHook('uponSanitizeAttribute', (node, data) => {
    const { attrName, attrValue } = data;
    if (/^(href|xlink:href|src)$/i.test(attrName) && !isInside(attrValue)) {
      data.keepAttr = false;
      if (/^(image|use|feimage)$/i.test(node.nodeName)) dropped.add('outside');
    }
    if (reachesOut(attrValue)) {
      data.keepAttr = false;
      dropped.add('css');
    }
  });
  // Handlers go before anything parses them: the policy of the page would report each, though none could run.
  const quiet = text.replace(/\son[a-z]+\s*=\s*("[^"]*"|'[^']*')/gi, '');
  const clean = DOMPurify.sanitize(quiet, {
    USE_PROFILES: { svg: true, svgFilters: true },
    ADD_TAGS: ['use', 'style'],
    ADD_ATTR: ['href', 'xlink:href'],
    FORBID_TAGS: [
      'foreignObject',
      'script',
      'a',
      'iframe',
      'animate',
      'animateTransform',
      'animateMotion',
      'set',
    ],
  });
  DOMPurify.removeAllHooks();
  return { text: clean, dropped: [...dropped].map((d) => DROPPED[d]) };
}

const opened = (url: string): Promise<HTMLImageElement> =>
  new Promise((resolve, reject) => {
    const image = new Image();
    image.onload = () => resolve(image);
    image.onerror = () => reject(new Error('drawing'));
    image.src = url;
  });

/** Draws a sanitised SVG at the size the job knows it by, as PNG. Only the page can: workers open no drawings. */
export async function drawSvg(bytes: Uint8Array, ref: PictureRef): Promise<Result<DrawnSvg>> {
  const damaged = fail(say('files.svgDrawingDoesOpen'), ref.name, say('files.saveAgainPlainSvg4'));
  const { text, dropped } = await sanitised(new TextDecoder().decode(bytes));
  const root = new DOMParser().parseFromString(text, 'image/svg+xml').documentElement;
  if (root.nodeName !== 'svg') return damaged;
  if (!root.getAttribute('viewBox')) {
    const side = (name: string) => parseFloat(root.getAttribute(name) ?? '');
    root.setAttribute('viewBox', `0 0 ${side('width')} ${side('height')}`);
  }
  root.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  root.setAttribute('width', String(ref.widthPx));
  root.setAttribute('height', String(ref.heightPx));
  const url = URL.createObjectURL(
    new Blob([new XMLSerializer().serializeToString(root)], { type: 'image/svg+xml' }),
  );
  try {
    const image = await opened(url);
    const canvas = document.createElement('canvas');
    canvas.width = ref.widthPx;
    canvas.height = ref.heightPx;
    canvas.getContext('2d')?.drawImage(image, 0, 0, ref.widthPx, ref.heightPx);
    const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
    return blob ? ok({ png: new Uint8Array(await blob.arrayBuffer()), dropped }) : damaged;
  } catch {
    return damaged;
  } finally {
    URL.revokeObjectURL(url);
  }
}

import type { PictureRef } from '@/core/job/art';
import { fail, ok, type Result } from '@/core/basics/result';

/** Removes all that could run or reach out: scripts, handlers, links, foreign content, pictures from elsewhere. */
async function sanitised(text: string): Promise<string> {
  // Loaded with the first drawing: most shops bring none.
  const { default: DOMPurify } = await import('dompurify');
  DOMPurify.addHook('uponSanitizeAttribute', (_, data) => {
    const outside =
      /^(href|xlink:href|src)$/i.test(data.attrName) &&
      !/^(#|data:image\/(png|jpeg|webp);)/i.test(data.attrValue.trim());
    if (outside) data.keepAttr = false;
    if (/url\(\s*['"]?\s*(?!#)/i.test(data.attrValue)) data.keepAttr = false;
  });
  // Handlers go before anything parses them: the policy of the page would report each, though none could run.
  const quiet = text.replace(/\son[a-z]+\s*=\s*("[^"]*"|'[^']*')/gi, '');
  const clean = DOMPurify.sanitize(quiet, {
    USE_PROFILES: { svg: true, svgFilters: true },
    FORBID_TAGS: ['foreignObject', 'script', 'a', 'iframe', 'style'],
  });
  DOMPurify.removeAllHooks();
  return clean;
}

const opened = (url: string): Promise<HTMLImageElement> =>
  new Promise((resolve, reject) => {
    const image = new Image();
    image.onload = () => resolve(image);
    image.onerror = () => reject(new Error('The drawing does not open.'));
    image.src = url;
  });

/** Draws a sanitised SVG at the size the job knows it by, as PNG. Only the page can: workers open no drawings. */
export async function drawSvg(bytes: Uint8Array, ref: PictureRef): Promise<Result<Uint8Array>> {
  const damaged = fail('The SVG drawing does not open.', ref.name, 'Save it again as plain SVG, or as PNG.');
  const text = await sanitised(new TextDecoder().decode(bytes));
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
    return blob ? ok(new Uint8Array(await blob.arrayBuffer())) : damaged;
  } catch {
    return damaged;
  } finally {
    URL.revokeObjectURL(url);
  }
}

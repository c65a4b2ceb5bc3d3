import { WRITTEN_BY } from '../basics/version';
import type { Affine } from '../geometry/affine';
import { fontById, type FontId } from '../job/fonts';
import { sourceBox, type Sources } from '../art/items';
import type { Polygon } from '../geometry/polygon';
import type { Page, PageItem } from '../sheet/pages';
import { toBase64 as base64 } from './base64';
import { escapeXml } from './svg';

export interface PageSvgInput {
  readonly page: Page;
  readonly sources: Sources;
  /** Pixels of each source as a file a browser opens. */
  readonly images: Readonly<Record<string, { readonly mime: string; readonly bytes: Uint8Array }>>;
  /** WOFF files of the fonts the words are set in, and the label's. */
  readonly fonts: readonly { readonly id: FontId; readonly bytes: Uint8Array }[];
  readonly labelFont: Uint8Array;
  readonly title: string;
}

const n = (v: number): string => String(Math.round(v * 1e5) / 1e5 + 0);
const matrix = (m: Affine): string => `matrix(${m.map(n).join(' ')})`;
const points = (p: Polygon): string => p.map((q) => `${n(q.x)},${n(q.y)}`).join(' ');

const face = (family: string, weight: number, bytes: Uint8Array): string =>
  `@font-face{font-family:"${family}";font-weight:${weight};src:url(data:font/woff;base64,${base64(bytes)})}`;

/** Clips inside one another: a group for each. */
function clipped(clips: readonly Polygon[], id: string, inner: string): string {
  return clips.reduce(
    (svg, c, i) =>
      `<clipPath id="${id}-${i}"><polygon points="${points(c)}"/></clipPath><g clip-path="url(#${id}-${i})">${svg}</g>`,
    inner,
  );
}

function item(i: PageItem, id: string, sources: Sources): string {
  switch (i.kind) {
    case 'picture': {
      const source = sources[i.source];
      if (!source) return '';
      return clipped(
        i.clips,
        id,
        `<use href="#source-${escapeXml(i.source)}" transform="${matrix(i.matrix)}"/>`,
      );
    }
    case 'letters': {
      const font = fontById(i.font);
      const letters = i.letters
        .map((l) => `<text transform="${matrix(l.matrix)}">${escapeXml(l.letter)}</text>`)
        .join('');
      const style = `font-family="${font.family}" font-weight="${font.weight}" font-size="${n(i.emMm)}" fill="${i.colour}" xml:space="preserve"`;
      return clipped(i.clips, id, `<g transform="${matrix(i.matrix)}" ${style}>${letters}</g>`);
    }
    case 'line':
      return `<line x1="${n(i.from.x)}" y1="${n(i.from.y)}" x2="${n(i.to.x)}" y2="${n(i.to.y)}" stroke="#000" stroke-width="${n(i.widthMm)}"/>`;
    case 'bar':
      return `<rect x="${n(i.rect.x)}" y="${n(i.rect.y)}" width="${n(i.rect.width)}" height="${n(i.rect.height)}" transform="${matrix(i.matrix)}" fill="${i.filled ? '#000' : '#fff'}" stroke="#000" stroke-width="0.1"/>`;
    case 'text':
      return `<text transform="${matrix(i.matrix)}" font-family="Barlow" font-weight="600" font-size="${n(i.emMm)}" fill="#000">${escapeXml(i.text)}</text>`;
  }
}

/** A whole printed page as SVG: pictures once, as they are, words as words with their fonts inside. */
export function pageSvg({ page, sources, images, fonts, labelFont, title }: PageSvgInput): string {
  const defs = Object.entries(sources).flatMap(([key, source]) => {
    const image = images[key];
    const b = sourceBox(source);
    return image
      ? [
          `<image id="source-${escapeXml(key)}" x="${n(b.x)}" y="${n(b.y)}" width="${n(b.width)}" height="${n(b.height)}" preserveAspectRatio="none" href="data:${image.mime};base64,${base64(image.bytes)}"/>`,
        ]
      : [];
  });
  const faces = [
    face('Barlow', 600, labelFont),
    ...fonts.map((f) => face(fontById(f.id).family, fontById(f.id).weight, f.bytes)),
  ];
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(page.widthMm)}mm" height="${n(page.heightMm)}mm" viewBox="0 0 ${n(page.widthMm)} ${n(page.heightMm)}">`,
    `<title>${escapeXml(title)}</title>`,
    `<!-- ${WRITTEN_BY} -->`,
    `<style>${faces.join('')}</style>`,
    `<defs>${defs.join('')}</defs>`,
    `<rect width="${n(page.widthMm)}" height="${n(page.heightMm)}" fill="#fff"/>`,
    ...page.items.map((i, k) => item(i, `clip-${k}`, sources)),
    '</svg>',
    '',
  ].join('\n');
}

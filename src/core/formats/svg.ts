import type { Rect } from '../shapes/straight';
import type { Pattern } from '../wrap/wrap';

const escapeXml = (text: string): string =>
  text.replace(
    /[&<>"']/g,
    (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' })[c] ?? c,
  );

const n = (v: number): string => String(Math.round(v * 1e4) / 1e4);

const rect = (id: string, r: Rect, style: string): string =>
  `<rect id="${id}" x="${n(r.x)}" y="${n(r.y)}" width="${n(r.width)}" height="${n(r.height)}" ${style}/>`;

/** The pattern as SVG with one user unit to the millimetre, a layer a zone. For cutters and drawing programs. */
export function patternSvg(pattern: Pattern, title: string): string {
  const { bleed, trim, safe, seams, noGo, front } = pattern;
  const line = 'fill="none" stroke-width="0.25"';
  const lines = [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(bleed.width)}mm" height="${n(bleed.height)}mm" viewBox="${[bleed.x, bleed.y, bleed.width, bleed.height].map(n).join(' ')}">`,
    `<title>${escapeXml(title)}</title>`,
    rect('bleed', bleed, `${line} stroke="#c8371b" stroke-dasharray="3 2"`),
    rect('trim', trim, `${line} stroke="#14211f"`),
    rect('safe', safe, `${line} stroke="#4a5a57" stroke-dasharray="0.5 1.5"`),
    rect('seam-left', seams[0], 'fill="#c8371b" fill-opacity="0.12"'),
    rect('seam-right', seams[1], 'fill="#c8371b" fill-opacity="0.12"'),
    ...noGo.map((z, i) => rect(`stay-clear-${i + 1}`, z, 'fill="#c8371b" fill-opacity="0.3"')),
    `<line id="front" x1="${n(front.x)}" y1="${n(bleed.y)}" x2="${n(front.x)}" y2="${n(trim.y)}" stroke="#14211f" stroke-width="0.25"/>`,
    ...(pattern.meetsAtMm < trim.width
      ? [
          `<line id="meets" x1="${n(pattern.meetsAtMm)}" y1="${n(bleed.y)}" x2="${n(pattern.meetsAtMm)}" y2="${n(trim.y)}" stroke="#14211f" stroke-width="0.25"/>`,
        ]
      : []),
    '</svg>',
  ];
  return `${lines.join('\n')}\n`;
}

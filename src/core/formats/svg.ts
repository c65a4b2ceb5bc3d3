import { WRITTEN_BY } from '../basics/version';
import type { Affine } from '../geometry/affine';
import { contourPath, type Contour } from '../geometry/contour';
import type { Line } from '../geometry/plane';
import type { Face, Pattern } from '../wrap/pattern';

export const escapeXml = (text: string): string =>
  text.replace(
    /[&<>"']/g,
    (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' })[c] ?? c,
  );

/** A tenth of a thousandth of a millimetre: finer than any cutter. */
export const svgNumber = (v: number): string => String(Math.round(v * 1e4) / 1e4 + 0);

export const path = (id: string, contour: Contour, style: string): string =>
  `<path id="${id}" d="${contourPath(contour, svgNumber)}" ${style}/>`;

export const line = (id: string, l: Line, style = 'stroke="#14211f" stroke-width="0.25"'): string =>
  `<line id="${id}" x1="${svgNumber(l.from.x)}" y1="${svgNumber(l.from.y)}" x2="${svgNumber(l.to.x)}" y2="${svgNumber(l.to.y)}" ${style}/>`;

const placedAt = (m: Affine): string => `transform="matrix(${m.map(svgNumber).join(' ')})"`;

function faceLayers(face: Face, suffix: string): string {
  const hair = 'fill="none" stroke-width="0.25"';
  return [
    `<g id="face${suffix}" ${placedAt(face.matrix)}>`,
    path(`bleed${suffix}`, face.bleed, `${hair} stroke="#c8371b" stroke-dasharray="3 2"`),
    path(`trim${suffix}`, face.trim, `${hair} stroke="#14211f"`),
    ...face.safe.map((c, i) =>
      path(
        `safe${suffix}${i > 0 ? `-${i + 1}` : ''}`,
        c,
        `${hair} stroke="#4a5a57" stroke-dasharray="0.5 1.5"`,
      ),
    ),
    ...face.exclusionZones.map((z, i) =>
      path(`stay-clear${suffix}-${i + 1}`, z.contour, 'fill="#c8371b" fill-opacity="0.3"'),
    ),
    '</g>',
  ].join('\n');
}

/**
 * The pattern as SVG with one user unit to the millimetre, a layer a zone, arcs as arcs. For cutters and drawing programs; print side
 * as it is seen on the blank.
 */
export function patternSvg(pattern: Pattern, title: string): string {
  const { whole, faces, seams, front, meets, fold, grip, tails, onBlank, marks } = pattern;
  const lines = [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${svgNumber(whole.width)}mm" height="${svgNumber(whole.height)}mm" viewBox="${[whole.x, whole.y, whole.width, whole.height].map(svgNumber).join(' ')}">`,
    `<title>${escapeXml(title)}</title>`,
    `<!-- ${WRITTEN_BY} -->`,
    ...faces.map((f, i) => faceLayers(f, i === 0 ? '' : `-${f.name}`)),
    ...seams.map((s, i) =>
      path(i === 0 ? 'seam-left' : 'seam-right', s, 'fill="#c8371b" fill-opacity="0.12"'),
    ),
    ...(front ? [line('front', front.line)] : []),
    ...(meets ? [line('meets', meets)] : []),
    ...(fold ? [line('fold', fold, 'stroke="#14211f" stroke-width="0.25" stroke-dasharray="4 2"')] : []),
    ...(grip ? [path('grip', grip, 'fill="none" stroke="#14211f" stroke-width="0.25"')] : []),
    ...tails.map((t, i) =>
      path(i === 0 ? 'tail-left' : 'tail-right', t, 'fill="none" stroke="#14211f" stroke-width="0.25"'),
    ),
    ...(onBlank
      ? [
          path(
            'blank-edge',
            onBlank,
            'fill="none" stroke="#1d2c5e" stroke-width="0.25" stroke-dasharray="2 1"',
          ),
        ]
      : []),
    ...marks.map((m, i) =>
      line(`mark-${i + 1}`, m.line, 'stroke="#1d2c5e" stroke-width="0.25" stroke-dasharray="1 1"'),
    ),
    '</svg>',
  ];
  return `${lines.join('\n')}\n`;
}

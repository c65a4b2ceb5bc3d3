import { WRITTEN_BY } from '../basics/version';
import { say, type Write } from '../message/message';
import { boundsOfContour } from '../geometry/contour';
import { mainFace, type Pattern } from '../wrap/pattern';
import { escapeXml, line, path, svgNumber } from './svg';

const layer = (id: string, name: string, parts: readonly string[]): string =>
  `<g id="${id}"><title>${escapeXml(name)}</title>\n${parts.join('\n')}\n</g>`;

/**
 * An empty template as SVG, one user unit to the millimetre, exactly as large as the design has to be: a layer for the artwork, and one each for
 * cut line, bleed, safe zone, seam, exclusion zones and front. Their ids are the same in every language.
 */
export function templateSvg(pattern: Pattern, title: string, write: Write): string {
  const face = mainFace(pattern);
  const box = boundsOfContour(face.bleed);
  const { seams, front } = pattern;
  const hair = 'fill="none" stroke-width="0.25"';
  const lines = [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${svgNumber(box.width)}mm" height="${svgNumber(box.height)}mm" viewBox="${[box.x, box.y, box.width, box.height].map(svgNumber).join(' ')}">`,
    `<title>${escapeXml(title)}</title>`,
    `<!-- ${WRITTEN_BY} -->`,
    layer('artwork', write(say('job.art')), []),
    layer('bleed', write(say('common.bleed')), [
      path('bleed-edge', face.bleed, `${hair} stroke="#c8371b" stroke-dasharray="3 2"`),
    ]),
    layer('cut-line', write(say('glossary.cutLineTerm')), [
      path('cut', face.trim, `${hair} stroke="#14211f"`),
    ]),
    layer(
      'safe-zone',
      write(say('common.safeZone')),
      face.safe.map((c, i) =>
        path(`safe-${i + 1}`, c, `${hair} stroke="#4a5a57" stroke-dasharray="0.5 1.5"`),
      ),
    ),
    layer(
      'seam',
      write(say('wrap.seam')),
      seams.map((c, i) => path(`seam-${i + 1}`, c, 'fill="#c8371b" fill-opacity="0.12"')),
    ),
    layer(
      'exclusion-zones',
      write(say('art.keepClear')),
      face.exclusionZones.map((z, i) =>
        path(`exclusion-${i + 1}`, z.contour, 'fill="#c8371b" fill-opacity="0.3"'),
      ),
    ),
    layer('front', write(say('common.front')), front ? [line('front-line', front.line)] : []),
    '</svg>',
  ];
  return `${lines.join('\n')}\n`;
}

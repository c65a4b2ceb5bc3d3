import { flatten } from '../geometry/contour';
import type { Ring } from '../geometry/ring';
import { holeContour, outlineRing } from '../shapes/flat';
import type { FlatShape } from '../shop/blank';
import { escapeXml, svgNumber } from './svg';

/** What a cutter needs of a blank: its outline and round holes, mm, y down from the top left of the box. */
export interface CutOutline {
  readonly name: string;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly rings: readonly Ring[];
  readonly circles: readonly { readonly xMm: number; readonly yMm: number; readonly diameterMm: number }[];
}

/** Chords lie within this distance of their curve, mm. */
const CHORD_MM = 0.02;

/** What is cut of a flat blank: round holes as circles, all else as polylines. */
export const cutOutlineOf = (name: string, { outline, holes }: FlatShape): CutOutline => ({
  name,
  widthMm: outline.widthMm,
  heightMm: outline.heightMm,
  rings: [
    outlineRing(outline),
    ...holes.flatMap((h) => (h.form === 'round' ? [] : [flatten(holeContour(h), CHORD_MM)])),
  ],
  circles: holes.flatMap((h) => (h.form === 'round' ? [h] : [])),
});

/** The outline as an SVG in millimetres, hairlines only. */
export function outlineSvg({ name, widthMm, heightMm, rings, circles }: CutOutline): string {
  const hair = 'fill="none" stroke="#000000" stroke-width="0.1"';
  const path = (ring: Ring): string =>
    `<path d="M${ring.map((p) => `${svgNumber(p.x)} ${svgNumber(p.y)}`).join('L')}Z" ${hair}/>`;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${svgNumber(widthMm)}mm" height="${svgNumber(heightMm)}mm" viewBox="0 0 ${svgNumber(widthMm)} ${svgNumber(heightMm)}">`,
    `<title>${escapeXml(name)}</title>`,
    ...rings.map(path),
    ...circles.map(
      (c) =>
        `<circle cx="${svgNumber(c.xMm)}" cy="${svgNumber(c.yMm)}" r="${svgNumber(c.diameterMm / 2)}" ${hair}/>`,
    ),
    '</svg>',
    '',
  ].join('\n');
}

/**
 * The outline as a drawing of closed polylines and circles in millimetres, y up, in the text form of release 12 of the drawing exchange format: what every
 * cutter's program reads.
 */
export function outlineDxf({ heightMm, rings, circles }: CutOutline): string {
  const pair = (code: number, value: string | number): string => `${code}\n${value}`;
  const at = (x: number, y: number): readonly string[] => [
    pair(10, svgNumber(x)),
    pair(20, svgNumber(heightMm - y)),
    pair(30, 0),
  ];
  const polyline = (ring: Ring): readonly string[] => [
    pair(0, 'POLYLINE'),
    pair(8, 'CUT'),
    pair(66, 1),
    pair(70, 1),
    ...at(0, heightMm),
    ...ring.flatMap((p) => [pair(0, 'VERTEX'), pair(8, 'CUT'), ...at(p.x, p.y)]),
    pair(0, 'SEQEND'),
  ];
  return `${[
    pair(0, 'SECTION'),
    pair(2, 'HEADER'),
    pair(9, '$ACADVER'),
    pair(1, 'AC1009'),
    pair(9, '$INSUNITS'),
    pair(70, 4),
    pair(0, 'ENDSEC'),
    pair(0, 'SECTION'),
    pair(2, 'ENTITIES'),
    ...rings.flatMap(polyline),
    ...circles.flatMap((c) => [
      pair(0, 'CIRCLE'),
      pair(8, 'CUT'),
      ...at(c.xMm, c.yMm),
      pair(40, svgNumber(c.diameterMm / 2)),
    ]),
    pair(0, 'ENDSEC'),
    pair(0, 'EOF'),
  ].join('\n')}\n`;
}

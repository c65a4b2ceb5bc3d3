import { say, type Write } from '../message/message';
import { compose, rotate, translate, type Affine } from '../geometry/affine';
import type { Paper } from '../shop/paper';
import { barsFor } from '../calibration/calibration';
import type { Page, PageItem } from './pages';

const END_MM = 8;
const WIDTH_MM = 0.3;
const TEXT_MM = 4;

/** A bar between two end strokes, along x from 0; its length runs between the strokes' middles. */
function bar(lengthMm: number, matrix: Affine, text: string): PageItem[] {
  const at = (x: number, y: number) => ({
    x: matrix[0] * x + matrix[2] * y + matrix[4],
    y: matrix[1] * x + matrix[3] * y + matrix[5],
  });
  const line = (x1: number, y1: number, x2: number, y2: number): PageItem => ({
    kind: 'line',
    from: at(x1, y1),
    to: at(x2, y2),
    widthMm: WIDTH_MM,
  });
  return [
    line(0, 0, lengthMm, 0),
    line(0, -END_MM / 2, 0, END_MM / 2),
    line(lengthMm, -END_MM / 2, lengthMm, END_MM / 2),
    { kind: 'text', text, emMm: TEXT_MM, matrix: compose(matrix, translate(4, -2)) },
  ];
}

/**
 * A page with one bar across the sheet and one along the feed, at plain size with nothing compensated: what the printer does to it is what
 * the shop measures.
 */
export function calibrationPage(paper: Paper, marginMm: number, write: Write): Page {
  const { acrossMm, alongMm } = barsFor(paper, marginMm);
  const w = paper.widthMm;
  const h = paper.kind === 'roll' ? Math.min(paper.heightMm, alongMm + 60) : paper.heightMm;
  const left = (w - acrossMm) / 2;
  const top = (h - alongMm) / 2;
  const upright = w / 2;
  const box = { x: 0, y: 0, width: w, height: h };
  const note = (text: string, y: number): PageItem => ({
    kind: 'text',
    text,
    emMm: TEXT_MM,
    matrix: translate(left, y),
  });
  return {
    widthMm: w,
    heightMm: h,
    trimBox: box,
    bleedBox: box,
    copies: 1,
    items: [
      ...bar(acrossMm, translate(left, h * 0.3), write(say('sheet.calAcross', { mm: acrossMm }))),
      ...bar(
        alongMm,
        compose(translate(upright, top), rotate(90)),
        write(say('sheet.calAlong', { mm: alongMm })),
      ),
      note(write(say('sheet.calHow', { paper: paper.name })), h * 0.3 + 12),
      note(write(say('sheet.calMeasure')), h * 0.3 + 19),
      note(write(say('sheet.calAgain')), h * 0.3 + 26),
    ],
  };
}

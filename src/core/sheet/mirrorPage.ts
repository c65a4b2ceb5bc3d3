import { say, type Write } from '../message/message';
import { translate } from '../geometry/affine';
import type { Paper } from '../shop/paper';
import type { Page, PageItem } from './pages';

const WIDTH_MM = 60;
const HEIGHT_MM = 26;

/**
 * A tiny page that tells whether the driver mirrors: the words are not mirrored in it. Printed from the corner of any paper, it costs a
 * few drops of ink.
 */
export function mirrorPage(paper: Paper, marginMm: number, write: Write): Page {
  const [x, y] = [marginMm + 4, marginMm + 4];
  const box = { x, y, width: WIDTH_MM, height: HEIGHT_MM };
  const text = (t: string, emMm: number, down: number): PageItem => ({
    kind: 'text',
    text: t,
    emMm,
    matrix: translate(x + 2, y + down),
  });
  const line = (x1: number, y1: number, x2: number, y2: number): PageItem => ({
    kind: 'line',
    from: { x: x1, y: y1 },
    to: { x: x2, y: y2 },
    widthMm: 0.3,
  });
  return {
    widthMm: paper.widthMm,
    heightMm: paper.kind === 'roll' ? HEIGHT_MM + 2 * y : paper.heightMm,
    trimBox: box,
    bleedBox: box,
    copies: 1,
    items: [
      line(x, y, x + WIDTH_MM, y),
      line(x, y, x, y + HEIGHT_MM),
      text(write(say('sheet.readsRight')), 3.4, 6),
      text(write(say('sheet.readsBackwards')), 3.4, 12),
      text(write(say('sheet.setOtherMirror')), 2.8, 18),
    ],
  };
}

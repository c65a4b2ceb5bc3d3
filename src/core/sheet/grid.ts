import type { Line } from '../geometry/plane';
import { guillotine } from './nest/guillotine';
import type { NestPlacement, Nest, NestArea, NestShape, QuarterTurn } from './nest/shape';

export interface GridSheet {
  readonly placements: readonly NestPlacement[];
  /** Cuts between rows first, then within each. */
  readonly cuts: readonly Line[];
}

const fitCount = (room: number, size: number, gap: number): number =>
  Math.max(0, Math.floor((room + gap + 1e-9) / (size + gap)));

function gridTurned(s: NestShape, area: NestArea, turn: QuarterTurn): GridSheet {
  const [w, h] = turn === 0 ? [s.widthMm, s.heightMm] : [s.heightMm, s.widthMm];
  const { gapMm: gap } = area;
  const cols = fitCount(area.widthMm, w, gap);
  const rows = fitCount(area.heightMm, h, gap);
  const n = Math.min(s.count, cols * rows);
  const placements = Array.from({ length: n }, (_, i): NestPlacement => {
    const [x, y] = [(i % cols) * (w + gap), Math.floor(i / cols) * (h + gap)];
    return { shape: 0, turn, x, y, width: w, height: h };
  });
  return { placements, cuts: gridCuts(placements, cols, w, h, gap) };
}

function gridCuts(
  placements: readonly NestPlacement[],
  cols: number,
  w: number,
  h: number,
  gap: number,
): readonly Line[] {
  const rows = cols > 0 ? Math.ceil(placements.length / cols) : 0;
  const right = Math.min(cols, placements.length) * (w + gap) - gap;
  const level = Array.from({ length: Math.max(0, rows - 1) }, (_, r): Line => {
    const y = (r + 1) * (h + gap) - gap / 2;
    return { from: { x: 0, y }, to: { x: right, y } };
  });
  const upright = Array.from({ length: rows }, (_, r) => {
    const inRow = Math.min(cols, placements.length - r * cols);
    const top = r * (h + gap);
    return Array.from({ length: Math.max(0, inRow - 1) }, (_, c): Line => {
      const x = (c + 1) * (w + gap) - gap / 2;
      return { from: { x, y: top }, to: { x, y: top + h } };
    });
  }).flat();
  return [...level, ...upright];
}

/** Rows and columns of one piece, upright unless more fit on their side and they may rotate. */
export function gridNest(s: NestShape, area: NestArea): GridSheet {
  const upright = gridTurned(s, area, 0);
  if (!area.mayRotate) return upright;
  const turned = gridTurned(s, area, 90);
  return turned.placements.length > upright.placements.length ? turned : upright;
}

/** Several kinds of piece for a trimmer. */
export const trimmerNest = (
  shapes: readonly NestShape[],
  area: NestArea,
): Nest & { readonly cuts: readonly (readonly Line[])[] } => guillotine(shapes, area);

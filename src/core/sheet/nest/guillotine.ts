import type { Line } from '../../geometry/plane';
import type { NestPlacement, Nest, NestArea, NestShape, QuarterTurn } from './shape';

/**
 * Rectangles that a trimmer can part with cuts from edge to edge: every piece put down splits the rest of its stock in two, along the
 * shorter rest first. Cuts come out in the order they have to be made.
 */

export interface GuillotineSheet {
  readonly placements: readonly NestPlacement[];
  /** In order; each runs right across the stock it parts, in the area's mm. */
  readonly cuts: readonly Line[];
}

interface Stock {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly children: Stock[];
  readonly cuts: Line[];
}

interface Fit {
  readonly stock: Stock;
  readonly turn: QuarterTurn;
  readonly width: number;
  readonly height: number;
  readonly score: number;
}

const EPS = 1e-7;

const stockOf = (x: number, y: number, width: number, height: number): Stock => ({
  x,
  y,
  width,
  height,
  children: [],
  cuts: [],
});

function bestFit(free: readonly Stock[], s: NestShape, area: NestArea): Fit | null {
  const sizes: readonly (readonly [QuarterTurn, number, number])[] = area.mayRotate
    ? [
        [0, s.widthMm, s.heightMm],
        [90, s.heightMm, s.widthMm],
      ]
    : [[0, s.widthMm, s.heightMm]];
  let best: Fit | null = null;
  for (const stock of free)
    for (const [turn, width, height] of sizes) {
      if (width > stock.width + EPS || height > stock.height + EPS) continue;
      const score = Math.min(stock.width - width, stock.height - height) + 1e-3 * (stock.y + stock.x);
      if (!best || score < best.score - EPS) best = { stock, turn, width, height, score };
    }
  return best;
}

/** Parts a stock round a piece in its corner; the knife runs down the middle of the gap. */
function split({ stock, width, height }: Fit, gap: number): Stock[] {
  const { x, y } = stock;
  const restRight = stock.width - width - gap;
  const restDown = stock.height - height - gap;
  const across = restDown < restRight;
  const right = stockOf(x + width + gap, y, Math.max(0, restRight), across ? stock.height : height);
  const down = stockOf(x, y + height + gap, across ? width : stock.width, Math.max(0, restDown));
  const upright: Line = {
    from: { x: x + width + gap / 2, y },
    to: { x: x + width + gap / 2, y: y + (across ? stock.height : height) },
  };
  const level: Line = {
    from: { x, y: y + height + gap / 2 },
    to: { x: x + (across ? width : stock.width), y: y + height + gap / 2 },
  };
  // Less than half a gap beside a piece is no place for the knife: that edge is the stock's own.
  const hasRight = stock.width - width > gap / 2 + EPS;
  const hasDown = stock.height - height > gap / 2 + EPS;
  const cuts = across
    ? [...(hasRight ? [upright] : []), ...(hasDown ? [level] : [])]
    : [...(hasDown ? [level] : []), ...(hasRight ? [upright] : [])];
  stock.cuts.push(...cuts);
  const kids = [right, down].filter((r) => r.width > EPS && r.height > EPS);
  stock.children.push(...kids);
  return kids;
}

const cutsOf = (s: Stock): readonly Line[] => [...s.cuts, ...s.children.flatMap(cutsOf)];

function oneSheet(
  shapes: readonly NestShape[],
  order: readonly number[],
  left: number[],
  area: NestArea,
): GuillotineSheet {
  const root = stockOf(0, 0, area.widthMm, area.heightMm);
  let free: Stock[] = [root];
  const placements: NestPlacement[] = [];
  for (const shape of order) {
    const s = shapes[shape] as NestShape;
    while ((left[shape] ?? 0) > 0) {
      const fit = bestFit(free, s, area);
      if (!fit) break;
      left[shape] = (left[shape] ?? 0) - 1;
      placements.push({
        shape,
        turn: fit.turn,
        x: fit.stock.x,
        y: fit.stock.y,
        width: fit.width,
        height: fit.height,
      });
      free = [...free.filter((f) => f !== fit.stock), ...split(fit, area.gapMm)];
    }
  }
  return { placements, cuts: cutsOf(root) };
}

export function guillotine(
  shapes: readonly NestShape[],
  area: NestArea,
): Nest & { readonly cuts: readonly (readonly Line[])[] } {
  const keys: readonly ((s: NestShape) => number)[] = [
    (s) => s.widthMm * s.heightMm,
    (s) => Math.max(s.widthMm, s.heightMm),
    (s) => s.heightMm,
  ];
  const tries = keys.map((key) => {
    const order = shapes
      .map((_, i) => i)
      .sort((a, b) => key(shapes[b] as NestShape) - key(shapes[a] as NestShape));
    const left = shapes.map((s) => s.count);
    const sheets: GuillotineSheet[] = [];
    while (left.some((n) => n > 0)) {
      const sheet = oneSheet(shapes, order, left, area);
      if (sheet.placements.length === 0) break;
      sheets.push(sheet);
    }
    return { sheets, left: left.reduce((a, b) => a + b, 0) };
  });
  const best = tries.reduce((a, b) =>
    b.left < a.left || (b.left === a.left && b.sheets.length < a.sheets.length) ? b : a,
  );
  return {
    sheets: best.sheets.map((s) => s.placements),
    left: best.left,
    cuts: best.sheets.map((s) => s.cuts),
  };
}

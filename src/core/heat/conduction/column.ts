import type { Conductor } from '../model/materials';

/** One layer of a stack, outermost first. Thickness m, contact with the layer before it W/(m² K). */
export interface StackLayer extends Conductor {
  readonly name: string;
  readonly thicknessM: number;
  readonly contact: number;
  /** Thickness of its first cell, m; the rest grow inwards. Null for even cells. */
  readonly firstCellM: number | null;
  /** Cut fine at both faces, the one the mirror of the other. */
  readonly bothFaces?: boolean;
  /** Fewest cells it is cut into. */
  readonly cells: number;
}

/** A stack cut into cells (finite volumes, Patankar 1980, ch. 4). Per m² of face, SI throughout. */
export interface Column {
  /** Heat capacity of each cell, J/(m² K). */
  readonly capacity: Float64Array;
  /** Conductance between a cell and the next, contact included, W/(m² K). */
  readonly between: Float64Array;
  /** From the middle of each cell to its upper and lower face, W/(m² K). */
  readonly half: Float64Array;
  /** First and one past the last cell of each layer. */
  readonly layers: readonly { readonly name: string; readonly from: number; readonly to: number }[];
}

const GROWTH = 1.5;

/** Thicknesses of the cells of a layer, m. Finer by halving every cell `halvings` times, so that an answer can be held against a finer one. */
export function cellsOf(layer: StackLayer, halvings = 0): readonly number[] {
  const { thicknessM, firstCellM, cells, bothFaces } = layer;
  const even = firstCellM === null || firstCellM * cells >= thicknessM;
  const half = even || !bothFaces ? thicknessM : thicknessM / 2;
  const grown = even ? Array.from({ length: cells }, () => thicknessM / cells) : growing(half, firstCellM);
  let widths = even || !bothFaces ? grown : [...grown, ...[...grown].reverse()];
  for (let i = 0; i < halvings; i += 1) widths = widths.flatMap((w) => [w / 2, w / 2]);
  return widths;
}

function growing(thicknessM: number, firstM: number): readonly number[] {
  const widths: number[] = [];
  let left = thicknessM;
  for (let w = firstM; left > 0; w *= GROWTH) {
    // The last cell takes what is left, rather than leaving a sliver behind.
    const last = left < w * (1 + GROWTH * 0.6);
    widths.push(last ? left : w);
    left = last ? 0 : left - w;
  }
  return widths;
}

const series = (...g: readonly number[]): number => 1 / g.reduce((r, x) => r + 1 / x, 0);

/** Cuts a stack into cells. */
export function buildColumn(layers: readonly StackLayer[], halvings = 0): Column {
  const parts = layers.flatMap((layer) =>
    cellsOf(layer, halvings).map((width, i) => ({
      capacity: layer.capacity * width,
      half: (2 * layer.conductivity) / width,
      contact: i === 0 ? layer.contact : Infinity,
    })),
  );
  let from = 0;
  const spans = layers.map((layer) => {
    const to = from + cellsOf(layer, halvings).length;
    const span = { name: layer.name, from, to };
    from = to;
    return span;
  });
  return {
    capacity: Float64Array.from(parts, (p) => p.capacity),
    half: Float64Array.from(parts, (p) => p.half),
    between: Float64Array.from(parts.slice(1), (p, i) => series(parts[i]?.half ?? 0, p.contact, p.half)),
    layers: spans,
  };
}

/** First and one past the last cell of a layer; null where the stack has none of that name. */
export const layerSpan = (column: Column, name: string) => column.layers.find((l) => l.name === name) ?? null;

/** Conductance through half a cell and then a film or contact, W/(m² K). */
export const throughLayers = (half: number, film: number): number =>
  film <= 0 ? 0 : (half * film) / (half + film);

import type { HeatCase } from './case';
import { layerSpan, throughLayers, type Column } from '../conduction/column';
import type { Exposed } from '../conduction/step';
import { doseRate } from './dose';

/** Radiation of a warm face to a room, about, W/(m² K): only for how much cooler than its first cell a bare face is. */
const RADIANT_WM2K = 6;

/** Which faces of a piece carry a coating that is pressed. */
const FACES = {
  front: [0],
  back: [1],
  both: [0, 1],
} as const;
export type FaceIndex = 0 | 1;

export const facesOf = (c: HeatCase): readonly FaceIndex[] =>
  c.heatedFrom === 'blank' ? FACES.back : c.faces === 'one' ? FACES.front : FACES.both;

/** Temperature of the coating of a stack, the j-th of n, by what flows in and on through an interface without capacity, °C. */
export function coatingReader(
  column: Column,
  contact: number,
): (e: Exposed, cells: Float64Array, face: FaceIndex, j: number, n: number) => number {
  const span = layerSpan(column, 'blank') ?? { from: 0, to: column.capacity.length };
  const ends = [
    { inner: span.from, outer: span.from - 1 },
    { inner: span.to - 1, outer: span.to },
  ].map(({ inner, outer }) => ({
    inner,
    outer,
    body: column.half[inner] ?? 1,
    paper: throughLayers(column.half[outer] ?? 1, contact),
  }));
  return (e, cells, face, j, n) => {
    const end = ends[face];
    if (!end) return 0;
    const { inner, outer, body, paper } = end;
    const within = cells[inner * n + j] ?? 0;
    if (outer >= e.from && outer < e.to)
      return (body * within + paper * (cells[outer * n + j] ?? 0)) / (body + paper);
    const side = face === 0 ? e.top : e.bottom;
    const film = side.air + side.emissivity * RADIANT_WM2K;
    return (body * within + film * side.airC) / (body + film);
  };
}

/** Dose gathered by one place, s at 200 °C a face: what carried dye, and all heat together. */
export class DoseMeter {
  readonly transferS: [number, number] = [0, 0];
  readonly heatS: [number, number] = [0, 0];
  readonly coatingC: [number, number];
  readonly afterPassS: number[] = [];
  private readonly rate: [number, number];
  constructor(
    readonly faces: readonly FaceIndex[],
    startC: number,
    private readonly activation: number,
  ) {
    this.coatingC = [startC, startC];
    this.rate = [doseRate(startC, activation), doseRate(startC, activation)];
  }

  /** Adds a step of `dt` s that ended at `c` at one face, by the trapezium rule. */
  add(face: FaceIndex, c: number, dt: number, held: boolean): void {
    const rate = doseRate(c, this.activation);
    const gained = ((this.rate[face] + rate) / 2) * dt;
    if (held) this.transferS[face] += gained;
    this.heatS[face] += gained;
    this.rate[face] = rate;
    this.coatingC[face] = c;
  }

  /** A stack has changed under it: what it reads now, without adding anything. */
  restart(face: FaceIndex, c: number): void {
    this.rate[face] = doseRate(c, this.activation);
    this.coatingC[face] = c;
  }

  flip(): void {
    for (const pair of [this.transferS, this.heatS, this.coatingC, this.rate]) pair.reverse();
  }

  /** Over the faces that are coated: the greatest of a pair where `sign` is 1, the least where it is −1. */
  private extreme([front, back]: readonly [number, number], sign: 1 | -1): number {
    if (this.faces.length > 1) return sign * Math.max(sign * front, sign * back);
    return this.faces[0] === 0 ? front : back;
  }
  leastTransferS = (): number => this.extreme(this.transferS, -1);
  mostHeatS = (): number => this.extreme(this.heatS, 1);
  coolestC = (): number => this.extreme(this.coatingC, -1);
  hottestC = (): number => this.extreme(this.coatingC, 1);
}

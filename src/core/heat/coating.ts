import type { HeatCase } from './case';
import { layerSpan, through, type Column } from './conduction/column';
import type { Exposed } from './conduction/step';
import { doseRate } from './dose';

/** Radiation of a warm face to a room, about, W/(m² K): only for how much cooler than its first cell a bare face is. */
const RADIANT_WM2K = 6;

/** Which faces of a piece carry a coating that is pressed. */
const FACES = {
  front: [0],
  back: [1],
  both: [0, 1],
} as const;
export type Face = 0 | 1;

export const facesOf = (c: HeatCase): readonly Face[] =>
  c.heatedFrom === 'blank' ? FACES.back : c.faces === 'one' ? FACES.front : FACES.both;

/** Temperature of a coating, by what flows in and on through an interface without capacity, °C. */
export function coatingReader(
  column: Column,
  contact: number,
): (e: Exposed, cells: Float64Array, face: Face) => number {
  const span = layerSpan(column, 'blank') ?? { from: 0, to: column.capacity.length };
  const ends = [
    { inner: span.from, outer: span.from - 1 },
    { inner: span.to - 1, outer: span.to },
  ].map(({ inner, outer }) => ({
    inner,
    outer,
    body: column.half[inner] ?? 1,
    paper: through(column.half[outer] ?? 1, contact),
  }));
  return (e, cells, face) => {
    const end = ends[face];
    if (!end) return 0;
    const { inner, outer, body, paper } = end;
    const within = cells[inner] ?? 0;
    if (outer >= e.from && outer < e.to)
      return (body * within + paper * (cells[outer] ?? 0)) / (body + paper);
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
    readonly faces: readonly Face[],
    startC: number,
    private readonly activation: number,
  ) {
    this.coatingC = [startC, startC];
    this.rate = [doseRate(startC, activation), doseRate(startC, activation)];
  }

  /** Adds a step of `dt` s that ended at `c` at one face, by the trapezium rule. */
  add(face: Face, c: number, dt: number, held: boolean): void {
    const rate = doseRate(c, this.activation);
    const gained = ((this.rate[face] + rate) / 2) * dt;
    if (held) this.transferS[face] += gained;
    this.heatS[face] += gained;
    this.rate[face] = rate;
    this.coatingC[face] = c;
  }

  /** A stack has changed under it: what it reads now, without adding anything. */
  restart(face: Face, c: number): void {
    this.rate[face] = doseRate(c, this.activation);
    this.coatingC[face] = c;
  }

  flip(): void {
    for (const pair of [this.transferS, this.heatS, this.coatingC, this.rate]) pair.reverse();
  }

  private of(pair: readonly [number, number], pick: (...n: number[]) => number): number {
    return pick(...this.faces.map((f) => pair[f]));
  }
  leastTransferS = (): number => this.of(this.transferS, Math.min);
  mostHeatS = (): number => this.of(this.heatS, Math.max);
  coolestC = (): number => this.of(this.coatingC, Math.min);
  hottestC = (): number => this.of(this.coatingC, Math.max);
}

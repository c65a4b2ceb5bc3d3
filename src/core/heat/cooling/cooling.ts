import type { HeatCase } from '../model/case';
import { buildColumn, layerSpan, type Column, type StackLayer } from '../conduction/column';
import { Stepper, type Exposed, type Heater, type BoundarySide, type Temperatures } from '../conduction/step';
import { BODY, WOOD } from '../model/materials';
import type { Simulation } from '../model/simulate';
import { inAir, INSIDE_EMISSIVITY, STILL_AIR_WM2K } from '../model/sides';

/** Where a piece is set down. */
export const COOLING_PLACES = ['mat', 'plate', 'weight', 'air'] as const;
export type CoolingPlace = (typeof COOLING_PLACES)[number];

/** Gloves off below this; packed below that; paper slips no more below the first. */
export const TOUCH_SAFE_C = 45;
export const PACK_C = 32;
export const DYE_STILL_C = 120;

export interface CoolingTimes {
  /** From opening until the dye no longer moves, s. */
  readonly dyeStillS: number;
  readonly touchS: number;
  readonly packS: number;
}

/** A piece on a metal plate, or under one: contact through dry joints, W/(m² K). */
const PLATE_CONTACT_WM2K = 250;
/** The cold plate: aluminium, small, lying on a table. Pieces of a load share it. */
export const COLD_PLATE = { widthMm: 300, heightMm: 400, thicknessMm: 6 } as const;
const COLD_PLATE_M2 = (COLD_PLATE.widthMm * COLD_PLATE.heightMm) / 1e6;
const MAT_CONTACT_WM2K = 80;
const M = 1e-3;
/** A metal plate `times` as large as the piece: so much more heat goes into each square metre of the piece, at no more resistance. */
const plate = (name: string, contact: number, times = 1): StackLayer => ({
  name,
  conductivity: BODY.aluminium.conductivity * times,
  capacity: BODY.aluminium.capacity * times,
  thicknessM: COLD_PLATE.thicknessMm * M,
  contact,
  firstCellM: null,
  cells: 2,
});
/** How much of the plate there is for each square metre of pieces: at least as much. */
const plateShare = (c: HeatCase): number => Math.max(1, COLD_PLATE_M2 / (c.pieceM2 * c.pieces));
const matLayer: StackLayer = {
  name: 'mat',
  ...WOOD,
  thicknessM: 15 * M,
  contact: MAT_CONTACT_WM2K,
  firstCellM: 0.5 * M,
  cells: 4,
};

const IDLE: Heater = { capacityJK: 1, powerW: 0, lossWK: 0, roomC: 22, setC: 22 };
const LONGEST_S = 6 * 3600;

interface Standing {
  readonly cells: Float64Array;
  readonly exposed: Exposed;
  readonly top: number;
  readonly bottom: number;
}

/** The piece out of the press, its present temperatures carried over, on what it is set down on. `air`: factor on still air, 1 as usual. */
function stand(c: HeatCase, sim: Simulation, from: Float64Array, place: CoolingPlace, air: number): Standing {
  const span = layerSpan(sim.column, 'blank') ?? { from: 0, to: sim.column.capacity.length };
  const inner = layerSpan(sim.column, 'inner skin');
  const end = (inner ?? span).to;
  const round = c.round !== null;
  const above = !round && place === 'weight' ? [plate('weight', Infinity)] : [];
  const below = round
    ? []
    : place === 'mat'
      ? [matLayer]
      : place === 'air'
        ? []
        : [plate('plate', PLATE_CONTACT_WM2K, plateShare(c))];
  const { column, cells, at } = joined(sim.column, from, span.from, end, above, below, c.roomC);
  const side = inAir(c.roomC, STILL_AIR_WM2K * air);
  const exposed: Exposed = {
    column,
    areaM2: 1,
    from: 0,
    to: cells.length,
    top: side,
    bottom: below.length > 0 && place !== 'mat' ? plateSide(c, air) : underneath(c, side, air),
  };
  return { cells, exposed, top: at, bottom: at + (span.to - span.from) - 1 };
}

/** The plate lies on the bench and loses heat by what the pieces leave free of its upper face; bright metal hardly radiates. */
const plateSide = (c: HeatCase, air: number): BoundarySide =>
  inAir(c.roomC, STILL_AIR_WM2K * air * (plateShare(c) - 1), 0);

/** Inside a closed vessel little air moves, and its walls see each other; on a mat what lies under it is the room. */
function underneath(c: HeatCase, side: BoundarySide, air: number): BoundarySide {
  if (c.round === null) return side;
  return c.vacuum
    ? { ...side, air: 0, emissivity: 0 }
    : inAir(c.roomC, STILL_AIR_WM2K * air * 0.7, INSIDE_EMISSIVITY);
}

/** Cells from..to of a column with layers laid over and under it, cold. */
function joined(
  of: Column,
  temperatures: Float64Array,
  from: number,
  to: number,
  above: readonly StackLayer[],
  below: readonly StackLayer[],
  roomC: number,
): { column: Column; cells: Float64Array; at: number } {
  const top = buildColumn(above);
  const bottom = buildColumn(below);
  const series = (a: number, g: number, b: number): number => 1 / (1 / a + 1 / g + 1 / b);
  const middle = {
    capacity: of.capacity.slice(from, to),
    half: of.half.slice(from, to),
    between: of.between.slice(from, to - 1),
  };
  const joints = {
    above:
      above.length > 0
        ? [series(top.half[top.half.length - 1] ?? 1, PLATE_CONTACT_WM2K, middle.half[0] ?? 1)]
        : [],
    below:
      below.length > 0
        ? [series(middle.half[to - from - 1] ?? 1, below[0]?.contact ?? 1, bottom.half[0] ?? 1)]
        : [],
  };
  const column: Column = {
    capacity: Float64Array.from([...top.capacity, ...middle.capacity, ...bottom.capacity]),
    half: Float64Array.from([...top.half, ...middle.half, ...bottom.half]),
    between: Float64Array.from([
      ...top.between,
      ...joints.above,
      ...middle.between,
      ...joints.below,
      ...bottom.between,
    ]),
    layers: [],
  };
  const cells = new Float64Array(column.capacity.length).fill(roomC);
  cells.set(temperatures.slice(from, to), top.capacity.length);
  return { column, cells, at: top.capacity.length };
}

/** From the state at opening until the hottest of its faces has cooled to each mark, s. Both faces lose heat, each in its own way. */
export function coolingTimes(c: HeatCase, sim: Simulation, place: CoolingPlace, air = 1): CoolingTimes {
  // The hottest place of the load takes longest.
  const heat = (cells: Float64Array): number => cells.reduce((a, b) => a + b, 0);
  const hottest = sim.atOpening.reduce<Float64Array | null>(
    (a, b) => (a && heat(a) >= heat(b) ? a : b),
    null,
  );
  if (!hottest) return { dyeStillS: 0, touchS: 0, packS: 0 };
  const { cells, exposed, top, bottom } = stand(c, sim, hottest, place, air);
  const t: Temperatures = { heaterC: c.roomC, cells };
  const stepper = new Stepper([exposed]);
  const idle = { ...IDLE, roomC: c.roomC };
  const surface = (): number => Math.max(cells[top] ?? 0, cells[bottom] ?? 0);
  const last = { dyeStillS: 0, touchS: 0, packS: 0 };
  let at = 0;
  let dt = 0.2;
  let before = surface();
  while (at < LONGEST_S && surface() > PACK_C - 2) {
    stepper.step(idle, t, dt);
    at += dt;
    const now = surface();
    // The last moment it was still above: what is inside may warm a face again.
    const crossed = (mark: number): number =>
      now > mark ? at : before > mark ? at - (dt * (mark - now)) / Math.max(1e-9, before - now) : -1;
    last.dyeStillS = Math.max(last.dyeStillS, crossed(DYE_STILL_C));
    last.touchS = Math.max(last.touchS, crossed(TOUCH_SAFE_C));
    last.packS = Math.max(last.packS, crossed(PACK_C));
    before = now;
    dt = Math.min(Math.max(1, at / 60), dt * 1.2);
  }
  return last;
}

/** Still air of a draughty and of a quiet room, against usual. */
const AIR = { quiet: 0.65, usual: 1, draughty: 1.4 } as const;

export interface CoolingSpread {
  readonly value: CoolingTimes;
  readonly low: CoolingTimes;
  readonly high: CoolingTimes;
}

export const coolingSpread = (c: HeatCase, sim: Simulation, place: CoolingPlace): CoolingSpread => ({
  value: coolingTimes(c, sim, place, AIR.usual),
  low: coolingTimes(c, sim, place, AIR.draughty),
  high: coolingTimes(c, sim, place, AIR.quiet),
});

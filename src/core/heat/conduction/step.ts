import { through, type Column } from './column';

/** Stefan–Boltzmann constant, W/(m² K⁴) (CODATA 2018). */
const SIGMA = 5.670374419e-8;
const KELVIN = 273.15;

/** What one face of a stack meets. Conductances W/(m² K), temperatures °C, differences K. */
export interface Side {
  /** Contact with the heater, or the film of an oven's air, over the share of the face that meets it. */
  readonly heater: number;
  readonly heaterShare: number;
  /** How much hotter than its mean the heater is here. */
  readonly heaterOffsetK: number;
  /** Still air over the rest, with grey-body radiation to the room. */
  readonly air: number;
  readonly emissivity: number;
  readonly airC: number;
}

export const INSULATED: Side = {
  heater: 0,
  heaterShare: 0,
  heaterOffsetK: 0,
  air: 0,
  emissivity: 0,
  airC: 22,
};

/** A stack with its faces; only the cells from..to-1 are still part of it (paper peeled off, pad left behind). */
export interface Exposed {
  readonly column: Column;
  readonly areaM2: number;
  readonly from: number;
  readonly to: number;
  readonly top: Side;
  readonly bottom: Side;
}

/** A lumped heater with limited power, held at a set temperature. */
export interface Heater {
  readonly capacityJK: number;
  readonly powerW: number;
  readonly lossWK: number;
  readonly roomC: number;
  readonly setC: number;
}

/** Temperatures, changed in place by a step. */
export interface Temperatures {
  heaterC: number;
  readonly cells: readonly Float64Array[];
}

/** Heat moved in a step, J: what the heater gave off from its element, lost by itself, and what the stacks lost to the air. */
export interface Flow {
  inJ: number;
  heaterLossJ: number;
  airJ: number;
}

interface Faced {
  readonly g: number;
  readonly air: number;
  readonly side: Side;
}

/** Radiation made linear about the present temperature (Incropera, eq. 1.9). */
function facing(side: Side, half: number, surfaceC: number): Faced {
  const s = surfaceC + KELVIN;
  const a = side.airC + KELVIN;
  const radiant = side.emissivity * SIGMA * (s * s + a * a) * (s + a);
  return {
    g: side.heaterShare * through(half, side.heater),
    air: (1 - side.heaterShare) * through(half, side.air + radiant),
    side,
  };
}

/** Working room for one stack, kept from step to step. */
class Solver {
  private readonly w: Float64Array;
  private readonly c: Float64Array;
  readonly u: Float64Array;
  private top: Faced = { g: 0, air: 0, side: INSULATED };
  private bottom: Faced = { g: 0, air: 0, side: INSULATED };
  constructor(readonly cells: number) {
    this.w = new Float64Array(cells);
    this.c = new Float64Array(cells);
    this.u = new Float64Array(cells);
  }

  /**
   * One implicit Euler step of length `dt` as a function of the heater's temperature at its end: cells = u + w·heater
   * (Thomas' elimination with two right-hand sides). Returns what the heater gives: [constant, per kelvin of its own], W/m².
   */
  eliminate(e: Exposed, old: Float64Array, dt: number): readonly [number, number] {
    const { capacity, between, half } = e.column;
    const { from, to } = e;
    const last = to - 1;
    const top = facing(e.top, half[from] ?? 1, old[from] ?? 0);
    const bottom = facing(e.bottom, half[last] ?? 1, old[last] ?? 0);
    this.top = top;
    this.bottom = bottom;
    const { u, w, c } = this;
    const perSecond = 1 / dt;
    let up = 0;
    let cUp = 0;
    let uUp = top.g * e.top.heaterOffsetK + top.air * e.top.airC;
    let wUp = top.g;
    let ends = top.g + top.air;
    // What comes from above enters the first row as it is; every other row takes it through the conductance between.
    let carry = 1;
    for (let i = from; i < to; i += 1) {
      const store = (capacity[i] ?? 0) * perSecond;
      let down = between[i] ?? 0;
      let fixed = store * (old[i] ?? 0) + carry * uUp;
      let heated = carry * wUp;
      if (i === last) {
        down = 0;
        ends += bottom.g + bottom.air;
        fixed += bottom.g * e.bottom.heaterOffsetK + bottom.air * e.bottom.airC;
        heated += bottom.g;
      }
      const inverse = 1 / (store + up + down + ends - up * cUp);
      ends = 0;
      cUp = down * inverse;
      uUp = fixed * inverse;
      wUp = heated * inverse;
      c[i] = cUp;
      u[i] = uUp;
      w[i] = wUp;
      up = down;
      carry = down;
    }
    for (let i = last - 1; i >= from; i -= 1) {
      const share = c[i] ?? 0;
      uUp = (u[i] ?? 0) + share * uUp;
      wUp = (w[i] ?? 0) + share * wUp;
      u[i] = uUp;
      w[i] = wUp;
    }
    const lastU = u[last] ?? 0;
    const lastW = w[last] ?? 0;
    return [
      top.g * (e.top.heaterOffsetK - uUp) + bottom.g * (e.bottom.heaterOffsetK - lastU),
      top.g * (1 - wUp) + bottom.g * (1 - lastW),
    ];
  }

  /** Puts the heater's temperature in; returns what the stack lost to the air, W/m². */
  finish(e: Exposed, cells: Float64Array, heaterC: number): number {
    for (let i = e.from; i < e.to; i += 1) cells[i] = (this.u[i] ?? 0) + (this.w[i] ?? 0) * heaterC;
    return (
      this.top.air * ((cells[e.from] ?? 0) - e.top.airC) +
      this.bottom.air * ((cells[e.to - 1] ?? 0) - e.bottom.airC)
    );
  }
}

/** Alexander's two-stage method: implicit, damps stiff parts fully, second order in time (SIAM J. Numer. Anal. 14, 1977). */
const GAMMA = 1 - Math.SQRT1_2;

/** Takes steps of one set of stacks under one heater. Heat is conserved to rounding: every flow in a step enters the balance as used. */
export class Stepper {
  private readonly solvers: readonly Solver[];
  private readonly before: readonly Float64Array[];
  constructor(cellCounts: readonly number[]) {
    this.solvers = cellCounts.map((n) => new Solver(n));
    this.before = cellCounts.map((n) => new Float64Array(n));
  }

  /** One implicit Euler stage. The controller gives full power below the set temperature, none above, and what holds it there. */
  private stage(heater: Heater, stacks: readonly Exposed[], t: Temperatures, dt: number): Flow {
    const { capacityJK, lossWK, roomC, powerW, setC } = heater;
    let constant = 0;
    let perKelvin = 0;
    stacks.forEach((e, j) => {
      const [a, b] = this.solvers[j]?.eliminate(e, t.cells[j] ?? e.column.capacity, dt) ?? [0, 0];
      constant += a * e.areaM2;
      perKelvin += b * e.areaM2;
    });
    const store = capacityJK / dt;
    const stiffness = store + lossWK + perKelvin;
    const known = store * t.heaterC + lossWK * roomC - constant;
    const holding = stiffness * setC - known;
    const power = Math.min(powerW, Math.max(0, holding));
    const heaterC = (known + power) / stiffness;
    let air = 0;
    stacks.forEach((e, j) => {
      air += e.areaM2 * (this.solvers[j]?.finish(e, t.cells[j] ?? e.column.capacity, heaterC) ?? 0);
    });
    t.heaterC = heaterC;
    return { inJ: power * dt, heaterLossJ: lossWK * (heaterC - roomC) * dt, airJ: air * dt };
  }

  /** One step of `dt` seconds, in place. Returns the heat moved. */
  step(heater: Heater, stacks: readonly Exposed[], t: Temperatures, dt: number): Flow {
    const heaterBefore = t.heaterC;
    t.cells.forEach((cells, j) => this.before[j]?.set(cells));
    const first = this.stage(heater, stacks, t, GAMMA * dt);
    const ratio = (1 - GAMMA) / GAMMA;
    t.heaterC = heaterBefore + ratio * (t.heaterC - heaterBefore);
    stacks.forEach((e, j) => {
      const cells = t.cells[j];
      const before = this.before[j];
      if (!cells || !before) return;
      for (let i = e.from; i < e.to; i += 1)
        cells[i] = (before[i] ?? 0) + ratio * ((cells[i] ?? 0) - (before[i] ?? 0));
    });
    const second = this.stage(heater, stacks, t, GAMMA * dt);
    return {
      inJ: ratio * first.inJ + second.inJ,
      heaterLossJ: ratio * first.heaterLossJ + second.heaterLossJ,
      airJ: ratio * first.airJ + second.airJ,
    };
  }
}

/** Heat held above 0 °C by heater and stacks, J. */
export const storedJ = (heater: Heater, stacks: readonly Exposed[], t: Temperatures): number =>
  stacks.reduce((sum, e, j) => {
    const cells = t.cells[j];
    let held = 0;
    for (let i = e.from; i < e.to; i += 1) held += (e.column.capacity[i] ?? 0) * (cells?.[i] ?? 0);
    return sum + held * e.areaM2;
  }, heater.capacityJK * t.heaterC);

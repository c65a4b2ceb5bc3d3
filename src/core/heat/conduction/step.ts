import { buildColumn, throughLayers, type Column } from './column';

/** Stefan–Boltzmann constant, W/(m² K⁴) (CODATA 2018). */
const SIGMA = 5.670374419e-8;
const KELVIN = 273.15;

/** What one face of a stack meets. Conductances W/(m² K), temperatures °C, differences K. */
export interface BoundarySide {
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

export const INSULATED: BoundarySide = {
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
  readonly top: BoundarySide;
  readonly bottom: BoundarySide;
}

/** A lumped heater with limited power, held at a set temperature. */
export interface Heater {
  readonly capacityJK: number;
  readonly powerW: number;
  readonly lossWK: number;
  readonly roomC: number;
  readonly setC: number;
}

/** Temperatures, changed in place by a step. Cells depth by depth: cell i of stack j of n is at index i·n + j. */
export interface Temperatures {
  heaterC: number;
  readonly cells: Float64Array;
}

/** Heat moved in a step, J: what the heater gave off from its element, lost by itself, and what the stacks lost to the air. */
export interface Flow {
  inJ: number;
  heaterLossJ: number;
  airJ: number;
}

/** One face of all stacks: heater conductance, offset and air temperature, and the conductance to the air in the present step, W/(m² K). */
class Faces {
  readonly heater: Float64Array;
  readonly heaterOffsetK: Float64Array;
  readonly airC: Float64Array;
  readonly air: Float64Array;
  constructor(
    private readonly sides: readonly BoundarySide[],
    /** From the middle of the outermost cell to the face, W/(m² K). */
    private readonly half: number,
  ) {
    this.heater = Float64Array.from(sides, (s) => s.heaterShare * throughLayers(half, s.heater));
    this.heaterOffsetK = Float64Array.from(sides, (s) => s.heaterOffsetK);
    this.airC = Float64Array.from(sides, (s) => s.airC);
    this.air = new Float64Array(sides.length);
  }

  /** Makes radiation linear about the present temperatures of the outermost cells (Incropera, eq. 1.9). */
  meet(cells: Float64Array, at: number): void {
    for (const [j, side] of this.sides.entries()) {
      const s = (cells[at + j] ?? 0) + KELVIN;
      const a = side.airC + KELVIN;
      const radiant = side.emissivity * SIGMA * (s * s + a * a) * (s + a);
      this.air[j] = (1 - side.heaterShare) * throughLayers(this.half, side.air + radiant);
    }
  }
}

/** Alexander's two-stage method: implicit, damps stiff parts fully, second order in time (SIAM J. Numer. Anal. 14, 1977). */
const GAMMA = 1 - Math.SQRT1_2;

/**
 * Takes steps of stacks of one make side by side under one heater: one column, one range of cells, each with its own faces. Heat is conserved to
 * rounding: every flow in a step enters the balance as used. Stacks are worked depth by depth: their eliminations do not wait for each other.
 */
export class Stepper {
  private readonly n: number;
  private readonly column: Column;
  private readonly from: number;
  private readonly to: number;
  private readonly areaM2: Float64Array;
  private readonly top: Faces;
  private readonly bottom: Faces;
  /** Cells at the end of a stage are u + w·heater; c leads from one to the next. */
  private readonly c: Float64Array;
  private readonly u: Float64Array;
  private readonly w: Float64Array;
  private readonly before: Float64Array;
  /** What the faces add to the row of their cell: to its diagonal, its constant and its share of the heater. */
  private readonly ends: Float64Array;
  private readonly fixed: Float64Array;
  private readonly heated: Float64Array;

  constructor(stacks: readonly Exposed[]) {
    const { column, from, to } = stacks[0] ?? { column: buildColumn([]), from: 0, to: 0 };
    const n = stacks.length;
    this.n = n;
    this.column = column;
    this.from = from;
    this.to = to;
    this.areaM2 = Float64Array.from(stacks, (e) => e.areaM2);
    const sides = (of: 'top' | 'bottom', cell: number): Faces =>
      new Faces(
        stacks.map((e) => e[of]),
        column.half[cell] ?? 1,
      );
    this.top = sides('top', from);
    this.bottom = sides('bottom', to - 1);
    const room = (): Float64Array => new Float64Array(column.capacity.length * n);
    [this.c, this.u, this.w, this.before] = [room(), room(), room(), room()];
    const row = (): Float64Array => new Float64Array(n);
    [this.ends, this.fixed, this.heated] = [row(), row(), row()];
  }

  /** Adds a face to the row of its cell. */
  private lay({ heater, heaterOffsetK, air, airC }: Faces): void {
    const { ends, fixed, heated, n } = this;
    for (let j = 0; j < n; j += 1) {
      const [g, a] = [heater[j] ?? 0, air[j] ?? 0];
      ends[j] = (ends[j] ?? 0) + g + a;
      fixed[j] = (fixed[j] ?? 0) + g * (heaterOffsetK[j] ?? 0) + a * (airC[j] ?? 0);
      heated[j] = (heated[j] ?? 0) + g;
    }
  }

  private clearEnds(): void {
    this.ends.fill(0);
    this.fixed.fill(0);
    this.heated.fill(0);
  }

  /** One implicit Euler step of `dt` as a function of the heater's temperature at its end (Thomas' elimination with two right-hand sides). */
  private eliminate(cells: Float64Array, dt: number): void {
    const { n, from, to, column, c, u, w, ends, fixed, heated } = this;
    const last = to - 1;
    this.top.meet(cells, from * n);
    this.bottom.meet(cells, last * n);
    this.clearEnds();
    this.lay(this.top);
    let up = 0;
    for (let i = from; i < to; i += 1) {
      if (i === last) this.lay(this.bottom);
      const store = (column.capacity[i] ?? 0) / dt;
      const down = i === last ? 0 : (column.between[i] ?? 0);
      const [row, above] = [i * n, (i === from ? i : i - 1) * n];
      for (let j = 0; j < n; j += 1) {
        const inverse = 1 / (store + up + down + (ends[j] ?? 0) - up * (c[above + j] ?? 0));
        u[row + j] = (store * (cells[row + j] ?? 0) + up * (u[above + j] ?? 0) + (fixed[j] ?? 0)) * inverse;
        w[row + j] = (up * (w[above + j] ?? 0) + (heated[j] ?? 0)) * inverse;
        c[row + j] = down * inverse;
      }
      if (i === from) this.clearEnds();
      up = down;
    }
    for (let k = last * n - 1; k >= from * n; k -= 1) {
      const share = c[k] ?? 0;
      u[k] = (u[k] ?? 0) + share * (u[k + n] ?? 0);
      w[k] = (w[k] ?? 0) + share * (w[k + n] ?? 0);
    }
  }

  /** What the heater gives through one face: a constant, W, and so much for each kelvin of its own, W/K. */
  private drawn({ heater, heaterOffsetK }: Faces, cell: number): readonly [number, number] {
    let [constant, perKelvin] = [0, 0];
    for (let j = 0; j < this.n; j += 1) {
      const g = (heater[j] ?? 0) * (this.areaM2[j] ?? 0);
      constant += g * ((heaterOffsetK[j] ?? 0) - (this.u[cell * this.n + j] ?? 0));
      perKelvin += g * (1 - (this.w[cell * this.n + j] ?? 0));
    }
    return [constant, perKelvin];
  }

  /** What the stacks lose to the air through one face, W. */
  private lost({ air, airC }: Faces, cells: Float64Array, cell: number): number {
    let sum = 0;
    for (let j = 0; j < this.n; j += 1)
      sum += (this.areaM2[j] ?? 0) * (air[j] ?? 0) * ((cells[cell * this.n + j] ?? 0) - (airC[j] ?? 0));
    return sum;
  }

  /** One implicit Euler stage. The controller gives full power below the set temperature, none above, and what holds it there. */
  private stage(heater: Heater, t: Temperatures, dt: number): Flow {
    const { capacityJK, lossWK, roomC, powerW, setC } = heater;
    const { from, to, n, u, w } = this;
    this.eliminate(t.cells, dt);
    const [a, b] = [this.drawn(this.top, from), this.drawn(this.bottom, to - 1)];
    const store = capacityJK / dt;
    const stiffness = store + lossWK + a[1] + b[1];
    const known = store * t.heaterC + lossWK * roomC - a[0] - b[0];
    const holding = stiffness * setC - known;
    const power = Math.min(powerW, Math.max(0, holding));
    const heaterC = (known + power) / stiffness;
    for (let k = from * n; k < to * n; k += 1) t.cells[k] = (u[k] ?? 0) + (w[k] ?? 0) * heaterC;
    const air = this.lost(this.top, t.cells, from) + this.lost(this.bottom, t.cells, to - 1);
    t.heaterC = heaterC;
    return { inJ: power * dt, heaterLossJ: lossWK * (heaterC - roomC) * dt, airJ: air * dt };
  }

  /** One step of `dt` seconds, in place. Returns the heat moved. */
  step(heater: Heater, t: Temperatures, dt: number): Flow {
    const heaterBefore = t.heaterC;
    const { before, from, to, n } = this;
    before.set(t.cells);
    const first = this.stage(heater, t, GAMMA * dt);
    const ratio = (1 - GAMMA) / GAMMA;
    t.heaterC = heaterBefore + ratio * (t.heaterC - heaterBefore);
    for (let k = from * n; k < to * n; k += 1)
      t.cells[k] = (before[k] ?? 0) + ratio * ((t.cells[k] ?? 0) - (before[k] ?? 0));
    const second = this.stage(heater, t, GAMMA * dt);
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
    let held = 0;
    for (let i = e.from; i < e.to; i += 1)
      held += (e.column.capacity[i] ?? 0) * (t.cells[i * stacks.length + j] ?? 0);
    return sum + held * e.areaM2;
  }, heater.capacityJK * t.heaterC);

import type { HeatSettings } from '../../shop/heatSettings';
import { USUAL_UNKNOWNS, contactWM2K, type HeatCase, type Unknowns } from './case';
import { coatingReader, DoseMeter, facesOf } from './coating';
import { buildColumn, layerSpan, type Column } from '../conduction/column';
import { Stepper, type Exposed, type Heater, type Temperatures } from '../conduction/step';
import { ACTIVATION_J_MOL } from './dose';
import { layersOf } from './layers';
import { heatedPlaces, printArc, type Arc, type HeatedPlace } from './places';
import { scheduleOf, type PassStage } from './schedule';
import { closedOn, heaterFor, openOn } from './sides';
import { wallRing } from './wallRing';

/** A moment of a simulation: what the display reads and how hot each place of the coating is, °C. */
export interface Sample {
  readonly atS: number;
  readonly displayC: number;
  readonly coatingC: readonly number[];
}

interface Mark {
  /** Closed; its clock starts; the display is back at its set temperature; opened. */
  readonly kind: 'closed' | 'timer' | 'back' | 'opened';
  readonly pass: number;
  readonly atS: number;
}

/** What a place has had, seconds at 200 °C: at its less heated face while dye could move, and at its more heated face in all. */
export interface PlaceDose {
  readonly place: HeatedPlace;
  readonly transferS: number;
  readonly heatS: number;
  /** Transfer after each pass. */
  readonly afterPassS: readonly number[];
  /** Transfer at the two faces of a piece pressed on both: the one first under the heater, and the other. */
  readonly facesS: readonly [number, number];
}

export interface Simulation {
  readonly samples: readonly Sample[];
  readonly marks: readonly Mark[];
  readonly places: readonly PlaceDose[];
  /** The printed stretch round the wall; null where the piece is not round. */
  readonly print: Arc | null;
  readonly peakC: number;
  /** Lowest the display read after the first closing, °C, and how long from closing until it was back, s; Infinity where it was not. */
  readonly lowestC: number;
  readonly lowestS: number;
  readonly backS: number;
  /** The press came back to temperature every time it was waited for. */
  readonly reached: boolean;
  /** From the first closing to the last opening, s. */
  readonly pressS: number;
  /** Cells of each place when the press opened for the last time, for what cools afterwards. */
  readonly atOpening: readonly Float64Array[];
  readonly column: Column;
}

export interface HeatSimulationOptions {
  readonly unknowns?: Unknowns;
  /** Keep a sample of every step. */
  readonly record?: boolean;
  /** Go on for so long after opening, s, so that the cooling can be drawn. */
  readonly afterS?: number;
  /** Cells and steps halved so many times: to hold an answer against a finer one. */
  readonly finer?: number;
}

/** The display shows whole degrees: it reads its set temperature from half a degree below. */
const READS_SET_K = 0.5;
const LONGEST_WAIT_S = 1200;
const LONGEST_FALL_S = 900;
const FIRST_STEP_S = 0.04;
const STEP_GROWTH = 1.3;
const LONGEST_STEP_S = 3;
/** A clock that starts by itself is late by a second at most: steps are cut where it would start. */
const CLOCK_STEP_S = 0.25;
/** Below this a coating gathers no dose that counts: less than a two-hundredth of what it does at 200 °C. */
const COLD_C = 80;
const LONGEST_TAIL_S = 900;
/** While it only cools, steps may grow. */
const TAIL_STEP_S = 10;

interface Run {
  readonly mostS: number;
  /** Paper is on and dye moves. */
  readonly held: boolean;
  /** Ends it early. */
  readonly done?: (ranS: number) => boolean;
  /** Steps are kept short near the display's set temperature. */
  readonly watchC?: number;
  readonly longestS?: number;
}

/** Every pass of one load and the heat after it. All that is mutable stays inside. */
class Load {
  private readonly column: Column;
  private readonly places: readonly HeatedPlace[];
  private readonly t: Temperatures;
  private readonly meters: readonly DoseMeter[];
  private readonly samples: Sample[] = [];
  private readonly marks: Mark[] = [];
  private readonly read: ReturnType<typeof coatingReader>;
  private readonly conductAlong: ReturnType<typeof wallRing>;
  private readonly realSetC: number;
  private atS = 0;
  private peakC = -Infinity;
  private first = { lowestC: Infinity, lowestS: 0, backS: Infinity };
  private reached = true;

  constructor(
    private readonly c: HeatCase,
    private readonly s: HeatSettings,
    private readonly o: HeatSimulationOptions,
    private readonly unknowns: Unknowns,
  ) {
    this.places = heatedPlaces(c, s, o.finer ?? 0);
    this.column = buildColumn(layersOf(c, s, unknowns), o.finer ?? 0);
    this.realSetC = s.platenC - c.heater.readsHighK + unknowns.offsetK;
    const cells = this.column.capacity.length;
    const restC = c.heater.restingC === null ? s.platenC : Math.min(s.platenC, c.heater.restingC);
    this.t = {
      heaterC: this.realSetC + restC - s.platenC - (c.kind === 'oven' ? c.heater.fallK : 0),
      cells: new Float64Array(cells * this.places.length).fill(c.roomC),
    };
    const activation = ACTIVATION_J_MOL.usual + unknowns.activation;
    this.meters = this.places.map(() => new DoseMeter(facesOf(c), c.roomC, activation));
    this.read = coatingReader(this.column, contactWM2K(c, s, unknowns));
    this.conductAlong = wallRing(c, this.column, this.places);
  }

  passes(): Simulation {
    for (const stage of scheduleOf(this.c, this.s)) {
      if (stage.kind === 'closed') this.closed(stage);
      else if (stage.kind === 'open') this.open(stage);
      else this.flip(stage.handsS);
    }
    const pressS = this.atS;
    const atOpening = this.places.map((_, j) => this.stackAt(j));
    this.afterwards();
    return {
      samples: this.samples,
      marks: this.marks,
      places: this.places.map((place, j) => {
        const m = this.meters[j];
        return {
          place,
          transferS: m?.leastTransferS() ?? 0,
          heatS: m?.mostHeatS() ?? 0,
          afterPassS: m?.afterPassS ?? [],
          facesS: m ? this.firstFaceFirst(m.transferS) : [0, 0],
        };
      }),
      print: printArc(this.c, this.s),
      peakC: this.peakC,
      ...this.first,
      reached: this.reached,
      pressS,
      atOpening,
      column: this.column,
    };
  }

  /** Flipped once, the face that was under the heater first now lies behind. */
  private firstFaceFirst([front, back]: readonly [number, number]): readonly [number, number] {
    return this.c.faces === 'one then the other' ? [back, front] : [front, back];
  }

  /** Temperatures of one stack, outermost first. */
  private stackAt(j: number): Float64Array {
    const n = this.places.length;
    return Float64Array.from(this.column.capacity, (_, i) => this.t.cells[i * n + j] ?? 0);
  }

  private get displayC(): number {
    return this.t.heaterC + this.s.platenC - this.realSetC;
  }

  private keepSample(): void {
    for (const m of this.meters) this.peakC = Math.max(this.peakC, m.hottestC());
    if (this.o.record)
      this.samples.push({
        atS: this.atS,
        displayC: this.displayC,
        // One face after the other: the one under the heater is followed.
        coatingC: this.meters.map((m) =>
          this.c.faces === 'one then the other' ? m.coatingC[0] : m.coolestC(),
        ),
      });
  }

  private readAll(exposed: readonly Exposed[], dt: number, held: boolean): void {
    const n = this.places.length;
    this.meters.forEach((m, j) => {
      const e = exposed[j];
      if (!e) return;
      for (const face of m.faces) {
        const c = this.read(e, this.t.cells, face, j, n);
        if (dt > 0) m.add(face, c, dt, held);
        else m.restart(face, c);
      }
    });
  }

  /** Runs until `done` says so, or for `mostS`; returns how long it ran, s. */
  private run(
    heater: Heater,
    exposed: readonly Exposed[],
    { mostS, held, done, watchC, longestS }: Run,
  ): number {
    const finer = 2 ** (this.o.finer ?? 0);
    const longest = (longestS ?? Math.min(LONGEST_STEP_S, Math.max(0.25, mostS / 60))) / finer;
    const stepper = new Stepper(exposed);
    let dt = FIRST_STEP_S / finer;
    let ran = 0;
    this.readAll(exposed, 0, held);
    this.keepSample();
    while (ran < mostS - 1e-9) {
      const near = watchC !== undefined && Math.abs(this.displayC - watchC) < 4;
      const step = Math.min(near ? Math.min(dt, CLOCK_STEP_S / finer) : dt, mostS - ran);
      // Through the wall between two halves along it (Strang 1968): taken one after the other, the error would be of first order.
      this.conductAlong(this.t.cells, step / 2);
      stepper.step(heater, this.t, step);
      this.conductAlong(this.t.cells, step / 2);
      ran += step;
      this.atS += step;
      this.readAll(exposed, step, held);
      this.keepSample();
      if (done?.(ran)) break;
      dt = Math.min(longest, dt * STEP_GROWTH);
    }
    return ran;
  }

  private closed({ pass, turnedDeg, dwellS, waits }: Extract<PassStage, { kind: 'closed' }>): void {
    const { c, s } = this;
    const { round } = c;
    const coveredDeg = round ? Math.min(360, (round.heaterMm / round.circumferenceMm) * 360) : 360;
    const at = { openingDeg: turnedDeg, coveredDeg };
    const exposed = this.places.map((p) => closedOn(c, s, this.unknowns, p, this.column, at));
    const heater = heaterFor(c, this.unknowns, this.realSetC, true);
    const closedAt = this.atS;
    const seen = { lowestC: this.displayC, lowestS: 0, backS: Infinity };
    const readyC = s.platenC - READS_SET_K;
    let before = { atS: this.atS, displayC: this.displayC };
    const watch = (): boolean => {
      if (this.displayC < seen.lowestC) {
        seen.lowestC = this.displayC;
        seen.lowestS = this.atS - closedAt;
      }
      const ready = this.displayC >= readyC;
      if (ready && seen.backS === Infinity && seen.lowestC < s.platenC - 2) {
        // The moment it read so lies between two steps.
        const rise = this.displayC - before.displayC;
        const share = rise > 0 ? Math.min(1, (readyC - before.displayC) / rise) : 1;
        const atS = before.atS + share * (this.atS - before.atS);
        seen.backS = atS - closedAt;
        this.marks.push({ kind: 'back', pass, atS });
      }
      before = { atS: this.atS, displayC: this.displayC };
      return ready;
    };
    this.marks.push({ kind: 'closed', pass, atS: this.atS });
    if (waits) {
      const done = (ranS: number) => watch() && ranS > 3;
      const waited = this.run(heater, exposed, {
        mostS: LONGEST_WAIT_S,
        held: true,
        done,
        watchC: s.platenC,
      });
      this.reached &&= waited < LONGEST_WAIT_S - 1e-6;
    }
    this.marks.push({ kind: 'timer', pass, atS: this.atS });
    this.run(heater, exposed, { mostS: dwellS, held: true, done: () => (watch(), false) });
    this.marks.push({ kind: 'opened', pass, atS: this.atS });
    for (const m of this.meters) m.afterPassS.push(m.leastTransferS());
    if (pass === 1) this.first = seen;
  }

  private open({ handsS, coolDownC }: Extract<PassStage, { kind: 'open' }>): void {
    const exposed = this.places.map((p) => openOn(this.c, p, this.column, false));
    const setC = (coolDownC ?? this.s.platenC) + this.realSetC - this.s.platenC;
    const heater = heaterFor(this.c, this.unknowns, setC, false);
    const spent = this.run(heater, exposed, { mostS: handsS, held: true });
    if (coolDownC === null || this.displayC <= coolDownC + READS_SET_K) return;
    this.run(heater, exposed, {
      mostS: LONGEST_FALL_S - spent,
      held: true,
      watchC: coolDownC,
      done: () => this.displayC <= coolDownC + READS_SET_K,
    });
  }

  private flip(handsS: number): void {
    const exposed = this.places.map((p) => openOn(this.c, p, this.column, true));
    const heater = heaterFor(this.c, this.unknowns, this.realSetC, false);
    this.run(heater, exposed, { mostS: handsS, held: true });
    const span = layerSpan(this.column, 'blank');
    const pad = layerSpan(this.column, 'pad');
    const n = this.places.length;
    const before = this.t.cells.slice();
    this.t.cells.fill(this.c.roomC);
    const [from, to] = span ? [span.from, span.to] : [0, this.column.capacity.length];
    for (let i = from; i < to; i += 1)
      this.t.cells.set(before.subarray((from + to - 1 - i) * n, (from + to - i) * n), i * n);
    // Papers are fresh; the pad is as warm as the first closing left it.
    if (pad) this.t.cells.set(before.subarray(pad.from * n, pad.to * n), pad.from * n);
    for (const m of this.meters) m.flip();
  }

  /** It goes on gathering heat until it has cooled; with a warm or cold peel under its paper. */
  private afterwards(): void {
    const peeled = this.s.peel === 'hot' || this.s.peel === 'quench';
    const exposed = this.places.map((p) => openOn(this.c, p, this.column, peeled));
    const heater = heaterFor(this.c, this.unknowns, this.realSetC, false);
    const hot = () => this.meters.some((m) => m.hottestC() > COLD_C);
    const wanted = this.o.afterS ?? 0;
    if (!hot() && wanted === 0) return;
    const mostS = Math.max(wanted, LONGEST_TAIL_S);
    this.run(heater, exposed, {
      mostS,
      held: false,
      done: (ranS) => ranS >= wanted && !hot(),
      longestS: this.o.record ? LONGEST_STEP_S : TAIL_STEP_S,
    });
  }
}

/** One load through every pass. Deterministic; 600 s of a press take a few milliseconds. */
export const simulateHeat = (c: HeatCase, s: HeatSettings, options: HeatSimulationOptions = {}): Simulation =>
  new Load(c, s, options, options.unknowns ?? USUAL_UNKNOWNS).passes();

/**
 * A dose where the print ends, between the middles of arcs: its logarithm as the cubic through the four nearest (Neville's scheme; Press et al.,
 * Numerical Recipes, 3.1), since it bends towards a mat's end.
 */
function atEdge(places: readonly PlaceDose[], deg: number, of: (p: PlaceDose) => number): number | null {
  const at = (j: number): number => places[j]?.place.atDeg ?? Infinity;
  const j = places.findIndex((p) => (p.place.atDeg ?? Infinity) >= deg);
  if (j < 1) return null;
  const from = Math.max(0, Math.min(places.length - 4, j - 2));
  const four = places.slice(from, from + 4);
  const y = four.map((p) => Math.log(Math.max(of(p), 1e-9)));
  for (let order = 1; order < y.length; order += 1)
    for (let i = 0; i < y.length - order; i += 1) {
      const [x0, x1] = [at(from + i), at(from + i + order)];
      y[i] = ((deg - x1) * (y[i] ?? 0) + (x0 - deg) * (y[i + 1] ?? 0)) / (x0 - x1);
    }
  return Math.exp(y[0] ?? 0);
}

/** Dose of the least heated printed place while dye moved, and all heat at the most heated, seconds at 200 °C. */
export function dosesOf(sim: Simulation): { readonly leastS: number; readonly mostS: number } {
  const printed = sim.places.filter((p) => p.place.printed);
  const { print, places } = sim;
  const edges = (of: (p: PlaceDose) => number): readonly number[] =>
    print ? [print.fromDeg, print.toDeg].flatMap((deg) => atEdge(places, deg, of) ?? []) : [];
  return {
    leastS: Math.min(...printed.map((p) => p.transferS), ...edges((p) => p.transferS)),
    mostS: Math.max(0, ...printed.map((p) => p.heatS), ...edges((p) => p.heatS)),
  };
}

import type { HeatSettings } from '../../shop/heatSettings';
import { USUAL_UNKNOWNS, UNKNOWN_KEYS, type Unknowns } from './case';
import { coolingSpread, type CoolingPlace, type CoolingSpread } from '../cooling/cooling';
import { believedDose, believedDoses, likelihoodOf, chances, type PosteriorSpread } from '../settings/fit';
import { dot } from './linear';
import type { Arc, HeatedPlace } from './places';
import type { Resolved } from '../settings/resolve';
import { dosesOf, simulateHeat, type Sample, type Simulation } from './simulate';
import type { LogDoses } from './sensitivity';

/** One pass on the clock, s from the first closing. */
interface Closing {
  readonly closedS: number;
  /** The display is back at its set temperature; null where it did not fall, or was not back before it opened. */
  readonly backS: number | null;
  readonly openedS: number;
}

export interface SeriesPoint {
  readonly atS: number;
  readonly displayC: number;
  /** Coating at the least heated printed place, and where it is 19 times in 20. */
  readonly coatingC: number;
  readonly lowC: number;
  readonly highC: number;
}

export interface RingPoint extends Arc {
  readonly printed: boolean;
  readonly afterPassS: readonly number[];
}

/** All that is known of one setting on one load. Doses are seconds at 200 °C. */
export interface HeatOutcome {
  readonly least: PosteriorSpread;
  readonly most: PosteriorSpread;
  readonly needed: PosteriorSpread;
  readonly limit: PosteriorSpread;
  readonly good: number;
  readonly under: number;
  readonly over: number;
  readonly peakC: number;
  readonly lowestC: number;
  /** The display falls two degrees or more on closing. */
  readonly fell: boolean;
  readonly reached: boolean;
  readonly pressS: number;
  readonly closings: readonly Closing[];
  readonly series: readonly SeriesPoint[];
  readonly ring: readonly RingPoint[] | null;
  /** Dose at the face first under the heater, and at the other, where two are pressed. */
  readonly facesS: readonly [number, number] | null;
  readonly cooling: Readonly<Partial<Record<CoolingPlace, CoolingSpread>>>;
  /** What was seen here and does not agree with the rest: ids of outcomes. */
  readonly contradictions: readonly string[];
  /** What timings say of the heater, W and J/K, with the standard deviation of its logarithm. */
  readonly heater: { readonly powerW: number; readonly powerSd: number; readonly capacityJK: number } | null;
  /** Outcomes of this shop behind it. */
  readonly trials: number;
}

const POINTS = 100;
/** Cooling drawn after opening, as a share of the time in the press, and at most so long, s. */
const AFTER_SHARE = 0.7;
const AFTER_MOST_S = 240;
const WITHIN_95 = 1.96;
/** Seen less often than this under what is believed, an outcome is held up. */
const UNLIKELY = 0.04;

/** Temperatures of one place over even times, read off the samples of the steps. */
function readAt(samples: readonly Sample[], times: readonly number[], of: (s: Sample) => number): number[] {
  let i = 0;
  return times.map((t) => {
    while (i < samples.length - 2 && (samples[i + 1]?.atS ?? Infinity) < t) i += 1;
    const [a, b] = [samples[i], samples[i + 1]];
    if (!a) return 0;
    if (!b || b.atS <= a.atS) return of(a);
    return of(a) + (of(b) - of(a)) * Math.min(1, Math.max(0, t - a.atS) / (b.atS - a.atS));
  });
}

/** Times of another simulation that stand for these: the same share of each stretch between closings and openings. */
function alike(times: readonly number[], of: Simulation, other: Simulation): number[] {
  const events = (sim: Simulation): number[] => {
    const marks = sim.marks.filter((m) => m.kind === 'closed' || m.kind === 'opened').map((m) => m.atS);
    return [...marks, sim.samples[sim.samples.length - 1]?.atS ?? 0];
  };
  const [a, b] = [events(of), events(other)];
  return times.map((t) => {
    const i = Math.max(0, Math.min(a.length - 2, a.findIndex((x, k) => t < x || k === a.length - 1) - 1));
    const [from, to] = [a[i] ?? 0, a[i + 1] ?? 0];
    const share = to > from ? (t - from) / (to - from) : 0;
    return (b[i] ?? 0) + share * ((b[i + 1] ?? 0) - (b[i] ?? 0));
  });
}

/** The unknowns of press and stack where the fit has moved them. */
export const believedUnknowns = ({ belief, spreads }: Resolved): Unknowns =>
  UNKNOWN_KEYS.reduce<Unknowns>(
    (u, key, i) => ({ ...u, [key]: (belief.mean[i] ?? 0) * spreads[key] }),
    USUAL_UNKNOWNS,
  );

const leastPlace = (sim: Simulation): number =>
  sim.places.reduce(
    (best, p, j) =>
      p.place.printed && (best < 0 || p.transferS < (sim.places[best]?.transferS ?? Infinity)) ? j : best,
    -1,
  );

function closingsOf(sim: Simulation): Closing[] {
  return sim.marks
    .filter((m) => m.kind === 'closed')
    .map((closed) => {
      const at = (kind: 'back' | 'opened') =>
        sim.marks.find((m) => m.kind === kind && m.pass === closed.pass);
      return {
        closedS: closed.atS,
        backS: at('back')?.atS ?? null,
        openedS: at('opened')?.atS ?? closed.atS,
      };
    });
}

/** An arc, and where it stands for both sides of the opening its mirror image. */
const bothSides = ({ fromDeg, toDeg, mirrored }: HeatedPlace): readonly Arc[] => [
  { fromDeg, toDeg },
  ...(mirrored ? [{ fromDeg: 360 - toDeg, toDeg: 360 - fromDeg }] : []),
];

function ringOf(sim: Simulation): RingPoint[] | null {
  const points = sim.places.flatMap(({ place, afterPassS }) =>
    place.atDeg === null
      ? []
      : bothSides(place).map((arc) => ({ ...arc, printed: place.printed, afterPassS })),
  );
  return points.length > 0 ? points.sort((a, b) => a.fromDeg - b.fromDeg) : null;
}

/** Simulates a setting as believed and once for each unknown moved by its spread; from these everything that is said of it. */
export function outcomeOf(r: Resolved, s: HeatSettings, places: readonly CoolingPlace[]): HeatOutcome {
  const { load, spreads, belief } = r;
  const believed = believedUnknowns(r);
  const first = simulateHeat(load, s, { unknowns: believed });
  const afterS = Math.min(AFTER_MOST_S, first.pressS * AFTER_SHARE);
  const run = (unknowns: Unknowns) => simulateHeat(load, s, { unknowns, record: true, afterS });
  const sim = run(believed);
  const j = leastPlace(sim);
  const endS = sim.samples[sim.samples.length - 1]?.atS ?? 1;
  const times = Array.from({ length: POINTS }, (_, i) => (endS * i) / (POINTS - 1));
  const coating = (x: Sample): number => x.coatingC[j] ?? 0;
  const at = dosesOf(sim);
  const usual = readAt(sim.samples, times, coating);
  const moved = UNKNOWN_KEYS.map((key) => {
    const m = run({ ...believed, [key]: believed[key] + spreads[key] });
    const d = dosesOf(m);
    return {
      leastBy: Math.log(d.leastS / at.leastS),
      mostBy: Math.log(d.mostS / at.mostS),
      c: readAt(m.samples, alike(times, sim, m), coating).map((c, i) => c - (usual[i] ?? 0)),
    };
  });
  const leastBy = moved.map((m) => m.leastBy);
  const mostBy = moved.map((m) => m.mostBy);
  // Doses start from where nothing is known; the simulation stands where the fit has moved to.
  const doses: LogDoses = {
    least: Math.log(at.leastS) - dot(leastBy, belief.mean.slice(0, leastBy.length)),
    most: Math.log(at.mostS) - dot(mostBy, belief.mean.slice(0, mostBy.length)),
    leastBy,
    mostBy,
  };
  const display = readAt(sim.samples, times, (x) => x.displayC);
  const series = times.map((atS, i): SeriesPoint => {
    const coatingC = usual[i] ?? 0;
    const spread = WITHIN_95 * Math.hypot(...moved.map((m) => m.c[i] ?? 0));
    return { atS, displayC: display[i] ?? 0, coatingC, lowC: coatingC - spread, highC: coatingC + spread };
  });
  const two = load.faces !== 'one' && j >= 0;
  return {
    ...believedDoses(doses, belief),
    ...believedDose(belief),
    ...chances(doses, belief),
    peakC: sim.peakC,
    lowestC: sim.lowestC,
    fell: s.platenC - sim.lowestC >= 2,
    reached: sim.reached,
    pressS: sim.pressS,
    closings: closingsOf(sim),
    series,
    ring: ringOf(sim),
    facesS: two ? (sim.places[j]?.facesS ?? null) : null,
    cooling: Object.fromEntries(places.map((p) => [p, coolingSpread(load, first, p)])),
    contradictions: r.trials.filter((t) => likelihoodOf(t, belief) < UNLIKELY).map((t) => t.id),
    heater: r.heaterFit && {
      powerW: load.heater.powerW,
      powerSd: r.heaterFit.powerSd,
      capacityJK: load.heater.capacityJK,
    },
    trials: r.trials.length,
  };
}

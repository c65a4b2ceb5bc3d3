import { normalCdf } from '../figures/normal';
import { roundingSource } from '../figures/sources';
import { exact, plus, scaled, type Uncertain } from '../figures/uncertain';
import type { Method } from '../job/job';

/**
 * How far one hand's readings of one thing scatter, standard deviation in mm as read. Measured by repeating readings; a job's
 * own repeats outweigh it as they come in.
 */
const HAND_SCATTER_MM: Readonly<Record<Method, number>> = {
  'soft tape': 0.35,
  'paper strip': 0.25,
  string: 0.8,
  caliper: 0.1,
  'steel rule': 0.25,
  'maker’s figure': 0,
};
/**
 * Readers a shop may have, as multiples of the usual scatter, and how many in a hundred are like that. With few repeats the usual hand is
 * believed; from `SPEAK_FROM` free repeats on these weights hold in full, and what was read decides.
 */
const HANDS: readonly (readonly [number, number])[] = [
  [0.15, 5],
  [0.35, 8],
  [0.6, 14],
  [1, 42],
  [1.5, 12],
  [2.2, 11],
  [3.3, 10],
  [5, 6],
];
const SPEAK_FROM = 4;

/** What the repeats of one method say: squares of what they stand off the mean of their place, as read, and how many are free. */
export interface Repeats {
  readonly sumSquaresMm2: number;
  readonly freedom: number;
  /** Mean square of the steps they were read to, mm². */
  readonly step2Mm2: number;
}

/** The repeats of a whole job, by method: one hand took them all. */
export type RepeatsByMethod = Readonly<Partial<Record<Method, Repeats>>>;

/** One reading as it stands on the tape. */
export interface RawReading {
  readonly method: Method;
  readonly rawMm: number;
  readonly stepMm: number;
}

/** What all places of a job say together of the hand that took them. */
export function handsOf(places: readonly (readonly RawReading[])[]): RepeatsByMethod {
  const hands: Partial<Record<Method, { sumSquaresMm2: number; freedom: number; step2Mm2: number }>> = {};
  for (const raws of places)
    for (const method of new Set(raws.map((r) => r.method))) {
      const same = raws.filter((r) => r.method === method);
      if (same.length < 2) continue;
      const mean = same.reduce((a, r) => a + r.rawMm, 0) / same.length;
      const before = hands[method] ?? { sumSquaresMm2: 0, freedom: 0, step2Mm2: 0 };
      const freedom = before.freedom + same.length - 1;
      const step2 = meanSquare(same.map((r) => r.stepMm));
      hands[method] = {
        sumSquaresMm2: before.sumSquaresMm2 + same.reduce((a, r) => a + (r.rawMm - mean) ** 2, 0),
        freedom,
        step2Mm2: (before.step2Mm2 * before.freedom + step2 * (same.length - 1)) / freedom,
      };
    }
  return hands;
}

/** A scatter the hand may have, mm as read, and how likely it is. */
interface Likely {
  readonly sMm: number;
  readonly p: number;
}

/**
 * How the hand of one method may scatter, given its repeats: Bayes over the hands above (Gelman et al., Bayesian Data Analysis, ch. 3, on a
 * grid). Readings are rounded, so q²/12 of their mean square is the tape's (Sheppard's correction).
 */
export function handOf(method: Method, hands: RepeatsByMethod): readonly Likely[] {
  const usual = HAND_SCATTER_MM[method];
  const repeats = hands[method];
  if (!repeats || usual === 0) return [{ sMm: usual, p: 1 }];
  const { sumSquaresMm2, freedom, step2Mm2 } = repeats;
  const trust = Math.min(1, freedom / SPEAK_FROM) ** 2;
  const logs = HANDS.map(([times, weight]) => {
    const variance = (times * usual) ** 2 + step2Mm2 / 12;
    const prior = times === 1 ? weight : weight * trust;
    return Math.log(prior) - (sumSquaresMm2 / variance + freedom * Math.log(variance)) / 2;
  });
  const most = Math.max(...logs);
  const raw = logs.map((l) => Math.exp(l - most));
  const sum = raw.reduce((a, v) => a + v, 0);
  return HANDS.map(([times], i) => ({ sMm: times * usual, p: (raw[i] ?? 0) / sum }));
}

const TWO_SIDED = 0.975;
const Z_TWO_SIDED = 1.959963984540054;

/** Standard deviation of the normal whose 95 % interval is that of a mixture of normals of zero mean: Newton's method from above. */
export function mixtureU(parts: readonly { readonly p: number; readonly u: number }[]): number {
  const known = parts.filter((x) => x.p > 1e-9);
  const widest = Math.max(...known.map((x) => x.u));
  if (widest === 0 || known.length === 1) return widest;
  let x = Z_TWO_SIDED * widest;
  for (let i = 0; i < 30; i += 1) {
    let over = -TWO_SIDED;
    let density = 0;
    for (const { p, u } of known) {
      over += p * (u === 0 ? 1 : normalCdf(x / u));
      if (u > 0) density += (p * Math.exp(-0.5 * (x / u) ** 2) * 0.3989422804014327) / u;
    }
    // The distribution is concave above its middle, so from above the root every step stays above it.
    const step = over / density;
    x -= Math.min(step, 0.7 * x);
    if (Math.abs(step) < 1e-9 * widest) break;
  }
  return x / Z_TWO_SIDED;
}

/**
 * How alike the rounding errors of repeats are, 1 (all the same) to 0: reading to marks q apart with a hand that scatters by s
 * (Widrow and Kollár, Quantization Noise, 2008, ch. 5): (6/π²) Σ k⁻² exp(−4π² k² s²/q²).
 */
export function roundingCorrelation(s: number, q: number): number {
  if (q === 0) return 0;
  const e = Math.exp((-4 * Math.PI * Math.PI * s * s) / (q * q));
  if (e > 0.999) return 1;
  let sum = 0;
  for (let k = 1; k <= 12; k += 1) sum += e ** (k * k) / (k * k);
  return Math.min(1, (6 / (Math.PI * Math.PI)) * sum);
}

/** One reading taken to the surface. */
export interface SurfaceReading extends RawReading {
  readonly surface: Uncertain;
  /** Surface millimetres for a millimetre as read: π across, 1 along. */
  readonly factor: number;
}

/** Mean square of some numbers. */
const meanSquare = (values: readonly number[]): number =>
  values.reduce((a, v) => a + v * v, 0) / Math.max(1, values.length);

interface OwnError {
  /** What averages out, and what is rounded alike at every place of one width: standard uncertainties of the mean, mm. */
  readonly own: number;
  readonly stuck: number;
}

/** Errors that the readings of one method put into the mean of `n`. */
function errorOf(
  same: readonly SurfaceReading[],
  method: Method,
  n: number,
  hands: RepeatsByMethod,
  sameWidth: boolean,
): OwnError {
  const count = same.length;
  const [first] = same;
  if (!first) return { own: 0, stuck: 0 };
  // Readings to the same marks are rounded alike; those to other marks are not, whichever was typed first.
  const marks = [...new Set(same.map((t) => t.stepMm))].map((stepMm) => ({
    stepMm,
    step2: (first.factor * stepMm) ** 2 / 12,
    n: same.filter((t) => t.stepMm === stepMm).length,
  }));
  const mixture = handOf(method, hands).map(({ sMm, p }) => {
    let averaging = count * (first.factor * sMm) ** 2;
    let stuck2 = 0;
    for (const m of marks) {
      const alike = roundingCorrelation(sMm, m.stepMm);
      averaging += m.n * m.step2 * (1 - alike);
      stuck2 += m.n * m.n * m.step2 * alike;
    }
    return { p, u: Math.sqrt(averaging + (sameWidth ? 0 : stuck2)) / n, stuck2 };
  });
  const stuck2 = mixture.reduce((a, m) => a + m.p * m.stuck2, 0);
  return { own: mixtureU(mixture), stuck: sameWidth ? Math.sqrt(stuck2) / n : 0 };
}

/**
 * Mean of the readings of one place. The hand averages out; rounding only as far as the hand scatters. What is left of it is a source of its
 * own where all places are of one width (`sameWidth`): there the same true length is rounded the same way every time.
 */
export function meanOfRepeats(
  taken: readonly SurfaceReading[],
  source: string,
  hands: RepeatsByMethod,
  sameWidth: boolean,
): Uncertain {
  const n = taken.length;
  const mean = scaled(
    taken.reduce((sum, t) => plus(sum, t.surface), exact(0)),
    1 / n,
  );
  const parts: Record<string, number> = { ...mean.parts };
  const errors = [...new Set(taken.map((t) => t.method))].map((method) => {
    const same = taken.filter((t) => t.method === method);
    return { method, ...errorOf(same, method, n, hands, sameWidth) };
  });
  for (const { method, stuck } of errors) if (stuck > 0) parts[roundingSource(method)] = stuck;
  const own = Math.hypot(...errors.map((e) => e.own));
  if (own > 0) parts[source] = own;
  return { value: mean.value, parts };
}

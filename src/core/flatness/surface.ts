import { dot } from '../heat/model/linear';
import type { GapMethod } from '../shop/press';

/**
 * The gap under a platen as a surface through readings at a few places: a thin-plate spline that smooths by as much as the readings are known to
 * scatter (Wahba, Spline Models for Observational Data, 1990, ch. 2 and 5). As a Gaussian process with that spline's kernel it also says how
 * sure it is anywhere (universal kriging: Cressie, Statistics for Spatial Data, 1993, 3.4).
 */
export interface GapReading {
  readonly xMm: number;
  readonly yMm: number;
  readonly gapMm: number;
}

export interface GapSurface {
  /** Gap at a place, mm; not below 0. */
  readonly gapAt: (xMm: number, yMm: number) => number;
  /** Standard deviation of that gap, mm. */
  readonly sdAt: (xMm: number, yMm: number) => number;
}

/** Scatter of one reading, mm: a feeler is felt, card comes in sheets, dye is judged by eye. Our own estimates. */
export const READING_SD_MM: Readonly<Record<GapMethod, number>> = { feeler: 0.03, card: 0.06, dye: 0.12 };

/** r² ln r of the plane, with r as a share of the platen’s longer side. */
const kernel = (r2: number): number => (r2 <= 0 ? 0 : 0.5 * r2 * Math.log(r2));

/**
 * How strongly a platen may bend, as variance of the spline, mm², and how many in a hundred are like that: our own estimate, in which a platen
 * of arm's length is a few tenths of a millimetre out. Few readings leave it at that; more weigh it by how well each explains them.
 */
const BENDS_MM2: readonly (readonly [number, number])[] = [
  [0.002, 34],
  [0.01, 34],
  [0.05, 24],
  [0.2, 9],
  [0.8, 2],
  [3, 0.4],
  [12, 0.1],
];
/** A bend less likely than this adds nothing that shows. */
const UNLIKELY = 0.004;

interface Fitted {
  readonly weights: readonly number[];
  readonly plane: readonly number[];
  readonly lnLikelihood: number;
  readonly system: readonly (readonly number[])[];
}

const basis = (u: number, v: number): readonly number[] => [1, u, v];

function fit(
  at: readonly (readonly [number, number])[],
  gaps: readonly number[],
  bend: number,
  sd: number,
): Fitted {
  const n = at.length;
  const K = at.map(([a, b], i) =>
    at.map(([c, d], j) => bend * kernel((a - c) ** 2 + (b - d) ** 2) + (i === j ? sd * sd : 0)),
  );
  const P = at.map(([a, b]) => basis(a, b));
  // The kernel is positive only beside the plane: one bordered system holds both (Wahba 1990, eq. 2.4.23).
  const system = [
    ...K.map((row, i) => [...row, ...(P[i] ?? [])]),
    ...[0, 1, 2].map((k) => [...P.map((p) => p[k] ?? 0), 0, 0, 0]),
  ];
  const solved = gauss(system, [...gaps, 0, 0, 0]);
  const weights = solved.slice(0, n);
  // Restricted likelihood: ½ gaps · weights, and the determinant of the bordered system.
  const lnLikelihood = -0.5 * dot(gaps, weights) - 0.5 * lnAbsDet(system);
  return { weights, plane: solved.slice(n), lnLikelihood, system };
}

/** Gauss with pivots: the bordered system is symmetric but not positive. */
function gauss(a: readonly (readonly number[])[], b: readonly number[]): number[] {
  const m = a.map((row, i) => [...row, b[i] ?? 0]);
  const n = m.length;
  eliminate(m);
  const x = Array.from({ length: n }, () => 0);
  for (let i = n - 1; i >= 0; i -= 1) {
    const row = m[i] ?? [];
    const rest = row.slice(i + 1, n).reduce((s, v, k) => s + v * (x[i + 1 + k] ?? 0), 0);
    x[i] = ((row[n] ?? 0) - rest) / (row[i] ?? 1);
  }
  return x;
}

function lnAbsDet(a: readonly (readonly number[])[]): number {
  const m = a.map((row) => [...row]);
  eliminate(m);
  return m.reduce((s, row, i) => s + Math.log(Math.max(1e-300, Math.abs(row[i] ?? 0))), 0);
}

/** To upper triangular form in place, rows swapped for the largest pivot. */
function eliminate(m: number[][]): void {
  for (let i = 0; i < m.length; i += 1) {
    let p = i;
    for (let r = i + 1; r < m.length; r += 1) if (Math.abs(m[r]?.[i] ?? 0) > Math.abs(m[p]?.[i] ?? 0)) p = r;
    const [top, other] = [m[i], m[p]];
    if (!top || !other) return;
    [m[i], m[p]] = [other, top];
    const pivot = other[i] ?? 0;
    if (Math.abs(pivot) < 1e-14) continue;
    for (let r = i + 1; r < m.length; r += 1) {
      const row = m[r];
      const by = (row?.[i] ?? 0) / pivot;
      if (!row || by === 0) continue;
      for (let c = i; c < row.length; c += 1) row[c] = (row[c] ?? 0) - by * (other[c] ?? 0);
    }
  }
}

/** Three readings at least, not in one line, or there is no plane. */
export function spansPlane(readings: readonly GapReading[]): boolean {
  const [a, ...rest] = readings;
  if (!a) return false;
  const area = (b: GapReading, c: GapReading) =>
    Math.abs((b.xMm - a.xMm) * (c.yMm - a.yMm) - (c.xMm - a.xMm) * (b.yMm - a.yMm));
  return rest.some((b, i) => rest.slice(i + 1).some((c) => area(b, c) > 100));
}

/** The surface through the readings of a platen of this size, mm. Null where they lie in one line. */
export function gapSurface(
  readings: readonly GapReading[],
  size: { readonly widthMm: number; readonly heightMm: number },
  readingSdMm: number,
): GapSurface | null {
  if (!spansPlane(readings)) return null;
  const scale = Math.max(size.widthMm, size.heightMm);
  const at = readings.map((r): readonly [number, number] => [r.xMm / scale, r.yMm / scale]);
  const gaps = readings.map((r) => r.gapMm);
  const fits = likely(
    BENDS_MM2.map(([bend, prior]) => ({ bend, prior, ...fit(at, gaps, bend, readingSdMm) })),
  );
  const toward = (bend: number, xMm: number, yMm: number): number[] => {
    const [u, v] = [xMm / scale, yMm / scale];
    return [...at.map(([a, b]) => bend * kernel((a - u) ** 2 + (b - v) ** 2)), ...basis(u, v)];
  };
  /** What one bend says of a place. */
  const meanOf = (f: Likely, t: readonly number[]): number => dot(t, [...f.weights, ...f.plane]);
  const mean = (xMm: number, yMm: number): number =>
    fits.reduce((s, f) => s + f.p * meanOf(f, toward(f.bend, xMm, yMm)), 0);
  return {
    gapAt: (xMm, yMm) => Math.max(0, mean(xMm, yMm)),
    sdAt: (xMm, yMm) => {
      const all = mean(xMm, yMm);
      const variance = fits.reduce((s, f) => {
        const t = toward(f.bend, xMm, yMm);
        return s + f.p * (Math.max(0, -dot(t, gauss(f.system, t))) + (meanOf(f, t) - all) ** 2);
      }, 0);
      return Math.sqrt(variance);
    },
  };
}

interface Likely extends Fitted {
  readonly bend: number;
  readonly p: number;
}

/**
 * The bends by how likely each is after the readings (Bayes; Gelman et al. 2013, ch. 7.4, averaging over models). Three readings say nothing of
 * how a platen bends: what was thought before stands.
 */
function likely(
  fits: readonly (Fitted & { readonly bend: number; readonly prior: number })[],
): readonly Likely[] {
  const most = Math.max(...fits.map((f) => f.lnLikelihood));
  const raw = fits.map((f) => ({ ...f, p: f.prior * Math.exp(f.lnLikelihood - most) }));
  const sum = raw.reduce((s, f) => s + f.p, 0);
  const kept = raw.filter((f) => f.p >= UNLIKELY * sum);
  const left = kept.reduce((s, f) => s + f.p, 0);
  return kept.map((f) => ({ ...f, p: f.p / left }));
}

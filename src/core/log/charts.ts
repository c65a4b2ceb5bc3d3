import type { CauseId } from '../shop/faultIds';
import type { Mark } from '../shop/mark';
import { ALL_FAULTS, type LogRow } from './rows';
import { supplyCharts, type SupplyChart } from './supplies';

const WEEK_MS = 7 * 24 * 3600_000;
/** The epoch was a Thursday: weeks begin on Monday. */
const MONDAY_MS = 4 * 24 * 3600_000;

/** Beginning of the week a moment lies in, by a shop’s own clock `offsetMs` ahead of universal time. */
export const weekOf = (at: number, offsetMs: number): number =>
  Math.floor((at + offsetMs - MONDAY_MS) / WEEK_MS) * WEEK_MS + MONDAY_MS - offsetMs;

/** Good out of pressed in a week, with the limits chance keeps to. */
export interface WeekPoint {
  readonly fromAt: number;
  readonly toAt: number;
  readonly good: number;
  readonly pressed: number;
  readonly share: number;
  readonly low: number;
  readonly high: number;
  /** Outside the limits, or one of eight weeks running on one side of the middle. */
  readonly signal: 'outside' | 'run' | null;
}

export interface GoodChart {
  readonly weeks: readonly WeekPoint[];
  /** Good out of pressed over all weeks, 0..1. */
  readonly share: number;
  /** How much more the weeks scatter than single pieces by chance: pieces of one run share their faults. */
  readonly scatter: number;
}

/** Nelson’s second rule asks nine, the Western Electric handbook eight in a row. */
const IN_A_ROW = 8;
/** Moving range of two over its standard deviation, d2 (Montgomery, Introduction to Statistical Quality Control, app. VI). */
const D2 = 1.128;

interface Week {
  readonly fromAt: number;
  readonly good: number;
  readonly pressed: number;
}

function weeksOf(rows: readonly LogRow[], offsetMs: number): readonly Week[] {
  const weeks = new Map<number, { good: number; pressed: number }>();
  for (const r of rows) {
    const from = weekOf(r.at, offsetMs);
    const w = weeks.get(from) ?? { good: 0, pressed: 0 };
    w.good += r.good;
    w.pressed += r.good + r.seconds + r.spoiled;
    weeks.set(from, w);
  }
  return [...weeks]
    .filter(([, w]) => w.pressed > 0)
    .map(([fromAt, w]) => ({ fromAt, ...w }))
    .sort((a, b) => a.fromAt - b.fromAt);
}

/**
 * Good out of pressed by week: a p′ chart (Laney 2002), three standard deviations of chance, widened by as much as neighbouring weeks really
 * differ. Without that every long run of pieces would look like a trend.
 */
export function goodChart(rows: readonly LogRow[], offsetMs = 0): GoodChart {
  const weeks = weeksOf(rows, offsetMs);
  const pressed = weeks.reduce((s, w) => s + w.pressed, 0);
  if (pressed === 0) return { weeks: [], share: 0, scatter: 1 };
  const share = weeks.reduce((s, w) => s + w.good, 0) / pressed;
  const sdOf = (n: number): number => Math.sqrt(Math.max(1e-9, share * (1 - share)) / n);
  const z = weeks.map((w) => (w.good / w.pressed - share) / sdOf(w.pressed));
  const moves = z.slice(1).map((v, i) => Math.abs(v - (z[i] ?? 0)));
  const scatter = moves.length === 0 ? 1 : Math.max(1, moves.reduce((a, b) => a + b, 0) / moves.length / D2);
  let side = 0;
  let inRow = 0;
  const points = weeks.map((w): WeekPoint => {
    const p = w.good / w.pressed;
    const reach = 3 * sdOf(w.pressed) * scatter;
    const [low, high] = [Math.max(0, share - reach), Math.min(1, share + reach)];
    const now = Math.sign(p - share);
    inRow = now !== 0 && now === side ? inRow + 1 : 1;
    side = now;
    const signal =
      p < low - 1e-12 || p > high + 1e-12 ? 'outside' : side !== 0 && inRow >= IN_A_ROW ? 'run' : null;
    return { ...w, toAt: w.fromAt + WEEK_MS, share: p, low, high, signal };
  });
  return { weeks: points, share, scatter };
}

/** How often a fault was seen, and what it was put down to. */
export interface FaultBar {
  readonly fault: Mark['fault'];
  readonly entries: number;
  readonly causes: readonly { readonly cause: CauseId | null; readonly entries: number }[];
}

/** Faults, commonest first, each by the causes that were settled on. */
export function faultChart(rows: readonly LogRow[]): readonly FaultBar[] {
  return ALL_FAULTS.flatMap((fault, i): FaultBar[] => {
    const causes = new Map<CauseId | null, number>();
    for (const r of rows) if (r.faults & (1 << i)) causes.set(r.cause, (causes.get(r.cause) ?? 0) + 1);
    const entries = [...causes.values()].reduce((a, b) => a + b, 0);
    if (entries === 0) return [];
    const list = [...causes]
      .map(([cause, n]) => ({ cause, entries: n }))
      .sort((a, b) => b.entries - a.entries);
    return [{ fault, entries, causes: list }];
  }).sort((a, b) => b.entries - a.entries);
}

/** Time set against time kept. */
export interface KeptPoint {
  readonly id: string;
  readonly at: number;
  readonly setS: number;
  readonly keptS: number;
}
export interface KeptChart {
  readonly points: readonly KeptPoint[];
  /** Mean of kept over set, less 1: 0.1 is a tenth too long. */
  readonly over: number;
  /** Share of passes kept more than a twentieth and three seconds off. */
  readonly off: number;
}

const MOST_POINTS = 400;

export function keptChart(rows: readonly LogRow[]): KeptChart {
  const known = rows.flatMap((r) =>
    r.keptS === null ? [] : [{ id: r.id, at: r.at, setS: r.setS, keptS: r.keptS }],
  );
  const off = known.filter((p) => Math.abs(p.keptS - p.setS) > Math.max(3, p.setS * 0.05)).length;
  return {
    points: known.slice(0, MOST_POINTS),
    over: known.length === 0 ? 0 : known.reduce((s, p) => s + p.keptS / p.setS, 0) / known.length - 1,
    off: known.length === 0 ? 0 : off / known.length,
  };
}

/** One press over time: below 0 it gives too little, above too much. */
export interface DriftPoint {
  readonly id: string;
  readonly at: number;
  readonly value: number;
  readonly limit: number;
}
export interface DriftLine {
  readonly pressId: string;
  readonly points: readonly DriftPoint[];
  /** Which way it went past its limit at the end; null where it is within. */
  readonly drifts: 'too-little' | 'too-much' | null;
  readonly sinceAt: number | null;
}

const WEIGHT = 0.15;
const LEAST_ENTRIES = 8;

/** Too little −1, too much +1, all else 0. */
const score = (r: LogRow): number => (r.verdict === 'under' ? -1 : r.verdict === 'over' ? 1 : 0);

/**
 * Verdicts of one press as an exponentially weighted moving average with limits of three standard deviations (Roberts 1959): it sees a slow
 * drift sooner than single verdicts do, and does not cry at one bad day.
 */
export function driftChart(rows: readonly LogRow[]): readonly DriftLine[] {
  const presses = new Map<string, LogRow[]>();
  // Rows come newest first.
  for (const r of [...rows].reverse()) {
    const own = presses.get(r.pressId) ?? [];
    own.push(r);
    presses.set(r.pressId, own);
  }
  return [...presses].flatMap(([pressId, own]): DriftLine[] => {
    if (own.length < LEAST_ENTRIES) return [];
    const scores = own.map(score);
    // A press that never erred is still allowed one verdict in twenty of either kind.
    const sd = Math.sqrt(Math.max(0.05, scores.reduce((s, v) => s + v * v, 0) / scores.length));
    let value = 0;
    let sinceAt: number | null = null;
    const points = own.map((r, i): DriftPoint => {
      value = (1 - WEIGHT) * value + WEIGHT * (scores[i] ?? 0);
      const limit = 3 * sd * Math.sqrt((WEIGHT / (2 - WEIGHT)) * (1 - (1 - WEIGHT) ** (2 * (i + 1))));
      if (Math.abs(value) <= limit) sinceAt = null;
      else sinceAt ??= r.at;
      return { id: r.id, at: r.at, value, limit };
    });
    const end = points.at(-1);
    const past = end && Math.abs(end.value) > end.limit;
    return [
      {
        pressId,
        points: points.slice(-MOST_POINTS),
        drifts: past ? (end.value < 0 ? 'too-little' : 'too-much') : null,
        sinceAt,
      },
    ];
  });
}

/** What spoiled pieces cost, by week and in all, hundredths of the currency. */
export interface CostChart {
  readonly weeks: readonly { readonly fromAt: number; readonly toAt: number; readonly cents: number }[];
  readonly cents: number;
  /** Spoiled pieces whose blank had no price. */
  readonly unpriced: number;
}

export function costChart(rows: readonly LogRow[], offsetMs = 0): CostChart {
  const weeks = new Map<number, number>();
  let [cents, unpriced] = [0, 0];
  for (const r of rows) {
    cents += r.costCents;
    if (r.spoiled > 0 && r.costCents === 0) unpriced += r.spoiled;
    if (r.costCents === 0) continue;
    const from = weekOf(r.at, offsetMs);
    weeks.set(from, (weeks.get(from) ?? 0) + r.costCents);
  }
  return {
    weeks: [...weeks]
      .map(([fromAt, c]) => ({ fromAt, toAt: fromAt + WEEK_MS, cents: c }))
      .sort((a, b) => a.fromAt - b.fromAt),
    cents,
    unpriced,
  };
}

export interface LogCharts {
  readonly good: GoodChart;
  readonly faults: readonly FaultBar[];
  readonly kept: KeptChart;
  readonly drift: readonly DriftLine[];
  readonly cost: CostChart;
  readonly supplies: readonly SupplyChart[];
}

/** All charts of some rows, newest first as the filter gives them. */
export const chartsOf = (rows: readonly LogRow[], offsetMs: number): LogCharts => ({
  good: goodChart(rows, offsetMs),
  faults: faultChart(rows),
  kept: keptChart(rows),
  drift: driftChart(rows),
  cost: costChart(rows, offsetMs),
  supplies: supplyCharts(rows),
});

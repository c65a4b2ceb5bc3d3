import { say, type Message, verbatim } from '@/core/message/message';
import type { DayPlan } from '@/core/day/dayPlan';
import type { Bar, ScheduleLine } from '@/core/day/lines';
import { personLabel } from './dayWords';

/** A row of the chart: a line of time, or a circuit. */
export type Row =
  | {
      readonly kind: 'line';
      readonly line: ScheduleLine;
      readonly label: Message;
      readonly press: number | null;
    }
  | { readonly kind: 'circuit'; readonly circuit: number; readonly label: Message };

/** What is shown: from when to when, s from the moment of the plan. */
export interface Range {
  readonly fromS: number;
  readonly toS: number;
}

const HOUR_S = 3600;

const named = (name: string | undefined): Message | null => (name === undefined ? null : verbatim(name));

/** Rows of a day: printers, hands, presses, cooling, and circuits that presses hang on. */
export function rowsOf(
  day: DayPlan,
  names: {
    readonly printers: readonly string[];
    readonly people: readonly string[];
    readonly circuits: readonly string[];
  },
): readonly Row[] {
  const label = (l: ScheduleLine): Message => {
    if (l.kind === 'printer') return named(names.printers[l.index]) ?? say('common.printer');
    if (l.kind === 'hands') return personLabel(names.people, l.index);
    if (l.kind === 'press') return named(day.presses[l.index]?.name) ?? say('common.press');
    return say('common.cooling');
  };
  return [
    ...day.lines.map((line): Row => ({
      kind: 'line',
      line,
      label: label(line),
      press: line.kind === 'press' ? line.index : null,
    })),
    ...day.circuits.flatMap((c, circuit): Row[] =>
      day.problem.presses.some((p) => p.circuit === circuit)
        ? [{ kind: 'circuit', circuit, label: verbatim(names.circuits[circuit] ?? c.id) }]
        : [],
    ),
  ];
}

/** Midnights, s from the plan, of the day so many days on. */
function midnightS(nowMs: number, days: number): number {
  const d = new Date(nowMs);
  return (new Date(d.getFullYear(), d.getMonth(), d.getDate() + days).getTime() - nowMs) / 1000;
}

/** The first day, counted from today, that anything is left to do on. */
export function firstDay(day: DayPlan): number {
  const next = day.windows.find((w) => w.toS > 60);
  if (!next) return 0;
  for (let d = 0; d < 60; d += 1) if (next.fromS < midnightS(day.nowMs, d + 1)) return d;
  return 0;
}

/** From opening to closing of one day, whole hours, wide enough for what runs over. */
export function dayRange(day: DayPlan, days: number): Range {
  const [from, to] = [midnightS(day.nowMs, days), midnightS(day.nowMs, days + 1)];
  const windows = day.windows.filter((w) => w.fromS >= from && w.fromS < to);
  const bars = day.lines.flatMap((l) => l.bars).filter((b) => b.fromS >= from && b.fromS < to);
  const past = days === 0 ? day.past.flatMap((p) => p.bars).filter((b) => b.toS > from) : [];
  const opens = Math.min(Infinity, ...windows.map((w) => w.fromS));
  // Hours before anybody comes are not worth their room.
  const now = days === 0 && (opens <= HOUR_S || opens === Infinity) ? [0] : [];
  const starts = [...windows.map((w) => w.fromS), ...past.map((b) => b.fromS), ...now];
  const ends = [...windows.map((w) => w.toS), ...bars.map((b) => Math.min(b.toS, to))];
  const fromS = starts.length > 0 ? Math.min(...starts) : from + 9 * HOUR_S;
  const toS = ends.length > 0 ? Math.max(...ends) : from + 17 * HOUR_S;
  const hour = (s: number, round: (v: number) => number) => from + round((s - from) / HOUR_S) * HOUR_S;
  return {
    fromS: hour(fromS, Math.floor),
    toS: Math.max(hour(toS, Math.ceil), hour(fromS, Math.floor) + HOUR_S),
  };
}

/** From now until all is packed. */
export const wholeRange = (day: DayPlan): Range => {
  const endS = Number.isFinite(day.makespanS) ? day.makespanS : 8 * HOUR_S;
  const bars = Math.max(endS, ...day.lines.flatMap((l) => l.bars.map((b) => b.toS)));
  return {
    fromS: Math.min(0, ...day.past.flatMap((p) => p.bars.map((b) => b.fromS))),
    toS: bars + 0.02 * bars,
  };
};

/** Stretches of a range in which nobody works. */
export function closedIn(day: DayPlan, { fromS, toS }: Range): readonly Range[] {
  const out: Range[] = [];
  // Before now nobody plans: what was open is not known any more.
  let at = Math.max(fromS, 0);
  for (const w of day.windows) {
    if (w.fromS >= toS) break;
    if (w.toS <= at) continue;
    if (w.fromS > at) out.push({ fromS: at, toS: w.fromS });
    at = Math.max(at, w.toS);
  }
  if (at < toS) out.push({ fromS: at, toS });
  return out;
}

/** Neighbouring loads of one job at a press: what is moved together. */
export interface LoadGroup {
  readonly work: number;
  readonly fromS: number;
  readonly toS: number;
  readonly pieces: number;
}

export function groupsOf(bars: readonly Bar[]): readonly LoadGroup[] {
  const out: LoadGroup[] = [];
  for (const b of bars) {
    if (b.kind !== 'press' || b.work === null) continue;
    const last = out.at(-1);
    if (last?.work === b.work) out[out.length - 1] = { ...last, toS: b.toS, pieces: last.pieces + b.count };
    else out.push({ work: b.work, fromS: b.fromS, toS: b.toS, pieces: b.count });
  }
  return out;
}

/** A bar as the steps are drawn: its right edge leans. */
export function barPath(x: number, y: number, width: number, height: number): string {
  const lean = Math.min(4, width / 3);
  return `M${x} ${y}H${x + width - lean}L${x + width} ${y + height}H${x}Z`;
}

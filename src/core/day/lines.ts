import type { Done, Outcome, ScheduleInput } from '../schedule/problem';

/** A stretch of a line of time. */
export interface Bar {
  readonly work: number | null;
  readonly kind: Done['kind'] | 'done';
  /** Pieces, or sheets at the printer. */
  readonly count: number;
  readonly fromS: number;
  readonly toS: number;
}

/** One resource over time. */
export interface ScheduleLine {
  readonly kind: 'printer' | 'hands' | 'press' | 'cooling';
  /** Index of the printer, the person or the press. */
  readonly index: number;
  readonly bars: readonly Bar[];
}

/** Hands that go on with the same thing after so short a gap never left it, s. */
const SAME_S = 45;

const sorted = (done: readonly Done[]): readonly Done[] => [...done].sort((a, b) => a.fromS - b.fromS);

/** Neighbours that are the same thing as one bar. */
function joined(done: readonly Done[], gapS: number, count: (d: Done) => number): readonly Bar[] {
  const out: Bar[] = [];
  for (const d of sorted(done)) {
    const last = out.at(-1);
    if (last && last.work === d.work && last.kind === d.kind && d.fromS - last.toS <= gapS)
      out[out.length - 1] = { ...last, toS: Math.max(last.toS, d.toS), count: last.count + count(d) };
    else out.push({ work: d.work, kind: d.kind, count: count(d), fromS: d.fromS, toS: d.toS });
  }
  return out;
}

/** What hands go on with after so short a while at a hot press is one thing, s. */
const AFTER_PRESS_S = 300;
const AWAY: ReadonlySet<Done['kind']> = new Set(['trim', 'tape', 'finish']);

const partKey = (d: Done): string => `${d.kind} ${String(d.work)} ${d.part}`;

/** What hands did, each piece counted once: where work was put down and continued, by whomever, with the stretch in which it is done. */
export function countedWhenDone(done: readonly Done[]): (d: Done) => number {
  const last = new Map<string, Done>();
  for (const d of done) {
    const other = last.get(partKey(d));
    if (!other || d.toS > other.toS) last.set(partKey(d), d);
  }
  return (d) => (last.get(partKey(d)) === d ? d.pieces : 0);
}

/** What a person does away from the presses, and over it the short times at them. */
const handBars = (done: readonly Done[], count: (d: Done) => number): readonly Bar[] => [
  ...joined(
    done.filter((d) => AWAY.has(d.kind)),
    AFTER_PRESS_S,
    count,
  ),
  ...joined(
    done.filter((d) => !AWAY.has(d.kind)),
    SAME_S,
    count,
  ),
];

/** A load in its press as one bar, from loading to the last of its steps. */
function loadBars(done: readonly Done[]): readonly Bar[] {
  const loads = new Map<string, Bar>();
  for (const d of done) {
    const kind = d.kind === 'set' || d.kind === 'change' ? 'set' : 'press';
    const key = `${kind} ${String(d.work)} ${d.part}`;
    const had = loads.get(key);
    loads.set(key, {
      work: d.work,
      kind,
      count: d.pieces,
      fromS: Math.min(had?.fromS ?? d.fromS, d.fromS),
      toS: Math.max(had?.toS ?? d.toS, d.toS),
    });
  }
  return [...loads.values()].sort((a, b) => a.fromS - b.fromS);
}

/** What every printer, person and press does, and what cools: the lines of a day. */
export function linesOf(problem: ScheduleInput, outcome: Outcome): readonly ScheduleLine[] {
  const { done } = outcome;
  const of = (pick: (d: Done) => boolean) => done.filter(pick);
  const byHand = countedWhenDone(of((d) => d.person !== null));
  return [
    ...Array.from({ length: problem.printers }, (_, index): ScheduleLine => ({
      kind: 'printer',
      index,
      bars: joined(
        of((d) => d.printer === index),
        SAME_S,
        () => 1,
      ),
    })).filter((l) => l.bars.length > 0),
    ...Array.from({ length: problem.people }, (_, index): ScheduleLine => ({
      kind: 'hands',
      index,
      bars: handBars(
        of((d) => d.person === index),
        byHand,
      ),
    })),
    ...problem.presses.map((_, index): ScheduleLine => ({
      kind: 'press',
      index,
      bars: [
        ...outcome.on
          .filter((o) => o.press === index && o.hotS > o.fromS)
          .map((o): Bar => ({ work: null, kind: 'warm', count: 0, fromS: o.fromS, toS: o.hotS })),
        ...loadBars(of((d) => d.press === index)),
      ],
    })),
    {
      kind: 'cooling',
      index: 0,
      bars: joined(
        of((d) => d.kind === 'cool'),
        0,
        (d) => d.pieces,
      ),
    },
  ];
}

/** A moment and what a circuit carries from then on, A. */
export interface Draw {
  readonly atS: number;
  readonly amps: number;
}

/** What a circuit carries over time, a step at each press turned on, hot or off. */
export function drawOf(problem: ScheduleInput, outcome: Outcome, circuit: number): readonly Draw[] {
  const on = outcome.on.filter((o) => problem.presses[o.press]?.circuit === circuit);
  const other = problem.circuits[circuit]?.otherA ?? 0;
  const moments = [...new Set([0, ...on.flatMap((o) => [o.fromS, o.hotS, o.toS])])].sort((a, b) => a - b);
  return moments.map((atS) => ({
    atS,
    amps: on
      .filter((o) => o.fromS <= atS && atS < o.toS)
      .reduce((s, o) => {
        const p = problem.presses[o.press];
        return s + (atS < o.hotS ? (p?.warmA ?? 0) : (p?.holdA ?? 0));
      }, other),
  }));
}

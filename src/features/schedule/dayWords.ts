import { date, word } from '@/core/message/quantity';
import { type Quantity, say, type Message, verbatim } from '@/core/message/message';
import type { DayPlan } from '@/core/day/dayPlan';
import type { LeftOut } from '@/core/day/jobWork';
import type { Bar } from '@/core/day/lines';

/** The grounds jobs go by on the lines of time, in their order, and whether their words are dark. */
const GROUNDS = [
  { fill: 'var(--color-strata-2)', dark: false },
  { fill: 'var(--color-strata-7)', dark: false },
  { fill: 'var(--color-strata-5)', dark: true },
  { fill: 'var(--color-strata-8)', dark: false },
  { fill: 'var(--color-strata-3)', dark: false },
  { fill: 'var(--color-strata-6)', dark: true },
  { fill: 'var(--color-measured)', dark: false },
  { fill: 'var(--color-strata-4)', dark: true },
] as const;

export interface Ground {
  readonly fill: string;
  readonly ink: string;
}
export function groundOf(work: number | null): Ground {
  const g = GROUNDS[(work ?? 0) % GROUNDS.length];
  return work === null || !g
    ? { fill: 'var(--color-warning)', ink: 'var(--color-ink)' }
    : { fill: g.fill, ink: g.dark ? 'var(--color-ink)' : '#ffffff' };
}

const KIND_WORDS: Readonly<Record<Bar['kind'], Message>> = {
  print: say('schedule.print'),
  dry: say('schedule.dry'),
  trim: say('schedule.cut'),
  tape: say('schedule.tape'),
  set: say('schedule.setPress'),
  change: say('schedule.changeOver'),
  warm: say('schedule.warmUp'),
  hands: say('schedule.atThePress'),
  press: say('schedule.press'),
  cool: say('schedule.cool'),
  finish: say('schedule.finishBox'),
  done: say('common.pressed'),
};
/** A person by name, or by number where the shop has not named them. */
export const personLabel = (people: readonly string[], index: number): Message =>
  say('schedule.person', { people: people[index] ?? index + 1 });

export const kindText = (kind: Bar['kind']): Message => KIND_WORDS[kind];

export const leftText = (left: LeftOut): Message => {
  switch (left.why) {
    case 'packed':
      return say('schedule.allPacked');
    case 'waits':
      return say('schedule.heldBackHand');
    case 'no-blank':
      return say('schedule.blankChosenYet');
    case 'no-sheet':
      return say('schedule.paperTakesYet');
    case 'no-press':
      return say('schedule.pressChosenNoneFits');
    case 'blocked':
      return say('schedule.blockedOn', { pressName: left.pressName });
  }
};

const midnight = (ms: number): number => {
  const d = new Date(ms);
  return new Date(d.getFullYear(), d.getMonth(), d.getDate()).getTime();
};
const DAY_MS = 86_400_000;
const daysApart = (a: number, b: number): number => Math.round((midnight(b) - midnight(a)) / DAY_MS);

/** “16:20” today, “Mon 10:10” this week, “Mon 14 Dec 10:10” later; never, where it does not end. */
export function whenAt(ms: number, nowMs: number): Quantity {
  if (!Number.isFinite(ms)) return word(say('common.never'));
  const days = Math.abs(daysApart(nowMs, ms));
  return date(ms, days === 0 ? 'time' : days < 7 ? 'weekdayAndTime' : 'dayAndTime');
}

export const msOf = (day: Pick<DayPlan, 'nowMs'>, s: number): number => day.nowMs + s * 1000;

/** Whole pieces in all jobs of a day. */
export const pieceCount = (day: DayPlan): number => day.jobs.reduce((n, j) => n + j.pieces - j.packed, 0);

/** A short name for a narrow bar. */
export const shortName = (name: string): string => {
  const words = name.split(' ');
  return words.at(-1) ?? name;
};

const verbatimOr = (name: string | undefined, otherwise: Message): Message =>
  name === undefined ? otherwise : verbatim(name);

/** What holds the day up, in a word: a press, the hands, a printer. */
export function bottleneckText(day: DayPlan, printers: readonly string[]): Message {
  const { by, which } = day.bound;
  if (by === 'hands')
    return day.problem.people === 1
      ? say('schedule.onePerson')
      : say('schedule.people', { people: day.problem.people });
  if (by === 'nothing') return say('common.nothing');
  if (by === 'printer') return verbatimOr(printers[which[0] ?? 0], say('schedule.thePrinter'));
  return say('schedule.theseNames', { names: which.map((i) => day.presses[i]?.name ?? '') });
}

export interface Delay {
  readonly name: string;
  readonly byS: number;
}

/** Jobs that end at another time than before, by more than two minutes, most first. */
export function delays(before: DayPlan, after: DayPlan): readonly Delay[] {
  return after.jobs
    .flatMap((j) => {
      const was = before.jobs.find((b) => b.id === j.id);
      if (!was || !Number.isFinite(j.endS) || !Number.isFinite(was.endS)) return [];
      const byS = j.endS - was.endS + (after.nowMs - before.nowMs) / 1000;
      return Math.abs(byS) > 120 ? [{ name: j.name, byS }] : [];
    })
    .sort((a, b) => Math.abs(b.byS) - Math.abs(a.byS));
}

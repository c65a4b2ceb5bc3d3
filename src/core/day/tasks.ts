import type { Done, Outcome, PressOn } from '../schedule/problem';
import { countedWhenDone } from './lines';

export type TaskKind = 'on' | 'set' | 'press' | 'prepare' | 'finish';

/** A stretch of one person's work. Times s from the moment of the plan. */
export interface Task {
  readonly kind: TaskKind;
  /** Index of the job, and of the press; null where it is none's. */
  readonly work: number | null;
  readonly press: number | null;
  /** Pieces finished in this stretch; 0 where a later stretch finishes them. */
  readonly pieces: number;
  readonly fromS: number;
  readonly toS: number;
}

/** Work interrupted for a press and resumed within this time is one task, s. */
const RESUMED_S = 1800;
/** Loads of one job at one press within this time of each other are one task, s: an oven takes up to an hour. */
const NEXT_LOAD_S = 3600;

const KIND: Readonly<Partial<Record<Done['kind'], TaskKind>>> = {
  trim: 'prepare',
  tape: 'prepare',
  set: 'set',
  change: 'set',
  hands: 'press',
  finish: 'finish',
};

/** One person's work, grouped: taping between the loads of a press is one task, and so is pressing them. */
function grouped(own: readonly Done[], piecesOf: (d: Done) => number): readonly Task[] {
  const tasks: Task[] = [];
  /** Index of the newest task, by press or by kind and job. */
  const newest = new Map<string, number>();
  for (const d of [...own].sort((a, b) => a.fromS - b.fromS)) {
    const kind = KIND[d.kind];
    if (!kind) continue;
    const atPress = kind === 'press' || kind === 'set';
    const place = atPress ? `at ${String(d.press)}` : `${kind} ${String(d.work)}`;
    const at = newest.get(place);
    const last = at === undefined ? undefined : tasks[at];
    // A piece is cut and then taped: only the taping finishes it.
    const pieces = d.kind === 'trim' || d.kind === 'set' || d.kind === 'change' ? 0 : piecesOf(d);
    const gapS = kind === 'press' ? NEXT_LOAD_S : RESUMED_S;
    if (at !== undefined && last?.kind === kind && last.work === d.work && d.fromS - last.toS <= gapS)
      tasks[at] = { ...last, toS: Math.max(last.toS, d.toS), pieces: last.pieces + pieces };
    else {
      newest.set(place, tasks.length);
      tasks.push({ kind, work: d.work, press: atPress ? d.press : null, pieces, fromS: d.fromS, toS: d.toS });
    }
  }
  return tasks;
}

/** The person who works at a press first switches it on. */
function switchedOn(
  on: PressOn,
  done: readonly Done[],
): { readonly person: number; readonly task: Task } | null {
  const first = done
    .filter((d) => d.press === on.press && d.person !== null && d.fromS >= on.fromS && d.fromS <= on.toS)
    .reduce<Done | null>((a, d) => (a && a.fromS <= d.fromS ? a : d), null);
  if (first?.person == null || on.hotS <= on.fromS) return null;
  const { press, fromS, hotS } = on;
  return {
    person: first.person,
    task: { kind: 'on', work: null, press, pieces: 0, fromS, toS: hotS },
  };
}

/** The tasks of each person, by index, in order of their beginning. */
export function tasksOf(
  { done, on }: Pick<Outcome, 'done' | 'on'>,
  people: number,
): readonly (readonly Task[])[] {
  const piecesOf = countedWhenDone(done.filter((d) => d.person !== null));
  const heating = on.map((o) => switchedOn(o, done));
  return Array.from({ length: people }, (_, person) =>
    [
      ...heating.flatMap((h) => (h?.person === person ? [h.task] : [])),
      ...grouped(
        done.filter((d) => d.person === person),
        piecesOf,
      ),
    ].sort((a, b) => a.fromS - b.fromS),
  );
}

/** Tasks of one person that overlap, as one block of their lane: away from the presses, or at them. */
export interface Block {
  readonly atPress: boolean;
  readonly tasks: readonly Task[];
  readonly fromS: number;
  readonly toS: number;
}

/** A person's lane as blocks that do not overlap, those away from the presses and those at them apart, in their order. */
export function blocksOf(tasks: readonly Task[]): readonly Block[] {
  const blocks = (atPress: boolean): readonly Block[] => {
    const out: Block[] = [];
    for (const task of tasks.filter((k) => k.kind !== 'on' && (k.press !== null) === atPress)) {
      const last = out.at(-1);
      if (last && task.fromS <= last.toS)
        out[out.length - 1] = { ...last, tasks: [...last.tasks, task], toS: Math.max(last.toS, task.toS) };
      else out.push({ atPress, tasks: [task], fromS: task.fromS, toS: task.toS });
    }
    return out;
  };
  return [...blocks(false), ...blocks(true)];
}

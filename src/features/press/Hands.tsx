'use client';

import { say, type Message, verbatim } from '@/core/message/message';
import { memo, type ReactNode } from 'react';
import { handTasks, type Lane } from '@/core/run/board';
import type { PaceOf } from '@/core/run/pace';
import type { RunWithState } from '@/core/run/pieces';
import { listOf } from '@/core/run/chain';
import { coolingLoads, goodOf, touchSafeAfterS } from '@/core/run/run';
import { wrappedLoads } from '@/core/run/peelClock';
import { tapingFor } from '@/core/run/taping';
import { piecesText, whyLabel } from '@/core/plan/press/runWords';
import { clockText } from '@/core/units/format';
import { useWords } from '@/ui/words';
import { wordsOf } from './laneWords';
import { PeelRows, SoakRows } from './PeelRows';
import { PressButton } from './PressButton';
import { countBetween } from './tap';
import type { JobOn } from './useRuns';

const MOST_TASKS = 6;
const MOST_COOLING = 4;

interface Props {
  readonly lanes: readonly Lane[];
  readonly pace: PaceOf;
  readonly jobs: ReadonlyMap<string, JobOn>;
  /** Every run, those that are over among them: their pieces may still be hot. */
  readonly all: readonly RunWithState[];
  readonly numberOf: (of: RunWithState) => number;
  readonly nowMs: number;
  readonly open: boolean;
}

const inWait = (s: number): Message => (s <= 0 ? say('press.now') : verbatim(clockText(Math.ceil(s))));

/** What hands do next, what they do between, what cools, and what is to be printed again. */
export const HandTasks = memo(function Hands(props: Props) {
  const t = useWords();
  return (
    <aside
      aria-label={t('press.hands')}
      className="grid content-start gap-5 overflow-y-auto font-label text-lead"
    >
      <Tasks {...props} />
      <Between {...props} />
      <PeelList {...props} />
      <CoolingList {...props} />
      <Reprints {...props} />
    </aside>
  );
});

function Tasks({ lanes, pace, jobs, numberOf }: Props) {
  const t = useWords();
  const tasks = handTasks(lanes, pace, (l) => (jobs.get(l.run.jobId)?.toCome ?? 0) > 0).slice(0, MOST_TASKS);
  return (
    <List title={t('press.tasksOrder')}>
      {tasks.map((task) => (
        <Row
          key={`${task.lane.run.id} ${task.operation.id} ${task.nextLoad}`}
          label={`${numberOf(task.lane)} · ${t(wordsOf(task.operation, task.lane.run).title)}`}
          value={t(inWait(task.inS))}
          strong={task.inS <= 0}
        />
      ))}
    </List>
  );
}

/** Pieces set down and cool by now that nobody has counted as packed. */
function coldPieces({ run, state }: Lane, nowMs: number): number {
  const safeMs = touchSafeAfterS(run) * 1000;
  const loads = listOf(state.loads).filter((l) => nowMs - l.endedAt >= safeMs);
  // What came good out of its soak is cold as well.
  const soaked = state.rescued.filter((r) => r.outcome === 'good').length;
  const cold = soaked + loads.reduce((n, l) => n + l.pieces.length - l.spoiled.length, 0);
  return Math.max(0, Math.min(cold, goodOf(state).length) - state.between.packed);
}

function Between({ lanes, pace, jobs, numberOf, nowMs, open }: Props) {
  const t = useWords();
  return (
    <List title={t('press.between')}>
      {lanes.flatMap((lane) => {
        const n = numberOf(lane);
        const taping = tapingFor(lane, lanes, pace, jobs.get(lane.run.jobId)?.toCome ?? 0);
        const cold = coldPieces(lane, nowMs);
        const ready = taping.ready ?? 0;
        const enough = ready >= taping.want;
        return [
          taping.left > 0 || ready > 0 ? (
            <Row
              key={`tape ${lane.run.id}`}
              label={t('press.tapeUp', { n })}
              value={
                ready > taping.most
                  ? t('press.readyTooMany', { ready })
                  : enough
                    ? t('press.readyEnough', { ready })
                    : t('press.readyNeeded', { ready, want: taping.want })
              }
              strong={!enough}
              onAdd={open ? () => void countBetween(lane.run.id, 'taped', 1) : undefined}
              onLess={open && ready > 0 ? () => void countBetween(lane.run.id, 'taped', -1) : undefined}
            />
          ) : null,
          cold > 0 ? (
            <Row
              key={`box ${lane.run.id}`}
              label={t('press.boxColdOnes', { n })}
              value={String(cold)}
              onAdd={open ? () => void countBetween(lane.run.id, 'packed', cold) : undefined}
            />
          ) : null,
        ];
      })}
    </List>
  );
}

/** What may be peeled, and what soaks. */
function PeelList({ lanes, all, numberOf, nowMs, open }: Props) {
  const t = useWords();
  if (
    !lanes.some((l) => wrappedLoads(l.run, l.state, nowMs).length > 0) &&
    !all.some((r) => r.state.soaking.length > 0)
  )
    return null;
  return (
    <List title={t('press.peelClock')}>
      <PeelRows lanes={lanes} nowMs={nowMs} open={open} numberOf={numberOf} />
      <SoakRows runs={all} open={open} />
    </List>
  );
}

function CoolingList({ all, numberOf, nowMs }: Props) {
  const t = useWords();
  const cooling = all
    .flatMap((l) => coolingLoads(l.run, l.state, nowMs).map((c) => ({ ...c, n: numberOf(l) })))
    .sort((a, b) => a.waitS - b.waitS);
  if (cooling.length === 0) return null;
  return (
    <List title={t('common.cooling')}>
      {cooling.slice(0, MOST_COOLING).map((c) => (
        <Row
          key={`${c.n} ${c.pieces[0]?.number}`}
          label={`${c.n} · ${t(piecesText(c.pieces))}`}
          value={t('press.touchIn', { wait: inWait(c.waitS) })}
        />
      ))}
    </List>
  );
}

function Reprints({ jobs }: Props) {
  const t = useWords();
  const all = [...jobs.values()].filter((j) => j.pieces.reprints.length > 0 || j.blanksLeft !== null);
  if (all.length === 0) return null;
  return (
    <List title={t('press.reprintList')}>
      {all.flatMap((j) => [
        ...j.pieces.reprints.map(({ piece, why }) => (
          <Row
            key={`${j.job.id} ${piece.number} ${piece.name}`}
            label={`${j.job.name} · ${t(piecesText([piece]))}`}
            value={t(whyLabel(why))}
          />
        )),
        j.blanksLeft === null ? null : (
          <Row
            key={`${j.job.id} blanks`}
            label={t('press.blanks2', { job: j.job.name })}
            value={t(blanksText(j.blanksLeft, j.pieces.left.length))}
            strong={j.blanksLeft < j.pieces.left.length}
          />
        ),
      ])}
    </List>
  );
}

/** Whether the job can still be filled. */
export const blanksText = (blanks: number, left: number): Message =>
  blanks < left
    ? say('press.leftShort', { value: Math.max(0, blanks), left: left - Math.max(0, blanks) })
    : say('press.leftEnough', { blanks });

const List = ({ title, children }: { title: string; children: ReactNode }) => (
  <section>
    <h2 className="font-name text-name font-semibold text-strata-5">{title}</h2>
    <ul>{children}</ul>
  </section>
);

interface RowProps {
  readonly label: string;
  readonly value: string;
  readonly strong?: boolean;
  readonly onAdd?: (() => void) | undefined;
  readonly onLess?: (() => void) | undefined;
}

function Row({ label, value, strong = false, onAdd, onLess }: RowProps) {
  const t = useWords();
  return (
    <li className="flex items-center gap-3 border-b-2 border-strata-2 py-1.5">
      <span className={`min-w-0 flex-1 leading-tight ${strong ? 'font-semibold' : ''}`}>{label}</span>
      <span className="text-right font-semibold whitespace-nowrap">{value}</span>
      {onLess && (
        <PressButton
          aria-label={t('press.oneLess2', { task: label })}
          onClick={onLess}
          className="min-w-12 px-0"
        >
          −
        </PressButton>
      )}
      {onAdd && (
        <PressButton aria-label={t('press.oneDone', { task: label })} onClick={onAdd} className="px-0">
          {onLess || label.endsWith(t('press.tapeUp2')) ? '+1' : t('press.done')}
        </PressButton>
      )}
    </li>
  );
}

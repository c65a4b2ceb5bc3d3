import type { NamedPiece as NamedPiece } from '../../art/names';
import { figure, type Figure, type Finding } from '../../figures/figure';
import { heaterReach, type HeaterReach } from '../../heat/press/heaterReach';
import type { Job } from '../../job/job';
import { ofStage, plannedS, spreadS, suppliesOf, type Operation } from '../../shop/operation';
import { dwellsS } from '../../run/run';
import { blanksLeft, isOn, jobPieces, type Reprint, type RunWithState } from '../../run/pieces';
import { profileAt } from '../../shapes/profile';
import { nominalProfile, wallOf } from '../../shapes/round';
import { isWrapPress, type WrapPress } from '../../shop/press';
import { heaterOf } from '../../heat/press/heaters';
import type { Run, RunPiece } from '../../shop/run';
import { say } from '../../message/message';
import { count, seconds } from '../../message/quantity';
import { finding, type StepPlan } from '../stepPlan';

export interface PressPlan extends StepPlan<'press'> {
  /** One piece at the press, operation by operation. */
  readonly cycle: readonly Operation[];
  readonly good: number;
  readonly spoiled: number;
  /** Good with a flaw. */
  readonly seconds: number;
  /** Pieces still to press for this job. */
  readonly left: number;
  /** Of those, the ones that no press holds. */
  readonly free: readonly RunPiece[];
  /** Of those, the ones whose print is gone. */
  readonly reprints: readonly Reprint[];
  /** Blanks that should still lie there; null where nobody counted. */
  readonly blanksLeft: number | null;
  /** All runs of this job, oldest first. */
  readonly runs: readonly RunWithState[];
  /** The newest run, going on or ended: what the pieces were really pressed with. */
  readonly last: Run | null;
  /** A run begun and not ended. */
  readonly running: Run | null;
  /** How the heater of that run reaches round; null in an oven. */
  readonly runHeaterReach: HeaterReach | null;
}

/** The pieces of a job: those of its names list, or as many alike as it says. */
export const piecesOfJob = (job: Pick<Job, 'pieces'>, named: readonly NamedPiece[]): readonly RunPiece[] =>
  named.length > 0
    ? named.map((p) => ({ number: p.number, name: p.label }))
    : Array.from({ length: job.pieces }, (_, i) => ({ number: i + 1, name: '' }));

function dwellFigure(runs: readonly RunWithState[]): Figure[] {
  const last = runs[runs.length - 1];
  const dwells = last ? dwellsS(last.state) : [];
  if (!last || dwells.length === 0) return [];
  const mean = dwells.reduce((a, b) => a + b, 0) / dwells.length;
  return [
    figure({
      id: 'press.dwell',
      label: say('press.actualDwell'),
      quantity: seconds(mean),
      origin: 'measured',
      working: say('press.meanOf', { passes: dwells.length, dwell: seconds(last.run.settings.dwellS) }),
      inputs: ['heat.dwell'],
    }),
  ];
}

/** Hands' time to prepare a piece, and the waste paper all of them take. */
function prepareFigures(operations: readonly Operation[], left: number): Figure[] {
  const prepare = ofStage(operations, 'prepare');
  const sheets = suppliesOf(operations)['waste paper'] ?? 0;
  return [
    figure({
      id: 'press.prepare',
      label: say('press.preparationPerPiece'),
      quantity: seconds(plannedS(prepare)),
      origin: 'estimated',
      spread: spreadS(prepare),
      working: say('press.steps', { steps: prepare.length }),
    }),
    ...(sheets > 0
      ? [
          figure({
            id: 'press.waste',
            label: say('press.wastePaper2'),
            quantity: count(sheets * left, 'sheet'),
            origin: 'calculated' as const,
            working: say('press.freshsheets', { freshSheets: sheets }),
            inputs: ['press.left'],
          }),
        ]
      : []),
  ];
}

/** The mat a run was begun with. */
const heaterLengthOf = (press: WrapPress, heaterId: string | null, circumferenceMm: number): number =>
  heaterOf(press, { widestDiameterMm: circumferenceMm / Math.PI, tallMm: 0 }, heaterId)?.lengthMm ??
  circumferenceMm;

/** By the circumference measured, or the blank's own figures where the shop no longer has the blank. */
function heaterReachOfRun(run: Run, measuredMm: number | null): HeaterReach | null {
  if (!isWrapPress(run.press) || run.blank.shape.kind !== 'round') return null;
  const nominalMm =
    2 * Math.PI * profileAt(nominalProfile(run.blank.shape.sections), wallOf(run.blank.shape).topMm).r;
  const circumferenceMm = measuredMm ?? nominalMm;
  const handled = run.blank.shape.handle !== null;
  return heaterReach(
    { circumferenceMm, printMm: circumferenceMm, handled },
    heaterLengthOf(run.press, run.load?.heaterId ?? null, circumferenceMm),
    run.settings.passes,
  );
}

export interface PressInput {
  /** Pieces of the job where no list names them. */
  readonly jobPieces: number;
  readonly named: readonly NamedPiece[];
  /** All runs of this job, oldest first. */
  readonly runs: readonly RunWithState[];
  /** All that is done to a piece; none until blank, press and settings are known. */
  readonly operations: readonly Operation[];
  readonly atOnce: number;
  readonly circumferenceMm: number | null;
}

export function planPress(input: PressInput): PressPlan {
  const { runs, operations, atOnce, circumferenceMm } = input;
  const shared = { step: 'press' as const };
  const all = piecesOfJob({ pieces: input.jobPieces }, input.named);
  const { good, seconds: flawed, spoiled, left: toPress, free, reprints } = jobPieces(all, runs);
  const left = toPress.length;
  const running = runs.find(isOn)?.run ?? null;
  const done = {
    ...shared,
    good,
    spoiled,
    seconds: flawed,
    left,
    free,
    reprints,
    blanksLeft: blanksLeft(runs),
    runs,
    running,
    last: runs[runs.length - 1]?.run ?? null,
    progress: left === 0 ? ('done' as const) : good > 0 || running ? ('ready' as const) : ('todo' as const),
    summary: say('press.of', { good, pieces: all.length, spoiled, which: spoiled > 0 ? 'spoiled' : 'other' }),
    runHeaterReach: running && heaterReachOfRun(running, circumferenceMm),
  };
  // Pieces already pressed count even where nothing more can be pressed yet.
  if (operations.length === 0) return { ...done, cycle: [], figures: [], findings: [] };
  const cycle = ofStage(operations, 'press');
  const each = plannedS(cycle);
  const loads = Math.ceil(left / atOnce);
  const hands = plannedS(cycle, 'hands');
  const [least, most] = spreadS(cycle);
  const findings: Finding[] = running
    ? [finding('press', 'running', 'warning', say('press.pressRunUnderWay'))]
    : [];
  if (!running && left > 0) findings.push(finding('press', 'vent', 'info', say('press.fanWindowOpenPress')));
  return {
    ...done,
    figures: [
      figure({
        id: 'press.left',
        label: say('press.stillPress'),
        quantity: count(left, 'piece'),
        origin: 'calculated',
        working: say('press.goodSpoiledSoFar', { good, spoiled }),
      }),
      figure({
        id: 'press.each',
        label: atOnce > 1 ? say('press.oneLoadUsually', { atOnce }) : say('press.onePieceUsually'),
        quantity: seconds(each),
        origin: 'estimated',
        spread: spreadS(cycle),
        working: say('press.handsRestWaiting', { hands: seconds(hands) }),
        inputs: ['heat.dwell', 'heat.passes'],
      }),
      figure({
        id: 'press.all',
        label: say('press.allThem'),
        quantity: seconds(each * loads),
        origin: 'estimated',
        spread: [least * loads, most * loads],
        working: say('press.oneAfterOther', { loads, each: seconds(each) }),
        inputs: ['press.each', 'press.left'],
      }),
      ...prepareFigures(operations, left),
      ...dwellFigure(runs),
    ],
    findings,
    cycle,
  };
}

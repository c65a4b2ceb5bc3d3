import { figure, type Figure, type Finding } from '../figures/figure';
import { coverage, type Coverage } from '../heat/coverage';
import type { Job } from '../job/job';
import { foldRun, pieceS, type RunState } from '../run/run';
import { stepsForPiece, stepsOfRun, type RunStep } from '../run/steps';
import type { Blank } from '../shop/blank';
import { profileAt } from '../shapes/profile';
import { nominalProfile, wallOf } from '../shapes/round';
import { isWrapPress } from '../shop/press';
import type { Run } from '../shop/records';
import type { Shop } from '../shop/shop';
import { say } from '../units/phrase';
import { count, seconds } from '../units/quantity';
import type { HeatSection } from './heat';
import { finding, type Section } from './section';

export interface PressSection extends Section<'press'> {
  readonly steps: readonly RunStep[];
  readonly good: number;
  readonly spoiled: number;
  /** Pieces still to press for this job. */
  readonly left: number;
  /** The newest run, going on or ended: what the pieces were really pressed with. */
  readonly last: Run | null;
  /** A run begun and not ended. */
  readonly running: Run | null;
  /** How the heater of that run reaches round; null in an oven. */
  readonly runCoverage: Coverage | null;
}

interface Tally {
  readonly run: Run;
  readonly state: RunState;
}

function dwellFigure(tallies: readonly Tally[]): Figure[] {
  const last = tallies[tallies.length - 1];
  const dwells = last?.state.dwellsS ?? [];
  if (!last || dwells.length === 0) return [];
  const mean = dwells.reduce((a, b) => a + b, 0) / dwells.length;
  return [
    figure({
      id: 'press.dwell',
      label: 'Really pressed',
      quantity: seconds(mean),
      origin: 'taken',
      working: say`mean of ${count(dwells.length, 'pass', 'passes')} by the clock; set ${seconds(last.run.settings.dwellS)}`,
      inputs: ['heat.dwell'],
    }),
  ];
}

/** By the girth measured, or the blank's own figures where the shop no longer has the blank. */
function coverageOfRun(run: Run, girthMm: number | null): Coverage | null {
  if (!isWrapPress(run.press) || run.blank.shape.kind !== 'round') return null;
  const nominalMm =
    2 * Math.PI * profileAt(nominalProfile(run.blank.shape.sections), wallOf(run.blank.shape).topMm).r;
  const circumferenceMm = girthMm ?? nominalMm;
  const handled = run.blank.shape.handle !== null;
  return coverage(
    { circumferenceMm, printMm: circumferenceMm, handled },
    run.press.heaterLengthMm,
    run.settings.passes,
  );
}

export function planPress(
  job: Job,
  shop: Shop,
  blank: Blank | null,
  girthMm: number | null,
  heat: HeatSection,
): PressSection {
  const shared = { terrace: 'press' as const };
  const tallies = shop.runs
    .filter((r) => r.jobId === job.id)
    .sort((a, b) => a.startedAt - b.startedAt)
    .map((run): Tally => ({ run, state: foldRun(run, stepsOfRun(run)) }));
  const good = tallies.reduce((n, t) => n + t.state.good, 0);
  const spoiled = tallies.reduce((n, t) => n + t.state.spoiled, 0);
  const left = Math.max(0, job.pieces - good);
  const running = tallies.find((t) => t.state.ended === 'no')?.run ?? null;
  const done = {
    ...shared,
    good,
    spoiled,
    left,
    running,
    last: tallies[tallies.length - 1]?.run ?? null,
    progress: left === 0 ? ('done' as const) : good > 0 || running ? ('ready' as const) : ('todo' as const),
    summary: say`${String(good)} of ${count(job.pieces, 'piece')}${spoiled > 0 ? `, ${spoiled} spoiled` : ''}`,
    runCoverage: running && coverageOfRun(running, girthMm),
  };
  // Pieces already pressed count even where nothing more can be pressed yet.
  if (!blank || !heat.press || !heat.chosen) return { ...done, steps: [], figures: [], findings: [] };
  const steps = stepsForPiece(heat.chosen.settings, blank, heat.press);
  const each = pieceS(steps);
  const hands = steps.filter((s) => s.need === 'hands').reduce((n, s) => n + s.usualS, 0);
  const findings: Finding[] = running
    ? [finding('press', 'running', 'heed', say`A press run is under way.`)]
    : [];
  if (!running && left > 0)
    findings.push(
      finding(
        'press',
        'vent',
        'note',
        say`Fan on, window open. Press on its own rated socket, no thin extension lead.`,
      ),
    );
  return {
    ...done,
    figures: [
      figure({
        id: 'press.left',
        label: 'Still to press',
        quantity: count(left, 'piece'),
        origin: 'reckoned',
        working: say`${String(good)} good, ${String(spoiled)} spoiled so far`,
      }),
      figure({
        id: 'press.each',
        label: 'One piece, usually',
        quantity: seconds(each),
        origin: 'estimated',
        spread: [each * 0.8, each * 1.4],
        working: say`${seconds(hands)} of it hands; the rest is waiting`,
        inputs: ['heat.dwell', 'heat.passes'],
      }),
      figure({
        id: 'press.all',
        label: 'All of them',
        quantity: seconds(each * left),
        origin: 'estimated',
        spread: [each * left * 0.8, each * left * 1.4],
        working: say`${String(left)} × ${seconds(each)}, one after the other`,
        inputs: ['press.each', 'press.left'],
      }),
      ...dwellFigure(tallies),
    ],
    findings,
    steps,
  };
}

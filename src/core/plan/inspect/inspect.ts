import { figure, type Figure, type Finding } from '../../figures/figure';
import type { HeatCache } from '../../heat/answer';
import type { HeatOutcome } from '../../heat/model/outcome';
import type { HeatQuestion } from '../../heat/question';
import type { Job } from '../../job/job';
import { CAUSES } from '../../inspect/faults';
import { evidenceOf, NOTHING_KNOWN, type InspectionContext } from '../../inspect/gather';
import {
  nextQuestions,
  rankCauses,
  type CauseShare,
  type Evidence,
  type NextQuestion,
} from '../../inspect/infer';
import { changesBetween } from '../../inspect/history';
import type { Gap } from '../../inspect/places';
import { NONE_CONFIRMED, withConfirmed, type ConfirmedCounts } from '../../inspect/shopTable';
import { tallyOf, type JobTally } from '../../inspect/tally';
import { dwellsS, lastThroughAt } from '../../run/run';
import { listOf } from '../../run/chain';
import type { RunWithState } from '../../run/pieces';
import { faultsOf } from '../../shop/mark';
import { sameSettings, type HeatSettings } from '../../shop/heatSettings';
import type { Lay, LogEntry, SeenFace } from '../../shop/records';
import { standing } from '../../shop/standing';
import { say } from '../../message/message';
import { ratio } from '../../message/quantity';
import type { HeatPlan } from '../heat/heat';
import { answersIn, placesFor } from '../heat/questions';
import { heaterGaps, layOf } from './lay';
import { planChange, type OneChange } from './change';
import type { PressPlan } from '../press/press';
import { finding, type StepPlan } from '../stepPlan';
import type { Pattern } from '../../wrap/pattern';
import type { WrapPlan } from '../wrap/wrapPlan';

export interface InspectPlan extends StepPlan<'inspect'> {
  readonly evidence: Evidence;
  readonly ranked: readonly CauseShare[];
  readonly questions: readonly NextQuestion[];
  readonly change: OneChange | null;
  /** What the pieces looked at were pressed with. */
  readonly pressed: HeatSettings | null;
  /** Still to be answered by the heat model. */
  readonly wanted: readonly HeatQuestion[];
  readonly face: SeenFace | null;
  readonly gaps: readonly Gap[] | null;
  readonly lay: Lay | null;
  /** Mean of the passes of the newest run, s. */
  readonly keptDwellS: number | null;
  /** The newest good one of this blank on this press, at these very settings where there is one. */
  readonly lastGood: LogEntry | null;
  /** Entries of this blank on this press that count, newest first. */
  readonly tried: readonly LogEntry[];
  /** This job's entries in the log, newest first. */
  readonly entries: readonly LogEntry[];
  /** Pieces pressed and not yet written in the log. */
  readonly unlogged: { readonly good: number; readonly seconds: number; readonly spoiled: number };
}

export interface InspectInput {
  readonly inspection: Job['inspection'];
  /** This job's entries that count, newest first. */
  readonly entries: readonly LogEntry[];
  /** What all of the job's entries add up to, where those given are only the newest of them. */
  readonly tally: JobTally | undefined;
  /** Entries of this blank on this press that count, newest first. */
  readonly tried: readonly LogEntry[];
  readonly confirmed: ConfirmedCounts;
  readonly cache: HeatCache;
  readonly pattern: Pattern | null;
  readonly face: SeenFace | null;
  readonly wall: WrapPlan['wall'];
  readonly heat: HeatPlan;
  readonly press: PressPlan;
  readonly paperName: string;
  readonly printerName: string;
}

const DAY_MS = 24 * 3600_000;
/** A press that stood this long has cooled or settled: what comes next is the first load. */
const PAUSE_MS = 12 * 60_000;

/** Whether the pieces marked came out first after a pause; null where their load is not known. */
function cameFirst(inspection: Job['inspection'], runs: readonly RunWithState[]): boolean | null {
  const numbers = new Set(inspection.marks.flatMap((m) => (m.piece === null ? [] : [m.piece])));
  if (numbers.size === 0) return null;
  for (const { state } of [...runs].reverse()) {
    const loads = listOf(state.loads);
    const at = loads.findIndex((l) => l.pieces.some((p) => numbers.has(p.number)));
    const [load, before] = [loads[at], loads[at - 1]];
    if (load) return !before || load.startedAt - before.endedAt > PAUSE_MS;
  }
  return null;
}

function keptOf(runs: readonly RunWithState[]): { readonly setS: number; readonly keptS: number } | null {
  const last = runs.at(-1);
  const dwells = last ? dwellsS(last.state) : [];
  if (!last || dwells.length === 0) return null;
  return { setS: last.run.settings.dwellS, keptS: dwells.reduce((a, b) => a + b, 0) / dwells.length };
}

/** What the model says of the settings the pieces were pressed with, which may have been changed since. */
function outcomeAt(
  heat: HeatPlan,
  pressed: HeatSettings | null,
  cache: HeatCache,
): { readonly outcome: HeatOutcome | null; readonly wanted: readonly HeatQuestion[] } {
  const { model, chosen } = heat;
  if (!model || !chosen || !pressed || sameSettings(pressed, chosen.settings))
    return { outcome: model?.outcome ?? null, wanted: [] };
  const ask = answersIn(cache);
  const { subject } = model;
  const outcome = ask.get<'outcome'>({
    kind: 'outcome',
    subject,
    settings: pressed,
    places: placesFor(subject.load),
  });
  return { outcome, wanted: ask.wanted };
}

interface Around {
  readonly inspection: Job['inspection'];
  readonly printer: string;
  readonly heat: HeatPlan;
  readonly press: PressPlan;
  readonly face: SeenFace | null;
  readonly gaps: readonly Gap[] | null;
  readonly lastGood: LogEntry | null;
  readonly mine: readonly LogEntry[];
  readonly paperName: string;
  readonly outcome: HeatOutcome | null;
}

function contextOf({
  inspection,
  printer,
  heat,
  press,
  face,
  gaps,
  lastGood,
  mine,
  paperName,
  outcome,
}: Around): InspectionContext {
  const { lot } = inspection;
  const readAt = heat.press?.checks.at(-1)?.at ?? null;
  // Counted to when the pieces came out: a plan must not change by the clock alone.
  const last = press.runs.at(-1);
  const at = last ? (lastThroughAt(last.state) ?? last.run.startedAt) : (mine[0]?.at ?? readAt ?? 0);
  return {
    ...NOTHING_KNOWN,
    face: face && { widthMm: face.widthMm, heightMm: face.heightMm, wrap: face.form !== 'flat' },
    gaps,
    model: outcome && { under: outcome.under, good: outcome.good, over: outcome.over },
    kept: keptOf(press.runs),
    ...(heat.press ? { checkedDays: readAt === null ? null : Math.max(0, (at - readAt) / DAY_MS) } : {}),
    lotKnownGood: lot === '' ? null : mine.some((e) => e.lot === lot && e.good > 0),
    paperUsual:
      !lastGood || lastGood.paperName === '' || paperName === '' ? null : lastGood.paperName === paperName,
    printerUsual: !lastGood || lastGood.printerName === '' ? null : lastGood.printerName === printer,
    firstLoad: cameFirst(inspection, press.runs),
  };
}

export interface RankInput {
  readonly evidence: Evidence;
  readonly confirmed: ConfirmedCounts;
}

export interface Ranked {
  readonly ranked: readonly CauseShare[];
  readonly questions: readonly NextQuestion[];
}

/** The causes of what is marked, likeliest first, and what to ask next. Weighing draws some thousand tables. */
export const rankEvidence = ({ evidence, confirmed }: RankInput): Ranked => ({
  ranked: evidence.faults.length === 0 ? [] : rankCauses(evidence, confirmed),
  questions: nextQuestions(evidence, confirmed),
});

/** Causes settled on in some entries. */
export const confirmedIn = (entries: readonly LogEntry[]): ConfirmedCounts =>
  entries.reduce(
    (counts, e) => (e.cause ? withConfirmed(counts, e.cause, faultsOf(e.marks)) : counts),
    NONE_CONFIRMED,
  );

/** The likeliest cause alone: all of them stand in the cause view, and what to change in the bar below it. */
function causeFigures([first]: readonly CauseShare[]): readonly Figure[] {
  if (!first) return [];
  return [
    figure({
      // Ids of figures never change: this one is from before the step had its present name.
      id: 'look.cause',
      label: CAUSES[first.cause].label,
      quantity: ratio(first.share),
      origin: 'estimated',
      spread: [first.low, first.high],
      working: say('inspect.likeliestCauseWhatMarked'),
    }),
  ];
}

const sameAsSet = (e: LogEntry, heat: HeatPlan): boolean =>
  JSON.stringify(e.settings) === JSON.stringify(heat.chosen?.settings);

/** Two settings changed at once tell nothing of either. */
function twoChanges(
  inspection: Job['inspection'],
  heat: HeatPlan,
  last: HeatSettings | null,
): readonly Finding[] {
  const next = heat.chosen?.settings;
  if (!last || !next || inspection.next === null) return [];
  const differ = changesBetween(last, next);
  if (differ.length < 2) return [];
  return [
    finding(
      'inspect',
      'two-changes',
      'warning',
      say('inspect.settingsDifferFromLast', { differ: differ.length, lines: differ }),
    ),
  ];
}

/** Entries of one job that count, newest first. */
export const entriesOf = ({
  log,
  jobId,
}: {
  readonly log: readonly LogEntry[];
  readonly jobId: string;
}): readonly LogEntry[] => standing(log.filter((e) => e.jobId === jobId)).toSorted((a, b) => b.at - a.at);

/** Entries of a blank on a press that count, newest first. */
export const triedOn = ({
  log,
  blankId,
  pressId,
}: {
  readonly log: readonly LogEntry[];
  readonly blankId: string | null;
  readonly pressId: string | null;
}): readonly LogEntry[] =>
  standing(log)
    .filter((e) => e.blankId === blankId && e.pressId === pressId)
    .toSorted((a, b) => b.at - a.at);

const tallied = ({ good, seconds, spoiled }: JobTally) => ({ good, seconds, spoiled });

/** `rank` weighs the evidence; a planner that remembers gives one that does so only for new evidence. */
export function planInspection(input: InspectInput, rank: (r: RankInput) => Ranked): InspectPlan {
  const { inspection, entries, tried: mine, confirmed, cache, pattern, face, wall, heat, press } = input;
  const good = mine.filter((e) => e.verdict === 'good' && e.good > 0);
  const lastGood = good.find((e) => sameAsSet(e, heat)) ?? good[0] ?? null;
  const gaps = heaterGaps(heat, { pattern, wall });
  const pressed = press.last?.settings ?? inspection.pressed ?? heat.chosen?.settings ?? null;
  const { outcome, wanted: asked } = outcomeAt(heat, pressed, cache);
  const { paperName, printerName: printer } = input;
  const evidence = evidenceOf(
    inspection,
    contextOf({ inspection, printer, heat, press, face, gaps, lastGood, mine, paperName, outcome }),
  );
  const { ranked: list, questions } = rank({ evidence, confirmed });
  const { change, wanted } = planChange(inspection, heat, pressed, list, cache);
  const tally = input.tally ?? tallyOf(entries);
  const cameOut = press.good + press.seconds + press.spoiled > 0;
  const total = tally.good + tally.seconds + tally.spoiled;
  return {
    step: 'inspect',
    progress: total > 0 ? 'done' : cameOut ? 'ready' : 'todo',
    summary:
      total > 0
        ? say('common.goodSpoiled', tallied(tally))
        : cameOut
          ? say('inspect.lookedYet')
          : say('inspect.piecesYet'),
    figures: [
      ...(total > 0
        ? [
            figure({
              id: 'look.yield',
              label: say('inspect.yield'),
              quantity: ratio(tally.good / total),
              origin: 'measured',
              working: say('inspect.goodSpoiled2', {
                ...tallied(tally),
                entries: tally.entries,
              }),
            }),
          ]
        : []),
      ...causeFigures(list),
    ],
    findings: [
      ...(cameOut && total === 0
        ? [finding('inspect', 'none', 'info', say('inspect.inspectPieceThenSave'))]
        : []),
      ...twoChanges(inspection, heat, pressed),
    ],
    evidence,
    ranked: list,
    questions,
    change,
    wanted: [...asked, ...wanted],
    pressed,
    face,
    gaps,
    lay: layOf(heat, { pattern, face }, press.runs),
    keptDwellS: keptOf(press.runs)?.keptS ?? null,
    lastGood,
    tried: mine,
    entries,
    unlogged: {
      good: Math.max(0, press.good - tally.good),
      seconds: Math.max(0, press.seconds - tally.seconds),
      spoiled: Math.max(0, press.spoiled - tally.spoiled),
    },
  };
}

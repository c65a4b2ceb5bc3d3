import { MATERIAL_WORDS } from '../../shop/kindWords';
import type { Figure, Finding } from '../../figures/figure';
import type { HeatCache } from '../../heat/answer';
import {
  chooseHeat,
  goodPiecesOf,
  provenFor,
  type ChosenHeat,
  type ProvenCounts,
} from '../../heat/settings/choose';
import { heaterOf } from '../../heat/press/heaters';
import type { HeatQuestion } from '../../heat/question';
import type { HeatSubject } from '../../heat/model/subject';
import { DYE_STILL_C, TOUCH_SAFE_C } from '../../heat/cooling/cooling';
import { roughCoolS } from '../../heat/cooling/roughCooling';
import { settableS } from '../../heat/settings/start';
import type { Job } from '../../job/job';
import { pressCycle, type CycleTimes } from '../../operations/cycle';
import { preparations, USUAL_WASTE, type Waste } from '../../operations/prepare';
import { isFlat, type Blank } from '../../shop/blank';
import { sameSettings, type HeatSettings } from '../../shop/heatSettings';
import type { Operation } from '../../shop/operation';
import type { Press, PressHeater } from '../../shop/press';
import type { LogEntry } from '../../shop/records';
import type { Shop } from '../../shop/shop';
import type { Practices } from '../../shop/practices';
import type { Hold } from '../../shop/settings';
import { say, type Message } from '../../message/message';
import { celsius, seconds } from '../../message/quantity';
import { equalFigures, reachFigures, settingFigures } from './figures';
import { reachFindings, settingFindings } from './findings';
import { loadFindings, loadFor, type HeatLoad } from './load';
import { bestPress, pressOptions } from './pressChoice';
import { matchFrom, matchOwn, type MatchSource } from './match';
import { heatModel, type HeatModel } from './model';
import { loadFigure, modelFigures } from './modelFigures';
import { modelFindings } from './modelFindings';
import { answersIn } from './questions';
import { pressedFaces, subjectOf, type Setup } from './subject';
import { finding, type StepPlan } from '../stepPlan';
import type { ToPress } from '../press/toPress';

export interface HeatPlan extends StepPlan<'heat'> {
  readonly press: Press | null;
  /** Why this press was chosen; null where a person chose it. */
  readonly chosenFor: Message | null;
  /** The mat in a wrap press. */
  readonly heater: PressHeater | null;
  readonly chosen: ChosenHeat | null;
  /** How pieces lie in the press. */
  readonly load: HeatLoad | null;
  readonly model: HeatModel | null;
  /** The proven recipe this is held against where it has none of its own. */
  readonly matched: MatchSource | null;
  /** All that is done to a piece, in order: what a run keeps at its start. */
  readonly operations: readonly Operation[];
  /** What the seam method asks of the hands. */
  readonly seamStep: Message | null;
}

export interface HeatInput {
  readonly blank: Blank | null;
  readonly wrap: ToPress | null;
  readonly press: Press | null;
  /** What a person set and how pieces are laid; the rest is found. */
  readonly hand: Job['heat'];
  readonly load: Job['load'];
  readonly pieces: number;
  readonly hold: Hold;
  readonly facesWay: Job['wrap']['faces'];
  readonly practices: Practices;
  readonly printedBehind: boolean;
  readonly recipes: Shop['recipes'];
  readonly presses: Shop['presses'];
  readonly blanks: Shop['blanks'];
  /** Good pieces behind each recipe; counted from the log where absent. */
  readonly proven: ProvenCounts | undefined;
  readonly log: readonly LogEntry[];
  /** Entries of the log that say what was tried on this press. */
  readonly tried: readonly LogEntry[];
  /** Answers of the model found so far. Without them nothing is simulated, and all of it is wanted. */
  readonly cache: HeatCache;
}

/** All that is done to a piece: by hand before, at the press, and its cooling. */
const operationsFor = (
  { settings, blank, press }: { settings: HeatSettings; blank: Blank; press: Press },
  wrap: ToPress,
  hold: Hold,
  times: CycleTimes,
  waste: Waste,
  practices: Practices,
): readonly Operation[] => [
  ...preparations(settings, blank, press, {
    seamMethod: wrap.seamMethod,
    hold,
    bothFaces: wrap.faces > 1,
    wrapped: wrap.wrapped,
    cutAtEdge: wrap.cutAtEdge,
    tails: wrap.tails,
    waste,
    practices,
  }),
  ...pressCycle(settings, press, times),
];

const liesOf = (load: HeatLoad | null): CycleTimes['lies'] =>
  load?.load.heatedFrom === 'blank' ? 'face down' : 'face up';

/** Waits and cooling by the simulation, where there is one. */
function timesOf(
  blank: Blank,
  c: ChosenHeat,
  load: HeatLoad | null,
  model: HeatModel | null,
  faces: number,
): CycleTimes {
  const outcome = model?.outcome ?? null;
  // Where it is to be set down: on the heat mat, or standing.
  const cooling = outcome?.cooling.mat ?? outcome?.cooling.air;
  const upTo = (mark: 'touchS' | 'dyeStillS', atC: number): CycleTimes['touch'] =>
    cooling
      ? { value: cooling.value[mark], low: cooling.low[mark], high: cooling.high[mark] }
      : roughCoolS(blank, c.settings, atC);
  const touch = upTo('touchS', TOUCH_SAFE_C);
  const { peel } = c.settings;
  return {
    pieces: load?.load.piecesAtOnce ?? 1,
    lies: isFlat(blank) && model?.subject.load.faces === 'one' ? liesOf(load) : null,
    closings: faces,
    touch,
    // Warm: as soon as the dye no longer moves. Cold: when it can be touched.
    peelFrom: peel === 'warm' ? upTo('dyeStillS', DYE_STILL_C) : peel === 'cold' ? touch : null,
    reachS: outcome?.closings.map((x) => (x.backS === null ? null : x.backS - x.closedS)) ?? [],
    betweenS:
      outcome?.closings.slice(1).map((x, i) => x.closedS - (outcome.closings[i]?.openedS ?? x.closedS)) ?? [],
  };
}

interface Known {
  readonly input: HeatInput;
  readonly blank: Blank;
  readonly press: Press;
  readonly heater: PressHeater | null;
  readonly wrap: ToPress;
}

interface Decided {
  readonly chosen: ChosenHeat | null;
  readonly load: HeatLoad | null;
  readonly model: HeatModel | null;
  readonly matched: MatchSource | null;
}

/** Settings, load and what the model says of them. */
function decide({ input, blank, press, heater, wrap }: Known): Decided {
  const { cache } = input;
  const { mat, piece } = wrap;
  const goodPieces = goodPiecesOf(input.proven, input.log);
  const choose = (moved?: Parameters<typeof chooseHeat>[7]) =>
    chooseHeat(input.hand, blank, press, heater, mat, input.recipes, goodPieces, moved);
  const first = choose();
  if (!first || !piece) return { chosen: first, load: null, model: null, matched: null };
  const load = loadFor(input, blank, press, heater, piece, first.proven);
  const setup: Setup = {
    blank,
    press,
    heater,
    piece,
    load: load.load,
    inEdge: load.bed?.inEdge ?? false,
    faces: pressedFaces(wrap.faces, input.printedBehind, input.facesWay),
    round: mat && { circumferenceMm: mat.circumferenceMm, printMm: mat.printMm },
  };
  const subject = subjectOf(setup, input.tried, input.blanks);
  const { chosen, wanted } = first.proven
    ? { chosen: first, wanted: [] }
    : started(choose, first, subject, cache);
  const matched = first.proven
    ? matchOwn(setup, chosen.settings, first.proven, input)
    : matchFrom(setup, input, goodPieces);
  const from = matched?.from ?? null;
  const model = heatModel(chosen, subject, { most: load.most, from }, cache, wanted);
  return { chosen, load, model, matched };
}

/** Whether good pieces stand behind these very settings here: kept as a recipe, or in the log. */
const goodBefore = ({ settings, proven }: ChosenHeat, model: HeatModel | null): boolean =>
  (proven !== null && proven.goodPieces > 0 && sameSettings(settings, proven.recipe.settings)) ||
  (model?.subject.seen.some((x) => x.verdict === 'good' && sameSettings(x.settings, settings)) ?? false);

/** The start of the table, moved to the middle of the good region once that is known. */
function started(
  choose: (moved?: Parameters<typeof chooseHeat>[7]) => ChosenHeat | null,
  first: ChosenHeat,
  subject: HeatSubject,
  cache: HeatCache,
): { readonly chosen: ChosenHeat; readonly wanted: readonly HeatQuestion[] } {
  const ask = answersIn(cache);
  const chosen = choose((start) => {
    const asked = { kind: 'start' as const, subject, settings: start };
    const found = ask.get<'start'>(asked) ?? ask.like<'start'>(asked);
    return (
      found && {
        dwellS: settableS(found.dwellS),
        laterDwellS: found.laterS === null ? null : settableS(found.laterS),
      }
    );
  });
  return { chosen: chosen ?? first, wanted: ask.wanted };
}

const EMPTY = {
  step: 'heat' as const,
  progress: 'todo' as const,
  figures: [],
  operations: [],
  seamStep: null,
  chosenFor: null,
  heater: null,
  chosen: null,
  load: null,
  model: null,
  matched: null,
};

const summaryOf = ({ settings: s }: ChosenHeat, load: HeatLoad | null): Message => {
  const n = load?.load.piecesAtOnce ?? 1;
  return say('heat.platenDwellPasses', {
    platen: celsius(s.platenC),
    dwell: seconds(s.dwellS),
    passes: s.passes,
    which: s.passes > 1 ? 'passes' : 'other',
    n,
    which2: n > 1 ? 'atOnce' : 'other',
  });
};

export function planHeat(input: HeatInput): HeatPlan {
  const { blank, wrap } = input;
  const nothing = (summary: Message, findings: readonly Finding[]): HeatPlan => ({
    ...EMPTY,
    press: input.press,
    summary,
    findings,
  });
  if (!blank || !wrap || (!wrap.across && blank.shape.kind === 'round'))
    return nothing(say('measure.afterBlank'), []);
  const best = input.press ? null : bestPress(pressOptions({ ...input, blank, wrap }));
  const press = input.press ?? best?.press;
  if (!press) {
    const none = input.presses.length === 0 ? say('heat.therePressYetAdd') : say('heat.noPressFits');
    return nothing(say('heat.pressChosen'), [finding('heat', 'none', 'blocker', none)]);
  }
  const { mat } = wrap;
  const need = mat && { widestDiameterMm: mat.circumferenceMm / Math.PI, tallMm: wrap.tallMm ?? 0 };
  const proven = provenFor(blank.id, press.id, input.recipes, () => 0)?.recipe.load?.heaterId;
  const heater = heaterOf(press, need, input.load.heaterId ?? proven ?? null);
  const { chosen, load, model, matched } = decide({ input, blank, press, heater, wrap });
  if (!chosen)
    return nothing(say('heat.settingsKnown'), [
      finding(
        'heat',
        'unknown',
        'blocker',
        say('heat.usualSettingsKnownChoose', { material: MATERIAL_WORDS[blank.material], press: press.name }),
      ),
    ]);
  const findings = [
    ...reachFindings(chosen, press, heater, wrap, blank),
    ...loadFindings(load, press, input.pieces),
    ...settingFindings(chosen, press, blank, model?.outcome ?? null, goodBefore(chosen, model)),
    ...modelFindings(chosen, model, press, load),
  ];
  const closings =
    pressedFaces(wrap.faces, input.printedBehind, input.facesWay) === 'one then the other' ? 2 : 1;
  const figures: readonly Figure[] = [
    ...settingFigures(chosen),
    ...reachFigures(chosen, closings),
    ...(model?.shown
      ? modelFigures(chosen, model, load, matched, input.pieces)
      : [...equalFigures(chosen), ...(load ? [loadFigure(load, input.pieces, null)] : [])]),
  ];
  return {
    step: 'heat',
    progress: findings.some((f) => f.level === 'blocker') ? 'todo' : 'done',
    summary: summaryOf(chosen, load),
    figures,
    findings,
    press,
    chosenFor: best?.reason ?? null,
    heater,
    chosen,
    load,
    model,
    matched,
    operations: operationsFor(
      { blank, press, settings: chosen.settings },
      wrap,
      input.hold,
      timesOf(blank, chosen, load, model, closings),
      load?.load ?? USUAL_WASTE,
      input.practices,
    ),
    seamStep: wrap.seamStep,
  };
}

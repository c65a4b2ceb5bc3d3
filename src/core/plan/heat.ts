import type { Figure, Finding } from '../figures/figure';
import type { HeatBook } from '../heat/answer';
import { chooseHeat, goodPiecesOf, provenFor, type ChosenHeat, type ProvenCounts } from '../heat/choose';
import { heaterOf } from '../heat/heaters';
import type { MatWork } from '../heat/heaterReach';
import type { HeatQuestion, HeatSubject } from '../heat/question';
import { roughTouchS } from '../heat/roughCooling';
import { settableS } from '../heat/start';
import type { Job } from '../job/job';
import { pressCycle, type CycleTimes } from '../operations/cycle';
import { preparations, USUAL_WASTE, type Waste } from '../operations/prepare';
import { isFlat, isHandled, type Blank } from '../shop/blank';
import { sameSettings, type HeatSettings } from '../shop/heatSettings';
import type { Operation } from '../shop/operation';
import type { Press, PressHeater } from '../shop/press';
import type { LogEntry } from '../shop/records';
import type { Shop } from '../shop/shop';
import { say, type Phrase } from '../units/phrase';
import { celsius, seconds } from '../units/quantity';
import { equalFigures, reachFigures, settingFigures } from './heatFigures';
import { reachFindings, settingFindings } from './heatFindings';
import { loadFindings, loadFor, pieceOf, type HeatLoad } from './heatLoad';
import { matchFrom, matchOwn, type MatchSource } from './heatMatch';
import { heatModel, type HeatModel } from './heatModel';
import { loadFigure, modelFigures } from './heatModelFigures';
import { modelFindings } from './heatModelFindings';
import { asking } from './heatQuestions';
import { facesOf, subjectOf, type Setup } from './heatSubject';
import { finding, type TerracePlan } from './terracePlan';
import type { WrapPlan } from './wrap';
import { edgeWay } from './wrapFlat';

export interface HeatPlan extends TerracePlan<'heat'> {
  readonly press: Press | null;
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
  readonly seamStep: Phrase;
}

/** What heat may know beyond job and shop. */
export interface HeatExtra {
  /** Good pieces behind each recipe, where the shop given does not hold its whole log. */
  readonly proven?: ProvenCounts | undefined;
  /** What was tried on this press, where the shop given does not hold its whole log. */
  readonly tried?: readonly LogEntry[] | undefined;
  /** Answers of the model found so far. Without it nothing is simulated, and all of it is wanted. */
  readonly book?: HeatBook | undefined;
}

/** What a wrap press has to heat: the widest of the wall, and how much of it is printed. */
function matWork(wrap: WrapPlan, blank: Blank): MatWork | null {
  if (!wrap.wall) return null;
  const circumferenceMm = wrap.wall.widest.value;
  const { round } = wrap;
  const longest = round
    ? Math.max(round.topArc.value, round.footArc.value) + round.lengthMm - round.closing.value
    : circumferenceMm;
  const printMm = Math.min(circumferenceMm, longest);
  return { circumferenceMm, printMm, handled: isHandled(blank) };
}

/** What the seam method asks of the hands; a lap says which end lies on top. */
const seamStep = (job: Job, wrap: WrapPlan): Phrase =>
  wrap.seamMethod === 'lap'
    ? say`The ${job.wrap.lapOver} end on top, its cut clean`
    : say`${wrap.note.bench}`;

/** All that is done to a piece: by hand before, at the press, and its cooling. */
const operationsFor = (
  job: Job,
  shop: Shop,
  { settings, blank, press }: { settings: HeatSettings; blank: Blank; press: Press },
  wrap: WrapPlan,
  times: CycleTimes,
  waste: Waste,
): readonly Operation[] => [
  ...preparations(settings, blank, press, {
    seamMethod: wrap.seamMethod,
    hold: job.wrap.hold ?? shop.settings.defaults.hold,
    bothFaces: (wrap.pattern?.faces.length ?? 1) > 1,
    wrapped: isFlat(blank) && edgeWay(job, blank) === 'wrapped',
    waste,
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
  // Where it is told to be set down: on the heat mat, or standing.
  const cooling = outcome?.cooling.mat ?? outcome?.cooling.air;
  const touch = cooling
    ? { value: cooling.value.touchS, low: cooling.low.touchS, high: cooling.high.touchS }
    : roughTouchS(blank, c.settings);
  return {
    pieces: load?.load.piecesAtOnce ?? 1,
    lies: isFlat(blank) && model?.subject.load.faces === 'one' ? liesOf(load) : null,
    closings: faces,
    touch,
    reachS: outcome?.closings.map((x) => (x.backS === null ? null : x.backS - x.closedS)) ?? [],
    betweenS:
      outcome?.closings.slice(1).map((x, i) => x.closedS - (outcome.closings[i]?.openedS ?? x.closedS)) ?? [],
  };
}

interface Known {
  readonly job: Job;
  readonly shop: Shop;
  readonly blank: Blank;
  readonly press: Press;
  readonly heater: PressHeater | null;
  readonly mat: MatWork | null;
  readonly wrap: WrapPlan;
}

interface Decided {
  readonly chosen: ChosenHeat | null;
  readonly load: HeatLoad | null;
  readonly model: HeatModel | null;
  readonly matched: MatchSource | null;
}

/** Settings, load and what the model says of them. */
function decide(k: Known, { proven, tried, book = {} }: HeatExtra): Decided {
  const { job, shop, blank, press, heater, wrap, mat } = k;
  const goodPieces = goodPiecesOf(proven, shop.log);
  const choose = (moved?: Parameters<typeof chooseHeat>[7]) =>
    chooseHeat(job, blank, press, heater, mat, shop.recipes, goodPieces, moved);
  const first = choose();
  const piece = pieceOf(blank, wrap, mat?.circumferenceMm ?? 0);
  if (!first || !piece) return { chosen: first, load: null, model: null, matched: null };
  const load = loadFor(job, blank, press, heater, piece, first.proven);
  const setup: Setup = {
    blank,
    press,
    heater,
    piece,
    load: load.load,
    inEdge: load.bed?.inEdge ?? false,
    faces: facesOf(job, wrap),
    round: mat && { circumferenceMm: mat.circumferenceMm, printMm: mat.printMm },
  };
  const subject = subjectOf(setup, tried ?? shop.log, shop.blanks);
  const { chosen, wanted } = first.proven
    ? { chosen: first, wanted: [] }
    : started(choose, first, subject, book);
  const matched = first.proven
    ? matchOwn(setup, chosen.settings, first.proven, shop)
    : matchFrom(setup, shop, goodPieces);
  const from = matched?.from ?? null;
  const model = heatModel(chosen, subject, { most: load.most, from }, book, wanted);
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
  book: HeatBook,
): { readonly chosen: ChosenHeat; readonly wanted: readonly HeatQuestion[] } {
  const ask = asking(book);
  const chosen = choose((start) => {
    const found = ask.get<'start'>({ kind: 'start', subject, settings: start });
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
  terrace: 'heat' as const,
  progress: 'todo' as const,
  figures: [],
  operations: [],
  seamStep: [],
  heater: null,
  chosen: null,
  load: null,
  model: null,
  matched: null,
};

const summaryOf = ({ settings: s }: ChosenHeat, load: HeatLoad | null): Phrase => {
  const n = load?.load.piecesAtOnce ?? 1;
  return say`${celsius(s.platenC)} · ${seconds(s.dwellS)}${s.passes > 1 ? ` × ${s.passes}` : ''}${n > 1 ? ` · ${n} at once` : ''}`;
};

export function planHeat(
  job: Job,
  shop: Shop,
  blank: Blank | null,
  wrap: WrapPlan,
  extra: HeatExtra = {},
): HeatPlan {
  const press = shop.presses.find((p) => p.id === job.pressId) ?? null;
  const nothing = (summary: Phrase, findings: readonly Finding[]): HeatPlan => ({
    ...EMPTY,
    press,
    summary,
    findings,
  });
  if (!blank || (wrap.wall === null && blank.shape.kind === 'round'))
    return nothing(say`after the blank`, []);
  if (!press)
    return nothing(say`press not chosen`, [
      finding('heat', 'none', 'blocker', say`Choose the press for this job.`),
    ]);
  const mat = matWork(wrap, blank);
  const need = mat && {
    widestDiameterMm: mat.circumferenceMm / Math.PI,
    tallMm: wrap.round?.height.value ?? 0,
  };
  const proven = provenFor(blank.id, press.id, shop.recipes, () => 0)?.recipe.load?.heaterId;
  const heater = heaterOf(press, need, job.load.heaterId ?? proven ?? null);
  const { chosen, load, model, matched } = decide({ job, shop, blank, press, heater, mat, wrap }, extra);
  if (!chosen)
    return nothing(say`no settings known`, [
      finding(
        'heat',
        'unknown',
        'blocker',
        say`No usual settings are known for ${blank.material} in ${press.name}. Choose another press.`,
      ),
    ]);
  const findings = [
    ...reachFindings(chosen, press, heater, wrap, blank),
    ...loadFindings(load, press, job),
    ...settingFindings(chosen, press, blank, model?.outcome ?? null, goodBefore(chosen, model)),
    ...modelFindings(chosen, model, press, load),
  ];
  const closings = facesOf(job, wrap) === 'one then the other' ? 2 : 1;
  const figures: readonly Figure[] = [
    ...settingFigures(chosen),
    ...reachFigures(chosen, closings),
    ...(model?.outcome
      ? modelFigures(chosen, model, load, matched, job)
      : [...equalFigures(chosen), ...(load ? [loadFigure(load, job, null)] : [])]),
  ];
  return {
    terrace: 'heat',
    progress: findings.some((f) => f.level === 'blocker') ? 'todo' : 'done',
    summary: summaryOf(chosen, load),
    figures,
    findings,
    press,
    heater,
    chosen,
    load,
    model,
    matched,
    operations: operationsFor(
      job,
      shop,
      { blank, press, settings: chosen.settings },
      wrap,
      timesOf(blank, chosen, load, model, closings),
      load?.load ?? USUAL_WASTE,
    ),
    seamStep: seamStep(job, wrap),
  };
}

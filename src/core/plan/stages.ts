import { namedPieces, type NamedPiece } from '../art/names';
import { placeArt } from '../art/placedLayers';
import { scaleOf, type AxisScale } from '../calibration/calibration';
import type { TextLayer } from '../job/art';
import type { Job } from '../job/job';
import { memoizeLast, memoizeOne } from '../memo/memo';
import { checkNames } from '../preflight/names';
import { runsOf } from '../run/pieces';
import { practicesOf, type Practices } from '../shop/practices';
import { standing } from '../shop/standing';
import type { Paper } from '../shop/paper';
import type { Run } from '../shop/run';
import type { LogEntry } from '../shop/records';
import type { Pattern } from '../wrap/pattern';
import { arrange, type ToArrange } from './sheet/arrange';
import { checkArt, planArt, planPlacedArt, type PlacedArt } from './art/art';
import { planBlank } from './blank/blank';
import { findUsable } from './wrap/coveredBand';
import { planHeat } from './heat/heat';
import { seenFace } from './inspect/lay';
import {
  confirmedIn,
  entriesOf,
  planInspection,
  rankEvidence,
  triedOn,
  type InspectInput,
} from './inspect/inspect';
import { planMeasure } from './measure/measure';
import { planPress } from './press/press';
import { planSheet, type SharedPart } from './sheet/sheet';
import { toPress, type ToPress } from './press/toPress';
import { planWrap, type WrapInput } from './wrap/wrap';
import type { ArtOnPanels } from './sheet/panels';
import type { Plan } from './planShape';

/** The names of the stages, in the order of the work. */
export const STAGES = [
  'blank',
  'measure',
  'paper',
  'wrap',
  'art',
  'checks',
  'sheet',
  'heat',
  'press',
  'inspect',
] as const;
export type StageName = (typeof STAGES)[number];

/** Told each time a stage is really made. */
export type OnStage = (stage: StageName) => void;

/** How often a stage is made: always, or again only for other inputs. */
export interface Memoizers {
  readonly one: <I extends object, R>(f: (inputs: I) => R) => (inputs: I) => R;
  readonly last: <A extends readonly unknown[], R>(f: (...args: A) => R) => (...args: A) => R;
}

export const NO_MEMO: Memoizers = { one: (f) => f, last: (f) => f };
export const LAST_MEMO: Memoizers = { one: memoizeOne, last: memoizeLast };

/** What paper does to a print, as it lies on the sheet. */
export interface PaperScale {
  readonly thicknessMm: number;
  readonly along: AxisScale;
  readonly up: AxisScale;
}

interface OnPaperInput {
  readonly paper: Paper | null;
  readonly turned: boolean;
}

/** Paper thickness where no paper is known yet, mm: common transfer paper. */
const USUAL_PAPER_MM = 0.1;

function onPaper({ paper, turned }: OnPaperInput): PaperScale {
  const { across, along } = scaleOf(paper);
  return {
    thicknessMm: paper?.thicknessMm ?? USUAL_PAPER_MM,
    along: turned ? along : across,
    up: turned ? across : along,
  };
}

const sameScale = (a: AxisScale, b: AxisScale): boolean =>
  a.scaleU === b.scaleU && a.shrink === b.shrink && a.shrinkU === b.shrinkU;

export const samePaperScale = (a: PaperScale, b: PaperScale): boolean =>
  a.thicknessMm === b.thicknessMm && sameScale(a.along, b.along) && sameScale(a.up, b.up);

interface PrintedInput {
  /** Pieces of the names list; none where all are alike. */
  readonly pieces: readonly NamedPiece[];
  readonly jobPieces: number;
  readonly reprint: Job['reprint'];
}

/** The pieces that are printed: all of them, or those of a reprint list that are still on the job’s own. */
export interface Printed {
  readonly pieces: readonly NamedPiece[];
  readonly pieceCount: number;
}

export function printedPieces({ pieces, jobPieces, reprint }: PrintedInput): Printed {
  const all = { pieces, pieceCount: pieces.length > 0 ? pieces.length : jobPieces };
  if (!reprint) return all;
  if (pieces.length === 0) return { pieces, pieceCount: reprint.length };
  const again = pieces.filter((p) => reprint.some((a) => a.number === p.number && a.name === p.label));
  return again.length === 0 ? all : { pieces: again, pieceCount: again.length };
}

interface SharedPartInput extends Printed {
  readonly jobName: string;
  readonly blankName: string;
  readonly art: Job['art'];
  readonly pattern: Pattern | null;
  readonly placed: PlacedArt;
}

/** What the sheet needs of one job: sizes, and the art of its first printed piece. */
function sharedPart(input: SharedPartInput): SharedPart | null {
  const { jobName, blankName, art, pattern, placed, pieces, pieceCount } = input;
  const { board } = placed;
  if (!board || !pattern) return null;
  const [first] = pieces;
  const placedLayers =
    first && first.row !== placed.pieces[0]?.row ? placeArt(art, board, first.row) : placed.placedLayers;
  return { jobName, blankName, art, pattern, board, pieces, placedLayers, pieceCount };
}

interface RunsInput {
  readonly runs: readonly Run[];
  readonly jobId: string;
}

interface PracticesInput {
  readonly ofShop: Practices;
  readonly ofJob: Job['practices'];
}

interface ConfirmedInput {
  readonly log: readonly LogEntry[];
}

/** A list that stays the same one while what it holds does. */
const sameList = <T extends object>(list: readonly T[]): readonly T[] => list;

type Stage = <I extends object, R>(name: StageName, f: (inputs: I) => R) => (inputs: I) => R;

const staging =
  ({ one }: Memoizers, on: OnStage): Stage =>
  (name, f) =>
    one((inputs) => {
      on(name);
      return f(inputs);
    });

/** Sizes of one piece on one paper. */
export function createSizeStages(remember: Memoizers, on: OnStage) {
  const stage = staging(remember, on);
  const usable = remember.one(findUsable);
  return {
    onPaper: remember.one(onPaper),
    measure: stage('measure', planMeasure),
    wrap: stage('wrap', (i: WrapInput) => planWrap(i, usable)),
    others: remember.one(sameList<ToArrange>),
    arrange: stage('paper', arrange),
  };
}

/** Names, and art on a size. */
export function createArtStages(remember: Memoizers, on: OnStage) {
  return {
    named: remember.one(namedPieces),
    printed: remember.one(printedPieces),
    place: staging(remember, on)('art', planPlacedArt),
    part: remember.one(sharedPart),
  };
}

/** Everything else of a job. Two sizes: on the paper that was guessed, and on the one that was found. */
export function createStages(remember: Memoizers, on: OnStage) {
  const { one, last } = remember;
  const stage = staging(remember, on);
  const rank = last(rankEvidence);
  return {
    ...createArtStages(remember, on),
    guessed: createSizeStages(remember, on),
    found: createSizeStages(remember, on),
    blank: stage('blank', planBlank),
    onPanels: one((i: ArtOnPanels) => i),
    parts: one(sameList<SharedPart>),
    sheet: stage('sheet', planSheet),
    toPress: one(toPress),
    sameToPress: last((p: ToPress | null) => p),
    practices: one(({ ofShop, ofJob }: PracticesInput) => practicesOf(ofShop, ofJob)),
    heat: stage('heat', planHeat),
    nameLayers: one(sameList<TextLayer>),
    ofNames: one(checkNames),
    checks: stage('checks', checkArt),
    art: one(planArt),
    ownRuns: one(sameList<Run>),
    runs: one(({ runs, jobId }: RunsInput) => runsOf(runs, jobId)),
    press: stage('press', planPress),
    face: one(({ pattern }: { readonly pattern: Pattern }) => seenFace(pattern)),
    entries: one(entriesOf),
    ownEntries: one(sameList<LogEntry>),
    tried: one(triedOn),
    ownTried: one(sameList<LogEntry>),
    confirmed: one(({ log }: ConfirmedInput) => confirmedIn(standing(log))),
    inspect: stage('inspect', (i: InspectInput) => planInspection(i, rank)),
    plan: one((p: Plan) => p),
  };
}

export type Stages = ReturnType<typeof createStages>;
export type SizeStages = ReturnType<typeof createSizeStages>;
export type ArtStages = ReturnType<typeof createArtStages>;

import { TERRACES, type Terrace } from '../figures/terraces';
import { worstFirst, type Figure, type Finding } from '../figures/figure';
import type { ImageAnalysis } from '../art/analyseImage';
import type { Job } from '../job/job';
import type { HeatBook } from '../heat/answer';
import type { ProvenCounts } from '../heat/choose';
import type { LogEntry } from '../shop/records';
import type { JobTally } from '../look/tally';
import { scaleOf, type AxisScale } from '../calibration/calibration';
import type { FacePrint } from '../wrap/flatWrap';
import type { Nests } from '../sheet/nest/request';
import type { Paper } from '../shop/paper';
import { printerOf } from '../shop/settings';
import type { Shop } from '../shop/shop';
import { planArt, type ArtPlan } from './art';
import { planBlank, type BlankPlan } from './blank';
import { planHeat, type HeatPlan } from './heat';
import type { ConfirmedCounts } from '../look/shopTable';
import { planLook, type LookPlan } from './look';
import { planMeasure, type MeasurePlan } from './measure';
import { planPress, type PressPlan } from './press';
import type { TerracePlan } from './terracePlan';
import { planSheet, printedArt, type SheetPlan, type SharedJob } from './sheet';
import { planWrap, type WrapPlan } from './wrap';

/** Everything calculated about a job, a section a terrace. Plain JSON; made afresh from the job and the shop, never stored. */
export interface Plan {
  readonly blank: BlankPlan;
  readonly measure: MeasurePlan;
  readonly wrap: WrapPlan;
  readonly art: ArtPlan;
  readonly sheet: SheetPlan;
  readonly heat: HeatPlan;
  readonly press: PressPlan;
  readonly look: LookPlan;
}

/** Paper thickness where no paper is known yet, mm: common transfer paper. */
const USUAL_PAPER_MM = 0.1;

/** What is known of the sheet before it is laid out: the paper, and which way the wrap lies on it. */
interface OnPaper {
  readonly asked: Paper | null;
  readonly thicknessMm: number;
  /** Along the wrap, and up it. */
  readonly print: FacePrint;
}

/** What a plan may know beyond the job and the shop. */
export interface Extra {
  /** Pictures whose pixels have been analysed, by id. */
  readonly analyses?: Readonly<Record<string, ImageAnalysis>>;
  /** The other jobs this one names to share its sheets with. */
  readonly sharedJobs?: readonly Job[];
  /** Free layouts found so far, by key; those still wanted stand in the layout. Without it they are found at once, quickly. */
  readonly nests?: Nests;
  /** Counts of the log, where the shop given does not hold all of it: good pieces behind each recipe, and of this job. */
  readonly proven?: ProvenCounts;
  readonly tally?: JobTally;
  /** What was tried on this press and coating, where the shop given does not hold its log. */
  readonly tried?: readonly LogEntry[];
  /** Causes the shop settled on, where the shop given does not hold all of its log. */
  readonly confirmed?: ConfirmedCounts;
  /** What the heat model has answered so far, by question; what it is still asked stands in the plan. */
  readonly heatBook?: HeatBook;
}

const NO_ANALYSES: Readonly<Record<string, ImageAnalysis>> = {};

/** All terraces but the sheet. */
function planPiece(
  job: Job,
  shop: Shop,
  { thicknessMm, print }: OnPaper,
  { analyses = NO_ANALYSES, proven, tried, heatBook }: Extra,
) {
  const blank = planBlank(job, shop);
  const measure = planMeasure(job, shop, blank.blank, thicknessMm);
  const wrap = planWrap(job, shop.settings, blank.blank, measure, thicknessMm, print);
  const heat = planHeat(job, shop, blank.blank, wrap, { proven, tried, book: heatBook });
  const art = planArt({
    job,
    wrap,
    blank: blank.blank,
    printer: printerOf(shop.settings, job.sheet.printerId),
    heat: heat.chosen?.settings ?? null,
    analyses,
  });
  return { blank, measure, wrap, art, heat };
}

/** Mean ink of the lowest picture, percent; null where nobody has looked. */
export function inkOf(job: Job, analyses: Readonly<Record<string, ImageAnalysis>>): number | null {
  const ground = job.art.layers.find((l) => l.kind === 'picture');
  const look = ground?.kind === 'picture' ? analyses[ground.picture.id] : undefined;
  return look ? look.cells.reduce((s, c) => s + c.inkPct, 0) / look.cells.length : null;
}

function planWith(job: Job, shop: Shop, on: OnPaper, extra: Extra): Plan {
  const analyses = extra.analyses ?? NO_ANALYSES;
  const { blank, measure, wrap, art, heat } = planPiece(job, shop, on, extra);
  const sharedJobs = (extra.sharedJobs ?? [])
    .filter((j) => job.sheet.sharedJobIds.includes(j.id))
    .map((other): SharedJob => {
      const o = planPiece(other, shop, on, extra);
      return { job: other, wrap: o.wrap, art: printedArt(other, o.art), blank: o.blank.blank };
    });
  const sheet = planSheet({
    job,
    shop,
    blank: blank.blank,
    wrap,
    art: printedArt(job, art),
    paper: on.asked,
    sharedJobs,
    inkPct: inkOf(job, analyses),
    nests: extra.nests,
  });
  const press = planPress(job, shop, blank.blank, wrap.wall?.widest.value ?? null, heat, art.pieces);
  const look = planLook(
    job,
    shop,
    { wrap, heat, press, paperName: sheet.paper?.name ?? '' },
    { tally: extra.tally, tried: extra.tried, confirmed: extra.confirmed, book: extra.heatBook },
  );
  return { blank, measure, wrap, art, sheet, heat, press, look };
}

/**
 * The one function of the product: a job and the shop's things, to a plan. Pure; the same for screens, scripts and files. `extra` is what
 * screens know beside: without it a plan is complete but for the checks that need a picture's pixels and for shared sheets.
 */
export function plan(job: Job, shop: Shop, extra: Extra = {}): Plan {
  const asked = shop.papers.find((p) => p.id === job.sheet.paperId) ?? null;
  const guess = asked ?? shop.papers[0] ?? null;
  const first: OnPaper = {
    asked,
    thicknessMm: guess?.thicknessMm ?? USUAL_PAPER_MM,
    print: printOf(guess, false),
  };
  const made = planWith(job, shop, first, extra);
  const found = made.sheet.paper;
  if (!found) return made;
  // The paper found to fit may be thicker, or the wrap may lie along the feed: size it again for what it will be printed on.
  const again: OnPaper = {
    asked: found,
    thicknessMm: found.thicknessMm,
    print: printOf(found, made.sheet.layout?.turned ?? false),
  };
  return again.thicknessMm === first.thicknessMm &&
    sameScale(again.print.x, first.print.x) &&
    sameScale(again.print.y, first.print.y)
    ? made
    : planWith(job, shop, again, extra);
}

/** What printer and paper do along the wrap and up it, as it lies on the sheet. */
function printOf(paper: Paper | null, turned: boolean): FacePrint {
  const { across, along } = scaleOf(paper);
  return turned ? { x: along, y: across } : { x: across, y: along };
}

const sameScale = (a: AxisScale, b: AxisScale): boolean =>
  a.scaleU === b.scaleU && a.shrink === b.shrink && a.shrinkU === b.shrinkU;

export const terracePlanOf = (p: Plan, terrace: Terrace): TerracePlan<Terrace> => p[terrace];

/** Findings of the whole job, worst first and in the order of the work. */
export const allFindings = (p: Plan): readonly Finding[] =>
  worstFirst(TERRACES.flatMap((t) => p[t].findings));

/** Figures of the whole job in the order of the work. */
export const allFigures = (p: Plan): readonly Figure[] => TERRACES.flatMap((t) => p[t].figures);

export const figureById = (p: Plan, id: string): Figure | undefined => allFigures(p).find((f) => f.id === id);

/** The first terrace with work left: where the job stands. */
export const currentStep = (p: Plan): Terrace => TERRACES.find((t) => p[t].progress !== 'done') ?? 'look';

import { TERRACES, worstFirst, type Figure, type Finding, type Terrace } from '../figures/figure';
import type { Job } from '../job/job';
import { scaleOf, type AxisScale } from '../sheet/calibration';
import type { Paper } from '../shop/paper';
import type { Shop } from '../shop/shop';
import { planArt, type ArtSection } from './art';
import { planBlank, type BlankSection } from './blank';
import { planHeat, type HeatSection } from './heat';
import { planLook, type LookSection } from './look';
import { planMeasure, type MeasureSection } from './measure';
import { planPress, type PressSection } from './press';
import type { Section } from './section';
import { planSheet, type SheetSection } from './sheet';
import { planWrap, type WrapSection } from './wrap';

/** Everything reckoned about a job, a section a terrace. Plain JSON; made afresh from the job and the shop, never stored. */
export interface Plan {
  readonly blank: BlankSection;
  readonly measure: MeasureSection;
  readonly wrap: WrapSection;
  readonly art: ArtSection;
  readonly sheet: SheetSection;
  readonly heat: HeatSection;
  readonly press: PressSection;
  readonly look: LookSection;
}

/** Paper thickness where no paper is known yet, mm: common transfer paper. */
const USUAL_PAPER_MM = 0.1;

/** What is known of the sheet before it is laid out: the paper, and which way the wrap lies on it. */
interface OnPaper {
  readonly asked: Paper | null;
  readonly thicknessMm: number;
  readonly scale: AxisScale;
}

function planWith(job: Job, shop: Shop, { asked, thicknessMm, scale }: OnPaper): Plan {
  const blank = planBlank(job, shop);
  const measure = planMeasure(job, shop, blank.blank, thicknessMm);
  const wrap = planWrap(job, shop.settings, blank.blank, measure, thicknessMm, scale);
  const art = planArt(job, wrap, blank.blank);
  const sheet = planSheet(job, shop, blank.blank, wrap, art, asked);
  const heat = planHeat(job, shop, blank.blank, measure.girth?.value ?? null, wrap);
  const press = planPress(job, shop, blank.blank, measure.girth?.value ?? null, heat);
  const look = planLook(job, shop, heat, press);
  return { blank, measure, wrap, art, sheet, heat, press, look };
}

/** The one function of the product: a job and the shop's things, to a plan. Pure; the same for screens, scripts and files. */
export function plan(job: Job, shop: Shop): Plan {
  const asked = shop.papers.find((p) => p.id === job.sheet.paperId) ?? null;
  const guess = asked ?? shop.papers[0] ?? null;
  const first: OnPaper = {
    asked,
    thicknessMm: guess?.thicknessMm ?? USUAL_PAPER_MM,
    scale: scaleOf(guess).across,
  };
  const made = planWith(job, shop, first);
  const found = made.sheet.paper;
  if (!found) return made;
  // The paper found to fit may be thicker, or the wrap may lie along the feed: size it again for what it will be printed on.
  const axes = scaleOf(found);
  const again: OnPaper = {
    asked: found,
    thicknessMm: found.thicknessMm,
    scale: made.sheet.layout?.turned ? axes.along : axes.across,
  };
  return again.thicknessMm === first.thicknessMm && sameScale(again.scale, first.scale)
    ? made
    : planWith(job, shop, again);
}

const sameScale = (a: AxisScale, b: AxisScale): boolean =>
  a.scaleU === b.scaleU && a.shrink === b.shrink && a.shrinkU === b.shrinkU;

export const sectionOf = (p: Plan, terrace: Terrace): Section<Terrace> => p[terrace];

/** Findings of the whole job, worst first and in the order of the work. */
export const allFindings = (p: Plan): readonly Finding[] =>
  worstFirst(TERRACES.flatMap((t) => p[t].findings));

export const figureById = (p: Plan, id: string): Figure | undefined =>
  TERRACES.flatMap((t) => p[t].figures).find((f) => f.id === id);

/** The first terrace with work left: where the job stands. */
export const standsAt = (p: Plan): Terrace => TERRACES.find((t) => p[t].progress !== 'done') ?? 'look';

import { TERRACES, worstFirst, type Figure, type Finding, type Terrace } from '../figures/figure';
import type { Job } from '../job/job';
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

function planWith(job: Job, shop: Shop, paper: Paper | null, paperMm: number): Plan {
  const blank = planBlank(job, shop);
  const measure = planMeasure(job, shop, blank.blank, paperMm);
  const wrap = planWrap(job, shop.settings, blank.blank, measure, paperMm);
  const art = planArt(job, wrap, blank.blank);
  const sheet = planSheet(job, shop, blank.blank, wrap, art, paper);
  const heat = planHeat(job, shop, blank.blank, measure.girth?.value ?? null, wrap);
  const press = planPress(job, shop, blank.blank, measure.girth?.value ?? null, heat);
  const look = planLook(job, shop, heat, press);
  return { blank, measure, wrap, art, sheet, heat, press, look };
}

/** The one function of the product: a job and the shop's things, to a plan. Pure; the same for screens, scripts and files. */
export function plan(job: Job, shop: Shop): Plan {
  const asked = shop.papers.find((p) => p.id === job.sheet.paperId) ?? null;
  const guessMm = asked?.thicknessMm ?? shop.papers[0]?.thicknessMm ?? USUAL_PAPER_MM;
  const first = planWith(job, shop, asked, guessMm);
  const found = first.sheet.paper;
  // The paper found to fit may be thicker than the one the wrap was sized for: size it again on that one.
  return asked === null && found && found.thicknessMm !== guessMm
    ? planWith(job, shop, found, found.thicknessMm)
    : first;
}

export const sectionOf = (p: Plan, terrace: Terrace): Section<Terrace> => p[terrace];

/** Findings of the whole job, worst first and in the order of the work. */
export const allFindings = (p: Plan): readonly Finding[] =>
  worstFirst(TERRACES.flatMap((t) => p[t].findings));

export const figureById = (p: Plan, id: string): Figure | undefined =>
  TERRACES.flatMap((t) => p[t].figures).find((f) => f.id === id);

/** The first terrace with work left: where the job stands. */
export const standsAt = (p: Plan): Terrace => TERRACES.find((t) => p[t].progress !== 'done') ?? 'look';

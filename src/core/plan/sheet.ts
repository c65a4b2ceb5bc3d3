import { figure, type Figure, type Finding } from '../figures/figure';
import type { Job } from '../job/job';
import { layoutSheet, needMm, smallestThatFits, type SheetLayout } from '../sheet/layout';
import { drawPages, rulerFor, type Page } from '../sheet/pages';
import type { Blank } from '../shop/blank';
import type { Paper } from '../shop/paper';
import type { MirrorBy } from '../shop/settings';
import type { Shop } from '../shop/shop';
import { say } from '../units/phrase';
import { count, mm, ratio, word } from '../units/quantity';
import type { ArtSection } from './art';
import { finding, type Section } from './section';
import type { WrapSection } from './wrap';

export interface SheetSection extends Section<'sheet'> {
  readonly paper: Paper | null;
  readonly layout: SheetLayout | null;
  readonly pages: readonly Page[];
  readonly mirrorBy: MirrorBy;
  /** The smallest paper of the shop that would hold a piece. */
  readonly wouldFit: Paper | null;
}

function figuresOf(layout: SheetLayout, asked: boolean, mirrorBy: MirrorBy, flat: boolean): Figure[] {
  return [
    figure({
      id: 'sheet.paper',
      label: 'Paper',
      quantity: word(layout.paper.name),
      origin: asked ? 'taken' : 'reckoned',
      working: asked
        ? say`${mm(layout.paper.widthMm)} × ${mm(layout.paper.heightMm)}, chosen`
        : say`${mm(layout.paper.widthMm)} × ${mm(layout.paper.heightMm)}, the smallest that holds it`,
    }),
    figure({
      id: 'sheet.per',
      label: 'On a sheet',
      quantity: count(layout.perSheet, 'piece'),
      origin: 'reckoned',
      working: layout.turned ? say`turned on its side` : say`upright`,
      inputs: flat ? ['wrap.size'] : ['wrap.length', 'wrap.height'],
    }),
    figure({
      id: 'sheet.count',
      label: 'Print',
      quantity: count(layout.sheets, 'sheet'),
      origin: 'reckoned',
      working:
        layout.onLast === layout.perSheet ? say`all full` : say`${count(layout.onLast, 'piece')} on the last`,
      inputs: ['sheet.per'],
    }),
    figure({
      id: 'sheet.used',
      label: 'Paper used',
      quantity: ratio(layout.used),
      origin: 'reckoned',
      working: say`of each sheet becomes wrap; the rest is offcut`,
    }),
    figure({
      id: 'sheet.mirror',
      label: 'Mirrored by',
      quantity: word(mirrorBy === 'app' ? 'this file' : 'the driver'),
      origin: 'taken',
      working:
        mirrorBy === 'app'
          ? say`turn mirror OFF in the printer driver`
          : say`turn mirror ON in the printer driver`,
    }),
  ];
}

/** Lays the wrap on the paper asked for, else on the smallest the shop has that fits. */
export function planSheet(
  job: Job,
  shop: Shop,
  blank: Blank | null,
  wrap: WrapSection,
  art: ArtSection,
  paper: Paper | null,
): SheetSection {
  const mirrorBy = job.sheet.mirrorBy ?? shop.settings.printer.mirrorBy;
  const nothing = {
    terrace: 'sheet' as const,
    progress: 'todo' as const,
    figures: [],
    pages: [],
    layout: null,
    mirrorBy,
    paper,
  };
  const { pattern } = wrap;
  if (!pattern || !blank) return { ...nothing, summary: say`after the wrap`, findings: [], wouldFit: null };
  const input = {
    pattern,
    marginMm: shop.settings.printer.marginMm,
    gapMm: job.sheet.gapMm,
    pieces: job.pieces,
    mirror: mirrorBy === 'app',
  };
  const wouldFit = smallestThatFits(input, shop.papers);
  const need = needMm(pattern, input.marginMm);
  const onPaper = paper ?? wouldFit;
  const size = say`It needs about ${mm(need.shortMm)} × ${mm(need.longMm)}.`;
  const way = wouldFit
    ? say`${wouldFit.name} holds it.`
    : say`No paper of this shop holds it. Add a larger one under Papers.`;
  if (!onPaper)
    return {
      ...nothing,
      summary: say`no paper fits`,
      findings: [finding('sheet', 'none', 'stop', say`${size} ${way}`)],
      wouldFit,
    };
  const laid = layoutSheet({ ...input, paper: onPaper });
  if (!laid.ok) {
    return {
      ...nothing,
      paper: onPaper,
      summary: say`${onPaper.name}: does not fit`,
      findings: [finding('sheet', 'fit', 'stop', say`${laid.problem.what} ${size} ${way}`)],
      wouldFit,
    };
  }
  const layout = laid.value;
  const label = {
    job: job.name,
    blank: blank.name,
    mirrored: mirrorBy === 'app',
    ...rulerFor(layout, shop.settings.units.length),
  };
  const drawable = art.placed !== null || art.words !== null;
  const pages = drawPages(layout, pattern, { placed: art.placed, words: job.art.words }, label);
  const findings: Finding[] = [
    finding(
      'sheet',
      'ruler',
      'note',
      say`Print at 100 %, no “fit to page”. The bar on the sheet must measure ${label.rulerText}.`,
    ),
  ];
  return {
    terrace: 'sheet',
    progress: drawable ? 'done' : 'todo',
    summary: say`${onPaper.name} · ${count(layout.perSheet, 'piece')} up · ${count(layout.sheets, 'sheet')}`,
    figures: figuresOf(layout, job.sheet.paperId !== null, mirrorBy, pattern.form === 'flat'),
    findings,
    paper: onPaper,
    layout,
    pages,
    mirrorBy,
    wouldFit,
  };
}

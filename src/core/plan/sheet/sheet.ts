import type { Finding } from '../../figures/figure';
import type { MirrorBy, Printer } from '../../shop/printer';
import type { Job } from '../../job/job';
import { needMm, type SheetLayout } from '../../sheet/layout';
import { takesPaper, type SheetOption } from '../../sheet/options';
import { rulerFor } from '../../sheet/pages';
import type { NamedPart } from '../../sheet/parts';
import type { Paper } from '../../shop/paper';
import type { Media } from '../../shop/practices';
import { say, type Message } from '../../message/message';
import { mm } from '../../message/quantity';
import type { Arranged } from './arrange';
import { panelsSummary, type PanelPlan } from './panels';
import { costFigures, inkCentsOf } from './cost';
import { sheetFigures } from './figures';
import type { JobOnSheet, ToDraw } from './jobOnSheet';
import { finding, type StepPlan } from '../stepPlan';

export interface SheetPlan extends StepPlan<'sheet'> {
  readonly paper: Paper | null;
  readonly printer: Printer;
  readonly layout: SheetLayout | null;
  readonly parts: readonly NamedPart[];
  /** What the sheets are drawn from on screen and in print; null where nothing is laid. */
  readonly toDraw: ToDraw | null;
  readonly mirrorBy: MirrorBy;
  readonly panels: PanelPlan | null;
  /** Papers and printers that print every piece whole, the one that costs least first. */
  readonly options: readonly SheetOption[];
  /** What the ink of all sheets costs, in hundredths of the shop's money. */
  readonly inkCents: number;
}

/** The pieces of one job on the sheets, and what they are called. */
export interface SharedPart extends JobOnSheet {
  readonly jobName: string;
  readonly blankName: string;
  readonly pieceCount: number;
}

/** 14,400 points of 1/72 in (ISO 32000-1, annex C). */
const LONGEST_PLAIN_PAGE_MM = 5080;

export interface SheetInput {
  readonly arranged: Arranged;
  /** The job’s own pieces; null while the wrap has no size. */
  readonly own: SharedPart | null;
  readonly others: readonly SharedPart[];
  readonly sheet: Job['sheet'];
  /** What is printed on, unless a paper is asked for. */
  readonly media: Media;
  /** The pieces are printed again, not for the first time. */
  readonly again: boolean;
  readonly jobPieces: number;
  readonly unit: 'mm' | 'in';
  readonly currency: string;
  readonly inkPct: number | null;
}

/** Sheets with their figures, and what is in the way of printing them. */
export function planSheet(input: SheetInput): SheetPlan {
  const { arranged, own } = input;
  const { printer, mirrorBy, options, paper } = arranged;
  const nothing = {
    step: 'sheet' as const,
    progress: 'todo' as const,
    figures: [],
    layout: null,
    parts: [],
    toDraw: null,
    mirrorBy,
    printer,
    paper,
    panels: null,
    inkCents: 0,
    options,
  };
  if (!own) return { ...nothing, summary: say('sheet.afterWrap'), findings: [] };
  if (paper && arranged.layout?.ok) return laidOut(input, own, paper, arranged.layout.value);
  const { id, text, summary } = whyNot(arranged, own);
  return { ...nothing, summary, findings: [finding('sheet', id, 'blocker', text)] };
}

/** Why nothing is laid, and the way out. */
function whyNot(
  { printer, options, paper, layout }: Arranged,
  own: SharedPart,
): { readonly id: string; readonly text: Message; readonly summary: Message } {
  const need = needMm(own.pattern.whole, printer.marginsMm);
  const size = say('sheet.needsAbout', { short: mm(need.shortMm), long: mm(need.longMm) });
  const cheapest = options.find((o) => o.printer.id === printer.id) ?? options[0];
  const way = cheapest
    ? say('sheet.largeEnough', { paper: cheapest.paper.name, printer: cheapest.printer.name })
    : say('sheet.paperShopLargeEnough');
  if (!paper)
    return { id: 'none', text: say('sheet.sizeWay', { size, way }), summary: say('sheet.paperFits') };
  if (!takesPaper(printer, paper))
    return {
      id: 'printer',
      text: say('sheet.doesTake', {
        printer: printer.name,
        paper: paper.name,
        widest: mm(printer.widestMm),
        which: paper.kind === 'roll' && !printer.rolls ? 'hasRoll' : 'other',
      }),
      summary: say('sheet.wrongPrinter', { paper: paper.name }),
    };
  const what = layout && !layout.ok ? layout.problem.what : '';
  return {
    id: 'fit',
    text: say('sheet.whatSizeWay', { what, size, way }),
    summary: say('sheet.doesFit', { paper: paper.name }),
  };
}

/** The parts of the layout as the lists name them. */
function namedParts(
  { jobName: job, blankName: blank, pieces }: SharedPart,
  panels: PanelPlan | null,
): readonly NamedPart[] {
  return panels
    ? panels.panels.map((p) => ({ job, blank, panel: p.number, pieces }))
    : [{ job, blank, panel: 0, pieces }];
}

function laidOut(input: SheetInput, own: SharedPart, paper: Paper, layout: SheetLayout): SheetPlan {
  const { arranged, others, sheet, inkPct } = input;
  const { printer, mirrorBy, options, panels } = arranged;
  const all = [own, ...others];
  const ruler = rulerFor(layout, input.unit);
  const pieces = all.reduce((n, t) => n + t.pieceCount, 0);
  return {
    step: 'sheet',
    progress: own.placedLayers.length > 0 ? 'done' : 'todo',
    summary: say('sheet.paperValueSheets', {
      paper: paper.name,
      value: panels ? panelsSummary(panels) : say('sheet.piecesUp', { pieces: layout.perSheet }),
      sheets: layout.sheetCount,
    }),
    figures: [
      ...sheetFigures({
        layout,
        asked: sheet.paperId !== null,
        mirrorBy,
        flat: own.pattern.form === 'flat',
        panels,
      }),
      ...costFigures({ layout, printer, currency: input.currency, inkPct, pieces }),
    ],
    findings: findingsOf(input, own, layout, ruler.rulerText),
    paper,
    layout,
    parts: [...namedParts(own, panels), ...others.flatMap((o) => namedParts(o, null))],
    toDraw: {
      layout,
      jobs: all,
      panels,
      label: {
        job: all.map((t) => t.jobName).join(' + '),
        blank: own.blankName,
        mirrored: mirrorBy === 'app',
        ...ruler,
      },
    },
    mirrorBy,
    printer,
    panels,
    options,
    inkCents: inkCentsOf(layout, printer, inkPct),
  };
}

/** Copy paper gives less dye; where the shop has no paper of the wanted kind, another is used. */
function mediaFindings(sheet: Job['sheet'], media: Media, paper: Paper): readonly Finding[] {
  if (paper.media === 'copy')
    return [finding('sheet', 'copy-paper', 'info', say('sheet.onCopyPaper', { paper: paper.name }))];
  return media === paper.media || sheet.paperId !== null
    ? []
    : [finding('sheet', 'no-media', 'warning', say('sheet.noCopyPaper', { paper: paper.name }))];
}

function findingsOf(
  { arranged, media, sheet, again, jobPieces }: SheetInput,
  { pieces }: SharedPart,
  layout: SheetLayout,
  rulerText: string,
): readonly Finding[] {
  const { panels, options } = arranged;
  const found: Finding[] = [
    ...mediaFindings(sheet, media, layout.paper),
    finding('sheet', 'ruler', 'info', say('sheet.print100FitPage', { rulerText })),
  ];
  const [whole] = options;
  if (panels && whole)
    found.push(
      finding(
        'sheet',
        'whole',
        sheet.panels.way === 'panels' ? 'info' : 'warning',
        say('sheet.printsWholeJoinCut', { printer: whole.printer.name, paper: whole.paper.name }),
      ),
    );
  const longest = Math.max(0, ...layout.sheets.map((s) => s.heightMm));
  if (longest > LONGEST_PLAIN_PAGE_MM)
    found.push(
      finding('sheet', 'long-page', 'warning', say('sheet.pageLongerThanPdf', { longest: mm(longest) })),
    );
  if (!again && pieces.length > 0 && jobPieces !== pieces.length)
    found.push(
      finding(
        'sheet',
        'pieces',
        'warning',
        say('sheet.namesListMakes', { pieces: pieces.length, jobPieces }),
      ),
    );
  const searched = panels?.joins.every((j) => j.shows !== null) ?? true;
  if (panels && sheet.panels.join === 'hidden' && !searched)
    found.push(finding('sheet', 'join', 'info', say('sheet.joinsStraightUntilHidden')));
  return found;
}

import type { Result } from '../../basics/result';
import { contourArea } from '../../geometry/contour';
import { signedArea } from '../../geometry/ring';
import type { NamedPiece } from '../../art/names';
import type { Job } from '../../job/job';
import { layoutSheet, type SheetPart, type SheetLayout } from '../../sheet/layout';
import type { Nests } from '../../sheet/nest/request';
import { sheetOptions, takesPaper, type SheetOption } from '../../sheet/options';
import { printedOutline } from '../../sheet/parts';
import type { Paper } from '../../shop/paper';
import type { Media } from '../../shop/practices';
import type { MirrorBy, Printer } from '../../shop/printer';
import { printerOf } from '../../shop/settings';
import type { Pattern } from '../../wrap/pattern';
import { panelPlan, type ArtOnPanels, type PanelPlan } from './panels';
import { USUAL_INK_PCT } from './cost';

/** Pieces of one wrap to be laid on sheets. */
export interface ToArrange {
  readonly pattern: Pattern;
  /** Pieces of the names list; none where all carry the same art. */
  readonly pieces: readonly NamedPiece[];
  readonly pieceCount: number;
}

export interface ArrangeInput extends Omit<ToArrange, 'pattern'> {
  readonly sheet: Job['sheet'];
  readonly papers: readonly Paper[];
  /** What is printed on, unless a paper is asked for. */
  readonly media: Media;
  /** The first is the shop’s usual one. */
  readonly printers: readonly Printer[];
  /** Paper asked for; null for the one that costs least. */
  readonly asked: Paper | null;
  /** Null while the wrap has no size. */
  readonly pattern: Pattern | null;
  /** Pieces of other jobs on the same sheets. */
  readonly others: readonly ToArrange[];
  /** Mean ink of the art, percent, where its pictures have been analysed. */
  readonly inkPct: number | null;
  readonly nests: Nests | undefined;
  /** The art, where panels have to keep clear of it. */
  readonly onPanels: ArtOnPanels | null;
}

/** Paper, printer and where every piece lies. */
export interface Arranged {
  readonly printer: Printer;
  readonly options: readonly SheetOption[];
  /** Null where no paper takes a piece, whole or in panels. */
  readonly paper: Paper | null;
  readonly mirrorBy: MirrorBy;
  readonly panels: PanelPlan | null;
  /** Null where there is nothing to lay, or no paper to lay it on. */
  readonly layout: Result<SheetLayout> | null;
}

const trimArea = (p: Pattern): number => p.faces.reduce((a, f) => a + Math.abs(contourArea(f.trim)), 0);
/** Ink reaches to the bleed. */
const inkArea = (p: Pattern): number => p.faces.reduce((a, f) => a + Math.abs(contourArea(f.bleed)), 0);

/** The parts of the layout that one wrap makes: one, or one a panel. */
function partsOf(
  { pattern, pieces: named, pieceCount: pieces }: ToArrange,
  panels: PanelPlan | null,
): readonly SheetPart[] {
  const alike = named.length === 0;
  if (!panels)
    return [
      {
        outline: printedOutline(pattern),
        box: pattern.whole,
        trimMm2: trimArea(pattern),
        inkMm2: inkArea(pattern),
        pieces,
        alike,
      },
    ];
  const trimMm2 = trimArea(pattern) / panels.panels.length;
  return panels.panels.map(({ outline, box }) => ({
    outline,
    box,
    trimMm2,
    inkMm2: Math.abs(signedArea(outline)),
    pieces,
    alike,
  }));
}

/** The paper that takes the fewest panels, and of those the smallest. */
function bestPanels(
  input: ArrangeInput,
  pattern: Pattern,
  papers: readonly Paper[],
  printer: Printer,
): { readonly paper: Paper; readonly panels: PanelPlan } | null {
  const tried = papers.flatMap((paper) => {
    const panels = panelPlan(input.sheet.panels, pattern, input.onPanels, paper, printer);
    return panels ? [{ paper, panels }] : [];
  });
  const size = (t: (typeof tried)[number]) =>
    t.panels.panels.length * 1e9 + t.paper.widthMm * t.paper.heightMm;
  return tried.reduce<(typeof tried)[number] | null>((a, b) => (a && size(a) <= size(b) ? a : b), null);
}

/** The papers of a kind; all where there are none of it. */
function papersOf(papers: readonly Paper[], media: Media): readonly Paper[] {
  const some = papers.filter((p) => p.media === media);
  return some.length > 0 ? some : papers;
}

type Chosen = Pick<Arranged, 'printer' | 'options' | 'paper' | 'panels'>;

/**
 * Paper and printer together. What the job says stands. Otherwise the shop’s first printer, as long as it prints every piece whole, then
 * whichever printer does, at the least cost; panels only where none does or they are asked for.
 */
function choose(input: ArrangeInput, own: ToArrange, usual: Printer): Chosen {
  const { sheet, papers, printers, asked } = input;
  const toPrint = [own, ...input.others].map(({ pattern, pieceCount }) => ({
    box: pattern.whole,
    pieces: Math.max(1, pieceCount),
    inkMm2: inkArea(pattern),
  }));
  const options = sheetOptions(papers, printers, {
    toPrint,
    gapMm: sheet.gapMm,
    mayRotate: sheet.mayRotate,
    inkPct: input.inkPct ?? USUAL_INK_PCT,
  });
  const onAsked = options.filter((o) => sheet.printerId === null || o.printer.id === usual.id);
  const ofMedia = onAsked.filter((o) => o.paper.media === input.media);
  const fitting = asked
    ? onAsked.filter((o) => o.paper.id === asked.id)
    : ofMedia.length > 0
      ? ofMedia
      : onAsked;
  const whole = fitting.find((o) => o.printer.id === usual.id) ?? fitting[0] ?? null;
  // A paper that is only too small is said to be; panels are for what no paper of that printer holds.
  const inPanels = sheet.panels.way === 'panels' || (sheet.panels.way === null && onAsked.length === 0);
  if (!inPanels)
    return { printer: whole?.printer ?? usual, options, paper: asked ?? whole?.paper ?? null, panels: null };
  const found = bestPanels(
    input,
    own.pattern,
    (asked ? [asked] : papersOf(papers, input.media)).filter((p) => takesPaper(usual, p)),
    usual,
  );
  return {
    printer: usual,
    options,
    paper: found?.paper ?? asked ?? whole?.paper ?? null,
    panels: found?.panels ?? null,
  };
}

/** Lays the pieces on the paper asked for, else on the one that costs least; in panels where none of the shop’s holds them whole. */
export function arrange(input: ArrangeInput): Arranged {
  const { sheet, pattern, others } = input;
  const usual = printerOf(input, sheet.printerId);
  const mirroredBy = (printer: Printer): MirrorBy => sheet.mirrorBy ?? printer.mirrorBy;
  if (!pattern)
    return {
      printer: usual,
      options: [],
      paper: input.asked,
      mirrorBy: mirroredBy(usual),
      panels: null,
      layout: null,
    };
  const own: ToArrange = { pattern, pieces: input.pieces, pieceCount: input.pieceCount };
  const chosen = choose(input, own, usual);
  const { printer, paper, panels } = chosen;
  const mirrorBy = mirroredBy(printer);
  if (!paper || !takesPaper(printer, paper)) return { ...chosen, mirrorBy, layout: null };
  const layout = layoutSheet({
    parts: [...partsOf(own, panels), ...others.flatMap((o) => partsOf(o, null))],
    paper,
    marginsMm: printer.marginsMm,
    gapMm: sheet.gapMm,
    mirror: mirrorBy === 'app',
    cut: sheet.cut,
    mayRotate: sheet.mayRotate,
    ...(input.nests ? { nests: input.nests } : {}),
  });
  return { ...chosen, mirrorBy, layout };
}

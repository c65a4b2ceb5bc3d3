import { sourcesOf, type Sources } from '../art/items';
import { placeArt, type PlacedLayer } from '../art/placedLayers';
import type { Finding } from '../figures/figure';
import type { Job } from '../job/job';
import { contourArea } from '../geometry/contour';
import type { Rect } from '../geometry/plane';
import { type Ring, signedArea } from '../geometry/ring';
import { layoutSheet, needMm, type Part, type SheetLayout } from '../sheet/layout';
import { sheetOptions, takesPaper, type SheetOption } from '../sheet/options';
import type { Nests } from '../sheet/nest/request';
import { driverChecklist } from '../sheet/checklist';
import { drawPages, rulerFor, type Page, type Print } from '../sheet/pages';
import type { Blank } from '../shop/blank';
import type { Paper } from '../shop/paper';
import { type MirrorBy, type Printer } from '../shop/printer';
import { printerOf } from '../shop/settings';
import type { Shop } from '../shop/shop';
import { say, type Phrase } from '../units/phrase';
import { count, mm } from '../units/quantity';
import { type Pattern } from '../wrap/pattern';
import type { ArtPlan } from './art';
import { finding, type TerracePlan } from './terracePlan';
import { panelPlan, panelsSummary, type PanelPlan } from './panels';
import { costFigures, inkCentsOf, USUAL_INK_PCT } from './sheetCost';
import { sheetFigures } from './sheetFigures';
import type { WrapPlan } from './wrap';
import { printedOutline, type NamedPart } from '../sheet/parts';

/** The art of the pieces that are printed: all of them, or those of a reprint list that are still on the job's own. */
export function printedArt(job: Job, art: ArtPlan): ArtPlan {
  if (!job.reprint) return art;
  const again = job.reprint;
  if (art.pieces.length === 0) return { ...art, pieceCount: again.length };
  const pieces = art.pieces.filter((p) => again.some((a) => a.number === p.number && a.name === p.label));
  const [first] = pieces;
  if (!first) return art;
  const placedLayers = art.board ? placeArt(job.art, art.board, first.row) : art.placedLayers;
  return { ...art, pieces, pieceCount: pieces.length, placedLayers };
}

export interface SheetPlan extends TerracePlan<'sheet'> {
  readonly paper: Paper | null;
  readonly printer: Printer;
  readonly layout: SheetLayout | null;
  readonly parts: readonly NamedPart[];
  readonly pages: readonly Page[];
  readonly sources: Sources;
  readonly mirrorBy: MirrorBy;
  readonly panels: PanelPlan | null;
  /** Papers and printers that print every piece whole, the one that costs least first. */
  readonly options: readonly SheetOption[];
  readonly checklist: readonly Phrase[];
  /** What the ink of all sheets costs, in hundredths of the shop's money. */
  readonly inkCents: number;
}

/** Another job whose pieces lie on the same sheets. */
export interface SharedJob {
  readonly job: Job;
  readonly wrap: WrapPlan;
  readonly art: ArtPlan;
  readonly blank: Blank | null;
}

/** 14,400 points of 1/72 in (ISO 32000-1, annex C). */
const LONGEST_PLAIN_PAGE_MM = 5080;

const trimArea = (p: Pattern): number => p.faces.reduce((a, f) => a + Math.abs(contourArea(f.trim)), 0);
/** Ink reaches to the bleed. */
const inkArea = (p: Pattern): number => p.faces.reduce((a, f) => a + Math.abs(contourArea(f.bleed)), 0);

interface Made {
  readonly part: Part;
  readonly print: Print;
  readonly named: NamedPart;
}

/** Art of every piece, laid out once for each different row. */
function placedLayersByPiece(job: Job, art: ArtPlan): (piece: number) => readonly PlacedLayer[] {
  const { board, pieces, placedLayers } = art;
  const rows = new Map<readonly string[] | null, readonly PlacedLayer[]>([
    [pieces[0]?.row ?? null, placedLayers],
  ]);
  return (i) => {
    const row = pieces[i]?.row ?? null;
    const known = rows.get(row);
    if (known || !board) return known ?? placedLayers;
    const made = placeArt(job.art, board, row);
    rows.set(row, made);
    return made;
  };
}

function madeOf(t: SharedJob, pattern: Pattern, panels: PanelPlan | null): readonly Made[] {
  const placedLayersOf = placedLayersByPiece(t.job, t.art);
  const { pieces } = t.art;
  const alike = pieces.length === 0;
  const nameOf = (i: number) => {
    const p = pieces[i];
    return p ? `${p.number} ${p.label}`.trim() : '';
  };
  const one = (outline: Ring, box: Rect, panel: Print['panel'], trimMm2: number, inkMm2: number): Made => ({
    part: { outline, box, trimMm2, inkMm2, pieces: t.art.pieceCount, alike },
    print: { pattern, box, panel, placedLayersOf, nameOf },
    named: { job: t.job.name, blank: t.blank?.name ?? '', panel: panel?.number ?? 0, pieces },
  });
  if (!panels)
    return [one(printedOutline(pattern), pattern.whole, null, trimArea(pattern), inkArea(pattern))];
  const of = panels.panels.length;
  return panels.panels.map((p) =>
    one(
      p.outline,
      p.box,
      { number: p.number, of, outline: p.outline, ends: p.ends },
      trimArea(pattern) / of,
      Math.abs(signedArea(p.outline)),
    ),
  );
}

const allSources = (made: readonly Made[], ts: readonly SharedJob[]): Sources =>
  Object.assign(
    {},
    ...ts.map(({ art, wrap }) => {
      const { board, pieces } = art;
      const { pattern } = wrap;
      if (!board || !pattern) return {};
      const mine = made.find((m) => m.print.pattern === pattern);
      const rows = pieces.length === 0 ? [null] : pieces;
      return Object.assign(
        {},
        ...rows.map((_, i) =>
          sourcesOf(mine?.print.placedLayersOf(i) ?? art.placedLayers, board, pattern.bleed),
        ),
      ) as Sources;
    }),
  ) as Sources;

export interface SheetPlanRequest {
  readonly job: Job;
  readonly shop: Shop;
  readonly blank: Blank | null;
  readonly wrap: WrapPlan;
  readonly art: ArtPlan;
  /** Paper asked for; null for the smallest that holds it. */
  readonly paper: Paper | null;
  readonly sharedJobs: readonly SharedJob[];
  /** Mean ink of the art, percent, where its pictures have been analysed. */
  readonly inkPct: number | null;
  readonly nests: Nests | undefined;
}

/** Where the sheets are printed, and what else would print them. */
interface Chosen {
  readonly printer: Printer;
  readonly options: readonly SheetOption[];
  /** Null where no paper takes a piece, whole or in panels. */
  readonly paper: Paper | null;
  readonly panels: PanelPlan | null;
}

/**
 * Paper and printer together. What the job says stands. Otherwise the shop’s first printer, as long as it prints every piece whole, then
 * whichever printer does, at the least cost; panels only where none does or they are asked for.
 */
function choose({ job, shop, art, inkPct, paper, sharedJobs }: SheetPlanRequest, pattern: Pattern): Chosen {
  const { printers } = shop.settings;
  const { sheet } = job;
  const asked = sheet.printerId === null ? null : printerOf(shop.settings, sheet.printerId);
  const usual = asked ?? printerOf(shop.settings, null);
  const patterns = [
    { pattern, pieces: art.pieceCount },
    ...sharedJobs.flatMap((t) =>
      t.wrap.pattern ? [{ pattern: t.wrap.pattern, pieces: t.art.pieceCount }] : [],
    ),
  ];
  const toPrint = patterns.map((p) => ({
    box: p.pattern.whole,
    pieces: Math.max(1, p.pieces),
    inkMm2: inkArea(p.pattern),
  }));
  const options = sheetOptions(shop.papers, printers, {
    toPrint,
    gapMm: sheet.gapMm,
    mayRotate: sheet.mayRotate,
    inkPct: inkPct ?? USUAL_INK_PCT,
  });
  const onAsked = options.filter((o) => !asked || o.printer.id === asked.id);
  const fitting = onAsked.filter((o) => !paper || o.paper.id === paper.id);
  const whole = fitting.find((o) => o.printer.id === usual.id) ?? fitting[0] ?? null;
  // A paper that is only too small is said to be; panels are for what no paper of that printer holds.
  const inPanels = sheet.panels.way === 'panels' || (sheet.panels.way === null && onAsked.length === 0);
  if (!inPanels)
    return { printer: whole?.printer ?? usual, options, paper: paper ?? whole?.paper ?? null, panels: null };
  const papers = (paper ? [paper] : shop.papers).filter((p) => takesPaper(usual, p));
  const found = bestPanels(job, pattern, art, papers, usual);
  return {
    printer: usual,
    options,
    paper: found?.paper ?? paper ?? whole?.paper ?? null,
    panels: found?.panels ?? null,
  };
}

/** What the file or the driver has to do about mirroring, on the printer that was found. */
const mirroredBy = (job: Job, printer: Printer): MirrorBy => job.sheet.mirrorBy ?? printer.mirrorBy;

/** Lays the pieces on the paper asked for, else on the one that costs least; in panels where none of the shop’s holds them whole. */
export function planSheet(request: SheetPlanRequest): SheetPlan {
  const { job, shop, blank, wrap, art, paper } = request;
  const { pattern } = wrap;
  const usual = printerOf(shop.settings, job.sheet.printerId);
  const nothing = {
    terrace: 'sheet' as const,
    progress: 'todo' as const,
    figures: [],
    pages: [],
    layout: null,
    parts: [],
    sources: {},
    mirrorBy: mirroredBy(job, usual),
    printer: usual,
    paper,
    panels: null,
    checklist: [],
    inkCents: 0,
    options: [],
  };
  if (!pattern || !blank) return { ...nothing, summary: say`after the wrap`, findings: [] };
  const others = request.sharedJobs.filter((t) => t.wrap.pattern !== null && t.art.pieceCount > 0);
  const chosen = choose({ ...request, sharedJobs: others }, pattern);
  const { printer, options, paper: onPaper } = chosen;
  const mirrorBy = mirroredBy(job, printer);
  const need = needMm(pattern.whole, printer.marginsMm);
  const size = say`It needs about ${mm(need.shortMm)} × ${mm(need.longMm)}.`;
  const cheapest = options.find((o) => o.printer.id === printer.id) ?? options[0];
  const way = cheapest
    ? say`${cheapest.paper.name} on ${cheapest.printer.name} holds it.`
    : say`No paper of the shop holds it. Print it in panels, or add a larger paper under Papers.`;
  const stop = (id: string, text: Phrase, summary: Phrase): SheetPlan => ({
    ...nothing,
    printer,
    mirrorBy,
    options,
    paper: onPaper,
    summary,
    findings: [finding('sheet', id, 'blocker', text)],
  });
  if (!onPaper) return stop('none', say`${size} ${way}`, say`no paper fits`);
  if (!takesPaper(printer, onPaper))
    return stop(
      'printer',
      say`${printer.name} does not take ${onPaper.name}: ${onPaper.kind === 'roll' && !printer.rolls ? say`it has no roll` : say`its widest paper is ${mm(printer.widestMm)}`}. Choose another paper or printer.`,
      say`${onPaper.name}: wrong printer`,
    );
  const { panels } = chosen;
  const ts = [{ job, wrap, art, blank }, ...others];
  const made = ts.flatMap((t, i) =>
    t.wrap.pattern ? madeOf(t, t.wrap.pattern, i === 0 ? panels : null) : [],
  );
  const placedLayers = layoutSheet({
    parts: made.map((m) => m.part),
    paper: onPaper,
    marginsMm: printer.marginsMm,
    gapMm: job.sheet.gapMm,
    mirror: mirrorBy === 'app',
    cut: job.sheet.cut,
    mayRotate: job.sheet.mayRotate,
    nests: request.nests,
  });
  if (!placedLayers.ok)
    return stop('fit', say`${placedLayers.problem.what} ${size} ${way}`, say`${onPaper.name}: does not fit`);
  const layout = placedLayers.value;
  const label = {
    job: [job.name, ...others.map((t) => t.job.name)].join(' + '),
    blank: blank.name,
    mirrored: mirrorBy === 'app',
    ...rulerFor(layout, shop.settings.units.length),
  };
  const pages = drawPages(
    layout,
    made.map((m) => m.print),
    label,
  );
  const drawable = art.placedLayers.length > 0;
  const pieces = ts.reduce((n, t) => n + t.art.pieceCount, 0);
  return {
    terrace: 'sheet',
    progress: drawable ? 'done' : 'todo',
    summary: say`${onPaper.name} · ${panels ? panelsSummary(panels) : say`${count(layout.perSheet, 'piece')} up`} · ${count(layout.sheetCount, 'sheet')}`,
    figures: [
      ...sheetFigures({
        layout,
        asked: job.sheet.paperId !== null,
        mirrorBy,
        flat: pattern.form === 'flat',
        panels,
      }),
      ...costFigures({ layout, printer, currency: shop.settings.currency, inkPct: request.inkPct, pieces }),
    ],
    findings: findingsOf({ job, art, rulerText: label.rulerText, panels, options, pages }),
    paper: onPaper,
    layout,
    parts: made.map((m) => m.named),
    pages,
    sources: allSources(made, ts),
    mirrorBy,
    printer,
    panels,
    options,
    checklist: driverChecklist(printer, onPaper, mirrorBy),
    inkCents: inkCentsOf(layout, printer, request.inkPct),
  };
}

/** The paper that takes the fewest panels, and of those the smallest. */
function bestPanels(
  job: Job,
  pattern: Pattern,
  art: ArtPlan,
  papers: readonly Paper[],
  printer: Printer,
): { readonly paper: Paper; readonly panels: PanelPlan } | null {
  const tried = papers.flatMap((p) => {
    const panels = panelPlan(job, pattern, art, p, printer);
    return panels ? [{ paper: p, panels }] : [];
  });
  const size = (t: (typeof tried)[number]) =>
    t.panels.panels.length * 1e9 + t.paper.widthMm * t.paper.heightMm;
  return tried.reduce<(typeof tried)[number] | null>((a, b) => (a && size(a) <= size(b) ? a : b), null);
}

interface FindingsRequest {
  readonly job: Job;
  readonly art: ArtPlan;
  readonly rulerText: string;
  readonly panels: PanelPlan | null;
  readonly options: readonly SheetOption[];
  readonly pages: readonly Page[];
}

function findingsOf({ job, art, rulerText, panels, options, pages }: FindingsRequest): readonly Finding[] {
  const found: Finding[] = [
    finding(
      'sheet',
      'ruler',
      'info',
      say`Print at 100 %, no “fit to page”. The bar on the sheet must measure ${rulerText}.`,
    ),
  ];
  const [whole] = options;
  if (panels && whole)
    found.push(
      finding(
        'sheet',
        'whole',
        job.sheet.panels.way === 'panels' ? 'info' : 'warning',
        say`${whole.printer.name} prints it whole on ${whole.paper.name}: no join to cut, lay and hide.`,
      ),
    );
  const longest = Math.max(0, ...pages.map((p) => p.heightMm));
  if (longest > LONGEST_PLAIN_PAGE_MM)
    found.push(
      finding(
        'sheet',
        'long-page',
        'warning',
        say`A page of ${mm(longest)} is longer than a PDF counts in points, so this file counts in larger units. A program that does not know them prints it too small: check the bar.`,
      ),
    );
  if (!job.reprint && art.pieces.length > 0 && job.pieces !== art.pieces.length)
    found.push(
      finding(
        'sheet',
        'pieces',
        'warning',
        say`The names list makes ${count(art.pieces.length, 'piece')}, the job says ${String(job.pieces)}. The sheets follow the list.`,
      ),
    );
  const searched = panels?.joins.every((j) => j.shows !== null) ?? true;
  if (panels && job.sheet.panels.join === 'hidden' && !searched)
    found.push(
      finding(
        'sheet',
        'join',
        'info',
        say`The joins run straight until a hidden path has been looked for. Look for it under Panels.`,
      ),
    );
  return found;
}

import { sourcesOf, type Sources } from '../art/items';
import { layArt, type Laid } from '../art/lay';
import type { Piece } from '../art/names';
import type { Finding } from '../figures/figure';
import type { Job } from '../job/job';
import { contourArea, flatten } from '../shapes/contour';
import type { Rect } from '../shapes/plane';
import { rectCorners } from '../art/polygon';
import type { Ring } from '../shapes/ring';
import { layoutSheet, needMm, smallestThatFits, type Part, type SheetLayout } from '../sheet/layout';
import type { Nests } from '../sheet/nest/ask';
import { driverChecklist } from '../sheet/checklist';
import { drawPages, rulerFor, type Page, type Print } from '../sheet/pages';
import type { Blank } from '../shop/blank';
import type { Paper } from '../shop/paper';
import { type MirrorBy, type Printer } from '../shop/printer';
import { printerOf } from '../shop/settings';
import type { Shop } from '../shop/shop';
import { say, type Phrase } from '../units/phrase';
import { count, mm } from '../units/quantity';
import { mainFace, type Pattern } from '../wrap/pattern';
import type { ArtSection } from './art';
import { finding, type Section } from './section';
import { panelPlan, panelsSummary, type PanelPlan } from './panels';
import { costFigures } from './sheetCost';
import { sheetFigures } from './sheetFigures';
import type { WrapSection } from './wrap';

/** A piece of the job's layout as the lists name it. */
export interface NamedPart {
  readonly job: string;
  readonly blank: string;
  /** 0 where the wrap is printed whole. */
  readonly panel: number;
  readonly pieces: readonly Piece[];
}

export interface SheetSection extends Section<'sheet'> {
  readonly paper: Paper | null;
  readonly printer: Printer;
  readonly layout: SheetLayout | null;
  readonly parts: readonly NamedPart[];
  readonly pages: readonly Page[];
  readonly sources: Sources;
  readonly mirrorBy: MirrorBy;
  readonly panels: PanelPlan | null;
  /** The smallest paper of the shop that would hold a piece. */
  readonly wouldFit: Paper | null;
  readonly checklist: readonly Phrase[];
}

/** Another job whose pieces lie on the same sheets. */
export interface Together {
  readonly job: Job;
  readonly wrap: WrapSection;
  readonly art: ArtSection;
  readonly blank: Blank | null;
}

const OUTLINE_TOLERANCE_MM = 0.03;

/** What is printed of a wrap: its bleed where that is all, else the box round bleed, grip and both faces. */
export function printedOutline(p: Pattern): Ring {
  const { whole, bleed, faces, grip } = p;
  const alone = faces.length === 1 && !grip && Math.abs(whole.width - bleed.width) < 1e-6;
  return alone ? flatten(mainFace(p).bleed, OUTLINE_TOLERANCE_MM) : rectCorners(whole);
}

const trimArea = (p: Pattern): number => p.faces.reduce((a, f) => a + Math.abs(contourArea(f.trim)), 0);

interface Made {
  readonly part: Part;
  readonly print: Print;
  readonly named: NamedPart;
}

/** Art of every piece, laid out once for each different row. */
function laidByPiece(job: Job, art: ArtSection): (piece: number) => readonly Laid[] {
  const { board, pieces, laid } = art;
  const rows = new Map<readonly string[] | null, readonly Laid[]>([[pieces[0]?.row ?? null, laid]]);
  return (i) => {
    const row = pieces[i]?.row ?? null;
    const known = rows.get(row);
    if (known || !board) return known ?? laid;
    const made = layArt(job.art, board, row);
    rows.set(row, made);
    return made;
  };
}

function madeOf(t: Together, pattern: Pattern, panels: PanelPlan | null): readonly Made[] {
  const laidOf = laidByPiece(t.job, t.art);
  const { pieces } = t.art;
  const alike = pieces.length === 0;
  const nameOf = (i: number) => {
    const p = pieces[i];
    return p ? `${p.number} ${p.label}`.trim() : '';
  };
  const one = (outline: Ring, box: Rect, panel: Print['panel'], trimMm2: number): Made => ({
    part: { outline, box, trimMm2, pieces: t.art.pieceCount, alike },
    print: { pattern, box, panel, laidOf, nameOf },
    named: { job: t.job.name, blank: t.blank?.name ?? '', panel: panel?.number ?? 0, pieces },
  });
  if (!panels) return [one(printedOutline(pattern), pattern.whole, null, trimArea(pattern))];
  const of = panels.panels.length;
  return panels.panels.map((p) =>
    one(p.outline, p.box, { number: p.number, of, outline: p.outline, ends: p.ends }, trimArea(pattern) / of),
  );
}

const allSources = (made: readonly Made[], ts: readonly Together[]): Sources =>
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
        ...rows.map((_, i) => sourcesOf(mine?.print.laidOf(i) ?? art.laid, board, pattern.bleed)),
      ) as Sources;
    }),
  ) as Sources;

export interface SheetAsk {
  readonly job: Job;
  readonly shop: Shop;
  readonly blank: Blank | null;
  readonly wrap: WrapSection;
  readonly art: ArtSection;
  /** Paper asked for; null for the smallest that holds it. */
  readonly paper: Paper | null;
  readonly together: readonly Together[];
  /** Mean ink of the art, percent, where its pictures have been looked into. */
  readonly inkPct: number | null;
  readonly nests: Nests | undefined;
}

const takes = (printer: Printer, p: Paper): boolean =>
  Math.min(p.widthMm, p.kind === 'roll' ? p.widthMm : p.heightMm) <= printer.widestMm + 0.5 &&
  (p.kind === 'sheet' || printer.rolls);

/** Lays the pieces on the paper asked for, else on the smallest the shop has that fits; in panels where none does. */
export function planSheet(ask: SheetAsk): SheetSection {
  const { job, shop, blank, wrap, art, paper } = ask;
  const printer = printerOf(shop.settings, job.sheet.printerId);
  const mirrorBy = job.sheet.mirrorBy ?? printer.mirrorBy;
  const nothing = {
    terrace: 'sheet' as const,
    progress: 'todo' as const,
    figures: [],
    pages: [],
    layout: null,
    parts: [],
    sources: {},
    mirrorBy,
    printer,
    paper,
    panels: null,
    checklist: [],
  };
  const { pattern } = wrap;
  if (!pattern || !blank) return { ...nothing, summary: say`after the wrap`, findings: [], wouldFit: null };
  const papers = shop.papers.filter((p) => takes(printer, p));
  const others = ask.together.filter((t) => t.wrap.pattern !== null && t.art.pieceCount > 0);
  const boxes = [pattern.whole, ...others.flatMap((t) => t.wrap.pattern?.whole ?? [])];
  const fitting = { marginsMm: printer.marginsMm, turning: job.sheet.turning };
  const wouldFit = smallestThatFits(boxes, fitting, papers);
  const wanted = job.sheet.panels.way === 'panels' || (job.sheet.panels.way === null && !wouldFit);
  const onPanels = wanted ? bestPanels(job, pattern, art, paper ? [paper] : papers, printer) : null;
  const onPaper = onPanels?.paper ?? paper ?? wouldFit;
  const need = needMm(pattern.whole, printer.marginsMm);
  const size = say`It needs about ${mm(need.shortMm)} × ${mm(need.longMm)}.`;
  const way = wouldFit
    ? say`${wouldFit.name} holds it.`
    : say`No paper ${printer.name} takes holds it. Print it in panels, or add a larger paper under Papers.`;
  const stop = (id: string, text: Phrase, summary: Phrase): SheetSection => ({
    ...nothing,
    paper: onPaper,
    summary,
    findings: [finding('sheet', id, 'stop', text)],
    wouldFit,
  });
  if (!onPaper) return stop('none', say`${size} ${way}`, say`no paper fits`);
  if (!takes(printer, onPaper))
    return stop(
      'printer',
      say`${printer.name} does not take ${onPaper.name}: ${onPaper.kind === 'roll' && !printer.rolls ? say`it has no roll` : say`its widest paper is ${mm(printer.widestMm)}`}. Choose another paper or printer.`,
      say`${onPaper.name}: wrong printer`,
    );
  const panels = onPanels?.panels ?? null;
  const ts = [{ job, wrap, art, blank }, ...others];
  const made = ts.flatMap((t, i) =>
    t.wrap.pattern ? madeOf(t, t.wrap.pattern, i === 0 ? panels : null) : [],
  );
  const laid = layoutSheet({
    parts: made.map((m) => m.part),
    paper: onPaper,
    marginsMm: printer.marginsMm,
    gapMm: job.sheet.gapMm,
    mirror: mirrorBy === 'app',
    cut: job.sheet.cut,
    turning: job.sheet.turning,
    nests: ask.nests,
  });
  if (!laid.ok)
    return stop('fit', say`${laid.problem.what} ${size} ${way}`, say`${onPaper.name}: does not fit`);
  const layout = laid.value;
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
  const drawable = art.laid.length > 0;
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
      ...costFigures({ layout, printer, currency: shop.settings.currency, inkPct: ask.inkPct, pieces }),
    ],
    findings: findingsOf(job, art, label.rulerText, panels),
    paper: onPaper,
    layout,
    parts: made.map((m) => m.named),
    pages,
    sources: allSources(made, ts),
    mirrorBy,
    printer,
    panels,
    wouldFit,
    checklist: driverChecklist(printer, onPaper, mirrorBy),
  };
}

/** The paper that takes the fewest panels, and of those the smallest. */
function bestPanels(
  job: Job,
  pattern: Pattern,
  art: ArtSection,
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

function findingsOf(
  job: Job,
  art: ArtSection,
  rulerText: string,
  panels: PanelPlan | null,
): readonly Finding[] {
  const found: Finding[] = [
    finding(
      'sheet',
      'ruler',
      'note',
      say`Print at 100 %, no “fit to page”. The bar on the sheet must measure ${rulerText}.`,
    ),
  ];
  if (art.pieces.length > 0 && job.pieces !== art.pieces.length)
    found.push(
      finding(
        'sheet',
        'pieces',
        'heed',
        say`The names list makes ${count(art.pieces.length, 'piece')}, the job says ${String(job.pieces)}. The sheets follow the list.`,
      ),
    );
  const searched = panels?.joins.every((j) => j.shows !== null) ?? true;
  if (panels && job.sheet.panels.join === 'hidden' && !searched)
    found.push(
      finding(
        'sheet',
        'join',
        'note',
        say`The joins run straight until a hidden path has been looked for. Look for it under Panels.`,
      ),
    );
  return found;
}

import { bareOf, boardOf, layArt, type ArtBoard, type Laid, type LaidPicture } from '../art/lay';
import { sourcesOf, type Sources } from '../art/items';
import type { PictureLook } from '../art/lookInto';
import { piecesOf, type Piece } from '../art/names';
import type { Coverage } from '../art/place';
import { figure, type Figure } from '../figures/figure';
import { blurMm } from '../heat/blur';
import type { HeatSettings } from '../heat/settings';
import type { Job } from '../job/job';
import type { Check } from '../preflight/check';
import { preflight } from '../preflight/preflight';
import { SOFT_BELOW_PPI } from '../preflight/pictures';
import type { Blank } from '../shop/blank';
import type { Printer } from '../shop/printer';
import { say, type Phrase } from '../units/phrase';
import { count, mm, ppi } from '../units/quantity';
import { mainFace } from '../wrap/pattern';
import { finding, type Section } from './section';
import type { WrapSection } from './wrap';

export interface ArtSection extends Section<'art'> {
  /** Null while the wrap has no size. */
  readonly board: ArtBoard | null;
  /** The layers of the first piece, bottom first. */
  readonly laid: readonly Laid[];
  readonly coverage: Coverage | null;
  /** What its pictures are drawn from. */
  readonly sources: Sources;
  /** Pieces of the names list; none where all are alike. */
  readonly pieces: readonly Piece[];
  /** How many there are in all. */
  readonly pieceCount: number;
  readonly checks: readonly Check[];
}

/** The lowest picture: what the wrap is filled with. */
const groundOf = (laid: readonly Laid[]) => laid.find((l) => l.kind === 'picture');

function pictureFigures({ placed, ref }: LaidPicture, at: number, flat: boolean): Figure[] {
  const suffix = at === 0 ? '' : `-${at + 1}`;
  const name = at === 0 ? 'Picture' : `Picture ${at + 1}`;
  return [
    figure({
      id: `art.size${suffix}`,
      label: `${name}, printed`,
      quantity: mm(placed.widthMm),
      origin: 'reckoned',
      working: say`wide, ${mm(placed.heightMm)} tall, from ${String(ref.widthPx)} × ${String(ref.heightPx)} px`,
      inputs: flat ? ['wrap.size'] : ['wrap.length', 'wrap.height'],
    }),
    figure({
      id: `art.ppi${suffix}`,
      label: at === 0 ? 'Fineness' : `Fineness, ${at + 1}`,
      quantity: ppi(placed.ppi),
      origin: 'reckoned',
      working: say`pixels to the inch at this size; ${ppi(SOFT_BELOW_PPI)} or more is sharp in the hand`,
      arithmetic: [say`${String(ref.widthPx)} px over ${mm(placed.widthMm)} = ${ppi(placed.ppi)}`],
      inputs: [`art.size${suffix}`],
    }),
  ];
}

function figuresOf(laid: readonly Laid[], flat: boolean): Figure[] {
  const pictures = laid.flatMap((l) => (l.kind === 'picture' ? [l] : []));
  const figures = pictures.flatMap((l, i) => pictureFigures(l, i, flat));
  const words = laid.find((l) => l.kind === 'words');
  if (words?.kind === 'words')
    figures.push(
      figure({
        id: 'art.words',
        label: 'Words',
        quantity: mm(words.set.lengthMm),
        origin: 'reckoned',
        working: say`“${words.set.text}” long, capitals ${mm(words.set.capHeightMm)}`,
      }),
    );
  return figures;
}

/** Least the picture runs past a cut edge, mm. */
const edgeBleed = ({ pattern }: WrapSection): number =>
  pattern ? Math.max(0, Math.min(-pattern.bleed.x, -pattern.bleed.y)) : 0;

function summaryOf(laid: readonly Laid[], pieces: readonly Piece[]): Phrase {
  const pictures = laid.filter((l) => l.kind === 'picture').length;
  const words = laid.flatMap((l) => (l.kind === 'words' ? [l.set.text] : []));
  if (pieces.length > 0) return say`${count(pieces.length, 'piece')} by name`;
  const [first] = words;
  if (pictures > 1) return say`${count(pictures, 'picture')}${first === undefined ? '' : `, “${first}”`}`;
  const ground = groundOf(laid);
  if (pictures === 1 && first !== undefined) return say`picture and “${first}”`;
  if (ground?.kind === 'picture') return say`${ppi(ground.placed.ppi)}`;
  return first === undefined ? say`no picture yet` : say`“${first}”`;
}

export interface ArtAsk {
  readonly job: Job;
  readonly wrap: WrapSection;
  readonly blank: Blank | null;
  readonly printer: Printer;
  readonly heat: HeatSettings | null;
  readonly looks: Readonly<Record<string, PictureLook>>;
}

export function planArt({ job, wrap, blank, printer, heat, looks }: ArtAsk): ArtSection {
  const shared = { terrace: 'art' as const };
  const { pattern } = wrap;
  if (!pattern || !blank)
    return {
      ...shared,
      progress: 'todo',
      summary: say`after the wrap`,
      figures: [],
      findings: [],
      board: null,
      laid: [],
      coverage: null,
      sources: {},
      pieces: [],
      pieceCount: 0,
      checks: [],
    };
  const board = boardOf(pattern, job.art);
  const pieces = piecesOf(job.art);
  const laid = layArt(job.art, board, pieces[0]?.row ?? null);
  const coverage = bareOf(laid, board, mainFace(pattern).name);
  const checks = preflight({
    art: job.art,
    board,
    blank,
    laid,
    coverage,
    bleedMm: edgeBleed(wrap),
    looks,
    mostInkPct: printer.mostInkPct,
    blurMm: heat && blurMm(heat),
  });
  const stopped = checks.some((c) => c.level === 'stop');
  return {
    ...shared,
    progress: stopped ? 'todo' : checks.some((c) => c.level === 'heed') ? 'ready' : 'done',
    summary: summaryOf(laid, pieces),
    figures: figuresOf(laid, pattern.form === 'flat'),
    findings: checks.map((c) => finding('art', c.id, c.level, c.text)),
    board,
    laid,
    coverage,
    sources: sourcesOf(laid, board, pattern.bleed),
    pieces,
    pieceCount: pieces.length > 0 ? pieces.length : job.pieces,
    checks,
  };
}

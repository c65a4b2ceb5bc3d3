import {
  bareOf,
  boardOf,
  placeArt,
  type ArtBoard,
  type PlacedLayer,
  type PlacedPicture,
} from '../../art/placedLayers';
import { sourcesOf, type Sources } from '../../art/items';
import type { ImageAnalysis } from '../../art/analyseImage';
import type { NamedPiece } from '../../art/names';
import type { BareAreas } from '../../art/pictureTransform';
import { figure, type Figure } from '../../figures/figure';
import type { Art } from '../../job/art';
import type { Check } from '../../preflight/check';
import { preflight } from '../../preflight/preflight';
import { SOFT_BELOW_PPI } from '../../preflight/pictures';
import type { Blank } from '../../shop/blank';
import { say, type Message } from '../../message/message';
import { mm, ppi } from '../../message/quantity';
import { mainFace, type Pattern } from '../../wrap/pattern';
import { finding, type StepPlan } from '../stepPlan';

export interface ArtPlan extends StepPlan<'art'> {
  /** Null while the wrap has no size. */
  readonly board: ArtBoard | null;
  /** The layers of the first piece, bottom first. */
  readonly placedLayers: readonly PlacedLayer[];
  readonly bareAreas: BareAreas | null;
  /** What its pictures are drawn from. */
  readonly sources: Sources;
  /** Pieces of the names list; none where all are alike. */
  readonly pieces: readonly NamedPiece[];
  /** How many there are in all. */
  readonly pieceCount: number;
  readonly checks: readonly Check[];
}

/** The lowest picture: what the wrap is filled with. */
const groundOf = (placedLayers: readonly PlacedLayer[]) => placedLayers.find((l) => l.kind === 'picture');

function pictureFigures({ transform, ref }: PlacedPicture, at: number, flat: boolean): Figure[] {
  const suffix = at === 0 ? '' : `-${at + 1}`;
  const name = at === 0 ? say('common.picture') : say('art.pictureNumber', { number: at + 1 });
  return [
    figure({
      id: `art.size${suffix}`,
      label: say('art.printed', { name }),
      quantity: mm(transform.widthMm),
      origin: 'calculated',
      working: say('art.wideTallFromPx', {
        height: mm(transform.heightMm),
        widthPx: ref.widthPx,
        heightPx: ref.heightPx,
      }),
      inputs: flat ? ['wrap.size'] : ['wrap.length', 'wrap.height'],
    }),
    figure({
      id: `art.ppi${suffix}`,
      label: at === 0 ? say('art.resolution') : say('art.resolution2', { at: at + 1 }),
      quantity: ppi(transform.ppi),
      origin: 'calculated',
      working: say('art.pixelsInchSizeMore', { softBelow: ppi(SOFT_BELOW_PPI) }),
      arithmetic: [
        say('art.pxOver', { widthPx: ref.widthPx, width: mm(transform.widthMm), ppi: ppi(transform.ppi) }),
      ],
      inputs: [`art.size${suffix}`],
    }),
  ];
}

function figuresOf(placedLayers: readonly PlacedLayer[], flat: boolean): Figure[] {
  const pictures = placedLayers.flatMap((l) => (l.kind === 'picture' ? [l] : []));
  const figures = pictures.flatMap((l, i) => pictureFigures(l, i, flat));
  const words = placedLayers.find((l) => l.kind === 'text');
  if (words?.kind === 'text')
    figures.push(
      figure({
        id: 'art.words',
        label: say('art.text'),
        quantity: mm(words.set.lengthMm),
        origin: 'calculated',
        working: say('art.longCapitals', { set: words.set.text, capHeight: mm(words.set.capHeightMm) }),
      }),
    );
  return figures;
}

/** Least the picture runs past a cut edge, mm. */
const edgeBleed = (pattern: Pattern): number => Math.max(0, Math.min(-pattern.bleed.x, -pattern.bleed.y));

function summaryOf(placedLayers: readonly PlacedLayer[], pieces: readonly NamedPiece[]): Message {
  const pictures = placedLayers.filter((l) => l.kind === 'picture').length;
  const words = placedLayers.flatMap((l) => (l.kind === 'text' ? [l.set.text] : []));
  if (pieces.length > 0) return say('art.pieces', { pieces: pieces.length });
  const [first] = words;
  if (pictures > 1)
    return say('art.picturesFirst', {
      pictures,
      first: first ?? '',
      which: first === undefined ? 'none' : 'other',
    });
  const ground = groundOf(placedLayers);
  if (pictures === 1 && first !== undefined) return say('art.pictureAnd', { first });
  if (ground?.kind === 'picture') return say('common.amount', { amount: ppi(ground.transform.ppi) });
  return first === undefined ? say('art.pictureYet') : say('art.first', { first });
}

export interface PlaceInput {
  readonly art: Art;
  readonly pattern: Pattern | null;
  readonly flat: boolean;
  /** Pieces of the names list; none where all are alike. */
  readonly pieces: readonly NamedPiece[];
}

/** Art laid out for the first piece. */
export type PlacedArt = Pick<
  ArtPlan,
  'board' | 'placedLayers' | 'bareAreas' | 'sources' | 'pieces' | 'summary' | 'figures'
>;

const NOTHING_PLACED: PlacedArt = {
  board: null,
  placedLayers: [],
  bareAreas: null,
  sources: {},
  pieces: [],
  summary: say('sheet.afterWrap'),
  figures: [],
};

/** Lays the art out on the wrap; nothing while the wrap has no size. */
export function planPlacedArt({ art, pattern, flat, pieces }: PlaceInput): PlacedArt {
  if (!pattern) return NOTHING_PLACED;
  const board = boardOf(pattern, art);
  const placedLayers = placeArt(art, board, pieces[0]?.row ?? null);
  return {
    board,
    placedLayers,
    bareAreas: bareOf(placedLayers, board, mainFace(pattern).name),
    sources: sourcesOf(placedLayers, board, pattern.bleed),
    pieces,
    summary: summaryOf(placedLayers, pieces),
    figures: figuresOf(placedLayers, flat),
  };
}

export interface CheckArtInput {
  readonly art: Art;
  readonly placed: PlacedArt;
  readonly blank: Blank | null;
  readonly pattern: Pattern | null;
  /** What was found in the names list. */
  readonly ofNames: readonly Check[];
  readonly mostInkPct: number;
  /** How far dye spreads at the settings, mm; null while nothing is known of the press. */
  readonly blurMm: number | null;
  readonly analyses: Readonly<Record<string, ImageAnalysis>>;
}

/** The findings of the art before printing. */
export function checkArt(input: CheckArtInput): readonly Check[] {
  const { art, placed, blank, pattern } = input;
  const { board, placedLayers, bareAreas } = placed;
  if (!board || !bareAreas || !blank || !pattern) return [];
  return preflight({
    art,
    board,
    blank,
    placedLayers,
    bareAreas,
    bleedMm: edgeBleed(pattern),
    analyses: input.analyses,
    ofNames: input.ofNames,
    mostInkPct: input.mostInkPct,
    blurMm: input.blurMm,
  });
}

export interface ArtInput {
  readonly placed: PlacedArt;
  readonly checks: readonly Check[];
  /** Pieces of the job where no list names them. */
  readonly jobPieces: number;
}

export function planArt({ placed, checks, jobPieces }: ArtInput): ArtPlan {
  const stopped = placed.board === null || checks.some((c) => c.level === 'blocker');
  return {
    ...placed,
    step: 'art',
    progress: stopped ? 'todo' : checks.some((c) => c.level === 'warning') ? 'ready' : 'done',
    findings: checks.map((c) => finding('art', c.id, c.level, c.text)),
    pieceCount: placed.board === null ? 0 : placed.pieces.length > 0 ? placed.pieces.length : jobPieces,
    checks,
  };
}

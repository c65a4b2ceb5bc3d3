import type { ArtBoard, Laid, LaidPicture, LaidWords } from '../art/lay';
import type { PictureLook } from '../art/lookInto';
import type { Coverage } from '../art/place';
import type { Level } from '../figures/figure';
import type { Art, Placement, WordsLayer } from '../job/art';
import type { Rect } from '../shapes/plane';
import type { Blank } from '../shop/blank';
import type { Phrase } from '../units/phrase';

/** What one tap changes to put a finding right. */
export type Mend =
  | {
      readonly kind: 'picture';
      readonly label: string;
      readonly layer: string;
      readonly placement: Partial<Placement>;
    }
  | { readonly kind: 'flip'; readonly label: string; readonly layer: string }
  | {
      readonly kind: 'words';
      readonly label: string;
      readonly layer: string;
      readonly words: Partial<Pick<WordsLayer, 'dxMm' | 'dyMm' | 'capHeightMm' | 'mostMm' | 'overlong'>>;
    };

/** Something found in the art before it is printed: how bad, where on the straight board, and the way out. */
export interface Check {
  readonly id: string;
  readonly level: Level;
  readonly text: Phrase;
  /** On the straight board, mm; empty where it concerns the whole. */
  readonly at: readonly Rect[];
  readonly mend: Mend | null;
}

/** Everything the checks may look at. */
export interface CheckInput {
  readonly art: Art;
  readonly board: ArtBoard;
  readonly blank: Blank;
  readonly laid: readonly Laid[];
  readonly coverage: Coverage;
  readonly bleedMm: number;
  /** Pixels looked into so far, by picture id. */
  readonly looks: Readonly<Record<string, PictureLook>>;
  readonly mostInkPct: number;
  /** How far dye spreads at these settings, mm; null while nothing is known of the press. */
  readonly blurMm: number | null;
}

export type PictureCheck = (l: LaidPicture, c: CheckInput) => readonly Check[];
export type WordsCheck = (l: LaidWords, c: CheckInput) => readonly Check[];

/** Can be seen on the drawing or put right with a touch, and so stands beside it. */
export const isListed = (c: Check): boolean => c.at.length > 0 || c.mend !== null;

export const check = (
  id: string,
  level: Level,
  text: Phrase,
  at: readonly Rect[] = [],
  mend: Mend | null = null,
): Check => ({ id, level, text, at, mend });

/** Distance a piece is looked at from, mm: in the hand, or one and a half times its diagonal on a wall. */
export function viewingMm(blank: Blank, trim: Rect): number {
  const inHand = 300;
  return blank.shape.kind === 'flat' ? Math.max(inHand, 1.5 * Math.hypot(trim.width, trim.height)) : inHand;
}

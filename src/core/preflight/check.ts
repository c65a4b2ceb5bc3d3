import type { ArtBoard, PlacedLayer, PlacedPicture, PlacedText } from '../art/placedLayers';
import type { ImageAnalysis } from '../art/analyseImage';
import type { BareAreas } from '../art/pictureTransform';
import type { Level } from '../figures/figure';
import type { Art, PicturePlacement, TextLayer } from '../job/art';
import type { Rect } from '../geometry/plane';
import type { Blank } from '../shop/blank';
import type { Message } from '../message/message';

/** What one tap changes to put a finding right. */
export type Fix =
  | {
      readonly kind: 'picture';
      readonly label: Message;
      readonly layer: string;
      readonly placement: Partial<PicturePlacement>;
    }
  | { readonly kind: 'flip'; readonly label: Message; readonly layer: string }
  | {
      readonly kind: 'text';
      readonly label: Message;
      readonly layer: string;
      readonly text: Partial<Pick<TextLayer, 'dxMm' | 'dyMm' | 'capHeightMm' | 'mostMm' | 'overlong'>>;
    };

/** Something found in the art before it is printed: how bad, where on the straight board, and the way out. */
export interface Check {
  readonly id: string;
  readonly level: Level;
  readonly text: Message;
  /** On the straight board, mm; empty where it concerns the whole. */
  readonly at: readonly Rect[];
  readonly fix: Fix | null;
}

/** Everything the checks may look at. */
export interface CheckInput {
  readonly art: Art;
  readonly board: ArtBoard;
  readonly blank: Blank;
  readonly placedLayers: readonly PlacedLayer[];
  readonly bareAreas: BareAreas;
  readonly bleedMm: number;
  /** Pixels analysed so far, by picture id. */
  readonly analyses: Readonly<Record<string, ImageAnalysis>>;
  /** What was found in the names list. */
  readonly ofNames: readonly Check[];
  readonly mostInkPct: number;
  /** How far dye spreads at these settings, mm; null while nothing is known of the press. */
  readonly blurMm: number | null;
}

export type PictureCheck = (l: PlacedPicture, c: CheckInput) => readonly Check[];
export type TextCheck = (l: PlacedText, c: CheckInput) => readonly Check[];

/** Can be seen on the drawing or put right with a touch, and so stands beside it. */
export const isListed = (c: Check): boolean => c.at.length > 0 || c.fix !== null;

export const check = (
  id: string,
  level: Level,
  text: Message,
  at: readonly Rect[] = [],
  fix: Fix | null = null,
): Check => ({ id, level, text, at, fix });

/** Distance a piece is looked at from, mm: in the hand, or one and a half times its diagonal on a wall. */
export function viewingMm(blank: Blank, trim: Rect): number {
  const inHand = 300;
  return blank.shape.kind === 'flat' ? Math.max(inHand, 1.5 * Math.hypot(trim.width, trim.height)) : inHand;
}

import { say, type Message } from '../message/message';
import type { Art } from '../job/art';
import { isBarrel, isHandled, type Blank } from '../shop/blank';
import type { SeamMethod, WrapKind } from '../shop/settings';

/** A single picture that covers less of the way round than this is a picture on the wall, not a wrap. */
const PICTURE_TO = 0.8;

/** Why a wrap starts with the seam method it does, in a few words. */
export const WRAP_KIND_WORDS: Readonly<Record<WrapKind, { readonly label: Message; readonly why: Message }>> =
  {
    round: { label: say('wrap.fullWraps'), why: say('wrap.pictureGoesRightRound') },
    handled: { label: say('wrap.blanksHandle'), why: say('wrap.handleStandsBetweenEnds') },
    picture: {
      label: say('wrap.singlePicture'),
      why: say('wrap.onePictureDoesReach'),
    },
    barrel: { label: say('wrap.pensBarrels'), why: say('wrap.barrelWoundOverlappingPaper') },
  };

/** Width over height of the only picture of a job, as it is seen; null where there are more, none, or it is set otherwise. */
export function singleAspect(layers: Art['layers']): number | null {
  const pictures = layers.filter((l) => l.kind === 'picture');
  const [only] = pictures;
  if (pictures.length !== 1 || !only || only.repeat !== 'none' || only.placement.rotationDeg !== 0)
    return null;
  return only.picture.widthPx / only.picture.heightPx;
}

/** What is started with, and the paper's length where a single picture decides it, mm. */
export interface WrapStart {
  readonly kind: WrapKind;
  readonly pictureMm: number | null;
}

/** The kind of wrap a job is: by its blank, and then by whether its one picture, of that width over height, reaches round. Lengths mm. */
export function wrapStart(
  aspect: number | null,
  blank: Blank,
  closingMm: number,
  heightMm: number,
): WrapStart {
  const { shape } = blank;
  if (shape.kind === 'flat') return { kind: 'round', pictureMm: null };
  if (isHandled(blank)) return { kind: 'handled', pictureMm: null };
  if (isBarrel(blank)) return { kind: 'barrel', pictureMm: null };
  const pictureMm = aspect === null ? null : aspect * heightMm;
  return pictureMm !== null && pictureMm < PICTURE_TO * closingMm
    ? { kind: 'picture', pictureMm }
    : { kind: 'round', pictureMm: null };
}

/** Margin each end that leaves paper just as long as a single picture needs, mm; null where the method has no such margin. */
export const pictureMargin = (method: SeamMethod, start: WrapStart, closingMm: number): number | null =>
  method === 'under' && start.pictureMm !== null ? (closingMm - start.pictureMm) / 2 : null;

import type { MatWork } from '../../heat/press/heaterReach';
import { isFlat, isHandled, type Blank } from '../../shop/blank';
import type { SeamMethod } from '../../shop/settings';
import { say, type Message } from '../../message/message';
import { pieceOf, type HeatedPiece } from '../heat/load';
import type { WrapJob, WrapPlan } from '../wrap/wrapPlan';
import { edgeWay } from '../wrap/wrapFlat';

/** What heat has to do with a wrap, in plain numbers and words: a change of bleed or safe zone is none for the press. Lengths mm. */
export interface ToPress {
  /** What a wrap press has to heat; null on flat blanks. */
  readonly mat: MatWork | null;
  readonly piece: HeatedPiece | null;
  /** Height of the print on a round wall; null where there is none. */
  readonly tallMm: number | null;
  /** Diameters of the printed wall; null on flat blanks. */
  readonly across: { readonly widest: number; readonly narrowest: number } | null;
  /** The piece as cut. */
  readonly trim: { readonly width: number; readonly height: number } | null;
  readonly faces: number;
  readonly seamMethod: SeamMethod;
  /** What the seam method asks of the hands; a lap says which end lies on top. */
  readonly seamStep: Message;
  /** Paper folded over the edges of a flat blank. */
  readonly wrapped: boolean;
  /** The paper stands past rim or foot and is cut there, on the piece. */
  readonly cutAtEdge: boolean;
  /** Strips at both ends to pull by. */
  readonly tails: boolean;
}

/** The widest of the wall, and how much of it is printed. */
function matWork(wrap: WrapPlan, blank: Blank): MatWork | null {
  if (!wrap.wall) return null;
  const circumferenceMm = wrap.wall.widest.value;
  const { round } = wrap;
  const longest = round
    ? Math.max(round.topArc.value, round.footArc.value) + round.lengthMm - round.closing.value
    : circumferenceMm;
  const printMm = Math.min(circumferenceMm, longest);
  return { circumferenceMm, printMm, handled: isHandled(blank) };
}

export interface ToPressInput {
  readonly wrap: WrapPlan;
  readonly blank: Blank | null;
  readonly asked: WrapJob['wrap'];
}

export function toPress({ wrap, blank, asked }: ToPressInput): ToPress | null {
  if (!blank) return null;
  const mat = matWork(wrap, blank);
  const { wall, round, pattern } = wrap;
  return {
    mat,
    piece: pieceOf(blank, wrap, mat?.circumferenceMm ?? 0),
    tallMm: round?.height.value ?? null,
    across: wall && { widest: wall.widest.value / Math.PI, narrowest: wall.narrowest.value / Math.PI },
    trim: pattern && { width: pattern.trim.width, height: pattern.trim.height },
    faces: pattern?.faces.length ?? 1,
    seamMethod: wrap.seamMethod,
    seamStep:
      wrap.seamMethod === 'lap'
        ? say('press.endTopCutClean', { lapOver: asked.lapOver })
        : wrap.note.instruction,
    cutAtEdge: pattern?.onBlank != null && !asked.standsOut,
    tails: (pattern?.tails.length ?? 0) > 0,
    wrapped: isFlat(blank) && edgeWay({ wrap: asked }, blank) === 'wrapped',
  };
}

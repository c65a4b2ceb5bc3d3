import { flatten } from '../geometry/contour';
import { rectCorners } from '../geometry/plane';
import type { Ring } from '../geometry/ring';
import { mainFace, type Pattern } from '../wrap/pattern';
import type { NamedPiece } from '../art/names';

/** A piece of the job's layout as the lists name it. */
export interface NamedPart {
  readonly job: string;
  readonly blank: string;
  /** 0 where the wrap is printed whole. */
  readonly panel: number;
  readonly pieces: readonly NamedPiece[];
}

const OUTLINE_TOLERANCE_MM = 0.03;

/** What is printed of a wrap: its bleed where that is all, else the box round bleed, grip and both faces. */
export function printedOutline(p: Pattern): Ring {
  const { whole, bleed, faces, grip, tails } = p;
  const alone =
    faces.length === 1 && !grip && tails.length === 0 && Math.abs(whole.width - bleed.width) < 1e-6;
  return alone ? flatten(mainFace(p).bleed, OUTLINE_TOLERANCE_MM) : rectCorners(whole);
}

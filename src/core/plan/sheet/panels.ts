import { boundsOf } from '../../geometry/plane';
import { fnv32, keyOf } from '../../memo/key';
import type { ArtBoard, PlacedLayer } from '../../art/placedLayers';
import type { Art } from '../../job/art';
import type { Job } from '../../job/job';
import { cutIntoPanels, type PanelRequest, type Panels } from '../../sheet/panels';
import { roomMm } from '../../sheet/layout';
import type { Paper } from '../../shop/paper';
import type { Printer } from '../../shop/printer';
import { say, type Message } from '../../message/message';
import { mm } from '../../message/quantity';
import type { Pattern } from '../../wrap/pattern';

/** Gaps between pictures narrower than this are not worth a join, mm. */
const LEAST_GAP_MM = 6;

/** The art that joins run through. */
export interface ArtOnPanels {
  readonly art: Art;
  readonly board: ArtBoard;
  readonly placedLayers: readonly PlacedLayer[];
}

/** Stretches along a straight wrap that no picture covers. */
function gapsOf(art: ArtOnPanels | null, pattern: Pattern): PanelRequest['gaps'] {
  if (!art || art.board.bend) return [];
  const { whole } = pattern;
  const spans = art.placedLayers
    .flatMap((l) => (l.kind === 'picture' ? [boundsOf(l.transform.corners)] : [l.set.box]))
    .sort((a, b) => a.x - b.x);
  const gaps: { fromMm: number; toMm: number }[] = [];
  let at = whole.x;
  for (const s of spans) {
    if (s.x - at >= LEAST_GAP_MM && at > whole.x) gaps.push({ fromMm: at, toMm: s.x });
    at = Math.max(at, s.x + s.width);
  }
  return gaps;
}

export interface PanelPlan extends Panels {
  readonly forArt: string;
  readonly steps: readonly Message[];
}

/** How to lay and tape panels, in order. */
function stepsOf(p: Panels, join: Job['sheet']['panels']['join']): readonly Message[] {
  const n = p.panels.length;
  const hidden = join === 'hidden';
  const bare = p.joins.every((j) => j.bare);
  const grid = p.columns > 1 && p.rows > 1;
  const lie = grid ? 'grid' : p.columns > 1 ? 'row' : 'column';
  return [
    say('sheet.trimEveryPanelBut', {
      lie,
      which: hidden && !bare ? 'whereInkEnds' : 'other',
      overlap: mm(bare ? 0 : p.overlapMm),
    }),
    say('sheet.layPanel1Face', { which: grid ? 'joins' : 'other' }),
    ...(n > 2 ? [say('sheet.layPanels2Each', { n, lie })] : [say('sheet.slidePanel2Under')]),
    say('sheet.tapeAlongWholeJoin'),
    say('sheet.pressSoEdgePlaten'),
  ];
}

/** The panels a wrap is cut into for one paper; null where that cannot be. Without art, as far as its size decides them. */
export function panelPlan(
  asked: Job['sheet']['panels'],
  pattern: Pattern,
  art: ArtOnPanels | null,
  paper: Paper,
  printer: Printer,
): PanelPlan | null {
  const { overlapMm, join, joins } = asked;
  const madeFor = [art?.art ?? null, pattern.whole, paper.widthMm, paper.heightMm, overlapMm];
  const forArt = art ? keyOf(madeFor) : '';
  // Joins that were stored under the shorter key of before are still joins for this art.
  const before = art ? fnv32(madeFor) : '';
  const panels = cutIntoPanels({
    whole: pattern.whole,
    rooms: roomMm({ paper, marginsMm: printer.marginsMm }),
    overlapMm,
    join,
    found: (art ? joins : []).map((j) => (j.forArt === before ? { ...j, forArt } : j)),
    forArt,
    gaps: gapsOf(art, pattern),
  });
  return panels && { ...panels, forArt, steps: stepsOf(panels, join) };
}

export const panelsSummary = (p: PanelPlan): Message => say('sheet.panels', { panels: p.panels.length });

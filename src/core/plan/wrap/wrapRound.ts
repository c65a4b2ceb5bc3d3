import { type Finding } from '../../figures/figure';
import { advisedSources } from '../../figures/improve';
import { say, inSentence } from '../../message/message';
import { fineMm, mm, ratio } from '../../message/quantity';
import { pictureMargin } from '../../wrap/startingMethod';
import { pastOf } from './past';
import { sizeRoundWrap, type Wrap } from '../../wrap/roundWrap';
import { coveredBandOf, type CoveredBand } from './coveredBand';
import { type RoundPlanInput } from './wrapPlan';
import { finding } from '../stepPlan';
import { roundFigures } from './roundFigures';
import { circumferenceRange, type MeasuredRound } from '../measure/measuredShape';
import type { PaperFit, WrapPlan } from './wrapPlan';

function lieFindings(warp: PaperFit | null, measuredShape: MeasuredRound): Finding[] {
  if (!warp) return [];
  const { cone, toleranceMm, band, usable } = warp;
  if (cone.worstLiftMm > toleranceMm + 1e-9)
    return [
      finding(
        'wrap',
        'lift',
        'warning',
        say('wrap.paperStandsOffWall', {
          worstLift: fineMm(cone.worstLiftMm),
          worstAt: mm(cone.worstAtMm),
          tolerance: fineMm(toleranceMm),
          foot: mm(usable.footMm - usable.topMm),
        }),
      ),
    ];
  const lost = measuredShape.wall.footMm - measuredShape.wall.topMm - (band.footMm - band.topMm);
  return lost > 5
    ? [finding('wrap', 'band', 'info', say('wrap.paperCannotStretchWall', { lost: mm(lost) }))]
    : [];
}

function findingsOf(input: RoundPlanInput, w: Wrap, cover: CoveredBand): Finding[] {
  const { job, shared, measuredShape } = input;
  const found: Finding[] = [...lieFindings(cover.warp, measuredShape)];
  const add = (id: string, level: Finding['level'], text: Finding['text']) =>
    found.push(finding('wrap', id, level, text));
  if (cover.slant.value < 5)
    add('height', 'blocker', say('wrap.setbacksLeaveOnlyWall', { slant: mm(cover.slant.value) }));
  if (w.lengthMm < 8)
    add(
      'length',
      'blocker',
      say('wrap.wrapLeftSizeMake', { amount: inSentence(shared.note.amount ?? say('wrap.nothingAmount')) }),
    );
  if (!cover.warp && job.wrap.standsOut && Math.min(shared.setbacks.topMm, shared.setbacks.footMm) < 0)
    add('stands-out', 'warning', say('wrap.standsOutCost'));
  if (cover.warp && Math.min(shared.setbacks.topMm, shared.setbacks.footMm) < 0)
    add('past-shaped', 'info', say('wrap.pastShaped'));
  if (measuredShape.handle && job.wrap.tailMm !== null) add('tail', 'blocker', say('wrap.tailHandle'));
  if (measuredShape.handle && shared.seamMethod === 'lap')
    add('lap', 'blocker', say('wrap.endsCannotOverlapHandle'));
  if (cover.opensMm > 1)
    add(
      'opens',
      cover.opensMm > 3 ? 'warning' : 'info',
      say('wrap.rectangleWallSizedWidest', { opens: mm(cover.opensMm) }),
    );
  if (w.pattern.safe.width <= 0 || w.pattern.safe.height <= 0)
    add('safe', 'warning', say('wrap.safeZoneSoWide'));
  if (w.seamChance < 0.9) {
    const [first] = advisedSources(w.error);
    const way = first
      ? say('wrap.largestPart', { source: inSentence(first.label), advice: first.advice })
      : say('wrap.measureAgain');
    add('chance', 'warning', say('wrap.theseReadingsSeamRight', { seamChance: ratio(w.seamChance), way }));
  }
  return found;
}

export function planRoundWrap(input: RoundPlanInput): WrapPlan {
  const { job, shared, measuredShape, blank, measure, paperMm, axis } = input;
  const cover = coveredBandOf(input);
  const tall = Math.max(0.1, cover.slant.value);
  const { wrap } = job;
  // Near enough for a margin that is shown and can be set: the paper’s own thickness is a third of a millimetre.
  const closesMm = (cover.top.value + cover.foot.value) / 2;
  const w = sizeRoundWrap({
    circumferenceTop: cover.top,
    circumferenceFoot: cover.foot,
    slant: { ...cover.slant, value: tall },
    band: cover.band,
    handle: measuredShape.handle,
    shape: blank.shape,
    paperMm,
    seamMethod: shared.seamMethod,
    amountMm:
      wrap.amountMm ??
      (wrap.seamMethod === null ? pictureMargin(shared.seamMethod, shared.start, closesMm) : null),
    seamDeg: wrap.seamDeg ?? 180,
    shrink: axis.shrink,
    print: axis,
    bleed: {
      rimMm: wrap.bleedRimMm ?? shared.bleedMm,
      footMm: wrap.bleedFootMm ?? shared.bleedMm,
      endsMm: wrap.bleedEndsMm ?? shared.bleedMm,
    },
    safeMm: shared.safeMm,
    grip: wrap.grip,
    tailMm: wrap.tailMm ?? 0,
    past: pastOf({ setbacks: shared.setbacks, shaped: cover.warp !== null }),
    ownMarks: wrap.marks,
  });
  const sized = { ...w, height: cover.slant };
  const findings = findingsOf(input, sized, cover);
  const broken = findings.some((f) => f.level === 'blocker');
  const { trim } = w.pattern;
  return {
    ...shared,
    progress: broken ? 'todo' : measure.progress === 'done' ? 'done' : 'ready',
    summary: broken
      ? say('wrap.noRoomForIt')
      : w.sector
        ? say('wrap.coneBows', {
            length: mm(w.lengthMm),
            height: mm(sized.height.value),
            topBow: mm(Math.max(Math.abs(w.sector.topBowMm), Math.abs(w.sector.footBowMm))),
          })
        : say('common.size', { width: mm(trim.width), height: mm(sized.height.value) }),
    figures: broken ? [] : roundFigures(input, sized, cover),
    findings,
    round: broken ? null : w,
    pattern: broken ? null : w.pattern,
    warp: cover.warp,
    band: cover.band,
    wall: circumferenceRange(measuredShape, cover.band),
  };
}

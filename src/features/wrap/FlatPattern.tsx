'use client';

import { memo } from 'react';
import { mm } from '@/core/message/quantity';
import type { Pattern, PencilMark } from '@/core/wrap/pattern';
import { frontAlongMm, seamForFront } from '@/core/wrap/seam';
import { ScaleDrawing, type Fit } from '@/ui/board/Board';
import { arrowStep } from '@/ui/board/drag';
import { Draggable } from '@/ui/board/Draggable';
import { Dimension } from '@/ui/board/Dimension';
import { useWords } from '@/ui/words';
import { useSources } from '../art/useSources';
import { useJob } from '../job/jobContext';
import { FrontBrackets, lineOn, longer, PatternArt, PatternLines } from './PatternDrawing';
import { nextMark, snapTo, tapeMarkMm } from './snap';

/** The paper laid flat, print side as it will be seen, every zone drawn and the front and the marks there to be dragged. */
export const FlatPattern = memo(function FlatPattern() {
  const { plan } = useJob();
  const t = useWords();
  const { urls } = useSources(plan.art.sources);
  const { pattern } = plan.wrap;
  if (!pattern)
    return (
      <p className="grid h-full place-content-center p-8 text-center text-lead">{t('art.wrapHasSizeYet')}</p>
    );
  const { trim } = pattern;
  return (
    <ScaleDrawing
      interactive
      label={t('wrap.wrapLaidFlat', { width: mm(trim.width), height: mm(trim.height) })}
      bounds={pattern.whole}
      room={{ top: 62, right: 100, bottom: 52, left: 20 }}
      draw={(fit) => (
        <>
          <PatternArt
            fit={fit}
            pattern={pattern}
            placedLayers={plan.art.placedLayers}
            sources={plan.art.sources}
            urls={urls}
          />
          <PatternLines
            fit={fit}
            pattern={pattern}
            onDark={plan.art.placedLayers.some((l) => l.kind === 'picture')}
          />
          <Sizes fit={fit} pattern={pattern} />
          {pattern.marks.map((m) => (
            <MarkLine key={m.id} fit={fit} mark={m} />
          ))}
          <FrontBrackets
            fit={fit}
            pattern={pattern}
            label={pattern.front ? t('art.seenFromFront', { well: mm(pattern.front.wellMm) }) : ''}
          />
          {pattern.front && <FrontHandle fit={fit} pattern={pattern} />}
        </>
      )}
    />
  );
});

function Sizes({ fit, pattern }: { fit: Fit; pattern: Pattern }) {
  const { plan } = useJob();
  const t = useWords();
  const { trim, whole, meets } = pattern;
  const top = fit.y(whole.y) - 22;
  const right = fit.x(whole.x + whole.width) + 16;
  const cone = pattern.form === 'cone' ? plan.wrap.round : null;
  return (
    <>
      <Dimension x1={fit.x(0)} x2={fit.x(trim.width)} y1={top} y2={top}>
        {t.quantity(mm(trim.width))}
        {cone ? t('wrap.straightAcross') : ''}
      </Dimension>
      <Dimension x1={right} x2={right} y1={fit.y(0)} y2={fit.y(trim.height)} side="right">
        {t.quantity(mm(trim.height))}
      </Dimension>
      {meets && (
        <text
          x={fit.x(meets.from.x)}
          y={fit.y(whole.y) - 46}
          textAnchor="end"
          fontSize={14}
          fontWeight={600}
          className="font-label"
          fill="#a62c14"
        >
          {t('wrap.endsMeetHere', { meetsAt: mm(pattern.meetsAtMm) })}
        </text>
      )}
      {pattern.fold && (
        <text
          x={fit.x((pattern.fold.from.x + pattern.fold.to.x) / 2)}
          y={
            fit.y(Math.min(pattern.fold.from.y, pattern.fold.to.y)) -
            (pattern.fold.from.y === pattern.fold.to.y ? 6 : 30)
          }
          textAnchor="middle"
          fontSize={14}
          fontWeight={600}
          className="font-label"
          fill="#14211f"
          paintOrder="stroke"
          stroke="#e9ede7"
          strokeWidth={4}
        >
          {t('wrap.foldHere')}
        </text>
      )}
    </>
  );
}

const clamp = (v: number, lo: number, hi: number) => Math.min(hi, Math.max(lo, v));

/** Drags the front along the paper: the seam moves the other way round the blank. */
function FrontHandle({ fit, pattern }: { fit: Fit; pattern: Pattern }) {
  const { job, plan, shop, edit } = useJob();
  const t = useWords();
  const shape = plan.blank.blank?.shape;
  const { front, roll } = pattern;
  if (!front || !roll || shape?.kind !== 'round' || shape.handle) return null;
  const turnMm = 2 * Math.PI * ((roll.cone.topRadiusMm + roll.cone.footRadiusMm) / 2);
  const at = frontAlongMm(job.wrap.seamDeg ?? 180, turnMm);
  const mark = tapeMarkMm(shop.settings);
  const put = (alongMm: number) =>
    edit((j) => ({ ...j, wrap: { ...j.wrap, seamDeg: seamForFront(alongMm, turnMm) } }), 'seam');
  const x = fit.x(front.line.from.x);
  const y = fit.y(front.line.from.y) - 10;
  return (
    <Draggable
      as="g"
      role="slider"
      tabIndex={0}
      aria-label={t('wrap.frontBlankPaper')}
      aria-valuemin={0}
      aria-valuemax={Math.round(turnMm)}
      aria-valuenow={Math.round(at)}
      aria-valuetext={t('wrap.frontFromLeftEnd', { at: mm(at) })}
      className="cursor-ew-resize touch-none"
      onKeyDown={(e) => arrowStep(e, (dx) => dx !== 0 && put(nextMark(at, mark, dx)))}
      begin={() => at}
      onDragged={(start, dx) => put(snapTo(start + dx / fit.k, mark, [turnMm / 2]))}
    >
      <rect x={x - 22} y={y - 20} width={44} height={40} fill="transparent" />
      <path d={`M ${x - 9} ${y - 12} H ${x + 9} L ${x} ${y} Z`} fill="#14211f" />
    </Draggable>
  );
}

/** A line to pencil; the person's own can be dragged along the paper. */
function MarkLine({ fit, mark }: { fit: Fit; mark: PencilMark }) {
  const { shop, edit } = useJob();
  const t = useWords();
  const step = tapeMarkMm(shop.settings);
  const line = lineOn(fit, longer(mark.line, 2));
  if (!mark.own) return <line {...line} stroke="#1d2c5e" strokeWidth={1.5} strokeDasharray="3 5" />;
  const put = (alongMm: number) => {
    const to = clamp(snapTo(alongMm, step, []), 0, 1300);
    edit(
      (j) => ({
        ...j,
        wrap: { ...j.wrap, marks: j.wrap.marks.map((m) => (m.id === mark.id ? { ...m, alongMm: to } : m)) },
      }),
      `mark-${mark.id}`,
    );
  };
  return (
    <Draggable
      as="g"
      role="slider"
      tabIndex={0}
      aria-label={t('wrap.pencilMark')}
      aria-valuenow={Math.round(mark.alongMm)}
      aria-valuetext={t('wrap.fromLeftEnd', { along: mm(mark.alongMm) })}
      className="cursor-ew-resize touch-none"
      onKeyDown={(e) => arrowStep(e, (dx) => put(mark.alongMm + dx * step))}
      begin={() => mark.alongMm}
      onDragged={(start, dx) => put(start + dx / fit.k)}
    >
      <line {...line} stroke="transparent" strokeWidth={30} />
      <line {...line} stroke="#1d2c5e" strokeWidth={2.5} strokeDasharray="6 3" />
    </Draggable>
  );
}

'use client';

import { scaleLinear } from 'd3-scale';
import { liftAt, type Band } from '@/core/shapes/band';
import { sideBounds } from '@/core/shapes/round';
import type { RoundShape } from '@/core/shop/blank';
import { fineMm, mm } from '@/core/message/quantity';
import { ScaleDrawing, type Fit } from '@/ui/board/Board';
import { RoundSide } from '@/ui/board/BlankShape';
import { arrowStep } from '@/ui/board/drag';
import { Draggable } from '@/ui/board/Draggable';
import { LengthField } from '@/ui/LengthField';
import { useWords } from '@/ui/words';
import { useJob } from '../job/jobContext';
import { FrontPicture } from './FrontPicture';
import { nextMark, snapTo, tapeMarkMm } from './snap';

type Edge = 'top' | 'foot';
const LEAST_MM = 5;
/** Paper may stand so far past rim and foot. */
const MOST_PAST_MM = 15;

/** How the paper's two edges are moved: setbacks on a straight or tapering wall, the band itself on a shaped one. */
function useEdges() {
  const { plan, job, shop, edit } = useJob();
  const { measuredShape } = plan.measure;
  const { band, warp } = plan.wrap;
  if (measuredShape?.kind !== 'round' || !band) return null;
  const { wall } = measuredShape;
  const mark = tapeMarkMm(shop.settings);
  const slope = (wall.footMm - wall.topMm) / Math.max(1e-9, measuredShape.slant.value);
  const places = [
    wall.topMm,
    wall.footMm,
    ...(warp ? [warp.usable.topMm, warp.usable.footMm] : []),
    ...job.stations.map((s) => s.fromRimMm),
  ];
  const past = warp ? 0 : MOST_PAST_MM * slope;
  const put = (edge: Edge, z0: number) => {
    const z =
      edge === 'top'
        ? Math.min(Math.max(wall.topMm - past, z0), band.footMm - LEAST_MM)
        : Math.max(Math.min(wall.footMm + past, z0), band.topMm + LEAST_MM);
    edit((j) => {
      if (warp)
        return {
          ...j,
          wrap: { ...j.wrap, band: { ...band, [edge === 'top' ? 'topMm' : 'footMm']: Math.max(0, z) } },
        };
      const off = Math.max(-MOST_PAST_MM, (edge === 'top' ? z - wall.topMm : wall.footMm - z) / slope);
      return { ...j, wrap: { ...j.wrap, [edge === 'top' ? 'topSetbackMm' : 'footSetbackMm']: off } };
    }, `edge-${edge}`);
  };
  // Where a setback counts from: marks are taken from there, and from the rim on a shaped wall.
  const origin = (edge: Edge) => (warp ? 0 : edge === 'top' ? wall.topMm : wall.footMm);
  const drag = (edge: Edge, z: number) =>
    put(
      edge,
      origin(edge) +
        snapTo(
          z - origin(edge),
          mark,
          places.map((p) => p - origin(edge)),
        ),
    );
  const step = (edge: Edge, direction: number) => {
    const z = edge === 'top' ? band.topMm : band.footMm;
    put(edge, origin(edge) + nextMark(z - origin(edge), mark, direction));
  };
  return { band, wall, warp, put, drag, step };
}

/** The blank from the side with the paper on it; drag its edges, and on a shaped wall see the gap grow. */
export function OnTheWall({ shape }: { shape: RoundShape }) {
  const { plan } = useJob();
  const t = useWords();
  const edges = useEdges();
  if (!edges) return null;
  const { band, wall, warp, drag, step } = edges;
  const { topMm, footMm } = plan.wrap.setbacks;
  return (
    <div className="flex flex-col border-r border-rule">
      <div className="px-4 pt-2">
        <EdgeField edge="top" />
      </div>
      <div className="relative min-h-40 flex-1">
        <ScaleDrawing
          interactive
          label={
            warp
              ? t('wrap.paperWallFromBelow', {
                  top: mm(band.topMm),
                  foot: mm(band.footMm),
                  worstLift: fineMm(warp.cone.worstLiftMm),
                })
              : t('wrap.wrapBlankBackFrom', { top: mm(topMm), foot: mm(footMm) })
          }
          bounds={sideBounds(shape)}
          room={{ top: 10, right: warp ? 74 : 26, bottom: 10, left: 26 }}
          draw={(fit) => (
            <>
              <RoundSide fit={fit} shape={shape} colour={plan.blank.blank?.coating.colour ?? '#ffffff'} />
              <FrontPicture fit={fit} facingRad={shape.handle ? Math.PI / 2 : 0} />
              {warp && <LiftCurve fit={fit} wall={wall} />}
              {(['top', 'foot'] as const).map((edge) => (
                <EdgeHandle
                  key={edge}
                  fit={fit}
                  edge={edge}
                  zMm={edge === 'top' ? band.topMm : band.footMm}
                  halfMm={halfAt(shape, edge === 'top' ? band.topMm : band.footMm)}
                  wall={wall}
                  onDrag={(z) => drag(edge, z)}
                  onStep={(d) => step(edge, d)}
                />
              ))}
            </>
          )}
        />
      </div>
      <div className="px-4 pb-2">
        <EdgeField edge="foot" />
      </div>
    </div>
  );
}

function halfAt(shape: RoundShape, z: number): number {
  const near = shape.sections.reduce((a, b) =>
    Math.abs(b.fromRimMm - z) < Math.abs(a.fromRimMm - z) ? b : a,
  );
  return near.diameterMm / 2;
}

/** The exact figure of an edge: a setback, or a height below the rim on a shaped wall. */
function EdgeField({ edge }: { edge: Edge }) {
  const t = useWords();
  const { job, plan, edit } = useJob();
  const edges = useEdges();
  if (!edges) return null;
  const { warp, band, wall, put } = edges;
  if (warp)
    return (
      <LengthField
        label={edge === 'top' ? t('wrap.paperFromBelowRim') : t('wrap.belowRim')}
        valueMm={edge === 'top' ? band.topMm : band.footMm}
        minMm={wall.topMm}
        maxMm={wall.footMm}
        byHand={job.wrap.band !== null}
        onValue={(v) => put(edge, v)}
        width="w-16"
      />
    );
  const key = edge === 'top' ? 'topSetbackMm' : 'footSetbackMm';
  return (
    <LengthField
      label={edge === 'top' ? t('wrap.setbackRim') : t('wrap.setbackFoot')}
      valueMm={edge === 'top' ? plan.wrap.setbacks.topMm : plan.wrap.setbacks.footMm}
      minMm={-MOST_PAST_MM}
      maxMm={390}
      signed
      byHand={job.wrap[key] !== null}
      onValue={(v) => edit((j) => ({ ...j, wrap: { ...j.wrap, [key]: v } }), `edge-${edge}`)}
      width="w-16"
    />
  );
}

/** How far the paper stands off at every height, drawn much enlarged beside the wall, with the limit dye can cross. */
function LiftCurve({ fit, wall }: { fit: Fit; wall: Band }) {
  const { plan } = useJob();
  const t = useWords();
  const { warp } = plan.wrap;
  const { measuredShape } = plan.measure;
  if (!warp || measuredShape?.kind !== 'round') return null;
  const most = Math.max(warp.toleranceMm * 2, warp.cone.worstLiftMm);
  const half = Math.max(...measuredShape.profile.nodes.map((n) => n.r));
  const from = fit.x(half) + 12;
  const x = scaleLinear([0, most], [from, from + 46]).clamp(true);
  const n = 36;
  const line = (a: number, b: number) =>
    Array.from({ length: n + 1 }, (_, i) => {
      const z = a + ((b - a) * i) / n;
      return `${x(Math.max(0, liftAt(measuredShape.profile, warp.cone, z)))},${fit.y(z)}`;
    }).join(' ');
  const over = warp.cone.worstLiftMm > warp.toleranceMm;
  return (
    <g>
      <line
        x1={from}
        x2={from}
        y1={fit.y(wall.topMm)}
        y2={fit.y(wall.footMm)}
        stroke="#14211f"
        strokeWidth={1}
      />
      <line
        x1={x(warp.toleranceMm)}
        x2={x(warp.toleranceMm)}
        y1={fit.y(wall.topMm)}
        y2={fit.y(wall.footMm)}
        stroke="#c8371b"
        strokeWidth={1}
        strokeDasharray="4 3"
      />
      <polyline
        points={line(wall.topMm, wall.footMm)}
        fill="none"
        stroke="#465552"
        strokeWidth={1}
        strokeDasharray="2 3"
      />
      <polyline
        points={line(warp.band.topMm, warp.band.footMm)}
        fill="none"
        stroke={over ? '#c8371b' : '#14211f'}
        strokeWidth={3}
      />
      <text
        x={fit.width - 4}
        y={Math.min(fit.height - 4, fit.y(wall.footMm) + 18)}
        textAnchor="end"
        fontSize={14}
        fontWeight={700}
        className="font-label"
        fill={over ? '#a62c14' : '#14211f'}
        paintOrder="stroke"
        stroke="#e9ede7"
        strokeWidth={4}
      >
        {t('wrap.lifts', { worstLift: fineMm(warp.cone.worstLiftMm) })}
      </text>
    </g>
  );
}

interface HandleProps {
  readonly fit: Fit;
  readonly edge: Edge;
  readonly zMm: number;
  readonly halfMm: number;
  readonly wall: Band;
  readonly onDrag: (zMm: number) => void;
  readonly onStep: (direction: number) => void;
}

function EdgeHandle({ fit, edge, zMm, halfMm, wall, onDrag, onStep }: HandleProps) {
  const t = useWords();
  const y = fit.y(zMm);
  const x1 = fit.x(-halfMm) - 14;
  const x2 = fit.x(halfMm) + 14;
  return (
    <Draggable
      as="g"
      role="slider"
      tabIndex={0}
      aria-label={edge === 'top' ? t('wrap.wrapEdgeRim') : t('wrap.wrapEdgeFoot')}
      aria-orientation="vertical"
      aria-valuemin={Math.round(wall.topMm)}
      aria-valuemax={Math.round(wall.footMm)}
      aria-valuenow={zMm}
      aria-valuetext={t('wrap.belowRim2', { z: mm(zMm) })}
      className="cursor-ns-resize touch-none"
      onKeyDown={(e) => arrowStep(e, (_, dy) => dy !== 0 && onStep(dy))}
      begin={() => zMm}
      onDragged={(start, _, dy) => onDrag(start + dy / fit.k)}
    >
      <rect x={x1} y={y - 14} width={x2 - x1} height={28} fill="transparent" />
      <line x1={x1} x2={x2} y1={y} y2={y} stroke="#14211f" strokeWidth={2.5} />
      <rect x={x1 - 5} y={y - 9} width={10} height={18} fill="#14211f" />
      <rect x={x2 - 5} y={y - 9} width={10} height={18} fill="#14211f" />
    </Draggable>
  );
}

'use client';

import { useWords } from '@/ui/words';
import type { ReactNode } from 'react';
import { widestMm } from '@/core/shapes/round';
import type { Blank, RoundShape } from '@/core/shop/blank';
import { Badge } from '@/ui/board/Badge';
import { ScaleDrawing, type Fit } from '@/ui/board/Board';
import { BlankShape, shapeBounds } from '@/ui/board/BlankShape';
import { ArrowLine } from '@/ui/board/Dimension';
import { arrowStep } from '@/ui/board/drag';
import { Draggable } from '@/ui/board/Draggable';
import { LengthField } from '@/ui/LengthField';
import {
  betweenMm,
  changeBetween,
  changeHole,
  changeZone,
  dimMm,
  isTyped,
  wallEnds,
  withDim,
  type Draft,
} from './draft';
import { type Dim } from './dim';

export type Change = (next: (d: Draft) => Draft) => void;

interface Props {
  readonly draft: Draft;
  readonly shape: Blank['shape'];
  readonly coating: Blank['coating'];
  readonly change: Change;
  /** Widths are written as a caliper finds them, or as a tape goes round. */
  readonly round: boolean;
}

/** The blank to scale, its lengths typed at their dimension lines. What nobody typed is drawn in proportion. */
export function Drawing(props: Props) {
  const t = useWords();
  const { draft, shape, coating } = props;
  const flat = shape.kind === 'flat';
  return (
    <div className="board-ground relative h-[25rem] border-2 border-ink">
      <ScaleDrawing
        interactive
        label={t('blank.blankTypedSoFar')}
        bounds={shapeBounds(shape)}
        room={
          flat
            ? { top: 84, right: 40, bottom: 30, left: 128 }
            : { top: 84, right: 118, bottom: 78, left: 128 }
        }
        draw={(fit) => (
          <>
            <BlankShape fit={fit} blank={{ shape, coating }} />
            {flat ? <FlatLines {...props} fit={fit} /> : <RoundLines {...props} shape={shape} fit={fit} />}
          </>
        )}
        over={(fit) =>
          flat ? <FlatEntries {...props} fit={fit} /> : <RoundEntries {...props} shape={shape} fit={fit} />
        }
      />
      {draft.start.form === 'drawn' && !draft.drawn && (
        <p className="absolute inset-0 grid place-content-center bg-board p-8 text-center text-lead">
          {t('blank.importOutlineSvgFile')}
        </p>
      )}
    </div>
  );
}

const LIMITS: Readonly<Record<Dim, readonly [number, number]>> = {
  rim: [5, 400],
  foot: [5, 400],
  height: [5, 1300],
  lip: [0, 400],
  below: [0, 400],
  handleWidth: [3, 80],
  handleFrom: [0, 400],
  handleHeight: [5, 400],
  handleReach: [5, 120],
  width: [5, 1300],
  corner: [0, 400],
};

interface EntryProps {
  readonly draft: Draft;
  readonly change: Change;
  readonly dim: Dim;
  readonly label: string;
  /** Millimetres of what is written for one of the length kept: π for a circumference. */
  readonly factor?: number;
}

/** One length of the blank: plain while it is a guess, marked once it was typed. */
export function Entry({ draft, change, dim, label, factor = 1 }: EntryProps) {
  const [min, max] = LIMITS[dim];
  return (
    <LengthField
      label={label}
      valueMm={dimMm(draft, dim) * factor}
      minMm={min * factor}
      maxMm={max * factor}
      byHand={isTyped(draft, dim)}
      guessed={!isTyped(draft, dim)}
      width="w-16"
      onValue={(v) => change((d) => withDim(d, dim, v / factor))}
    />
  );
}

/** Sets an entry down on the drawing. */
const At = ({ x, y, children }: { x: number; y: number; children: ReactNode }) => (
  <div className="absolute" style={{ left: Math.max(4, x), top: Math.max(2, y) }}>
    {children}
  </div>
);

interface RoundProps extends Props {
  readonly fit: Fit;
  readonly shape: RoundShape;
}

function RoundLines({ draft, change, shape, fit }: RoundProps) {
  const t = useWords();
  const { x, y } = fit;
  const half = widestMm(shape) / 2;
  const [rim, foot] = [dimMm(draft, 'rim') / 2, dimMm(draft, 'foot') / 2];
  const { topMm, footMm } = wallEnds(draft);
  return (
    <>
      <ArrowLine x1={x(-rim)} x2={x(rim)} y1={y(0) - 14} y2={y(0) - 14} />
      <ArrowLine x1={x(-foot)} x2={x(foot)} y1={y(shape.heightMm) + 14} y2={y(shape.heightMm) + 14} />
      <ArrowLine x1={x(-half) - 18} x2={x(-half) - 18} y1={y(0)} y2={y(shape.heightMm)} />
      {draft.between.map((b, i) => {
        const { fromRimMm, diameterMm } = betweenMm(draft, b);
        const letter = String.fromCharCode(65 + i);
        return (
          <g key={b.id}>
            <line
              x1={x(-diameterMm / 2)}
              x2={x(diameterMm / 2)}
              y1={y(fromRimMm)}
              y2={y(fromRimMm)}
              stroke="#1d2c5e"
              strokeWidth={3}
            />
            <Knob
              label={t('blank.heightWidth', { letter })}
              letter={letter}
              x={x(diameterMm / 2) + 14}
              y={y(fromRimMm)}
              value={fromRimMm}
              range={[topMm, footMm]}
              onMove={(_, dy) =>
                change((d) =>
                  changeBetween(d, b.id, {
                    fromRimMm: clampTo(Math.round(fromRimMm + dy / fit.k), topMm + 1, footMm - 1),
                  }),
                )
              }
            />
          </g>
        );
      })}
      {draft.zones.map((z, i) => (
        <Knob
          key={z.id}
          label={t('blank.placeZone', { i: i + 1 })}
          letter={String(i + 1)}
          x={x(-half) + 14}
          y={y(z.fromRimMm + z.heightMm / 2)}
          value={z.fromRimMm}
          range={[0, shape.heightMm]}
          onMove={(_, dy) =>
            change((d) =>
              changeZone(d, z.id, {
                fromRimMm: clampTo(Math.round(z.fromRimMm + dy / fit.k), 0, shape.heightMm - z.heightMm),
              }),
            )
          }
        />
      ))}
    </>
  );
}

const clampTo = (v: number, lo: number, hi: number): number => Math.min(Math.max(lo, hi), Math.max(lo, v));

interface KnobProps {
  readonly label: string;
  readonly letter: string;
  readonly x: number;
  readonly y: number;
  readonly value: number;
  readonly range: readonly [number, number];
  /** Moved by so many px since it was taken hold of; by one millimetre’s worth with an arrow. */
  readonly onMove: (dx: number, dy: number) => void;
  readonly flat?: boolean;
}

/** A lettered handle that is dragged on the drawing, or moved with the arrow keys. */
function Knob({ label, letter, x, y, value, range, onMove, flat = false }: KnobProps) {
  return (
    <Draggable
      as="g"
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-orientation={flat ? undefined : 'vertical'}
      aria-valuemin={range[0]}
      aria-valuemax={range[1]}
      aria-valuenow={value}
      className={`touch-none ${flat ? 'cursor-move' : 'cursor-ns-resize'}`}
      onKeyDown={(e) => arrowStep(e, (dx, dy) => onMove(dx, dy))}
      begin={() => onMove}
      onDragged={(move, dx, dy) => move(dx, dy)}
    >
      <rect x={x - 20} y={y - 20} width={40} height={40} fill="transparent" />
      <Badge x={x} y={y} letter={letter} />
    </Draggable>
  );
}

function RoundEntries({ draft, change, shape, fit, round }: RoundProps) {
  const t = useWords();
  const { x, y } = fit;
  const half = widestMm(shape) / 2;
  const factor = round ? Math.PI : 1;
  const of = round ? t('blank.circumference') : t('measure.diameter');
  const right = x(half + (shape.handle?.reachMm ?? 0)) + 14;
  return (
    <>
      <At x={x(0) - 46} y={y(0) - 78}>
        <Entry draft={draft} change={change} dim="rim" label={t('blank.nearRim', { of })} factor={factor} />
      </At>
      <At x={x(0) - 46} y={y(shape.heightMm) + 20}>
        <Entry draft={draft} change={change} dim="foot" label={t('blank.nearFoot', { of })} factor={factor} />
      </At>
      <At x={x(-half) - 124} y={y(shape.heightMm / 2) - 28}>
        <Entry draft={draft} change={change} dim="height" label={t('common.height')} />
      </At>
      <At x={right} y={y(0) - 26}>
        <Entry draft={draft} change={change} dim="lip" label={t('blank.lipPrint')} />
      </At>
      <At x={right} y={y(shape.heightMm) - 40}>
        <Entry draft={draft} change={change} dim="below" label={t('blank.footPrint')} />
      </At>
    </>
  );
}

interface FlatProps extends Props {
  readonly fit: Fit;
}

function FlatLines({ draft, change, fit }: FlatProps) {
  const t = useWords();
  const { x, y } = fit;
  const [w, h] = [dimMm(draft, 'width'), dimMm(draft, 'height')];
  return (
    <>
      <ArrowLine x1={x(0)} x2={x(w)} y1={y(0) - 14} y2={y(0) - 14} />
      <ArrowLine x1={x(0) - 18} x2={x(0) - 18} y1={y(0)} y2={y(h)} />
      {draft.holes.map((hole, i) => (
        <Knob
          key={hole.id}
          flat
          label={t('blank.placeOf', { which: hole.form === 'round' ? 'hole' : 'other', i: i + 1 })}
          letter={String(i + 1)}
          x={x(hole.xMm)}
          y={y(hole.yMm)}
          value={hole.yMm}
          range={[0, h]}
          onMove={(dx, dy) =>
            change((d) =>
              changeHole(d, hole.id, {
                xMm: clampTo(Math.round(hole.xMm + dx / fit.k), 0, w),
                yMm: clampTo(Math.round(hole.yMm + dy / fit.k), 0, h),
              }),
            )
          }
        />
      ))}
    </>
  );
}

function FlatEntries({ draft, change, fit }: FlatProps) {
  const t = useWords();
  const { x, y } = fit;
  const [w, h] = [dimMm(draft, 'width'), dimMm(draft, 'height')];
  return (
    <>
      <At x={x(w / 2) - 46} y={y(0) - 78}>
        <Entry draft={draft} change={change} dim="width" label={t('common.width')} />
      </At>
      <At x={x(0) - 124} y={y(h / 2) - 28}>
        <Entry draft={draft} change={change} dim="height" label={t('common.height')} />
      </At>
      {draft.start.form === 'rectangle' && (
        <At x={x(w) - 96} y={y(0) - 78}>
          <Entry draft={draft} change={change} dim="corner" label={t('blank.cornerRadius')} />
        </At>
      )}
    </>
  );
}

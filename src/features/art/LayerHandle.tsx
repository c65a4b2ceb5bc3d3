'use client';

import { apply } from '@/core/geometry/affine';
import type { ArtBoard, PlacedLayer, PlacedPicture, PlacedText } from '@/core/art/placedLayers';
import { clamp } from '@/core/geometry/plane';
import { mm } from '@/core/message/quantity';
import type { Fit } from '@/ui/board/Board';
import { arrowStep } from '@/ui/board/drag';
import { Draggable } from '@/ui/board/Draggable';
import { useWords } from '@/ui/words';
import { useJob } from '../job/jobContext';
import { px } from '../wrap/PatternDrawing';
import { useArtHand } from './artContext';
import { movedTo, withPlacement, pulled, targetsOf } from './layers';

const NUDGE_MM = 0.5;

interface Props<L extends PlacedLayer = PlacedLayer> {
  readonly fit: Fit;
  readonly placedLayers: L;
  readonly board: ArtBoard;
}

/** What a hand takes hold of: the whole layer to move it, a corner to scale it. */
export const LayerHandle = ({ placedLayers, ...rest }: Props) =>
  placedLayers.kind === 'picture' ? (
    <PictureHandle placedLayers={placedLayers} {...rest} />
  ) : (
    <TextHandle placedLayers={placedLayers} {...rest} />
  );

/** Lines a layer's middle is pulled to while it is dragged. */
function useMover(id: string, fit: Fit, board: ArtBoard) {
  const { plan, edit } = useJob();
  const shape = plan.blank.blank?.shape;
  const handled = shape?.kind === 'round' && shape.handle !== null;
  const lines = targetsOf(board.pattern, handled).map((t) => t.dxMm);
  return {
    nudge: (dxMm: number, dyMm: number) => edit(movedTo(id, dxMm, dyMm), `nudge-${id}`),
    drag: (dxMm: number, dyMm: number) =>
      edit(movedTo(id, pulled(dxMm, lines, fit.k), pulled(dyMm, [0], fit.k)), `drag-${id}`),
  };
}

function PictureHandle({ fit, placedLayers, board }: Props<PlacedPicture>) {
  const { job, edit } = useJob();
  const { chosen, choose } = useArtHand();
  const t = useWords();
  const move = useMover(placedLayers.id, fit, board);
  const layer = job.art.layers.find((l) => l.id === placedLayers.id);
  if (layer?.kind !== 'picture') return null;
  const { placement } = layer;
  const isChosen = chosen === placedLayers.id;
  const { corners, matrix } = placedLayers.transform;
  const points = corners.map((p) => `${fit.x(p.x)},${fit.y(p.y)}`).join(' ');
  const middle = apply(matrix, { x: placedLayers.ref.widthPx / 2, y: placedLayers.ref.heightPx / 2 });
  const scaleBy = (k: number) =>
    edit(
      withPlacement(placedLayers.id, { scale: clamp(placement.scale * k, 0.02, 50) }),
      `scale-${placedLayers.id}`,
    );
  return (
    <g>
      <Draggable
        as="polygon"
        points={points}
        fill="transparent"
        stroke={isChosen ? '#1d2c5e' : 'none'}
        strokeWidth={1.5}
        strokeDasharray="2 3"
        tabIndex={0}
        role="slider"
        aria-label={t('art.pictureArrowKeysMove', { ref: placedLayers.ref.name })}
        aria-valuenow={Math.round(placement.scale * 100)}
        aria-valuetext={t('art.percentMovedAcrossDown', {
          scale: Math.round(placement.scale * 100),
          dx: mm(placement.dxMm),
          dy: mm(placement.dyMm),
        })}
        className="cursor-move touch-none outline-none focus-visible:[stroke:#1d2c5e] focus-visible:[stroke-width:3]"
        onFocus={() => choose(placedLayers.id)}
        onKeyDown={(e) => {
          if (
            arrowStep(e, (dx, dy) =>
              move.nudge(placement.dxMm + dx * NUDGE_MM, placement.dyMm + dy * NUDGE_MM),
            )
          )
            return;
          if (e.key === '+' || e.key === '=') scaleBy(1.02);
          if (e.key === '-') scaleBy(1 / 1.02);
        }}
        begin={() => placement}
        onDragged={(start, dx, dy) => move.drag(start.dxMm + dx / fit.k, start.dyMm + dy / fit.k)}
      />
      {isChosen && (
        <ScaleCorner fit={fit} placedLayers={placedLayers} middle={middle} scale={placement.scale} />
      )}
      {isChosen && <SizeLabel fit={fit} placedLayers={placedLayers} />}
    </g>
  );
}

/** The size beside the picture in hand: it follows the hand that scales it. */
function SizeLabel({ fit, placedLayers }: { fit: Fit; placedLayers: PlacedPicture }) {
  const t = useWords();
  const { corners, widthMm, heightMm } = placedLayers.transform;
  // At the top: below, the caption of the front has its place.
  const highest = Math.min(...corners.map((p) => fit.y(p.y)));
  const middle = corners.reduce((s, p) => s + fit.x(p.x), 0) / corners.length;
  return (
    <text
      x={clamp(middle, 60, fit.width - 60)}
      y={clamp(highest + 20, 16, fit.height - 8)}
      textAnchor="middle"
      fontSize={14}
      fontWeight={700}
      className="pointer-events-none font-label"
      fill="#1d2c5e"
      stroke="#f8faf6"
      strokeWidth={4}
      paintOrder="stroke"
    >
      {t('common.size', { width: mm(widthMm), height: mm(heightMm) })}
    </text>
  );
}

function ScaleCorner({
  fit,
  placedLayers,
  middle,
  scale,
}: {
  fit: Fit;
  placedLayers: PlacedPicture;
  middle: { x: number; y: number };
  scale: number;
}) {
  const { edit } = useJob();
  const corner = placedLayers.transform.corners[2];
  if (!corner) return null;
  const [x, y] = [fit.x(corner.x) - fit.x(middle.x), fit.y(corner.y) - fit.y(middle.y)];
  return (
    <Draggable
      as="rect"
      x={clamp(fit.x(corner.x), 12, fit.width - 12) - 10}
      y={clamp(fit.y(corner.y), 12, fit.height - 12) - 10}
      width={20}
      height={20}
      fill="#f8faf6"
      stroke="#14211f"
      strokeWidth={2}
      className="cursor-nwse-resize touch-none"
      aria-hidden
      begin={() => ({ scale, reach: Math.hypot(x, y), x, y })}
      onDragged={(start, dx, dy) =>
        edit(
          withPlacement(placedLayers.id, {
            scale: clamp((start.scale * Math.hypot(start.x + dx, start.y + dy)) / start.reach, 0.02, 50),
          }),
          `scale-${placedLayers.id}`,
        )
      }
    />
  );
}

function TextHandle({ fit, placedLayers, board }: Props<PlacedText>) {
  const t = useWords();
  const { job } = useJob();
  const { chosen, choose } = useArtHand();
  const move = useMover(placedLayers.id, fit, board);
  const layer = job.art.layers.find((l) => l.id === placedLayers.id);
  if (layer?.kind !== 'text') return null;
  const { box } = placedLayers.set;
  // Small words on a small screen still give a finger something to hold.
  const tallMm = Math.max(box.height + 4, 28 / fit.k);
  const middleMm = box.y + box.height / 2;
  const hold = px(fit, { x: box.x - 2, y: middleMm - tallMm / 2, width: box.width + 4, height: tallMm });
  return (
    <Draggable
      as="rect"
      {...hold}
      fill="transparent"
      stroke={chosen === placedLayers.id ? '#c9b37a' : 'none'}
      strokeWidth={2}
      strokeDasharray="4 3"
      tabIndex={0}
      role="slider"
      aria-label={t('art.textArrowKeysMove', { set: placedLayers.set.text })}
      aria-valuenow={Math.round(layer.dyMm)}
      className="cursor-move touch-none"
      onFocus={() => choose(placedLayers.id)}
      onKeyDown={(e) =>
        arrowStep(e, (dx, dy) => move.nudge(layer.dxMm + dx * NUDGE_MM, layer.dyMm + dy * NUDGE_MM))
      }
      begin={() => layer}
      onDragged={(start, dx, dy) => move.drag(start.dxMm + dx / fit.k, start.dyMm + dy / fit.k)}
    />
  );
}

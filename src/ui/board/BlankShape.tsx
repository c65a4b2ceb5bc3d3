import { contourPath } from '@/core/geometry/contour';
import { holeContour, outlineContour } from '@/core/shapes/flat';
import type { Rect } from '@/core/geometry/plane';
import { handleOutline, sideBounds, sideOutline, wallOf, widestMm } from '@/core/shapes/round';
import type { Blank, FlatShape, RoundShape } from '@/core/shop/blank';
import type { Fit } from './Board';

/** Room the drawing of a blank takes, mm. */
export const shapeBounds = (shape: Blank['shape']): Rect =>
  shape.kind === 'round'
    ? sideBounds(shape)
    : { x: 0, y: 0, width: shape.outline.widthMm, height: shape.outline.heightMm };

interface RoundProps {
  readonly fit: Fit;
  readonly shape: RoundShape;
  readonly colour: string;
}

/** A round blank from the side, to scale: its wall plain, hatched where no dye goes. */
export function RoundSide({ fit, shape, colour }: RoundProps) {
  const { k, x, y } = fit;
  const outline = sideOutline(shape);
  const handle = handleOutline(shape);
  const wall = wallOf(shape);
  const half = widestMm(shape) / 2 + 1;
  const clip = `side-${outline.length}-${Math.round(k * 1000)}`;
  const into = `translate(${x(0)} ${y(0)}) scale(${k})`;
  const across = (fromMm: number, tallMm: number) => ({
    x: x(-half),
    y: y(fromMm),
    width: 2 * half * k,
    height: Math.max(0, tallMm) * k,
  });
  return (
    <g>
      {handle && <path d={handle} transform={into} fill={colour} stroke="#14211f" strokeWidth={2 / k} />}
      <clipPath id={clip}>
        <path d={outline} transform={into} />
      </clipPath>
      <path d={outline} transform={into} fill={colour} stroke="#14211f" strokeWidth={2 / k} />
      <g clipPath={`url(#${clip})`}>
        <rect {...across(0, wall.topMm)} fill="url(#hatch)" />
        <rect {...across(wall.footMm, shape.heightMm - wall.footMm)} fill="url(#hatch)" />
        {shape.exclusionZones.map((z) => {
          // Seen from the front: a patch behind is not drawn, one at the side is drawn where it comes round.
          if (z.widthMm === null)
            return <rect key={z.what} {...across(z.fromRimMm, z.heightMm)} fill="url(#hatch)" />;
          if (Math.abs(z.atDeg) > 90) return null;
          const at = (widestMm(shape) / 2) * Math.sin((z.atDeg * Math.PI) / 180);
          return (
            <rect
              key={z.what}
              x={x(at - z.widthMm / 2)}
              y={y(z.fromRimMm)}
              width={z.widthMm * k}
              height={z.heightMm * k}
              fill="url(#hatch)"
            />
          );
        })}
      </g>
      {[wall.topMm, wall.footMm].map((edge) => (
        <line
          key={edge}
          x1={x(-half)}
          x2={x(half)}
          y1={y(edge)}
          y2={y(edge)}
          stroke="#c8371b"
          strokeWidth={1.5}
          strokeDasharray="6 3"
        />
      ))}
    </g>
  );
}

/** A flat blank seen square on, to scale, with its holes. */
function FlatFace({ fit, shape, colour }: { fit: Fit; shape: FlatShape; colour: string }) {
  const { k, x, y } = fit;
  const into = `translate(${x(0)} ${y(0)}) scale(${k})`;
  const holes = shape.holes.map((h) => contourPath(holeContour(h))).join(' ');
  return (
    <g>
      <path
        d={`${contourPath(outlineContour(shape.outline))} ${holes}`}
        fillRule="evenodd"
        transform={into}
        fill={colour}
        stroke="#14211f"
        strokeWidth={2 / k}
      />
    </g>
  );
}

export function BlankShape({ fit, blank }: { fit: Fit; blank: Pick<Blank, 'shape' | 'coating'> }) {
  const { shape, coating } = blank;
  return shape.kind === 'round' ? (
    <RoundSide fit={fit} shape={shape} colour={coating.colour} />
  ) : (
    <FlatFace fit={fit} shape={shape} colour={coating.colour} />
  );
}

/** A blank small, for lists: all at one scale in their own box. */
export function BlankIcon({
  blank,
  size = 44,
  line = '#14211f',
}: {
  blank: Blank;
  size?: number;
  line?: string;
}) {
  const { shape, coating } = blank;
  const box = shapeBounds(shape);
  const k = (size - 4) / Math.max(box.width, box.height);
  const path =
    shape.kind === 'round'
      ? `${handleOutline(shape) ?? ''} ${sideOutline(shape)}`
      : [
          contourPath(outlineContour(shape.outline)),
          ...shape.holes.map((h) => contourPath(holeContour(h))),
        ].join(' ');
  const dx = size / 2 - (box.x + box.width / 2) * k;
  const dy = size / 2 - (box.y + box.height / 2) * k;
  return (
    <svg width={size} height={size} aria-hidden className="shrink-0">
      <path
        d={path}
        fillRule={shape.kind === 'flat' ? 'evenodd' : 'nonzero'}
        transform={`translate(${dx} ${dy}) scale(${k})`}
        fill={coating.colour}
        stroke={line}
        strokeWidth={1.5 / k}
      />
    </svg>
  );
}

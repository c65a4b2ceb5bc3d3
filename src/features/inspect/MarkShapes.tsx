import { middleOf, type FaceSize } from '@/core/inspect/places';
import { isOnPaper } from '@/core/inspect/faults';
import type { Mark } from '@/core/shop/mark';

/** Faults of the piece are red, those on the paper blue; their outlines differ too. */
const INK = { piece: '#c8371b', paper: '#1d2c5e' } as const;
const WIDTHS = [0, 2, 3.5, 5] as const;

interface Scale {
  readonly k: number;
  readonly x: (mm: number) => number;
  readonly y: (mm: number) => number;
}

const pointsOf = (points: readonly { readonly xMm: number; readonly yMm: number }[], fit: Scale): string =>
  points.map((s) => `${fit.x(s.xMm)},${fit.y(s.yMm)}`).join(' ');

/** One mark on a face, to scale: a diamond, a line, an edge, an area or a frame; the thicker, the worse. */
export function MarkShape({ mark, face, fit }: { mark: Mark; face: FaceSize; fit: Scale }) {
  const paper = isOnPaper(mark.fault);
  const ink = paper ? INK.paper : INK.piece;
  const width = WIDTHS[mark.severity];
  const line = { stroke: ink, strokeWidth: width, fill: 'none', strokeDasharray: paper ? '7 4' : undefined };
  const { place } = mark;
  const [w, h] = [face.widthMm, face.heightMm];
  switch (place.kind) {
    case 'point': {
      const r = 5 + 2 * mark.severity;
      const [x, y] = [fit.x(place.xMm), fit.y(place.yMm)];
      return (
        <path
          d={`M${x} ${y - r}L${x + r} ${y}L${x} ${y + r}L${x - r} ${y}Z`}
          fill={ink}
          stroke="#ffffff"
          strokeWidth={2}
        />
      );
    }
    case 'line':
      return (
        <g>
          <polyline
            points={pointsOf(place.points, fit)}
            {...line}
            stroke="#ffffff"
            strokeWidth={width + 3}
            strokeDasharray={undefined}
          />
          <polyline points={pointsOf(place.points, fit)} {...line} />
        </g>
      );
    case 'area':
      return <polygon points={pointsOf(place.points, fit)} {...line} fill={ink} fillOpacity={0.28} />;
    case 'edge': {
      const ends = {
        top: [0, 0, w, 0],
        foot: [0, h, w, h],
        left: [0, 0, 0, h],
        right: [w, 0, w, h],
      }[place.edge];
      const [x1 = 0, y1 = 0, x2 = 0, y2 = 0] = ends;
      return (
        <line
          x1={fit.x(x1)}
          y1={fit.y(y1)}
          x2={fit.x(x2)}
          y2={fit.y(y2)}
          {...line}
          strokeWidth={width + 5}
          strokeOpacity={0.8}
        />
      );
    }
    case 'all':
      return (
        <rect
          x={fit.x(0) + 3}
          y={fit.y(0) + 3}
          width={Math.max(0, fit.k * w - 6)}
          height={Math.max(0, fit.k * h - 6)}
          {...line}
          strokeOpacity={0.9}
        />
      );
  }
}

/** Where the name of a mark stands. */
export const labelAt = (mark: Mark, face: FaceSize) => middleOf(mark.place, face);

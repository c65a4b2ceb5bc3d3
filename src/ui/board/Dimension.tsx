import type { ReactNode } from 'react';

interface LineProps {
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
}

/** The line alone, an arrow tip at either end. Pixel coordinates. */
export const ArrowLine = ({ x1, y1, x2, y2 }: LineProps) => (
  <line
    x1={x1}
    y1={y1}
    x2={x2}
    y2={y2}
    stroke="#14211f"
    strokeWidth={1}
    markerStart="url(#tip)"
    markerEnd="url(#tip)"
  />
);

interface Props extends LineProps {
  readonly children: ReactNode;
  /** Side of the line the figure stands on. */
  readonly side?: 'above' | 'below' | 'left' | 'right';
  readonly quiet?: boolean;
}

/** A dimension line with its figure. Pixel coordinates. */
export function Dimension({ x1, y1, x2, y2, children, side = 'above', quiet = false }: Props) {
  const mx = (x1 + x2) / 2;
  const my = (y1 + y2) / 2;
  const at = {
    above: { x: mx, y: my - 7, anchor: 'middle' },
    below: { x: mx, y: my + 17, anchor: 'middle' },
    left: { x: mx - 8, y: my + 5, anchor: 'end' },
    right: { x: mx + 8, y: my + 5, anchor: 'start' },
  } as const;
  const { x, y, anchor } = at[side];
  return (
    <g>
      <ArrowLine x1={x1} y1={y1} x2={x2} y2={y2} />
      <text
        x={x}
        y={y}
        textAnchor={anchor}
        fontSize={quiet ? 13 : 17}
        fontWeight={600}
        className="font-label"
        fill="#14211f"
        paintOrder="stroke"
        stroke="#e9ede7"
        strokeWidth={5}
        strokeLinejoin="round"
      >
        {children}
      </text>
    </g>
  );
}

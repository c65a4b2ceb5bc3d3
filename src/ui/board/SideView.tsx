import type { SideZones } from '@/core/shapes/straight';
import type { Fit } from './Board';

interface Props {
  readonly fit: Fit;
  readonly outline: string;
  readonly zones: SideZones;
  readonly colour: string;
  readonly clear?: readonly { readonly fromTopMm: number; readonly heightMm: number }[];
}

/** A blank from the side, to scale: the straight wall plain, hatched where paper cannot lie flat or dye must not go. */
export function SideView({ fit, outline, zones, colour, clear = [] }: Props) {
  const { k, x, y } = fit;
  const clip = `side-${outline.length}-${Math.round(k * 1000)}`;
  const rect = (r: { x: number; y: number; width: number; height: number }) => ({
    x: x(r.x),
    y: y(r.y),
    width: k * r.width,
    height: k * r.height,
  });
  const { lip, wall, foot } = zones;
  return (
    <g>
      <clipPath id={clip}>
        <path d={outline} transform={`translate(${x(0)} ${y(0)}) scale(${k})`} />
      </clipPath>
      <path
        d={outline}
        transform={`translate(${x(0)} ${y(0)}) scale(${k})`}
        fill={colour}
        stroke="#14211f"
        strokeWidth={2 / k}
      />
      <g clipPath={`url(#${clip})`}>
        {[lip, foot].map((z, i) => (
          <rect key={i} {...rect(z)} fill="url(#hatch)" />
        ))}
        {clear.map((c, i) => (
          <rect
            key={i}
            {...rect({ ...wall, y: wall.y + c.fromTopMm, height: c.heightMm })}
            fill="url(#hatch)"
          />
        ))}
      </g>
      {[wall.y, wall.y + wall.height].map((edge) => (
        <line
          key={edge}
          x1={x(wall.x)}
          x2={x(wall.x + wall.width)}
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

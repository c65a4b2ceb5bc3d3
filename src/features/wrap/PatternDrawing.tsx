import { IDENTITY } from '@/core/geometry/affine';
import { faceItems, type Sources } from '@/core/art/items';
import type { PlacedLayer } from '@/core/art/placedLayers';
import { contourPath, type Contour } from '@/core/geometry/contour';
import type { Line, Rect } from '@/core/geometry/plane';
import type { Face, Pattern } from '@/core/wrap/pattern';
import type { Fit } from '@/ui/board/Board';
import { ArtItems, css as cssMatrix } from '../art/ArtItems';

export const px = (fit: Fit, r: Rect) => ({
  x: fit.x(r.x),
  y: fit.y(r.y),
  width: fit.k * r.width,
  height: fit.k * r.height,
});

export const lineOn = (fit: Fit, l: Line) => ({
  x1: fit.x(l.from.x),
  y1: fit.y(l.from.y),
  x2: fit.x(l.to.x),
  y2: fit.y(l.to.y),
});

/** Pattern millimetres to the screen. */
export const into = (fit: Fit): string => `translate(${fit.x(0)} ${fit.y(0)}) scale(${fit.k})`;
const onFace = (fit: Fit, face: Face): string => `${into(fit)} ${cssMatrix(face.matrix)}`;

interface ArtProps {
  /** Names its clips, where more than one is drawn on a page. */
  readonly id?: string;
  readonly fit: Fit;
  readonly pattern: Pattern;
  readonly placedLayers: readonly PlacedLayer[];
  readonly sources: Sources;
  readonly urls: Readonly<Record<string, string>>;
  /** White paper under the picture; left out where the caller lays its own. */
  readonly ground?: boolean;
}

/** The art as it will stand on the paper, clipped to the bleed, on every face. */
export const PatternArt = ({
  id = 'flat',
  fit,
  pattern,
  placedLayers,
  sources,
  urls,
  ground = true,
}: ArtProps) => (
  <g>
    {pattern.faces.map((face) => (
      <g key={face.name} transform={onFace(fit, face)}>
        {ground && <path d={contourPath(face.bleed)} fill="#ffffff" />}
        <ArtItems
          id={`${id}-${face.name}`}
          items={faceItems(placedLayers, face, IDENTITY)}
          sources={sources}
          urls={urls}
        />
      </g>
    ))}
  </g>
);

interface LinesProps {
  readonly fit: Fit;
  readonly pattern: Pattern;
  readonly onDark?: boolean;
}

/** One contour drawn in screen pixels' thickness at any scale. */
const Edge = ({ c, ...style }: { c: Contour } & React.SVGProps<SVGPathElement>) => (
  <path d={contourPath(c)} fill="none" vectorEffect="non-scaling-stroke" {...style} />
);

/** Trim, bleed, safe and seam zones, exclusion zones, the fold and the front. */
export function PatternLines({ fit, pattern, onDark = false }: LinesProps) {
  const { seams, meets, front, fold, grip, tails, onBlank } = pattern;
  return (
    <g>
      <g transform={into(fit)}>
        {seams.map((s, i) => (
          <path key={i} d={contourPath(s)} fill="url(#hatch-soft-mm)" />
        ))}
        {tails.map((c, i) => (
          <Edge key={i} c={c} stroke="#14211f" strokeWidth={1.2} strokeDasharray="2 3" />
        ))}
        {onBlank && <Edge c={onBlank} stroke="#1d2c5e" strokeWidth={1.6} strokeDasharray="6 2 1 2" />}
        {grip && <Edge c={grip} stroke="#14211f" strokeWidth={1.2} strokeDasharray="2 3" />}
      </g>
      {pattern.faces.map((face) => (
        <g key={face.name} transform={onFace(fit, face)}>
          <FaceLines face={face} onDark={onDark} />
        </g>
      ))}
      {meets && <line {...lineOn(fit, longer(meets, 3))} stroke="#c8371b" strokeWidth={1.5} />}
      {fold && (
        <line
          {...lineOn(fit, longer(fold, 4))}
          stroke="#14211f"
          strokeWidth={1.6}
          strokeDasharray="10 4 2 4"
        />
      )}
      {front && <line {...lineOn(fit, tip(front.line, 4))} stroke="#14211f" strokeWidth={2} />}
    </g>
  );
}

function FaceLines({ face, onDark }: { face: Face; onDark: boolean }) {
  return (
    <>
      {face.exclusionZones.map((z, i) => (
        <path
          key={i}
          d={contourPath(z.contour)}
          fill="url(#hatch-mm)"
          stroke="#c8371b"
          strokeWidth={1}
          vectorEffect="non-scaling-stroke"
        />
      ))}
      <Edge c={face.bleed} stroke="#c8371b" strokeWidth={1.5} strokeDasharray="8 4" />
      <Edge c={face.trim} stroke={onDark ? '#f8faf6' : '#14211f'} strokeWidth={onDark ? 3.5 : 1.8} />
      {onDark && <Edge c={face.trim} stroke="#14211f" strokeWidth={1.6} />}
      {face.safe.map((c, i) => (
        <g key={i}>
          {onDark && <Edge c={c} stroke="#f8faf6" strokeWidth={2.6} strokeDasharray="2 4" />}
          <Edge c={c} stroke="#14211f" strokeWidth={1.4} strokeDasharray="2 4" />
        </g>
      ))}
    </>
  );
}

const direction = ({ from, to }: Line) => {
  const length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  return { x: (to.x - from.x) / length, y: (to.y - from.y) / length };
};

/** The same line running on past both ends, mm. */
export function longer(l: Line, by: number): Line {
  const d = direction(l);
  return {
    from: { x: l.from.x - by * d.x, y: l.from.y - by * d.y },
    to: { x: l.to.x + by * d.x, y: l.to.y + by * d.y },
  };
}

/** A short stroke outwards from where a line begins, mm. */
function tip(l: Line, by: number): Line {
  const d = direction(l);
  return { from: l.from, to: { x: l.from.x - by * d.x, y: l.from.y - by * d.y } };
}

/** Brackets under the pattern: what is seen from the front, well and at all. */
export function FrontBrackets({ fit, pattern, label }: { fit: Fit; pattern: Pattern; label: string }) {
  const { front, whole } = pattern;
  if (!front) return null;
  const y = fit.y(whole.y + whole.height) + 12;
  const middle = (front.line.from.x + front.line.to.x) / 2;
  const bracket = (width: number, at: number) => {
    const x1 = fit.x(middle - width / 2);
    const x2 = fit.x(middle + width / 2);
    return `M ${x1} ${at} v 7 H ${x2} v -7`;
  };
  return (
    <g fill="none" stroke="#14211f">
      <path d={bracket(front.atAllMm, y)} strokeWidth={1} strokeDasharray="3 3" />
      <path d={bracket(front.wellMm, y)} strokeWidth={2} />
      <text
        x={fit.x(middle)}
        y={y + 24}
        textAnchor="middle"
        stroke="none"
        fill="#14211f"
        fontSize={14}
        fontWeight={600}
        className="font-label"
      >
        {label}
      </text>
    </g>
  );
}

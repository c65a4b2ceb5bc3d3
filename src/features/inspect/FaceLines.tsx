import { useWords } from '@/ui/words';
import type { Gap } from '@/core/inspect/places';
import type { SeenFace } from '@/core/shop/records';
import type { Fit } from '@/ui/board/Board';

interface Props {
  readonly fit: Fit;
  readonly face: SeenFace;
  readonly gaps: readonly Gap[] | null;
  /** What stands at both ends of a wrap. */
  readonly ends?: 'seam' | 'handle';
  /** Tape along seam and rims. */
  readonly taped: boolean;
}

const TAPE_MM = 8;
const words = { fontSize: 13, fontWeight: 600, className: 'font-label', fill: '#14211f' } as const;

/** What lies about the picture, faintly: its outline and holes, seam, rims, tape, and where the heater does not reach. */
export function FaceLines({ fit, face, gaps, taped, ends = 'seam' }: Props) {
  const t = useWords();
  const { widthMm: w, heightMm: h, rings } = face;
  const round = face.form !== 'flat';
  const rect = (x: number, y: number, width: number, height: number) => ({
    x: fit.x(x),
    y: fit.y(y),
    width: fit.k * width,
    height: fit.k * height,
  });
  const tape = Math.min(TAPE_MM, w / 6, h / 6);
  const outline = rings[0]?.map(([x, y]) => `${fit.x(x)},${fit.y(y)}`).join(' ');
  return (
    <g pointerEvents="none">
      {rings.map((ring, i) => (
        <polygon
          key={i}
          points={ring.map(([x, y]) => `${fit.x(x)},${fit.y(y)}`).join(' ')}
          fill={i === 0 ? 'none' : '#e9ede7'}
          fillOpacity={0.85}
          stroke="#14211f"
          strokeWidth={i === 0 ? 2 : 1.5}
        />
      ))}
      {gaps?.map((g) => (
        <rect key={g.fromMm} {...rect(g.fromMm, 0, g.toMm - g.fromMm, h)} fill="url(#hatch-soft)" />
      ))}
      {taped && round && outline && (
        <>
          <clipPath id="face-outline">
            <polygon points={outline} />
          </clipPath>
          {/* Inside the clip only half of the line shows. */}
          <polygon
            points={outline}
            clipPath="url(#face-outline)"
            fill="none"
            stroke="#c9b37a"
            strokeOpacity={0.4}
            strokeWidth={2 * tape * fit.k}
          />
        </>
      )}
      {round ? (
        <>
          <text x={fit.x(w / 2)} y={fit.y(0) - 6} textAnchor="middle" {...words}>
            {t('sheet.rim')}
          </text>
          <text x={fit.x(w / 2)} y={fit.y(h) + 17} textAnchor="middle" {...words}>
            {t('common.foot')}
          </text>
          <text x={fit.x(0)} y={fit.y(h) + 17} {...words}>
            {t(ends === 'seam' ? 'inspect.seam' : 'inspect.handle')}
          </text>
          <text x={fit.x(w)} y={fit.y(h) + 17} textAnchor="end" {...words}>
            {t(ends === 'seam' ? 'inspect.seam' : 'inspect.handle')}
          </text>
        </>
      ) : (
        <text x={fit.x(w / 2)} y={fit.y(h) + 17} textAnchor="middle" {...words}>
          {t('common.foot')}
        </text>
      )}
      {gaps && gaps.length > 0 && (
        <text x={fit.x((gaps[0]?.fromMm ?? 0) + 2)} y={fit.y(0) - 6} {...words} fill="#a62c14">
          {t('inspect.heaterHere')}
        </text>
      )}
    </g>
  );
}

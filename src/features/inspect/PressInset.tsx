import { useWords } from '@/ui/words';
import { say, type Message } from '@/core/message/message';
import { apply } from '@/core/geometry/affine';
import type { Lay, SeenFace } from '@/core/shop/records';

interface Props {
  readonly lay: Lay;
  readonly face: SeenFace;
  /** The piece that is looked at; null for the only one, or where nobody said. */
  readonly piece: number | null;
}

const ON_WORDS: Readonly<Record<Lay['on'], Message>> = {
  platen: say('inspect.platenFromAboveBack'),
  rack: say('inspect.rackFromAbove'),
  mat: say('inspect.heaterMatLaidFlat'),
};

/** Where the piece lay in the press, small, beside it: corners of the platen, or the mat from end to end. */
export function PressInset({ lay, face, piece }: Props) {
  const t = useWords();
  const size = 104;
  const k = size / Math.max(lay.widthMm, lay.heightMm);
  const corners = [
    { x: 0, y: 0 },
    { x: face.widthMm, y: 0 },
    { x: face.widthMm, y: face.heightMm },
    { x: 0, y: face.heightMm },
  ];
  const [w, h] = [lay.widthMm * k, lay.heightMm * k];
  return (
    <figure className="self-start border-2 border-ink bg-sheet p-1.5">
      <svg
        width={w + 4}
        height={h + 4}
        viewBox={`-2 -2 ${w + 4} ${h + 4}`}
        role="img"
        aria-label={t(ON_WORDS[lay.on])}
        className="mx-auto block"
      >
        <rect width={w} height={h} fill="#e9ede7" stroke="#14211f" strokeWidth={2} />
        {lay.pieces.map((p, i) => {
          const mine = p.piece === piece || lay.pieces.length === 1;
          return (
            <g key={i}>
              <polygon
                points={corners
                  .map((c) => apply(p.to, c))
                  .map((c) => `${c.x * k},${c.y * k}`)
                  .join(' ')}
                fill={mine ? '#3c6b57' : '#ffffff'}
                fillOpacity={mine ? 1 : 0.6}
                stroke="#14211f"
              />
              {/* Its own top left, so that a quarter turn shows. */}
              {mine && (
                <circle
                  cx={apply(p.to, { x: face.widthMm * 0.12, y: face.heightMm * 0.12 }).x * k}
                  cy={apply(p.to, { x: face.widthMm * 0.12, y: face.heightMm * 0.12 }).y * k}
                  r={3}
                  fill="#ffffff"
                />
              )}
            </g>
          );
        })}
      </svg>
      <figcaption className="mt-1 max-w-28 font-label text-fine leading-tight font-medium">
        {t(ON_WORDS[lay.on])}
      </figcaption>
    </figure>
  );
}

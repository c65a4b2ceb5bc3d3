import type { Affine } from '@/core/art/affine';
import { fontById } from '@/core/art/fonts';
import type { Placed } from '@/core/art/place';
import type { SetWords } from '@/core/art/words';
import type { PictureRef, Words } from '@/core/job/job';
import type { Rect } from '@/core/shapes/straight';
import type { Pattern } from '@/core/wrap/wrap';
import type { Fit } from '@/ui/board/Board';

const cssMatrix = (m: Affine): string => `matrix(${m.join(' ')})`;

export const px = (fit: Fit, r: Rect) => ({
  x: fit.x(r.x),
  y: fit.y(r.y),
  width: fit.k * r.width,
  height: fit.k * r.height,
});

interface ArtProps {
  /** Names its clip, where more than one is drawn on a page. */
  readonly id?: string;
  readonly fit: Fit;
  readonly pattern: Pattern;
  readonly picture: PictureRef | null;
  readonly placed: Placed | null;
  readonly url: string | null;
  readonly words: Words | null;
  readonly set: SetWords | null;
  /** Also shows, faintly, what lies outside the bleed. */
  readonly spill?: boolean;
}

/** The picture and words as they will stand on the blank, clipped to the bleed. */
export function PatternArt({
  id = 'flat',
  fit,
  pattern,
  picture,
  placed,
  url,
  words,
  set,
  spill = false,
}: ArtProps) {
  const bleed = px(fit, pattern.bleed);
  const into = `translate(${fit.x(0)} ${fit.y(0)}) scale(${fit.k})`;
  const image = placed && picture && url && (
    <g transform={into}>
      <g transform={cssMatrix(placed.matrix)}>
        <image href={url} width={picture.widthPx} height={picture.heightPx} preserveAspectRatio="none" />
      </g>
    </g>
  );
  return (
    <g>
      <clipPath id={`${id}-clip`}>
        <rect {...bleed} />
      </clipPath>
      <rect {...bleed} fill="#ffffff" />
      {spill && image && <g opacity={0.22}>{image}</g>}
      <g clipPath={`url(#${id}-clip)`}>
        {image}
        {placed && !url && <rect {...bleed} fill="#d5dbe6" />}
        {words && set && (
          <g transform={into}>
            <text
              className="letters"
              fontFamily={fontById(words.font).family}
              fontWeight={fontById(words.font).weight}
              fontSize={set.emMm}
              fill={words.colour}
              y={set.baselineMm}
              x={set.letters.map((l) => set.box.x + l.xMm).join(' ')}
            >
              {set.letters.map((l) => l.letter).join('')}
            </text>
          </g>
        )}
      </g>
    </g>
  );
}

interface LinesProps {
  readonly fit: Fit;
  readonly pattern: Pattern;
  readonly onDark?: boolean;
}

/** Trim, bleed, safe and seam zones, bands to stay clear of, and the front. */
export function PatternLines({ fit, pattern, onDark = false }: LinesProps) {
  const { trim, bleed, safe, seams, noGo, front, meetsAtMm } = pattern;
  const over = trim.width - meetsAtMm;
  const safeLine = onDark ? '#f4efe0' : '#465552';
  return (
    <g>
      {seams.map((s, i) => (
        <rect key={i} {...px(fit, s)} fill="url(#hatch-soft)" />
      ))}
      {noGo.map((z) => (
        <rect key={z.what} {...px(fit, z)} fill="url(#hatch)" />
      ))}
      <rect {...px(fit, bleed)} fill="none" stroke="#c8371b" strokeWidth={1.5} strokeDasharray="8 4" />
      <rect
        {...px(fit, trim)}
        fill="none"
        stroke={onDark ? '#f8faf6' : '#14211f'}
        strokeWidth={onDark ? 3.5 : 1.8}
      />
      {onDark && <rect {...px(fit, trim)} fill="none" stroke="#14211f" strokeWidth={1.6} />}
      {safe.width > 0 && safe.height > 0 && (
        <rect {...px(fit, safe)} fill="none" stroke={safeLine} strokeWidth={1.4} strokeDasharray="1.5 4" />
      )}
      {over > 0 && (
        <line
          x1={fit.x(meetsAtMm)}
          x2={fit.x(meetsAtMm)}
          y1={fit.y(bleed.y) - 8}
          y2={fit.y(trim.height) + 8}
          stroke="#c8371b"
          strokeWidth={1.5}
        />
      )}
      <line
        x1={fit.x(front.x)}
        x2={fit.x(front.x)}
        y1={fit.y(bleed.y)}
        y2={fit.y(bleed.y) - 9}
        stroke="#14211f"
        strokeWidth={2}
      />
    </g>
  );
}

/** Brackets under the pattern: what is seen from the front, well and at all. */
export function FrontBrackets({ fit, pattern, label }: { fit: Fit; pattern: Pattern; label: string }) {
  const { front, bleed } = pattern;
  const y = fit.y(bleed.y + bleed.height) + 12;
  const bracket = (width: number, at: number) => {
    const x1 = fit.x(front.x - width / 2);
    const x2 = fit.x(front.x + width / 2);
    return `M ${x1} ${at} v 7 H ${x2} v -7`;
  };
  return (
    <g fill="none" stroke="#14211f">
      <path d={bracket(front.atAllMm, y)} strokeWidth={1} strokeDasharray="3 3" />
      <path d={bracket(front.wellMm, y)} strokeWidth={2} />
      <text
        x={fit.x(front.x)}
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

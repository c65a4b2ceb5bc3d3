import type { Affine } from '@/core/geometry/affine';
import { fontById, type FontId } from '@/core/job/fonts';
import { sourceBox, type ArtItem, type Sources } from '@/core/art/items';
import type { Polygon } from '@/core/geometry/polygon';
import type { LetterAt } from '@/core/art/text';

export const css = (m: Affine): string => `matrix(${m.join(' ')})`;
const points = (p: Polygon): string => p.map((q) => `${q.x},${q.y}`).join(' ');

interface LettersProps {
  readonly letters: readonly LetterAt[];
  readonly emMm: number;
  readonly font: FontId;
  readonly colour: string;
}

/** Where letters stand along one straight line from the first, mm; null where each is turned its own way. */
function alongLine(letters: readonly LetterAt[]): readonly number[] | null {
  const [first] = letters;
  if (!first) return null;
  const [a, b, c, d, e, f] = first.matrix;
  const same = letters.every(({ matrix: m }) => m[0] === a && m[1] === b && m[2] === c && m[3] === d);
  return same ? letters.map(({ matrix: m }) => (m[4] - e) * a + (m[5] - f) * b) : null;
}

/** Letters each at its own place, in mm, as the sheet prints them; words on a straight line as one run, which draws faster. */
export function Letters({ letters, emMm, font, colour }: LettersProps) {
  const { family, weight } = fontById(font);
  const line = alongLine(letters);
  const [first] = letters;
  return (
    <g className="letters" fontFamily={family} fontWeight={weight} fontSize={emMm} fill={colour}>
      {line && first ? (
        <text transform={css(first.matrix)} x={line.join(' ')} y={0} xmlSpace="preserve">
          {letters.map((l) => l.letter).join('')}
        </text>
      ) : (
        letters.map((l, i) => (
          <text key={i} transform={css(l.matrix)} xmlSpace="preserve">
            {l.letter}
          </text>
        ))
      )}
    </g>
  );
}

function Clipped({
  clips,
  id,
  children,
}: {
  clips: readonly Polygon[];
  id: string;
  children: React.ReactNode;
}) {
  return clips.reduce<React.ReactNode>(
    (inner, c, i) => (
      <g key={i}>
        <clipPath id={`${id}-${i}`}>
          <polygon points={points(c)} />
        </clipPath>
        <g clipPath={`url(#${id}-${i})`}>{inner}</g>
      </g>
    ),
    children,
  );
}

interface Props {
  readonly items: readonly ArtItem[];
  readonly sources: Sources;
  readonly urls: Readonly<Record<string, string>>;
  /** Names the clips, where more than one is drawn on a page. */
  readonly id: string;
}

/** Art exactly as it will be printed: the same list of items the PDF is written from. */
export const ArtItems = ({ items, sources, urls, id }: Props) => (
  <>
    {items.map((item, i) => (
      <Clipped key={i} clips={item.clips} id={`${id}-${i}`}>
        <Item item={item} sources={sources} urls={urls} />
      </Clipped>
    ))}
  </>
);

function Item({ item, sources, urls }: { item: ArtItem } & Pick<Props, 'sources' | 'urls'>) {
  if (item.kind === 'letters')
    return (
      <g transform={css(item.matrix)}>
        <Letters {...item} />
      </g>
    );
  const source = sources[item.source];
  const url = urls[item.source];
  if (!source) return null;
  const box = sourceBox(source);
  return (
    <g transform={css(item.matrix)}>
      {url ? <image href={url} {...box} preserveAspectRatio="none" /> : <rect {...box} fill="#d5dbe6" />}
    </g>
  );
}

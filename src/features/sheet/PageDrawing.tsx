import type { Affine } from '@/core/art/affine';
import { fontById } from '@/core/art/fonts';
import type { Polygon } from '@/core/art/polygon';
import type { PictureRef } from '@/core/job/job';
import type { Page, PageItem } from '@/core/sheet/pages';

const css = (m: Affine): string => `matrix(${m.join(' ')})`;
const points = (p: Polygon): string => p.map((q) => `${q.x},${q.y}`).join(' ');

interface Props {
  readonly page: Page;
  readonly picture: PictureRef | null;
  readonly url: string | null;
}

/** A page exactly as it will be printed, in mm: the same list of items the PDF is written from. */
export function PageDrawing({ page, picture, url }: Props) {
  return (
    <g>
      <rect width={page.widthMm} height={page.heightMm} fill="#ffffff" />
      {page.items.map((item, i) => (
        <Item key={i} id={i} item={item} picture={picture} url={url} />
      ))}
    </g>
  );
}

function Item({
  id,
  item,
  picture,
  url,
}: {
  id: number;
  item: PageItem;
  picture: PictureRef | null;
  url: string | null;
}) {
  switch (item.kind) {
    case 'picture':
      return (
        <g>
          <clipPath id={`page-clip-${id}`}>
            <polygon points={points(item.clip)} />
          </clipPath>
          <g clipPath={`url(#page-clip-${id})`}>
            {url && picture ? (
              <image
                href={url}
                width={picture.widthPx}
                height={picture.heightPx}
                transform={css(item.matrix)}
                preserveAspectRatio="none"
              />
            ) : (
              <polygon points={points(item.clip)} fill="#d5dbe6" />
            )}
          </g>
        </g>
      );
    case 'words': {
      const font = fontById(item.font);
      return (
        <text
          transform={css(item.matrix)}
          className="letters"
          fontFamily={font.family}
          fontWeight={font.weight}
          fontSize={item.set.emMm}
          fill={item.colour}
          x={item.set.letters.map((l) => l.xMm).join(' ')}
          y={0}
        >
          {item.set.letters.map((l) => l.letter).join('')}
        </text>
      );
    }
    case 'line':
      return (
        <line
          x1={item.from.x}
          y1={item.from.y}
          x2={item.to.x}
          y2={item.to.y}
          stroke="#000000"
          strokeWidth={Math.max(0.3, item.widthMm)}
        />
      );
    case 'bar':
      return (
        <rect
          {...item.rect}
          transform={css(item.matrix)}
          fill={item.filled ? '#000000' : '#ffffff'}
          stroke="#000000"
          strokeWidth={0.15}
        />
      );
    case 'text':
      return (
        <text
          transform={css(item.matrix)}
          fontSize={item.emMm}
          fontFamily="Barlow"
          fontWeight={600}
          fill="#000000"
        >
          {item.text}
        </text>
      );
  }
}

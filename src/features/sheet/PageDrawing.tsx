import type { Sources } from '@/core/art/items';
import type { Page, PageItem } from '@/core/sheet/pages';
import { ArtItems, css } from '../art/ArtItems';

interface Props {
  readonly page: Page;
  readonly sources: Sources;
  readonly urls: Readonly<Record<string, string>>;
}

/** A page exactly as it will be printed, in mm: the same list of items the PDF is written from. */
export function PageDrawing({ page, sources, urls }: Props) {
  return (
    <g>
      <rect width={page.widthMm} height={page.heightMm} fill="#ffffff" />
      {page.items.map((item, i) =>
        item.kind === 'picture' || item.kind === 'letters' ? (
          <ArtItems key={i} id={`page-${i}`} items={[item]} sources={sources} urls={urls} />
        ) : (
          <Mark key={i} item={item} />
        ),
      )}
    </g>
  );
}

function Mark({ item }: { item: Extract<PageItem, { kind: 'line' | 'bar' | 'text' }> }) {
  switch (item.kind) {
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

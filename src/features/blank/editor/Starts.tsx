'use client';

import { useWords } from '@/ui/words';
import { RadioGroup } from 'radix-ui';
import { contourPath } from '@/core/geometry/contour';
import { outlineContour } from '@/core/shapes/flat';
import { handleOutline, sideOutline } from '@/core/shapes/round';
import { shapeBounds } from '@/ui/board/BlankShape';
import { newDraft, rawShape, type Draft } from './draft';
import { STARTS, type Start } from './starts';

const SIZE = 34;

/** A start drawn small. */
function Picture({ start }: { start: Start }) {
  if (start.form === 'drawn')
    return (
      <svg width={SIZE} height={SIZE} aria-hidden>
        <path
          transform="scale(0.77)"
          d="M6 30 C8 8 20 6 24 16 S40 10 38 26 S16 44 6 30 Z"
          fill="#ffffff"
          stroke="currentColor"
          strokeWidth={1.6}
          strokeDasharray="4 3"
        />
      </svg>
    );
  const shape = rawShape(newDraft(start.id));
  const box = shapeBounds(shape);
  const k = (SIZE - 6) / Math.max(box.width, box.height);
  const d =
    shape.kind === 'round'
      ? `${handleOutline(shape) ?? ''} ${sideOutline(shape)}`
      : contourPath(outlineContour(shape.outline));
  return (
    <svg width={SIZE} height={SIZE} aria-hidden className="shrink-0">
      <path
        d={d}
        transform={`translate(${SIZE / 2 - (box.x + box.width / 2) * k} ${SIZE / 2 - (box.y + box.height / 2) * k}) scale(${k})`}
        fill="#ffffff"
        stroke="currentColor"
        strokeWidth={1.6 / k}
      />
    </svg>
  );
}

interface Props {
  readonly draft: Draft;
  readonly onStart: (id: string) => void;
}

/** The shape, chosen by its picture. */
export function Starts({ draft, onStart }: Props) {
  const t = useWords();
  return (
    <RadioGroup.Root
      aria-label={t('common.shape')}
      value={draft.start.id}
      onValueChange={onStart}
      className="grid grid-cols-[repeat(auto-fill,minmax(6.6rem,1fr))] gap-1.5"
    >
      {STARTS.map((s) => (
        <RadioGroup.Item
          key={s.id}
          value={s.id}
          className="flex min-h-11 items-center gap-1.5 border-2 border-rule bg-sheet px-1 py-0.5 text-left font-label text-fine leading-tight font-medium hover:bg-board data-[state=checked]:border-ink data-[state=checked]:bg-strata-3 data-[state=checked]:text-white"
        >
          <Picture start={s} />
          {t(s.label)}
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  );
}

'use client';

import { FileDown } from 'lucide-react';
import { part } from '@/core/basics/part';
import type { FlatShape } from '@/core/shop/blank';
import { Button } from '@/ui/Button';
import { useWords } from '@/ui/words';
import { saveTextAs } from '../shell/download';

interface Props {
  readonly name: string;
  readonly shape: FlatShape;
}

/** The outline and holes of a flat blank, for a cutter. */
export function SaveOutline({ name, shape }: Props) {
  const t = useWords();
  const save = async (kind: 'svg' | 'dxf') => {
    const { cutOutlineOf, outlineDxf, outlineSvg } = await part(() => import('@/core/formats/outlineFiles'));
    const outline = cutOutlineOf(name, shape);
    if (kind === 'svg') saveTextAs('outline.svg', outlineSvg(outline), 'image/svg+xml');
    else saveTextAs('outline.dxf', outlineDxf(outline), 'image/vnd.dxf');
  };
  return (
    <div className="flex flex-wrap gap-2">
      <Button onClick={() => void save('svg')}>
        <FileDown size={16} aria-hidden /> {t('blank.outlineSvg')}
      </Button>
      <Button onClick={() => void save('dxf')}>
        <FileDown size={16} aria-hidden /> {t('blank.outlineDxf')}
      </Button>
    </div>
  );
}

'use client';

import { say } from '@/core/message/message';
import { useWords } from '@/ui/words';
import type { PictureLayer } from '@/core/job/art';
import { Button } from '@/ui/Button';
import { NumberField } from '@/ui/NumberField';
import { useJob } from '../job/jobContext';
import { editPicture } from './layers';

const START = { x: 0.35, y: 0.25, width: 0.3, height: 0.4 };
const SIDES = [
  ['x', say('art.fromLeft'), 0, 99],
  ['y', say('art.fromTop'), 0, 99],
  ['width', say('art.wide'), 1, 100],
  ['height', say('art.tall'), 1, 100],
] as const;

/** Marks a face, or lettering within the picture, that the checks then keep in sight and off the seam. */
export function MustBeSeen({ layer }: { layer: PictureLayer }) {
  const t = useWords();
  const { edit } = useJob();
  const { focalArea } = layer;
  const put = (next: PictureLayer['focalArea'], group?: string) =>
    edit(
      editPicture(layer.id, (l) => ({ ...l, focalArea: next })),
      group,
    );
  if (!focalArea)
    return (
      <Button className="px-2 text-fine" onClick={() => put(START)}>
        {t('art.markFocalArea')}
      </Button>
    );
  return (
    <fieldset className="grid grid-cols-2 gap-x-3 gap-y-1">
      <legend className="font-label text-fine font-medium text-soft">{t('art.focalAreaPicture')}</legend>
      {SIDES.map(([side, label, min, max]) => (
        <NumberField
          key={side}
          label={t(label)}
          unit="%"
          value={focalArea[side] * 100}
          min={min}
          max={max}
          width="w-12"
          byHand
          onValue={(v) => put({ ...focalArea, [side]: v / 100 }, `keep-${side}`)}
        />
      ))}
      <Button className="col-span-2 px-2 text-fine" onClick={() => put(null)}>
        {t('art.nothingParticular')}
      </Button>
    </fieldset>
  );
}

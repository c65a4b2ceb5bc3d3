'use client';

import { RadioGroup } from 'radix-ui';
import { useState } from 'react';
import { actualSize, MIDDLE, pixelsAt, resized, type Anchor } from '@/core/art/size';
import type { PictureLayer } from '@/core/job/art';
import { MM_PER_INCH } from '@/core/message/quantity';
import { Button } from '@/ui/Button';
import { Labelled } from '@/ui/Labelled';
import { LengthField } from '@/ui/LengthField';
import { NumberField } from '@/ui/NumberField';
import { useWords } from '@/ui/words';
import { useJob } from '../job/jobContext';
import { withPlacement } from './layers';

const LEAST_MM = 1;
const MOST_MM = 2600;

/** Width and height of a picture in real units and in pixels, with its ratio or without, about the point that stays. */
export function SizeTools({ layer }: { layer: PictureLayer }) {
  const t = useWords();
  const { plan, edit } = useJob();
  const [ratio, setRatio] = useState(true);
  const [anchor, setAnchor] = useState<Anchor>(MIDDLE);
  const placed = plan.art.placedLayers.find((l) => l.id === layer.id);
  if (placed?.kind !== 'picture') return null;
  const { widthMm, heightMm } = placed.transform;
  const { ppi } = plan.sheet.printer;
  const size = { widthMm, heightMm };
  const put = (wanted: Partial<typeof size>, group?: string) =>
    edit(
      withPlacement(layer.id, resized(layer, size, ratio ? wanted : { ...size, ...wanted }, anchor)),
      group,
    );
  const px = pixelsAt(placed, ppi);
  const actual = actualSize(layer.picture);
  const other = plan.art.placedLayers.find((l) => l.kind === 'picture' && l.id !== layer.id);
  const toMm = (pixels: number): number => (pixels / ppi) * MM_PER_INCH;
  return (
    <section aria-label={t('art.size')} className="grid gap-2">
      <div className="grid grid-cols-2 items-end gap-x-2 gap-y-2">
        <LengthField
          label={t('common.width')}
          valueMm={widthMm}
          minMm={LEAST_MM}
          maxMm={MOST_MM}
          width="w-14"
          onValue={(v) => put({ widthMm: v }, 'width')}
        />
        <LengthField
          label={t('common.height')}
          valueMm={heightMm}
          minMm={LEAST_MM}
          maxMm={MOST_MM}
          width="w-14"
          onValue={(v) => put({ heightMm: v }, 'height')}
        />
        <NumberField
          label={t('art.widthPx')}
          value={px.widthPx}
          min={1}
          max={40000}
          whole
          onValue={(v) => put({ widthMm: toMm(v) }, 'width')}
        />
        <NumberField
          label={t('art.heightPx')}
          value={px.heightPx}
          min={1}
          max={40000}
          whole
          onValue={(v) => put({ heightMm: toMm(v) }, 'height')}
        />
      </div>
      <p className="text-fine text-soft">{t('art.pixelsAt', { ppi })}</p>
      <div className="flex items-end gap-3">
        <AnchorGrid anchor={anchor} onAnchor={setAnchor} />
        <label className="flex min-h-9 items-center gap-2 font-label text-fine leading-tight">
          <input
            type="checkbox"
            checked={ratio}
            onChange={(e) => setRatio(e.target.checked)}
            className="size-5 shrink-0 accent-strata-3"
          />
          {t('art.keepRatio')}
        </label>
      </div>
      <div className="flex flex-wrap gap-1">
        <Button
          className="min-h-9 px-2 text-fine"
          disabled={actual === null}
          title={actual === null ? t('art.noResolution') : t('art.actualSizeAbout')}
          onClick={() => actual && edit(withPlacement(layer.id, resized(layer, size, actual, anchor)))}
        >
          {t('art.actualSize')}
        </Button>
        {other?.kind === 'picture' && (
          <Button
            className="min-h-9 px-2 text-fine"
            onClick={() => put({ heightMm: other.transform.heightMm })}
          >
            {t('art.sameHeight')}
          </Button>
        )}
        {layer.placement.stretch !== undefined && (
          <Button
            className="min-h-9 px-2 text-fine"
            onClick={() =>
              edit(
                withPlacement(
                  layer.id,
                  resized(
                    layer,
                    size,
                    { widthMm: (heightMm * layer.picture.widthPx) / layer.picture.heightPx, heightMm },
                    anchor,
                  ),
                ),
              )
            }
          >
            {t('art.ownRatio')}
          </Button>
        )}
      </div>
    </section>
  );
}

const STEPS = [-1, 0, 1] as const;
const ANCHORS: readonly Anchor[] = STEPS.flatMap((y) => STEPS.map((x) => ({ x, y })));

/** The point of the picture that stays where it is while the size changes. */
function AnchorGrid({ anchor, onAnchor }: { anchor: Anchor; onAnchor: (a: Anchor) => void }) {
  const t = useWords();
  return (
    <Labelled label={t('art.fixedPoint')}>
      <RadioGroup.Root
        aria-label={t('art.fixedPoint')}
        value={`${anchor.x} ${anchor.y}`}
        onValueChange={(v) => {
          const found = ANCHORS.find((a) => `${a.x} ${a.y}` === v);
          if (found) onAnchor(found);
        }}
        className="grid w-22 shrink-0 grid-cols-3 border-2 border-ink"
      >
        {ANCHORS.map(({ x, y }) => (
          <RadioGroup.Item
            key={`${x} ${y}`}
            value={`${x} ${y}`}
            aria-label={t('art.fixedAt', {
              across: x < 0 ? 'left' : x > 0 ? 'right' : 'middle',
              down: y < 0 ? 'top' : y > 0 ? 'bottom' : 'middle',
            })}
            className="group grid h-7 place-items-center bg-sheet hover:bg-board data-[state=checked]:bg-strata-3"
          >
            <span aria-hidden className="size-2 bg-ink group-data-[state=checked]:bg-white" />
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
    </Labelled>
  );
}

'use client';

import {
  AlignCenterHorizontal,
  AlignCenterVertical,
  AlignEndHorizontal,
  AlignEndVertical,
  AlignStartHorizontal,
  AlignStartVertical,
  type LucideIcon,
} from 'lucide-react';
import { alignedBy, evenAtHandle, layerBox, movedBy, SIDES, spreadAcross, type Side } from '@/core/art/size';
import type { Layer } from '@/core/job/art';
import type { Job } from '@/core/job/job';
import { say, type Message } from '@/core/message/message';
import { Button } from '@/ui/Button';
import { Labelled } from '@/ui/Labelled';
import { useWords } from '@/ui/words';
import { useJob } from '../job/jobContext';

const SIDE_WORDS: Readonly<Record<Side, readonly [LucideIcon, Message]>> = {
  left: [AlignStartVertical, say('art.alignLeft')],
  centre: [AlignCenterVertical, say('art.alignCentre')],
  right: [AlignEndVertical, say('art.alignRight')],
  top: [AlignStartHorizontal, say('art.alignTop')],
  middle: [AlignCenterHorizontal, say('art.alignMiddle')],
  bottom: [AlignEndHorizontal, say('art.alignBottom')],
};

const moved =
  (by: ReadonlyMap<string, number>) =>
  (job: Job): Job => ({
    ...job,
    art: { ...job.art, layers: job.art.layers.map((l) => movedBy(l, by.get(l.id) ?? 0, 0)) },
  });

/** A layer along the safe zone, all layers spread evenly, and the white beside a handle made even. */
export function AlignTools({ layer }: { layer: Layer }) {
  const t = useWords();
  const { plan, edit } = useJob();
  const { board, placedLayers } = plan.art;
  const mine = placedLayers.find((l) => l.id === layer.id);
  if (!board || !mine) return null;
  const { safe, trim } = board.pattern;
  const area = safe.width > 0 && safe.height > 0 ? safe : trim;
  const boxes = placedLayers.map((l) => ({ id: l.id, box: layerBox(l) }));
  const shape = plan.blank.blank?.shape;
  const handled = shape?.kind === 'round' && shape.handle !== null;
  const align = (side: Side) => {
    const { dxMm, dyMm } = alignedBy(layerBox(mine), area, side);
    edit((j) => ({
      ...j,
      art: { ...j.art, layers: j.art.layers.map((l) => (l.id === layer.id ? movedBy(l, dxMm, dyMm) : l)) },
    }));
  };
  return (
    <Labelled label={t('art.alignSafe')}>
      <div className="grid grid-cols-6 gap-1 *:min-w-0 *:px-0">
        {SIDES.map((side) => {
          const [Icon, label] = SIDE_WORDS[side];
          return (
            <Button key={side} aria-label={t(label)} title={t(label)} onClick={() => align(side)}>
              <Icon size={18} aria-hidden />
            </Button>
          );
        })}
      </div>
      <div className="mt-1 flex flex-wrap gap-1">
        {placedLayers.length > 2 && (
          <Button className="min-h-9 px-2 text-fine" onClick={() => edit(moved(spreadAcross(boxes)))}>
            {t('art.spreadEvenly')}
          </Button>
        )}
        {handled && (
          <Button className="min-h-9 px-2 text-fine" onClick={() => edit(moved(evenAtHandle(boxes, trim)))}>
            {t('art.evenAtHandle')}
          </Button>
        )}
      </div>
    </Labelled>
  );
}

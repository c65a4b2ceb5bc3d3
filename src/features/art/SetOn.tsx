'use client';

import { useWords } from '@/ui/words';
import type { Layer, OnFace } from '@/core/job/art';
import { Button } from '@/ui/Button';
import { Labelled } from '@/ui/Labelled';
import { Select } from '@/ui/Select';
import { useJob } from '../job/jobContext';
import { editPicture, editText, movedTo, targetsOf } from './layers';

/** Stands for no column in the list, which has no empty choice. */
const NONE = '(none)';

const middleOf = (l: Layer) => (l.kind === 'picture' ? l.placement : l);

/** Sets a layer on a line that matters; and which face and which column of the list it is for. */
export function SetOn({ layer }: { layer: Layer }) {
  const t = useWords();
  const { job, plan, edit } = useJob();
  const { board } = plan.art;
  if (!board) return null;
  const shape = plan.blank.blank?.shape;
  const targets = targetsOf(board.pattern, shape?.kind === 'round' && shape.handle !== null);
  const { dxMm, dyMm } = middleOf(layer);
  const { names } = job.art;
  const put = (next: { on?: OnFace; field?: string | null }) =>
    edit(
      layer.kind === 'picture'
        ? editPicture(layer.id, (l) => ({ ...l, ...next }))
        : editText(layer.id, (l) => ({ ...l, ...next })),
    );
  return (
    <>
      <Labelled label={t('art.centreOn')}>
        <div className="flex flex-wrap gap-1">
          {targets.map((target) => (
            <Button
              key={target.label.id}
              className="min-h-9 px-2 text-fine"
              onClick={() => edit(movedTo(layer.id, target.dxMm, dyMm))}
            >
              {t(target.label)}
            </Button>
          ))}
          <Button className="min-h-9 px-2 text-fine" onClick={() => edit(movedTo(layer.id, dxMm, 0))}>
            {t('art.midHeight')}
          </Button>
        </div>
      </Labelled>
      {board.pattern.faces.length > 1 && (
        <Labelled label={t('art.on')}>
          <Select
            label={t('art.whichFace')}
            value={layer.on}
            options={[
              { value: 'both', label: t('art.bothFaces') },
              { value: 'front', label: t('art.theFront') },
              { value: 'back', label: t('art.theBack') },
            ]}
            onChange={(on) => put({ on })}
            className="w-full"
          />
        </Labelled>
      )}
      {names && (
        <Labelled label={t('art.fromList')}>
          <Select
            label={t('art.columnNamesList')}
            value={layer.field ?? NONE}
            options={[
              { value: NONE, label: t('art.sameAll') },
              ...names.columns.map((c) => ({ value: c, label: c })),
            ]}
            onChange={(v) => put({ field: v === NONE ? null : v })}
            className="w-full"
          />
        </Labelled>
      )}
    </>
  );
}

'use client';

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
      <Labelled label="Centre on">
        <div className="flex flex-wrap gap-1">
          {targets.map((t) => (
            <Button
              key={t.label}
              className="min-h-9 px-2 text-fine"
              onClick={() => edit(movedTo(layer.id, t.dxMm, dyMm))}
            >
              {t.label}
            </Button>
          ))}
          <Button className="min-h-9 px-2 text-fine" onClick={() => edit(movedTo(layer.id, dxMm, 0))}>
            Mid height
          </Button>
        </div>
      </Labelled>
      {board.pattern.faces.length > 1 && (
        <Labelled label="On">
          <Select
            label="Which face"
            value={layer.on}
            options={[
              { value: 'both', label: 'both faces' },
              { value: 'front', label: 'the front' },
              { value: 'back', label: 'the back' },
            ]}
            onChange={(on) => put({ on })}
            className="w-full"
          />
        </Labelled>
      )}
      {names && (
        <Labelled label="From the list">
          <Select
            label="Column of the names list"
            value={layer.field ?? NONE}
            options={[
              { value: NONE, label: 'the same on all' },
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

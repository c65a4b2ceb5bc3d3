'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { Plus } from 'lucide-react';
import { createColumnHelper, type ColumnDef } from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import { useForm } from 'react-hook-form';
import * as z from 'zod/mini';
import { scaleOf } from '@/core/sheet/calibration';
import { nameSchema } from '@/core/shop/common';
import type { Paper } from '@/core/shop/paper';
import { formatQuantity, type LengthUnit } from '@/core/units/format';
import { fineMm, mm } from '@/core/units/quantity';
import { newId } from '@/data/ids';
import { savePaper } from '@/data/shop';
import { Button } from '@/ui/Button';
import { FormField, inputClass } from '@/ui/FormField';
import { SheetDialog } from '@/ui/Sheet';
import { Q, useUnits } from '@/ui/units';
import { tellProblem } from '@/ui/tell';
import { lengthText } from '../blank/blankForm';
import { ShopFrame } from '../shell/ShopFrame';
import { useShop } from '../shell/shopContext';
import { CalibrationDialog } from './CalibrationDialog';
import { actionsColumn, SortableTable } from './ThingTable';

export function PapersPage() {
  const { shop } = useShop();
  const [editing, setEditing] = useState<Paper | 'new' | null>(null);
  const [measuring, setMeasuring] = useState<Paper | null>(null);
  const columns = useMemo(() => {
    const c = createColumnHelper<Paper>();
    return [
      c.accessor('name', {
        header: 'Name',
        cell: (x) => <span className="font-label text-lead font-semibold">{x.getValue()}</span>,
      }),
      c.accessor('widthMm', { header: 'Width', cell: (x) => <Q of={mm(x.getValue())} /> }),
      c.accessor('heightMm', { header: 'Height', cell: (x) => <Q of={mm(x.getValue())} /> }),
      c.accessor('thicknessMm', { header: 'Thickness', cell: (x) => <Q of={fineMm(x.getValue())} /> }),
      c.display({
        id: 'scale',
        header: 'Prints at',
        cell: ({ row: { original: p } }) => <ScaleCell paper={p} onMeasure={() => setMeasuring(p)} />,
      }),
      actionsColumn<Paper>('papers', setEditing, (p) => savePaper(p)),
    ] as ColumnDef<Paper, string | number>[];
  }, []);
  return (
    <ShopFrame
      title="Papers"
      about="transfer paper the printer can take"
      actions={
        <Button kind="act" onClick={() => setEditing('new')}>
          <Plus size={18} aria-hidden /> New paper
        </Button>
      }
    >
      <SortableTable
        label="Papers"
        rows={shop.papers}
        columns={columns}
        empty="No papers yet. Type in the sizes your printer takes."
      />
      {measuring && <CalibrationDialog paper={measuring} onClose={() => setMeasuring(null)} />}
      {editing && <PaperDialog paper={editing === 'new' ? null : editing} onClose={() => setEditing(null)} />}
    </ShopFrame>
  );
}

const percent = (v: number) => `${(v * 100).toFixed(2)} %`;

/** What the printer is known to do on this paper, and the way to find out. */
function ScaleCell({ paper, onMeasure }: { paper: Paper; onMeasure: () => void }) {
  const { across, along, known } = scaleOf(paper);
  return (
    <span className="flex flex-wrap items-center gap-3">
      <span className="font-label text-fine leading-tight">
        {known ? (
          <>
            {percent(across.scale)} across, {percent(along.scale)} along
            {(across.shrink > 0 || along.shrink > 0) && (
              <>
                <br />
                shrinks {percent(across.shrink)} and {percent(along.shrink)} in the heat
              </>
            )}
          </>
        ) : (
          'not measured'
        )}
      </span>
      <Button onClick={onMeasure}>{known ? 'Measure again' : 'Measure its scale'}</Button>
    </span>
  );
}

const formSchema = (unit: LengthUnit) =>
  z.object({
    name: nameSchema,
    widthMm: lengthText(unit, 'Width', 50, 1200),
    heightMm: lengthText(unit, 'Height', 50, 1200),
    thicknessMm: lengthText(unit, 'Thickness', 0.03, 0.6),
  });
type FormIn = z.input<ReturnType<typeof formSchema>>;
type FormOut = z.output<ReturnType<typeof formSchema>>;

function PaperDialog({ paper, onClose }: { paper: Paper | null; onClose: () => void }) {
  const units = useUnits();
  const schema = useMemo(() => formSchema(units.length), [units.length]);
  const len = (v: number, fine = false) => formatQuantity(fine ? fineMm(v) : mm(v), units).number;
  const form = useForm<FormIn, unknown, FormOut>({
    resolver: zodResolver(schema),
    defaultValues: paper
      ? {
          name: paper.name,
          widthMm: len(paper.widthMm),
          heightMm: len(paper.heightMm),
          thicknessMm: len(paper.thicknessMm, true),
        }
      : { name: '', widthMm: '', heightMm: '', thicknessMm: len(0.1, true) },
    mode: 'onBlur',
  });
  const { errors } = form.formState;
  const save = async (f: FormOut) => {
    const r = await savePaper({
      id: paper?.id ?? newId('paper'),
      calibration: paper?.calibration ?? null,
      ...f,
    });
    if (r.ok) onClose();
    else tellProblem(r.problem);
  };
  return (
    <SheetDialog
      open
      onClose={onClose}
      title={paper ? `Change ${paper.name}` : 'A paper'}
      about="Thickness matters: the paper lies outside the wall. Measure ten sheets and divide."
    >
      <form className="grid gap-3" noValidate onSubmit={(e) => void form.handleSubmit(save)(e)}>
        <FormField label="Name" problem={errors.name?.message}>
          {(p) => (
            <input {...p} className={inputClass} placeholder="A3, quick dry" {...form.register('name')} />
          )}
        </FormField>
        <div className="grid grid-cols-3 gap-3">
          {(['widthMm', 'heightMm', 'thicknessMm'] as const).map((name) => (
            <FormField
              key={name}
              label={`${{ widthMm: 'Width', heightMm: 'Height', thicknessMm: 'Thickness' }[name]}, ${units.length}`}
              problem={errors[name]?.message}
            >
              {(p) => <input {...p} autoComplete="off" className={inputClass} {...form.register(name)} />}
            </FormField>
          ))}
        </div>
        <div className="flex justify-end gap-2">
          <Button onClick={onClose}>Leave it</Button>
          <Button kind="act" type="submit">
            Keep this paper
          </Button>
        </div>
      </form>
    </SheetDialog>
  );
}

'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import * as z from 'zod/mini';
import { nameSchema } from '@/core/shop/common';
import type { Paper } from '@/core/shop/paper';
import { type LengthUnit } from '@/core/units/format';
import { newId } from '@/data/ids';
import { savePaper } from '@/data/shop';
import { Dialog } from '@/ui/Dialog';
import { DialogForm, fieldsOf } from '@/ui/form';
import { notifyProblem } from '@/ui/notify';
import { useUnits } from '@/ui/units';
import { useShop } from '../shell/shopContext';
import { lengthText, moneyText, shortText, shownLengths, type ShownLengths } from './shopForm';

const formSchema = (unit: LengthUnit, shown: ShownLengths) =>
  z.object({
    name: nameSchema,
    kind: z.enum(['sheet', 'roll']),
    widthMm: lengthText(unit, 'Width', 50, 1700, shown),
    heightMm: lengthText(unit, 'Height', 50, 30000, shown),
    thicknessMm: lengthText(unit, 'Thickness', 0.03, 0.6, shown),
    printSide: shortText,
    tray: shortText,
    costCents: moneyText,
  });
type FormIn = z.input<ReturnType<typeof formSchema>>;
type FormOut = z.output<ReturnType<typeof formSchema>>;

const { Text, Choice } = fieldsOf<FormIn>();
const COMES_AS = [
  ['sheet', 'sheets'],
  ['roll', 'roll'],
] as const;

/** A paper typed in or changed; what its printer makes of lengths is kept. */
export function PaperDialog({ paper, onClose }: { paper: Paper | null; onClose: () => void }) {
  const units = useUnits();
  const { shop } = useShop();
  const shown = useMemo(() => shownLengths(units), [units]);
  const schema = useMemo(() => formSchema(units.length, shown), [units.length, shown]);
  const form = useForm<FormIn, unknown, FormOut>({
    resolver: zodResolver(schema),
    defaultValues: {
      name: paper?.name ?? '',
      kind: paper?.kind ?? 'sheet',
      widthMm: paper ? shown.show('Width', paper.widthMm) : '',
      heightMm: paper ? shown.show('Height', paper.heightMm) : '',
      thicknessMm: shown.show('Thickness', paper?.thicknessMm ?? 0.1, true),
      printSide: paper?.printSide ?? '',
      tray: paper?.tray ?? '',
      costCents: ((paper?.costCents ?? 0) / 100).toFixed(2),
    },
    mode: 'onBlur',
  });
  const roll = useWatch({ control: form.control, name: 'kind' }) === 'roll';
  const save = async (f: FormOut) => {
    const r = await savePaper({
      id: paper?.id ?? newId('paper'),
      calibration: paper?.calibration ?? null,
      ...f,
    });
    if (r.ok) onClose();
    else notifyProblem(r.problem);
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title={paper ? `Change ${paper.name}` : 'Add paper'}
      about="Thickness matters because the paper lies outside the wall. Measure ten sheets and divide by ten."
    >
      <DialogForm form={form} onSave={save} onCancel={onClose} saveLabel="Save paper">
        <div className="grid grid-cols-[1fr_9rem] gap-3">
          <Text name="name" label="Name" placeholder="A3, quick dry" />
          <Choice name="kind" label="Supplied as" options={COMES_AS} />
        </div>
        <div className="grid grid-cols-3 gap-3">
          <Text name="widthMm" label={`Width, ${units.length}`} />
          <Text name="heightMm" label={`${roll ? 'Maximum print length' : 'Height'}, ${units.length}`} />
          <Text name="thicknessMm" label={`Thickness, ${units.length}`} />
        </div>
        <Text name="printSide" label="Print side and how to recognise it" placeholder="the whiter side" />
        <Text name="tray" label="Tray or feed, and orientation" placeholder="rear feed, print side up" />
        <Text
          name="costCents"
          label={`Price, ${shop.settings.currency} ${roll ? 'per metre' : 'per sheet'}`}
          inputMode="decimal"
        />
      </DialogForm>
    </Dialog>
  );
}

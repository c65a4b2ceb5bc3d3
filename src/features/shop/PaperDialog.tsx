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
import { Button } from '@/ui/Button';
import { FormField, inputClass } from '@/ui/FormField';
import { Dialog } from '@/ui/Dialog';
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
  const { errors } = form.formState;
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
  const sizes = [
    ['widthMm', 'Width'],
    ['heightMm', roll ? 'Longest print' : 'Height'],
    ['thicknessMm', 'Thickness'],
  ] as const;
  return (
    <Dialog
      open
      onClose={onClose}
      title={paper ? `Change ${paper.name}` : 'A paper'}
      about="Thickness matters: the paper lies outside the wall. Measure ten sheets and divide."
    >
      <form className="grid gap-3" noValidate onSubmit={(e) => void form.handleSubmit(save)(e)}>
        <div className="grid grid-cols-[1fr_9rem] gap-3">
          <FormField label="Name" problem={errors.name?.message}>
            {(p) => (
              <input {...p} className={inputClass} placeholder="A3, quick dry" {...form.register('name')} />
            )}
          </FormField>
          <FormField label="Comes as">
            {(p) => (
              <select {...p} className={inputClass} {...form.register('kind')}>
                <option value="sheet">sheets</option>
                <option value="roll">a roll</option>
              </select>
            )}
          </FormField>
        </div>
        <div className="grid grid-cols-3 gap-3">
          {sizes.map(([name, label]) => (
            <FormField key={name} label={`${label}, ${units.length}`} problem={errors[name]?.message}>
              {(p) => <input {...p} autoComplete="off" className={inputClass} {...form.register(name)} />}
            </FormField>
          ))}
        </div>
        <FormField label="Print side, and how to tell" problem={errors.printSide?.message}>
          {(p) => (
            <input
              {...p}
              className={inputClass}
              placeholder="the whiter side"
              {...form.register('printSide')}
            />
          )}
        </FormField>
        <FormField label="Tray or feed, which way up" problem={errors.tray?.message}>
          {(p) => (
            <input
              {...p}
              className={inputClass}
              placeholder="rear feed, print side up"
              {...form.register('tray')}
            />
          )}
        </FormField>
        <FormField
          label={`Costs, ${shop.settings.currency} ${roll ? 'a metre' : 'a sheet'}`}
          problem={errors.costCents?.message}
        >
          {(p) => <input {...p} inputMode="decimal" className={inputClass} {...form.register('costCents')} />}
        </FormField>
        <div className="flex justify-end gap-2">
          <Button onClick={onClose}>Cancel</Button>
          <Button kind="act" type="submit">
            Save paper
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

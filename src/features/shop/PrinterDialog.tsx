'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo } from 'react';
import { useForm, type UseFormReturn } from 'react-hook-form';
import { COLOUR_BY, COLOUR_WORDS, type Printer } from '@/core/shop/printer';
import { withPrinters } from '@/core/shop/settings';
import { newId } from '@/data/ids';
import { changeSettings } from '@/data/shop';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { FormField, inputClass } from '@/ui/FormField';
import { notifyProblem } from '@/ui/notify';
import { useUnits } from '@/ui/units';
import { useShop } from '../shell/shopContext';
import {
  PPIS,
  printerFormSchema,
  printerFromForm,
  printerToForm,
  SIDES,
  type PrinterFormIn,
  type PrinterFormOut,
} from './printerForm';
import { shownLengths } from './shopForm';

type Form = UseFormReturn<PrinterFormIn, unknown, PrinterFormOut>;

/** A printer typed in or changed: what it takes, what it cannot print, who mirrors, who manages colour, what it costs. */
export function PrinterDialog({ printer, onClose }: { printer: Printer | null; onClose: () => void }) {
  const units = useUnits();
  const shown = useMemo(() => shownLengths(units), [units]);
  const schema = useMemo(() => printerFormSchema(units.length, shown), [units.length, shown]);
  const form = useForm<PrinterFormIn, unknown, PrinterFormOut>({
    resolver: zodResolver(schema),
    defaultValues: printerToForm(printer, shown),
    mode: 'onBlur',
  });
  const save = async (f: PrinterFormOut) => {
    const made = printerFromForm(f, printer?.id ?? newId('printer'));
    const r = await changeSettings((now) =>
      printer
        ? { ...now, printers: now.printers.map((p) => (p.id === printer.id ? made : p)) }
        : withPrinters(now, [made]),
    );
    if (r.ok) onClose();
    else notifyProblem(r.problem);
  };
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title={printer ? `Change ${printer.name}` : 'A printer'}
      about="Mirror in one place only, and let one program manage colour. The list is read out at every sheet."
    >
      <form
        className="grid gap-3 md:grid-cols-2"
        noValidate
        onSubmit={(e) => void form.handleSubmit(save)(e)}
      >
        <PaperFields form={form} />
        <InkFields form={form} />
        <div className="flex justify-end gap-2 md:col-span-2">
          <Button onClick={onClose}>Cancel</Button>
          <Button kind="act" type="submit">
            Save printer
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

/** What it feeds and cannot print, and who mirrors and manages colour. */
function PaperFields({ form }: { form: Form }) {
  const units = useUnits();
  const { errors } = form.formState;
  return (
    <div className="grid content-start gap-3">
      <FormField label="Name" problem={errors.name?.message}>
        {(p) => <input {...p} className={inputClass} placeholder="Desk printer" {...form.register('name')} />}
      </FormField>
      <div className="grid grid-cols-2 items-end gap-3">
        <FormField label={`Widest paper, ${units.length}`} problem={errors.widestMm?.message}>
          {(p) => <input {...p} className={inputClass} {...form.register('widestMm')} />}
        </FormField>
        <label className="flex min-h-10 items-center gap-2 font-label text-base font-medium">
          <input type="checkbox" className="size-5 accent-strata-3" {...form.register('rolls')} /> takes rolls
        </label>
      </div>
      <fieldset className="grid grid-cols-4 gap-3">
        <legend className="font-label text-fine font-semibold">
          Cannot print, {units.length}, as the sheet leaves it
        </legend>
        {SIDES.map((side) => (
          <FormField key={side} label={side} problem={errors[side]?.message}>
            {(p) => <input {...p} className={inputClass} {...form.register(side)} />}
          </FormField>
        ))}
      </fieldset>
      <div className="grid grid-cols-2 gap-3">
        <FormField label="Mirrored by">
          {(p) => (
            <select {...p} className={inputClass} {...form.register('mirrorBy')}>
              <option value="app">the file</option>
              <option value="driver">the driver</option>
            </select>
          )}
        </FormField>
        <FormField label="Colour managed by">
          {(p) => (
            <select {...p} className={inputClass} {...form.register('colourBy')}>
              {COLOUR_BY.map((c) => (
                <option key={c} value={c}>
                  {COLOUR_WORDS[c].label}
                </option>
              ))}
            </select>
          )}
        </FormField>
      </div>
    </div>
  );
}

/** Resolution, ink and what to set in the driver. */
function InkFields({ form }: { form: Form }) {
  const { settings } = useShop().shop;
  const { errors } = form.formState;
  return (
    <div className="grid content-start gap-3">
      <div className="grid grid-cols-3 gap-3">
        <FormField label="Resolution, ppi">
          {(p) => (
            <select {...p} className={inputClass} {...form.register('ppi')}>
              {PPIS.map((v) => (
                <option key={v}>{v}</option>
              ))}
            </select>
          )}
        </FormField>
        <FormField label={`Ink, ${settings.currency} a full m²`} problem={errors.inkPerM2Cents?.message}>
          {(p) => (
            <input {...p} inputMode="decimal" className={inputClass} {...form.register('inkPerM2Cents')} />
          )}
        </FormField>
        <FormField label="Ink limit, %" problem={errors.mostInkPct?.message}>
          {(p) => (
            <input {...p} inputMode="numeric" className={inputClass} {...form.register('mostInkPct')} />
          )}
        </FormField>
      </div>
      <FormField label="Printer settings, a line each" problem={errors.driver?.message}>
        {(p) => (
          <textarea
            {...p}
            rows={7}
            className={`${inputClass} py-1.5 leading-snug`}
            {...form.register('driver')}
          />
        )}
      </FormField>
    </div>
  );
}

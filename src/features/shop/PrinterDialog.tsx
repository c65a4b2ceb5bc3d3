'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo } from 'react';
import { useForm } from 'react-hook-form';
import * as z from 'zod/mini';
import { nameSchema } from '@/core/shop/common';
import {
  COLOUR_BY,
  COLOUR_WORDS,
  MIRROR_BY,
  STARTER_PRINTER,
  USUAL_DRIVER,
  type Printer,
} from '@/core/shop/printer';
import { type LengthUnit } from '@/core/units/format';
import { newId } from '@/data/ids';
import { withPrinters } from '@/core/shop/settings';
import { changeSettings } from '@/data/shop';
import { Button } from '@/ui/Button';
import { FormField, inputClass } from '@/ui/FormField';
import { Dialog } from '@/ui/Dialog';
import { notifyProblem } from '@/ui/notify';
import { useUnits } from '@/ui/units';
import { useShop } from '../shell/shopContext';
import { lengthText, linesText, moneyText, shownLengths, wholeText, type ShownLengths } from './shopForm';

const PPIS = ['150', '200', '300', '360'] as const;

const formSchema = (unit: LengthUnit, shown: ShownLengths) =>
  z.object({
    name: nameSchema,
    widestMm: lengthText(unit, 'Widest paper', 100, 1700, shown),
    rolls: z.boolean(),
    top: lengthText(unit, 'Top', 0, 60, shown),
    right: lengthText(unit, 'Right', 0, 60, shown),
    bottom: lengthText(unit, 'Bottom', 0, 60, shown),
    left: lengthText(unit, 'Left', 0, 60, shown),
    mirrorBy: z.enum(MIRROR_BY),
    colourBy: z.enum(COLOUR_BY),
    ppi: z.enum(PPIS),
    inkPerM2Cents: moneyText,
    mostInkPct: wholeText('Most ink', 100, 400),
    driver: linesText,
  });
type FormIn = z.input<ReturnType<typeof formSchema>>;
type FormOut = z.output<ReturnType<typeof formSchema>>;

const SIDES = ['top', 'right', 'bottom', 'left'] as const;
const PPI: Readonly<Record<(typeof PPIS)[number], Printer['ppi']>> = {
  150: 150,
  200: 200,
  300: 300,
  360: 360,
};

const printerFrom = (f: FormOut, id: string): Printer => {
  const { top, right, bottom, left, ppi, driver, ...rest } = f;
  return { ...rest, id, ppi: PPI[ppi], marginsMm: { top, right, bottom, left }, driver: driver.slice(0, 16) };
};

/** A printer typed in or changed: what it takes, what it cannot print, who mirrors, who manages colour, what it costs. */
export function PrinterDialog({ printer, onClose }: { printer: Printer | null; onClose: () => void }) {
  const units = useUnits();
  const { shop } = useShop();
  const { settings } = shop;
  const shown = useMemo(() => shownLengths(units), [units]);
  const schema = useMemo(() => formSchema(units.length, shown), [units.length, shown]);
  const from = printer ?? { ...STARTER_PRINTER, name: '', driver: [...USUAL_DRIVER] };
  const form = useForm<FormIn, unknown, FormOut>({
    resolver: zodResolver(schema),
    defaultValues: {
      name: from.name,
      widestMm: shown.show('Widest paper', from.widestMm),
      rolls: from.rolls,
      top: shown.show('Top', from.marginsMm.top),
      right: shown.show('Right', from.marginsMm.right),
      bottom: shown.show('Bottom', from.marginsMm.bottom),
      left: shown.show('Left', from.marginsMm.left),
      mirrorBy: from.mirrorBy,
      colourBy: from.colourBy,
      ppi: `${from.ppi}`,
      inkPerM2Cents: (from.inkPerM2Cents / 100).toFixed(2),
      mostInkPct: String(from.mostInkPct),
      driver: from.driver.join('\n'),
    },
    mode: 'onBlur',
  });
  const { errors } = form.formState;
  const save = async (f: FormOut) => {
    const made = printerFrom(f, printer?.id ?? newId('printer'));
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
        <div className="grid content-start gap-3">
          <FormField label="Name" problem={errors.name?.message}>
            {(p) => (
              <input {...p} className={inputClass} placeholder="Desk printer" {...form.register('name')} />
            )}
          </FormField>
          <div className="grid grid-cols-2 items-end gap-3">
            <FormField label={`Widest paper, ${units.length}`} problem={errors.widestMm?.message}>
              {(p) => <input {...p} className={inputClass} {...form.register('widestMm')} />}
            </FormField>
            <label className="flex min-h-10 items-center gap-2 font-label text-base font-medium">
              <input type="checkbox" className="size-5 accent-strata-3" {...form.register('rolls')} /> takes
              rolls
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
                <input
                  {...p}
                  inputMode="decimal"
                  className={inputClass}
                  {...form.register('inkPerM2Cents')}
                />
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

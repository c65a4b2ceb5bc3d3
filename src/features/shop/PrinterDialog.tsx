'use client';

import { say } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo } from 'react';
import { useForm, useFormContext } from 'react-hook-form';
import { COLOUR_BY, COLOUR_WORDS, type Printer } from '@/core/shop/printer';
import { withPrinters } from '@/core/shop/settings';
import { newId } from '@/data/ids';
import { changeSettings } from '@/data/shop';
import { Dialog } from '@/ui/Dialog';
import { asRead, DialogForm, fieldsOf } from '@/ui/form';
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

const { Text, Choice } = fieldsOf<PrinterFormIn>();

/** A printer typed in or changed: what it takes, what it cannot print, who mirrors, who manages colour, what it costs. */
export function PrinterDialog({ printer, onClose }: { printer: Printer | null; onClose: () => void }) {
  const t = useWords();
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
      title={printer ? t('shop.change3', { printer: printer.name }) : t('shop.addPrinter')}
      about={t('shop.mirrorOnePlaceOnly')}
    >
      <DialogForm
        form={form}
        onSave={save}
        onCancel={onClose}
        saveLabel={t('shop.savePrinter')}
        className="md:grid-cols-2"
      >
        <PaperFields />
        <InkFields />
      </DialogForm>
    </Dialog>
  );
}

const MIRRORED_BY = [
  ['app', say('shop.theFile')],
  ['driver', say('common.theDriver')],
] as const;

/** What it feeds and cannot print, and who mirrors and manages colour. */
function PaperFields() {
  const t = useWords();
  const units = useUnits();
  const { register } = useFormContext<PrinterFormIn>();
  return (
    <div className="grid content-start gap-3">
      <Text name="name" label={t('common.name')} placeholder={t('shop.deskPrinter')} />
      <div className="grid grid-cols-2 items-end gap-3">
        <Text name="widestMm" label={t('shop.widestPaper', { units: units.length })} />
        <label className="flex min-h-10 items-center gap-2 font-label text-base font-medium">
          <input type="checkbox" className="size-5 accent-strata-3" {...register('rolls')} />{' '}
          {t('shop.takesRolls')}
        </label>
      </div>
      <fieldset className="grid grid-cols-4 gap-3">
        <legend className="font-label text-fine font-semibold">
          {t('shop.unprintableMarginsFeedDirection', { units: units.length })}
        </legend>
        {SIDES.map((side) => (
          <Text key={side} name={side} label={side} />
        ))}
      </fieldset>
      <div className="grid grid-cols-2 gap-3">
        <Choice name="mirrorBy" label={t('common.mirroredBy')} options={MIRRORED_BY} />
        <Choice
          name="colourBy"
          label={t('shop.colourManaged')}
          options={COLOUR_BY.map((c) => [c, COLOUR_WORDS[c].label])}
        />
      </div>
    </div>
  );
}

/** Resolution, ink and what to set in the driver. */
function InkFields() {
  const t = useWords();
  const { settings } = useShop().shop;
  return (
    <div className="grid content-start gap-3">
      <div className="grid grid-cols-3 gap-3">
        <Choice name="ppi" label={t('shop.resolutionPpi')} options={asRead(PPIS)} />
        <Text
          name="inkPerM2Cents"
          label={t('shop.inkPerMFull', { currency: settings.currency })}
          inputMode="decimal"
        />
        <Text name="mostInkPct" label={t('shop.inkLimit')} inputMode="numeric" />
      </div>
      <Text name="inkName" label={t('shop.inkInPrinter')} />
      <Text name="mediaType" label={t('shop.mediaTypeChosen')} placeholder={t('sheet.mediaOfInkMaker')} />
      <Text name="quality" label={t('shop.qualityChosen')} placeholder={t('sheet.qualityBest')} />
      <Text name="driver" label={t('shop.printerSettingsOnePer')} rows={3} />
    </div>
  );
}

'use client';

import { say } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import * as z from 'zod/mini';
import { nameSchema } from '@/core/shop/common';
import { MEDIA_WORDS } from '@/core/shop/kindWords';
import { MEDIA } from '@/core/shop/practices';
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
    media: z.enum(MEDIA),
    widthMm: lengthText(unit, say('common.width'), 50, 1700, shown),
    heightMm: lengthText(unit, say('common.height'), 50, 30000, shown),
    thicknessMm: lengthText(unit, say('common.thickness'), 0.03, 0.6, shown),
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
  const t = useWords();
  const units = useUnits();
  const { shop } = useShop();
  const shown = useMemo(() => shownLengths(units), [units]);
  const schema = useMemo(() => formSchema(units.length, shown), [units.length, shown]);
  const form = useForm<FormIn, unknown, FormOut>({
    resolver: zodResolver(schema),
    defaultValues: {
      name: paper?.name ?? '',
      kind: paper?.kind ?? 'sheet',
      media: paper?.media ?? 'transfer',
      widthMm: paper ? shown.show(t('common.width'), paper.widthMm) : '',
      heightMm: paper ? shown.show(t('common.height'), paper.heightMm) : '',
      thicknessMm: shown.show(t('common.thickness'), paper?.thicknessMm ?? 0.1, true),
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
      title={paper ? t('shop.change', { paper: paper.name }) : t('shop.addPaper')}
      about={t('shop.thicknessMattersBecausePaper')}
    >
      <DialogForm form={form} onSave={save} onCancel={onClose} saveLabel={t('shop.savePaper')}>
        <Text name="name" label={t('common.name')} placeholder={t('shop.a3QuickDry')} />
        <div className="grid grid-cols-2 gap-3">
          <Choice
            name="media"
            label={t('shop.paperKind')}
            options={MEDIA.map((m) => [m, t(MEDIA_WORDS[m])] as const)}
          />
          <Choice name="kind" label={t('shop.suppliedAs')} options={COMES_AS} />
        </div>
        <div className="grid grid-cols-3 gap-3">
          <Text name="widthMm" label={t('shop.width', { units: units.length })} />
          <Text
            name="heightMm"
            label={`${roll ? t('shop.maximumPrintLength') : t('common.height')}, ${units.length}`}
          />
          <Text name="thicknessMm" label={t('common.thickness2', { units: units.length })} />
        </div>
        <Text name="printSide" label={t('shop.printSideHowRecognise')} placeholder={t('shop.whiterSide')} />
        <Text name="tray" label={t('shop.trayFeedOrientation')} placeholder={t('shop.rearFeedPrintSide')} />
        <Text
          name="costCents"
          label={t('shop.price', { currency: shop.settings.currency, which: roll ? 'perMetre' : 'other' })}
          inputMode="decimal"
        />
      </DialogForm>
    </Dialog>
  );
}

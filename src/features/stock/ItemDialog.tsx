'use client';

import { say } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { zodResolver } from '@hookform/resolvers/zod';
import { useForm, useFormContext, useWatch } from 'react-hook-form';
import { STOCK_KINDS, STOCK_UNITS, type StockItem } from '@/core/shop/stock';
import { newId } from '@/data/ids';
import { countItem, saveItem } from '@/data/stock';
import { Dialog } from '@/ui/Dialog';
import { DialogForm, fieldsOf, inWords } from '@/ui/form';
import { notifyProblem } from '@/ui/notify';
import { useShop } from '../shell/shopContext';
import {
  itemFormSchema,
  startingForm,
  thingsFor,
  UNIT_OF,
  type ItemFormIn,
  type ItemFormOut,
} from './itemForm';
import { STOCK_KIND_WORDS, UNIT_WORDS, UNIT_NAMES } from './stockWords';

const { Text, Choice } = fieldsOf<ItemFormIn>();

interface Props {
  readonly item: StockItem | null;
  readonly onClose: () => void;
}

/** Adds an item to stock, or changes how it is bought; its ledger stays. */
export function ItemDialog({ item, onClose }: Props) {
  const t = useWords();
  const { shop } = useShop();
  const form = useForm<ItemFormIn, unknown, ItemFormOut>({
    resolver: zodResolver(itemFormSchema),
    defaultValues: startingForm(item),
    mode: 'onBlur',
  });
  const unit = useWatch({ control: form.control, name: 'unit' });
  const save = async (f: ItemFormOut) => {
    const { ofId, onHand, ...rest } = f;
    const made: StockItem = {
      ...rest,
      id: item?.id ?? newId('item'),
      ofId: ofId === '' ? null : ofId,
      lots: item?.lots ?? [],
    };
    const r = await saveItem(made);
    if (!r.ok) return notifyProblem(r.problem);
    if (!item && onHand !== null) {
      const counted = await countItem(made.id, onHand, null);
      if (!counted.ok) return notifyProblem(counted.problem);
    }
    onClose();
  };
  const price = shop.settings.currency;
  return (
    <Dialog
      open
      onClose={onClose}
      title={item ? t('stock.change', { item: item.name }) : t('stock.addItem')}
      about={t('stock.howBoughtUnitPrice')}
    >
      <DialogForm form={form} onSave={save} onCancel={onClose} saveLabel={t('common.save')}>
        <WhatFields />
        <div className="grid grid-cols-3 gap-3">
          <Text
            name="caseSize"
            label={t('stock.caseSize', { unitWords: UNIT_WORDS[unit] })}
            inputMode="decimal"
          />
          <Text name="caseCents" label={t('stock.casePrice', { price })} inputMode="decimal" />
          <Text name="freightCents" label={t('stock.freightPerCase', { price })} inputMode="decimal" />
          <Text name="leadDays" label={t('stock.leadTimeDays')} inputMode="decimal" />
          <Text name="lowAt" label={t('stock.reorderLevel')} inputMode="decimal" />
          {!item && (
            <Text
              name="onHand"
              label={t('stock.handNow')}
              hint={t('stock.leaveEmptyCountLater')}
              inputMode="decimal"
            />
          )}
        </div>
        <Choice name="leftOver" label={t('stock.unusedPartCase')} options={LEFT_OVER} />
      </DialogForm>
    </Dialog>
  );
}

const LEFT_OVER = [
  ['kept', say('stock.keptOtherJobs')],
  ['charged', say('stock.chargedJob')],
] as const;

/** What it is, by the shop's own things where it is one of them. */
function WhatFields() {
  const t = useWords();
  const { shop } = useShop();
  const { control, setValue } = useFormContext<ItemFormIn>();
  const kind = useWatch({ control, name: 'kind' });
  const things = thingsFor(kind, shop);
  const startKind = (chosen: string) => {
    const next = STOCK_KINDS.find((k) => k === chosen) ?? 'part';
    setValue('unit', UNIT_OF[next]);
    setValue('ofId', '');
  };
  const takeName = (chosen: string) => {
    const of = things.find((t) => t.id === chosen);
    if (of) setValue('name', of.name);
  };
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <Choice
          name="kind"
          label={t('common.kind')}
          options={inWords(STOCK_KINDS, STOCK_KIND_WORDS)}
          onChosen={startKind}
        />
        {things.length > 0 && (
          <Choice
            name="ofId"
            label={t('stock.which')}
            options={[['', t('stock.noneThese')], ...things.map((t) => [t.id, t.name] as const)]}
            onChosen={takeName}
          />
        )}
      </div>
      <div className="grid grid-cols-[1fr_9rem] gap-3">
        <Text name="name" label={t('common.name')} />
        <Choice name="unit" label={t('stock.unit')} options={inWords(STOCK_UNITS, UNIT_NAMES)} />
      </div>
    </>
  );
}

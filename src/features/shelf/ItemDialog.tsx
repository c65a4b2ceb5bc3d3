'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useForm, useWatch, type UseFormReturn } from 'react-hook-form';
import { STOCK_KINDS, STOCK_UNITS, type StockItem } from '@/core/shop/stock';
import { newId } from '@/data/ids';
import { countItem, saveItem } from '@/data/shelf';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { FormField, inputClass } from '@/ui/FormField';
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
import { KIND_WORDS, UNIT_WORDS } from './shelfWords';

type ItemForm = UseFormReturn<ItemFormIn, unknown, ItemFormOut>;

interface Props {
  readonly item: StockItem | null;
  readonly onClose: () => void;
}

/** Something put on the shelf, or how it is bought changed; what its ledger says stays. */
export function ItemDialog({ item, onClose }: Props) {
  const { shop } = useShop();
  const form = useForm<ItemFormIn, unknown, ItemFormOut>({
    resolver: zodResolver(itemFormSchema),
    defaultValues: startingForm(item),
    mode: 'onBlur',
  });
  const { errors } = form.formState;
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
  const numbers = [
    ['caseSize', `In a case, ${UNIT_WORDS[unit]}`],
    ['caseCents', `A case costs, ${price}`],
    ['freightCents', `Carriage of it, ${price}`],
    ['leadDays', 'Days until it comes'],
    ['lowAt', 'Least to stay'],
  ] as const;
  return (
    <Dialog
      open
      onClose={onClose}
      title={item ? `Change ${item.name}` : 'Put on the shelf'}
      about="How it is bought: prices of a piece, what is left of a case, and what to order by when follow from it."
    >
      <form className="grid gap-3" noValidate onSubmit={(e) => void form.handleSubmit(save)(e)}>
        <WhatFields form={form} />
        <div className="grid grid-cols-3 gap-3">
          {numbers.map(([name, label]) => (
            <FormField key={name} label={label} problem={errors[name]?.message}>
              {(p) => (
                <input
                  {...p}
                  inputMode="decimal"
                  autoComplete="off"
                  className={inputClass}
                  {...form.register(name)}
                />
              )}
            </FormField>
          ))}
          {!item && (
            <FormField label="Lying there now" hint="Empty: counted later." problem={errors.onHand?.message}>
              {(p) => (
                <input
                  {...p}
                  inputMode="decimal"
                  autoComplete="off"
                  className={inputClass}
                  {...form.register('onHand')}
                />
              )}
            </FormField>
          )}
        </div>
        <FormField label="What a case leaves over">
          {(p) => (
            <select {...p} className={inputClass} {...form.register('leftOver')}>
              <option value="kept">is kept for other work</option>
              <option value="charged">is paid by the job it was bought for</option>
            </select>
          )}
        </FormField>
        <div className="flex justify-end gap-2">
          <Button onClick={onClose}>Cancel</Button>
          <Button kind="act" type="submit">
            Save
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

/** What it is, by the shop's own things where it is one of them. */
function WhatFields({ form }: { form: ItemForm }) {
  const { shop } = useShop();
  const { errors } = form.formState;
  const kind = useWatch({ control: form.control, name: 'kind' });
  const things = thingsFor(kind, shop);
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <FormField label="Kind">
          {(p) => (
            <select
              {...p}
              className={inputClass}
              {...form.register('kind', {
                onChange: (e: { target: { value: string } }) => {
                  const next = STOCK_KINDS.find((k) => k === e.target.value) ?? 'part';
                  form.setValue('unit', UNIT_OF[next]);
                  form.setValue('ofId', '');
                },
              })}
            >
              {STOCK_KINDS.map((k) => (
                <option key={k} value={k}>
                  {KIND_WORDS[k]}
                </option>
              ))}
            </select>
          )}
        </FormField>
        {things.length > 0 && (
          <FormField label="Which">
            {(p) => (
              <select
                {...p}
                className={inputClass}
                {...form.register('ofId', {
                  onChange: (e: { target: { value: string } }) => {
                    const of = things.find((t) => t.id === e.target.value);
                    if (of) form.setValue('name', of.name);
                  },
                })}
              >
                <option value="">none of the shop’s</option>
                {things.map((t) => (
                  <option key={t.id} value={t.id}>
                    {t.name}
                  </option>
                ))}
              </select>
            )}
          </FormField>
        )}
      </div>
      <div className="grid grid-cols-[1fr_9rem] gap-3">
        <FormField label="Name" problem={errors.name?.message}>
          {(p) => <input {...p} className={inputClass} {...form.register('name')} />}
        </FormField>
        <FormField label="Counted in">
          {(p) => (
            <select {...p} className={inputClass} {...form.register('unit')}>
              {STOCK_UNITS.map((u) => (
                <option key={u} value={u}>
                  {u}
                </option>
              ))}
            </select>
          )}
        </FormField>
      </div>
    </>
  );
}

'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { Plus } from 'lucide-react';
import { createColumnHelper, type ColumnDef } from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import * as z from 'zod/mini';
import { TIMER_START_WORDS } from '@/core/heat/labels';
import { nameSchema } from '@/core/shop/common';
import { TIMER_STARTS, isFlatPress, isOven, isWrapPress, PRESS_KINDS, type Press } from '@/core/shop/press';
import { type LengthUnit } from '@/core/units/format';
import { mm } from '@/core/units/quantity';
import { newId } from '@/data/ids';
import { savePress } from '@/data/shop';
import { Button } from '@/ui/Button';
import { FormField, inputClass } from '@/ui/FormField';
import { Dialog } from '@/ui/Dialog';
import { Say, useUnits } from '@/ui/units';
import { notifyProblem } from '@/ui/notify';
import { lengthText, shownLengths, type ShownLengths } from './shopForm';
import { ShopFrame } from '../shell/ShopFrame';
import { useShop } from '../shell/shopContext';
import { actionsColumn, SortableTable } from './ThingTable';

const KIND_WORDS: Readonly<Record<Press['kind'], string>> = {
  tumbler: 'tumbler press',
  mug: 'mug press',
  oven: 'oven',
  flat: 'flat press',
};

export function PressesPage() {
  const { shop } = useShop();
  const [editing, setEditing] = useState<Press | 'new' | null>(null);
  const columns = useMemo(() => {
    const c = createColumnHelper<Press>();
    return [
      c.accessor('name', {
        header: 'Name',
        cell: (x) => <span className="font-label text-lead font-semibold">{x.getValue()}</span>,
      }),
      c.accessor('kind', { header: 'Kind', cell: (x) => KIND_WORDS[x.getValue()] }),
      c.display({
        id: 'reach',
        header: 'Heats',
        cell: ({ row: { original: p } }) =>
          isOven(p) ? (
            <Say phrase={['all round, ', mm(p.insideHeightMm), ' inside, held by ', p.hold]} />
          ) : isFlatPress(p) ? (
            <Say phrase={[mm(p.platenWidthMm), ' × ', mm(p.platenHeightMm), ' platen']} />
          ) : (
            <Say phrase={[mm(p.heaterLengthMm), ' round × ', mm(p.heaterHeightMm), ' tall']} />
          ),
      }),
      c.display({
        id: 'takes',
        header: 'Closes on',
        cell: ({ row: { original: p } }) =>
          isOven(p) ? (
            '–'
          ) : isFlatPress(p) ? (
            <Say phrase={['up to ', mm(p.openingMm), ', ', p.opens]} />
          ) : (
            <Say phrase={[mm(p.smallestDiameterMm), ' to ', mm(p.largestDiameterMm)]} />
          ),
      }),
      c.display({
        id: 'timerStart',
        header: 'Its clock',
        cell: ({ row: { original: p } }) =>
          isOven(p)
            ? 'on reaching temperature'
            : `${TIMER_START_WORDS[p.timerStart]}${isWrapPress(p) && p.autoTimer ? ', by itself' : ''}`,
      }),
      actionsColumn<Press>('presses', setEditing, (p) => savePress(p)),
    ] as ColumnDef<Press, string | number>[];
  }, []);
  return (
    <ShopFrame
      title="Presses"
      about="how far each heater reaches decides passes and turns"
      actions={
        <Button kind="act" onClick={() => setEditing('new')}>
          <Plus size={18} aria-hidden /> New press
        </Button>
      }
    >
      <SortableTable
        label="Presses"
        rows={shop.presses}
        columns={columns}
        empty="No presses yet. Type in the first one: measure the heated mat, not the housing."
      />
      {editing && <PressDialog press={editing === 'new' ? null : editing} onClose={() => setEditing(null)} />}
    </ShopFrame>
  );
}

const formSchema = (unit: LengthUnit, shown: ShownLengths) =>
  z
    .object({
      name: nameSchema,
      kind: z.enum(PRESS_KINDS),
      heaterLengthMm: lengthText(unit, 'Heater round', 50, 600, shown),
      heaterHeightMm: lengthText(unit, 'Heater tall', 30, 400, shown),
      smallestDiameterMm: lengthText(unit, 'Smallest', 10, 200, shown),
      largestDiameterMm: lengthText(unit, 'Largest', 10, 250, shown),
      timerStart: z.enum(TIMER_STARTS),
      autoTimer: z.boolean(),
      insideHeightMm: lengthText(unit, 'Inside height', 50, 1000, shown),
      hold: z.enum(['sleeve', 'shrink film']),
      platenWidthMm: lengthText(unit, 'Platen width', 100, 1600, shown),
      platenHeightMm: lengthText(unit, 'Platen depth', 100, 1600, shown),
      openingMm: lengthText(unit, 'Opening', 2, 120, shown),
      opens: z.enum(['swing-away', 'clamshell', 'drawer']),
    })
    .check(
      z.refine((f) => f.kind === 'oven' || f.kind === 'flat' || f.smallestDiameterMm < f.largestDiameterMm, {
        path: ['largestDiameterMm'],
        error: 'The largest must be more than the smallest.',
      }),
    );
type FormIn = z.input<ReturnType<typeof formSchema>>;
type FormOut = z.output<ReturnType<typeof formSchema>>;

function start(p: Press | null, shown: ShownLengths): FormIn {
  const base = {
    name: p?.name ?? '',
    kind: p?.kind ?? ('tumbler' as const),
    timerStart: 'from-closing' as const,
    autoTimer: false,
    hold: 'shrink film' as const,
    insideHeightMm: shown.show('Inside height', 300),
    heaterLengthMm: shown.show('Heater round', 203),
    heaterHeightMm: shown.show('Heater tall', 240),
    smallestDiameterMm: shown.show('Smallest', 62),
    largestDiameterMm: shown.show('Largest', 90),
    platenWidthMm: shown.show('Platen width', 400),
    platenHeightMm: shown.show('Platen depth', 500),
    openingMm: shown.show('Opening', 30),
    opens: 'swing-away' as const,
  };
  if (!p) return base;
  if (isOven(p))
    return { ...base, insideHeightMm: shown.show('Inside height', p.insideHeightMm), hold: p.hold };
  if (isFlatPress(p))
    return {
      ...base,
      timerStart: p.timerStart,
      platenWidthMm: shown.show('Platen width', p.platenWidthMm),
      platenHeightMm: shown.show('Platen depth', p.platenHeightMm),
      openingMm: shown.show('Opening', p.openingMm),
      opens: p.opens,
    };
  return {
    ...base,
    timerStart: p.timerStart,
    autoTimer: p.autoTimer,
    heaterLengthMm: shown.show('Heater round', p.heaterLengthMm),
    heaterHeightMm: shown.show('Heater tall', p.heaterHeightMm),
    smallestDiameterMm: shown.show('Smallest', p.smallestDiameterMm),
    largestDiameterMm: shown.show('Largest', p.largestDiameterMm),
  };
}

function toPress(f: FormOut, id: string): Press {
  const { name, timerStart } = f;
  if (f.kind === 'oven') return { id, name, kind: 'oven', insideHeightMm: f.insideHeightMm, hold: f.hold };
  if (f.kind === 'flat') {
    const { platenWidthMm, platenHeightMm, openingMm, opens } = f;
    return { id, name, kind: 'flat', platenWidthMm, platenHeightMm, openingMm, opens, timerStart };
  }
  return {
    id,
    name,
    kind: f.kind,
    heaterLengthMm: f.heaterLengthMm,
    heaterHeightMm: f.heaterHeightMm,
    smallestDiameterMm: f.smallestDiameterMm,
    largestDiameterMm: f.largestDiameterMm,
    timerStart,
    autoTimer: f.autoTimer,
  };
}

function PressDialog({ press, onClose }: { press: Press | null; onClose: () => void }) {
  const units = useUnits();
  const shown = useMemo(() => shownLengths(units), [units]);
  const schema = useMemo(() => formSchema(units.length, shown), [units.length, shown]);
  const form = useForm<FormIn, unknown, FormOut>({
    resolver: zodResolver(schema),
    defaultValues: start(press, shown),
    mode: 'onBlur',
  });
  const { errors } = form.formState;
  const kind = useWatch({ control: form.control, name: 'kind' });
  const save = async (f: FormOut) => {
    const r = await savePress(toPress(f, press?.id ?? newId('press')));
    if (r.ok) onClose();
    else notifyProblem(r.problem);
  };
  const length = (
    name:
      | 'heaterLengthMm'
      | 'heaterHeightMm'
      | 'smallestDiameterMm'
      | 'largestDiameterMm'
      | 'insideHeightMm'
      | 'platenWidthMm'
      | 'platenHeightMm'
      | 'openingMm',
    label: string,
  ) => (
    <FormField label={`${label}, ${units.length}`} problem={errors[name]?.message}>
      {(p) => <input {...p} autoComplete="off" className={inputClass} {...form.register(name)} />}
    </FormField>
  );
  return (
    <Dialog
      open
      onClose={onClose}
      title={press ? `Change ${press.name}` : 'A press'}
      about="Measure the heated mat itself, laid flat."
    >
      <form className="grid gap-3" noValidate onSubmit={(e) => void form.handleSubmit(save)(e)}>
        <FormField label="Name" problem={errors.name?.message}>
          {(p) => (
            <input {...p} className={inputClass} placeholder="Tumbler press B" {...form.register('name')} />
          )}
        </FormField>
        <FormField label="Kind">
          {(p) => (
            <select {...p} className={inputClass} {...form.register('kind')}>
              {PRESS_KINDS.map((k) => (
                <option key={k} value={k}>
                  {KIND_WORDS[k]}
                </option>
              ))}
            </select>
          )}
        </FormField>
        {kind === 'oven' ? (
          <div className="grid grid-cols-2 gap-3">
            {length('insideHeightMm', 'Inside height')}
            <FormField label="Wraps held by">
              {(p) => (
                <select {...p} className={inputClass} {...form.register('hold')}>
                  <option>shrink film</option>
                  <option>sleeve</option>
                </select>
              )}
            </FormField>
          </div>
        ) : (
          <>
            {kind === 'flat' ? (
              <div className="grid grid-cols-2 gap-3">
                {length('platenWidthMm', 'Platen, wide')}
                {length('platenHeightMm', 'Platen, deep')}
                {length('openingMm', 'Closes on, up to')}
                <FormField label="It opens">
                  {(p) => (
                    <select {...p} className={inputClass} {...form.register('opens')}>
                      <option>swing-away</option>
                      <option>clamshell</option>
                      <option>drawer</option>
                    </select>
                  )}
                </FormField>
              </div>
            ) : (
              <div className="grid grid-cols-2 gap-3">
                {length('heaterLengthMm', 'Heater round')}
                {length('heaterHeightMm', 'Heater tall')}
                {length('smallestDiameterMm', 'Closes on, from')}
                {length('largestDiameterMm', 'to')}
              </div>
            )}
            <FormField label="Its times count">
              {(p) => (
                <select {...p} className={inputClass} {...form.register('timerStart')}>
                  {TIMER_STARTS.map((c) => (
                    <option key={c} value={c}>
                      {TIMER_START_WORDS[c]}
                    </option>
                  ))}
                </select>
              )}
            </FormField>
            {kind !== 'flat' && (
              <label className="flex min-h-10 items-center gap-3">
                <input type="checkbox" className="size-6 accent-strata-3" {...form.register('autoTimer')} />
                Its own timer starts by itself
              </label>
            )}
          </>
        )}
        <div className="flex justify-end gap-2">
          <Button onClick={onClose}>Cancel</Button>
          <Button kind="act" type="submit">
            Save press
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo } from 'react';
import { useForm, useWatch, type UseFormReturn } from 'react-hook-form';
import { TIMER_START_WORDS } from '@/core/heat/labels';
import { PRESS_KINDS, TIMER_STARTS, type Press } from '@/core/shop/press';
import { newId } from '@/data/ids';
import { savePress } from '@/data/shop';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { FormField, inputClass } from '@/ui/FormField';
import { notifyProblem } from '@/ui/notify';
import { useUnits } from '@/ui/units';
import {
  PRESS_KIND_WORDS,
  pressFormSchema,
  pressFromForm,
  pressToForm,
  type PressFormIn,
  type PressFormOut,
} from './pressForm';
import { shownLengths } from './shopForm';

type Form = UseFormReturn<PressFormIn, unknown, PressFormOut>;
type LengthName = Extract<keyof PressFormIn, `${string}Mm`>;

/** A press typed in or changed. */
export function PressDialog({ press, onClose }: { press: Press | null; onClose: () => void }) {
  const units = useUnits();
  const shown = useMemo(() => shownLengths(units), [units]);
  const schema = useMemo(() => pressFormSchema(units.length, shown), [units.length, shown]);
  const form = useForm<PressFormIn, unknown, PressFormOut>({
    resolver: zodResolver(schema),
    defaultValues: pressToForm(press, shown),
    mode: 'onBlur',
  });
  const save = async (f: PressFormOut) => {
    const r = await savePress(pressFromForm(f, press?.id ?? newId('press')));
    if (r.ok) onClose();
    else notifyProblem(r.problem);
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title={press ? `Change ${press.name}` : 'A press'}
      about="Measure the heated mat itself, laid flat."
    >
      <form className="grid gap-3" noValidate onSubmit={(e) => void form.handleSubmit(save)(e)}>
        <FormField label="Name" problem={form.formState.errors.name?.message}>
          {(p) => (
            <input {...p} className={inputClass} placeholder="Tumbler press B" {...form.register('name')} />
          )}
        </FormField>
        <Choice form={form} name="kind" label="Kind" options={PRESS_KINDS} words={PRESS_KIND_WORDS} />
        <KindFields form={form} />
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

interface ChoiceProps<T extends string> {
  readonly form: Form;
  readonly name: 'kind' | 'timerStart' | 'hold' | 'opens';
  readonly label: string;
  readonly options: readonly T[];
  readonly words?: Readonly<Record<T, string>>;
}

function Choice<T extends string>({ form, name, label, options, words }: ChoiceProps<T>) {
  return (
    <FormField label={label}>
      {(p) => (
        <select {...p} className={inputClass} {...form.register(name)}>
          {options.map((o) => (
            <option key={o} value={o}>
              {words?.[o] ?? o}
            </option>
          ))}
        </select>
      )}
    </FormField>
  );
}

function Length({ form, name, label }: { form: Form; name: LengthName; label: string }) {
  const units = useUnits();
  return (
    <FormField label={`${label}, ${units.length}`} problem={form.formState.errors[name]?.message}>
      {(p) => <input {...p} autoComplete="off" className={inputClass} {...form.register(name)} />}
    </FormField>
  );
}

/** What each kind of press has to say of itself. */
function KindFields({ form }: { form: Form }) {
  const kind = useWatch({ control: form.control, name: 'kind' });
  if (kind === 'oven')
    return (
      <div className="grid grid-cols-2 gap-3">
        <Length form={form} name="insideHeightMm" label="Inside height" />
        <Choice form={form} name="hold" label="Wraps held by" options={['shrink film', 'sleeve']} />
      </div>
    );
  return (
    <>
      {kind === 'flat' ? (
        <div className="grid grid-cols-2 gap-3">
          <Length form={form} name="platenWidthMm" label="Platen, wide" />
          <Length form={form} name="platenHeightMm" label="Platen, deep" />
          <Length form={form} name="openingMm" label="Closes on, up to" />
          <Choice form={form} name="opens" label="It opens" options={['swing-away', 'clamshell', 'drawer']} />
        </div>
      ) : (
        <div className="grid grid-cols-2 gap-3">
          <Length form={form} name="heaterLengthMm" label="Heater round" />
          <Length form={form} name="heaterHeightMm" label="Heater tall" />
          <Length form={form} name="smallestDiameterMm" label="Closes on, from" />
          <Length form={form} name="largestDiameterMm" label="to" />
        </div>
      )}
      <Choice
        form={form}
        name="timerStart"
        label="Its times count"
        options={TIMER_STARTS}
        words={TIMER_START_WORDS}
      />
      {kind !== 'flat' && (
        <label className="flex min-h-10 items-center gap-3">
          <input type="checkbox" className="size-6 accent-strata-3" {...form.register('autoTimer')} />
          Its own timer starts by itself
        </label>
      )}
    </>
  );
}

'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo } from 'react';
import { useFieldArray, useForm, useWatch, type UseFormReturn } from 'react-hook-form';
import { OVEN_AIRS, PRESS_KINDS, PRESS_TIMERS, type Press } from '@/core/shop/press';
import { newId } from '@/data/ids';
import { savePress } from '@/data/shop';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { FormField, inputClass } from '@/ui/FormField';
import { notifyProblem } from '@/ui/notify';
import { useUnits } from '@/ui/units';
import {
  heaterToForm,
  PRESS_KIND_WORDS,
  PRESS_TIMER_WORDS,
  pressFormSchema,
  pressFromForm,
  pressToForm,
  type PressFormIn,
  type PressFormOut,
} from './pressForm';
import { shownLengths } from './shopForm';

type Form = UseFormReturn<PressFormIn, unknown, PressFormOut>;
type TextName = Exclude<Extract<keyof PressFormIn, string>, 'heaters' | 'kind'>;

/** A press typed in or changed. */
export function PressDialog({ press, onClose }: { press: Press | null; onClose: () => void }) {
  const units = useUnits();
  const shown = useMemo(() => shownLengths(units), [units]);
  const schema = useMemo(() => pressFormSchema(units, shown), [units, shown]);
  const form = useForm<PressFormIn, unknown, PressFormOut>({
    resolver: zodResolver(schema),
    defaultValues: pressToForm(press, shown, units),
    mode: 'onBlur',
  });
  const save = async (f: PressFormOut) => {
    const r = await savePress(pressFromForm(f, press?.id ?? newId('press'), press, units));
    if (r.ok) onClose();
    else notifyProblem(r.problem);
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title={press ? `Change ${press.name}` : 'A press'}
      about="Measure the heated face itself. What you leave empty is taken as usual for its size, with its spread."
    >
      <form className="grid gap-3" noValidate onSubmit={(e) => void form.handleSubmit(save)(e)}>
        <FormField label="Name" problem={form.formState.errors.name?.message}>
          {(p) => (
            <input {...p} className={inputClass} placeholder="Tumbler press B" {...form.register('name')} />
          )}
        </FormField>
        <Choice form={form} name="kind" label="Kind" options={PRESS_KINDS} words={PRESS_KIND_WORDS} />
        <KindFields form={form} />
        <PowerFields form={form} />
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
  readonly name: 'kind' | 'timer' | 'hold' | 'air' | 'opens' | 'wattsFrom';
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

interface TextProps {
  readonly form: Form;
  readonly name: TextName;
  readonly label: string;
  readonly placeholder?: string;
}

function Text({ form, name, label, placeholder }: TextProps) {
  return (
    <FormField label={label} problem={form.formState.errors[name]?.message}>
      {(p) => (
        <input
          {...p}
          autoComplete="off"
          placeholder={placeholder}
          className={inputClass}
          {...form.register(name)}
        />
      )}
    </FormField>
  );
}

const Length = (props: TextProps) => {
  const units = useUnits();
  return <Text {...props} label={`${props.label}, ${units.length}`} />;
};

const Pair = ({ children }: { children: React.ReactNode }) => (
  <div className="grid grid-cols-2 gap-3">{children}</div>
);

/** What each kind of press has to say of itself. */
function KindFields({ form }: { form: Form }) {
  const kind = useWatch({ control: form.control, name: 'kind' });
  if (kind === 'oven') return <OvenFields form={form} />;
  return (
    <>
      {kind === 'flat' ? <FlatFields form={form} /> : <HeaterFields form={form} />}
      <TimerFields form={form} />
    </>
  );
}

const OVEN_AIR_WORDS = { fan: 'moved by a fan', still: 'still, without a fan' } as const;

function OvenFields({ form }: { form: Form }) {
  const units = useUnits();
  return (
    <Pair>
      <Length form={form} name="insideHeightMm" label="Inside height" />
      <Length form={form} name="insideWidthMm" label="Rack, wide" />
      <Length form={form} name="insideDepthMm" label="Rack, deep" />
      <Text form={form} name="fallK" label={`Falls when opened, °${units.temperature}`} placeholder="usual" />
      <Choice
        form={form}
        name="hold"
        label="Wraps held by"
        options={['shrink film', 'sleeve', 'wound tape']}
      />
      <Choice form={form} name="air" label="Air inside" options={OVEN_AIRS} words={OVEN_AIR_WORDS} />
    </Pair>
  );
}

const FlatFields = ({ form }: { form: Form }) => (
  <Pair>
    <Length form={form} name="platenWidthMm" label="Platen, wide" />
    <Length form={form} name="platenHeightMm" label="Platen, deep" />
    <Length form={form} name="platenThicknessMm" label="Platen, thick" />
    <Length form={form} name="padMm" label="Pad on the bed" />
    <Length form={form} name="openingMm" label="Closes on, up to" />
    <Choice form={form} name="opens" label="It opens" options={['swing-away', 'clamshell', 'drawer']} />
  </Pair>
);

function TimerFields({ form }: { form: Form }) {
  const units = useUnits();
  return (
    <Pair>
      <Choice form={form} name="timer" label="Timer" options={PRESS_TIMERS} words={PRESS_TIMER_WORDS} />
      <Text form={form} name="restingC" label={`Rests at, °${units.temperature}`} placeholder="stays hot" />
    </Pair>
  );
}

const PowerFields = ({ form }: { form: Form }) => (
  <div className="grid grid-cols-3 gap-3">
    <Text form={form} name="watts" label="Power, W" placeholder="usual" />
    <Choice
      form={form}
      name="wattsFrom"
      label="Power is"
      options={['plate', 'measured']}
      words={{ plate: 'from its plate', measured: 'measured' }}
    />
    <Text form={form} name="volts" label="Supply, V" placeholder="not said" />
  </div>
);

/** The mats of a wrap press, each measured laid flat. */
function HeaterFields({ form }: { form: Form }) {
  const units = useUnits();
  const { fields, append, remove } = useFieldArray({
    control: form.control,
    name: 'heaters',
    keyName: 'key',
  });
  return (
    <fieldset className="grid gap-3">
      <legend className="mb-1 font-name text-lead font-semibold">Heaters, laid flat</legend>
      {fields.map((field, i) => (
        <div key={field.key} className="grid gap-2 border-l-4 border-strata-6 pl-3">
          <FormField label={`Heater ${i + 1}`} problem={form.formState.errors.heaters?.[i]?.name?.message}>
            {(p) => <input {...p} className={inputClass} {...form.register(`heaters.${i}.name`)} />}
          </FormField>
          <div className="grid grid-cols-3 gap-2">
            {(
              [
                ['lengthMm', 'Heater round'],
                ['heightMm', 'Heater tall'],
                ['taperMm', 'Taper'],
                ['smallestDiameterMm', 'Closes on, from'],
                ['largestDiameterMm', 'to'],
              ] as const
            ).map(([name, label]) => (
              <FormField
                key={name}
                label={`${label}, ${units.length}`}
                problem={form.formState.errors.heaters?.[i]?.[name]?.message}
              >
                {(p) => (
                  <input
                    {...p}
                    autoComplete="off"
                    className={inputClass}
                    {...form.register(`heaters.${i}.${name}`)}
                  />
                )}
              </FormField>
            ))}
            {fields.length > 1 && (
              <div className="self-end">
                <Button onClick={() => remove(i)}>Take away</Button>
              </div>
            )}
          </div>
        </div>
      ))}
      {fields.length < 12 && (
        <div>
          <Button
            onClick={() =>
              append({ ...heaterToForm(null, newId('mat'), units), name: `Heater ${fields.length + 1}` })
            }
          >
            Another heater
          </Button>
        </div>
      )}
    </fieldset>
  );
}

'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo } from 'react';
import { useFieldArray, useForm, useWatch, type FieldPath } from 'react-hook-form';
import { OVEN_AIRS, OVEN_HOLDS, PRESS_KINDS, PRESS_OPENS, PRESS_TIMERS, type Press } from '@/core/shop/press';
import { newId } from '@/data/ids';
import { savePress } from '@/data/shop';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { asRead, DialogForm, fieldsOf, inWords } from '@/ui/form';
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

const { Text, Choice } = fieldsOf<PressFormIn>();

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
      title={press ? `Change ${press.name}` : 'Add press'}
      about="Measure the heated face itself. Fields left empty use the usual value for that size."
    >
      <DialogForm form={form} onSave={save} onCancel={onClose} saveLabel="Save press">
        <Text name="name" label="Name" placeholder="Tumbler press B" />
        <Choice name="kind" label="Kind" options={inWords(PRESS_KINDS, PRESS_KIND_WORDS)} />
        <KindFields />
        <PowerFields />
      </DialogForm>
    </Dialog>
  );
}

const Length = (props: { name: FieldPath<PressFormIn>; label: string }) => {
  const units = useUnits();
  return <Text {...props} label={`${props.label}, ${units.length}`} />;
};

const Pair = ({ children }: { children: React.ReactNode }) => (
  <div className="grid grid-cols-2 gap-3">{children}</div>
);

/** What each kind of press has to say of itself. */
function KindFields() {
  const kind = useWatch<PressFormIn, 'kind'>({ name: 'kind' });
  if (kind === 'oven') return <OvenFields />;
  return (
    <>
      {kind === 'flat' ? <FlatFields /> : <HeaterFields />}
      <TimerFields />
    </>
  );
}

const OVEN_AIR_WORDS = { fan: 'fan', still: 'still' } as const;

function OvenFields() {
  const units = useUnits();
  return (
    <Pair>
      <Length name="insideHeightMm" label="Inside height" />
      <Length name="insideWidthMm" label="Rack width" />
      <Length name="insideDepthMm" label="Rack depth" />
      <Text name="fallK" label={`Temperature drop when opened, °${units.temperature}`} placeholder="usual" />
      <Choice name="hold" label="Wrap held by" options={asRead(OVEN_HOLDS)} />
      <Choice name="air" label="Air" options={inWords(OVEN_AIRS, OVEN_AIR_WORDS)} />
    </Pair>
  );
}

const FlatFields = () => (
  <Pair>
    <Length name="platenWidthMm" label="Platen width" />
    <Length name="platenHeightMm" label="Platen depth" />
    <Length name="platenThicknessMm" label="Platen thickness" />
    <Length name="padMm" label="Pad thickness" />
    <Length name="openingMm" label="Opening, maximum" />
    <Choice name="opens" label="Opens as" options={asRead(PRESS_OPENS)} />
  </Pair>
);

function TimerFields() {
  const units = useUnits();
  return (
    <Pair>
      <Choice name="timer" label="Timer" options={inWords(PRESS_TIMERS, PRESS_TIMER_WORDS)} />
      <Text name="restingC" label={`Standby temperature, °${units.temperature}`} placeholder="none" />
    </Pair>
  );
}

const POWER_FROM_WORDS = { plate: 'rating plate', measured: 'measured' } as const;

const PowerFields = () => (
  <div className="grid grid-cols-3 gap-3">
    <Text name="watts" label="Power, W" placeholder="usual" />
    <Choice name="wattsFrom" label="Power from" options={inWords(['plate', 'measured'], POWER_FROM_WORDS)} />
    <Text name="volts" label="Supply, V" placeholder="unknown" />
  </div>
);

const HEATER_LENGTHS = [
  ['lengthMm', 'Heater length'],
  ['heightMm', 'Heater height'],
  ['taperMm', 'Taper'],
  ['smallestDiameterMm', 'Smallest diameter'],
  ['largestDiameterMm', 'Largest diameter'],
] as const;

/** The mats of a wrap press, each measured laid flat. */
function HeaterFields() {
  const units = useUnits();
  const { fields, append, remove } = useFieldArray<PressFormIn, 'heaters', 'key'>({
    name: 'heaters',
    keyName: 'key',
  });
  return (
    <fieldset className="grid gap-3">
      <legend className="mb-1 font-name text-lead font-semibold">Heaters, measured flat</legend>
      {fields.map((field, i) => (
        <div key={field.key} className="grid gap-2 border-l-4 border-strata-6 pl-3">
          <Text name={`heaters.${i}.name`} label={`Heater ${i + 1}`} />
          <div className="grid grid-cols-3 gap-2">
            {HEATER_LENGTHS.map(([name, label]) => (
              <Length key={name} name={`heaters.${i}.${name}`} label={label} />
            ))}
            {fields.length > 1 && (
              <div className="self-end">
                <Button onClick={() => remove(i)}>Remove</Button>
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
            Add heater
          </Button>
        </div>
      )}
    </fieldset>
  );
}

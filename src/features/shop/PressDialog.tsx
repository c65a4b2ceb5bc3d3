'use client';

import { PRESS_KIND_WORDS } from '@/core/press/kinds';
import { OPENS_WORDS, OVEN_HOLD_WORDS, PRESSURE_SCALE_WORDS } from '@/core/shop/kindWords';
import { say } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo } from 'react';
import { useFieldArray, useForm, useWatch, type FieldPath } from 'react-hook-form';
import {
  OVEN_AIRS,
  OVEN_HOLDS,
  PRESS_KINDS,
  PRESS_OPENS,
  PRESSURE_SCALES,
  PRESS_TIMERS,
  type Press,
  type PressKind,
} from '@/core/shop/press';
import { newId } from '@/data/ids';
import { savePress } from '@/data/shop';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { DialogForm, fieldsOf, inWords } from '@/ui/form';
import { notifyProblem } from '@/ui/notify';
import { useUnits } from '@/ui/units';
import {
  heaterToForm,
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
  const t = useWords();
  const units = useUnits();
  const shown = useMemo(() => shownLengths(units), [units]);
  const schema = useMemo(() => pressFormSchema(units, shown), [units, shown]);
  const form = useForm<PressFormIn, unknown, PressFormOut>({
    resolver: zodResolver(schema),
    defaultValues: pressToForm(press, shown, units, t('shop.builtHeater')),
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
      title={press ? t('shop.change2', { press: press.name }) : t('shop.addPress')}
      about={t('shop.measureHeatedFaceItself')}
    >
      <DialogForm form={form} onSave={save} onCancel={onClose} saveLabel={t('shop.savePress')}>
        <Text name="name" label={t('common.name')} placeholder={t('shop.tumblerPressB')} />
        <Choice name="kind" label={t('common.kind')} options={inWords(PRESS_KINDS, PRESS_KIND_WORDS)} />
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
const FIELDS: Readonly<Record<PressKind, () => React.ReactNode>> = {
  tumbler: WrapFields,
  mug: WrapFields,
  oven: OvenFields,
  flat: FlatFields,
  vacuum: VacuumFields,
};

function KindFields() {
  const kind = useWatch<PressFormIn, 'kind'>({ name: 'kind' });
  const Fields = FIELDS[kind];
  return <Fields />;
}

const OVEN_AIR_WORDS = { fan: say('shop.fanAir'), still: say('shop.stillAir') } as const;

function OvenFields() {
  const t = useWords();
  const units = useUnits();
  return (
    <Pair>
      <Length name="insideHeightMm" label={t('shop.insideHeight')} />
      <Length name="insideWidthMm" label={t('shop.rackWidth')} />
      <Length name="insideDepthMm" label={t('shop.rackDepth')} />
      <Text
        name="fallK"
        label={t('shop.temperatureDropWhenOpened', { temperature: units.temperature })}
        placeholder={t('shop.usual')}
      />
      <Choice name="hold" label={t('shop.wrapHeld')} options={inWords(OVEN_HOLDS, OVEN_HOLD_WORDS)} />
      <Choice name="air" label={t('shop.air')} options={inWords(OVEN_AIRS, OVEN_AIR_WORDS)} />
    </Pair>
  );
}

function FlatFields() {
  const t = useWords();
  return (
    <>
      <Pair>
        <Length name="platenWidthMm" label={t('shop.platenWidth')} />
        <Length name="platenHeightMm" label={t('shop.platenDepth')} />
        <Length name="platenThicknessMm" label={t('shop.platenThickness')} />
        <Length name="padMm" label={t('shop.padThickness')} />
        <Length name="openingMm" label={t('shop.openingMaximum')} />
        <Choice name="opens" label={t('shop.opensAs')} options={inWords(PRESS_OPENS, OPENS_WORDS)} />
      </Pair>
      <TimerFields rests />
      <ScaleField />
    </>
  );
}

function WrapFields() {
  return (
    <>
      <HeaterFields />
      <TimerFields rests />
      <ScaleField />
    </>
  );
}

function VacuumFields() {
  const t = useWords();
  return (
    <>
      <Pair>
        <Length name="insideHeightMm" label={t('shop.insideHeight')} />
        <Length name="insideWidthMm" label={t('shop.chamberWidth')} />
        <Length name="insideDepthMm" label={t('shop.chamberDepth')} />
        <Length name="membraneMm" label={t('shop.membraneThickness')} />
      </Pair>
      <TimerFields rests={false} />
    </>
  );
}

/** How it keeps time, and what it falls to between pieces where it does. */
function TimerFields({ rests }: { rests: boolean }) {
  const t = useWords();
  const units = useUnits();
  return (
    <Pair>
      <Choice name="timer" label={t('common.timer')} options={inWords(PRESS_TIMERS, PRESS_TIMER_WORDS)} />
      {rests && (
        <Text
          name="restingC"
          label={t('shop.standbyTemperature', { temperature: units.temperature })}
          placeholder={t('common.none')}
        />
      )}
    </Pair>
  );
}

/** How it shows the pressure it is set to. */
const ScaleField = () => {
  const t = useWords();
  return (
    <Choice
      name="pressureScale"
      label={t('shop.pressureScale')}
      options={inWords(PRESSURE_SCALES, PRESSURE_SCALE_WORDS)}
    />
  );
};

const POWER_FROM_WORDS = { plate: say('shop.ratingPlate'), measured: say('shop.measuredPower') } as const;

const PowerFields = () => {
  const t = useWords();
  return (
    <div className="grid grid-cols-3 gap-3">
      <Text name="watts" label={t('shop.powerW')} placeholder={t('shop.usual')} />
      <Choice
        name="wattsFrom"
        label={t('shop.powerFrom')}
        options={inWords(['plate', 'measured'], POWER_FROM_WORDS)}
      />
      <Text name="volts" label={t('shop.supplyV')} placeholder={t('shop.unknown')} />
    </div>
  );
};

const HEATER_LENGTHS = [
  ['lengthMm', say('shop.heaterLength')],
  ['heightMm', say('shop.heaterHeight')],
  ['taperMm', say('shop.taper')],
  ['smallestDiameterMm', say('shop.smallestDiameter')],
  ['largestDiameterMm', say('shop.largestDiameter')],
] as const;

/** The mats of a wrap press, each measured laid flat. */
function HeaterFields() {
  const t = useWords();
  const units = useUnits();
  const { fields, append, remove } = useFieldArray<PressFormIn, 'heaters', 'key'>({
    name: 'heaters',
    keyName: 'key',
  });
  return (
    <fieldset className="grid gap-3">
      <legend className="mb-1 font-name text-lead font-semibold">{t('shop.heatersMeasuredFlat')}</legend>
      {fields.map((field, i) => (
        <div key={field.key} className="grid gap-2 border-l-4 border-strata-6 pl-3">
          <Text name={`heaters.${i}.name`} label={t('shop.heater', { i: i + 1 })} />
          <div className="grid grid-cols-3 gap-2">
            {HEATER_LENGTHS.map(([name, label]) => (
              <Length key={name} name={`heaters.${i}.${name}`} label={t(label)} />
            ))}
            {fields.length > 1 && (
              <div className="self-end">
                <Button onClick={() => remove(i)}>{t('common.remove2')}</Button>
              </div>
            )}
          </div>
        </div>
      ))}
      {fields.length < 12 && (
        <div>
          <Button
            onClick={() =>
              append({
                ...heaterToForm(null, newId('mat'), units, ''),
                name: t('shop.heater2', { fields: fields.length + 1 }),
              })
            }
          >
            {t('shop.addHeater')}
          </Button>
        </div>
      )}
    </fieldset>
  );
}

'use client';

import { useFormContext } from 'react-hook-form';
import { FAMILIES, FINISHES, MATERIALS } from '@/core/shop/blank';
import { asRead, fieldsOf } from '@/ui/form';
import { FormField, inputClass } from '@/ui/FormField';
import { useUnits } from '@/ui/units';
import type { AboutIn } from './about';

const { Text, Choice } = fieldsOf<AboutIn>();
const SEEN_THROUGH = [
  ['opaque', 'no, opaque'],
  ['clear', 'yes, clear'],
] as const;

const row = 'grid grid-cols-2 items-start gap-3 sm:grid-cols-4';

/** What is said of a blank besides its shape. */
export function AboutFields() {
  const units = useUnits();
  const { register, formState } = useFormContext<AboutIn>();
  return (
    <>
      <div className={row}>
        <Choice name="family" label="Family" options={asRead(FAMILIES)} />
        <Choice name="material" label="Material" options={asRead(MATERIALS)} />
        <Choice name="wall" label="Wall" options={asRead(['vacuum', 'single'])} />
        <Text name="wallMm" label={`Thickness, ${units.length}`} hint="skin, wall or plate" />
        <Choice name="finish" label="Coating" options={asRead(FINISHES)} />
        <Choice name="stock" label="Transparent" options={SEEN_THROUGH} />
        <FormField label="Blank’s colour" problem={formState.errors.colour?.message}>
          {(p) => <input {...p} type="color" className={`${inputClass} p-1`} {...register('colour')} />}
        </FormField>
        <label className="flex items-center gap-2 pt-6 leading-tight">
          <input type="checkbox" className="size-6 shrink-0 accent-strata-3" {...register('film')} />
          Protective film to peel
        </label>
      </div>
      <div className="grid items-start gap-3 sm:grid-cols-2">
        <Text name="takeOff" label="Parts to take off" hint="one a line" rows={2} />
        <Text name="finishing" label="Finishing steps" hint="one a line" rows={2} />
        <Text name="needs" label="Parts it needs" hint="one a line" rows={2} />
        <Text name="cautions" label="Cautions" hint="one a line" rows={2} />
      </div>
    </>
  );
}

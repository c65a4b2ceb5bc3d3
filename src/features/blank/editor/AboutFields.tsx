'use client';

import type { UseFormReturn } from 'react-hook-form';
import { FAMILIES, FINISHES, MATERIALS } from '@/core/shop/blank';
import { FormField, inputClass } from '@/ui/FormField';
import { useUnits } from '@/ui/units';
import type { AboutIn, AboutOut } from './about';

export type AboutForm = UseFormReturn<AboutIn, unknown, AboutOut>;

type TextName = {
  [K in keyof AboutIn]: AboutIn[K] extends string ? K : never;
}[keyof AboutIn];

interface FieldProps {
  readonly form: AboutForm;
  readonly name: TextName;
  readonly label: string;
  readonly hint?: string;
}

function Length({ form, name, label, hint }: FieldProps) {
  const units = useUnits();
  return (
    <FormField label={`${label}, ${units.length}`} hint={hint} problem={form.formState.errors[name]?.message}>
      {(p) => <input {...p} autoComplete="off" className={inputClass} {...form.register(name)} />}
    </FormField>
  );
}

function Lines({ form, name, label, hint }: FieldProps) {
  return (
    <FormField label={label} hint={hint} problem={form.formState.errors[name]?.message}>
      {(p) => <textarea {...p} rows={2} className={inputClass} {...form.register(name)} />}
    </FormField>
  );
}

function Choice({
  form,
  name,
  label,
  options,
}: FieldProps & { readonly options: readonly (string | readonly [string, string])[] }) {
  return (
    <FormField label={label} problem={form.formState.errors[name]?.message}>
      {(p) => (
        <select {...p} className={inputClass} {...form.register(name)}>
          {options.map((o) => {
            const [value, text] = typeof o === 'string' ? [o, o] : o;
            return (
              <option key={value} value={value}>
                {text}
              </option>
            );
          })}
        </select>
      )}
    </FormField>
  );
}

const row = 'grid grid-cols-2 items-start gap-3 sm:grid-cols-4';

/** What is said of a blank besides its shape. */
export function AboutFields({ form }: { form: AboutForm }) {
  return (
    <>
      <div className={row}>
        <Choice form={form} name="family" label="Family" options={FAMILIES} />
        <Choice form={form} name="material" label="Material" options={MATERIALS} />
        <Choice form={form} name="wall" label="Wall" options={['vacuum', 'single']} />
        <Length form={form} name="wallMm" label="Thickness" hint="skin, wall or plate" />
        <Choice form={form} name="finish" label="Coating" options={FINISHES} />
        <Choice
          form={form}
          name="stock"
          label="Seen through"
          options={[
            ['opaque', 'no: opaque'],
            ['clear', 'yes: clear'],
          ]}
        />
        <FormField label="Blank’s colour" problem={form.formState.errors.colour?.message}>
          {(p) => <input {...p} type="color" className={`${inputClass} p-1`} {...form.register('colour')} />}
        </FormField>
        <label className="flex items-center gap-2 pt-6 leading-tight">
          <input type="checkbox" className="size-6 shrink-0 accent-strata-3" {...form.register('film')} />
          Protective film to peel
        </label>
      </div>
      <div className="grid items-start gap-3 sm:grid-cols-2">
        <Lines form={form} name="takeOff" label="Parts to take off" hint="one a line" />
        <Lines form={form} name="finishing" label="To finish" hint="one a line" />
        <Lines form={form} name="needs" label="Parts it needs" hint="one a line" />
        <Lines form={form} name="cautions" label="Cautions" hint="one a line" />
      </div>
    </>
  );
}

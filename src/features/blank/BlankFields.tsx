'use client';

import { EDGES, FAMILIES, FINISHES, MATERIALS, PLAIN_FORMS } from '@/core/shop/blank';
import { FormField, inputClass } from '@/ui/FormField';
import { useUnits } from '@/ui/units';
import type { BlankFormHandle } from './BlankDialog';
import type { BlankFormIn, Drawn } from './blankForm';
import { OutlineFile } from './OutlineFile';

type TextName = {
  [K in keyof BlankFormIn]: BlankFormIn[K] extends string ? K : never;
}[keyof BlankFormIn];

interface FieldProps {
  readonly form: BlankFormHandle;
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

export function RoundFields({ form }: { form: BlankFormHandle }) {
  return (
    <>
      <div className={row}>
        <Length form={form} name="acrossMm" label="Across" hint="near the rim" />
        <Length form={form} name="acrossFootMm" label="Foot width" hint="empty: the same" />
        <Length form={form} name="heightMm" label="Height" />
        <Length form={form} name="lipMm" label="Lip" hint="rim to where the wall starts" />
        <Length form={form} name="footMm" label="Foot" hint="end of the wall to the base" />
        <Length form={form} name="handleWidthMm" label="Handle" hint="across it; empty: none" />
        <Length form={form} name="handleFromMm" label="Handle from" hint="below the rim" />
        <Length form={form} name="handleHeightMm" label="Handle tall" />
      </div>
      <div className="grid items-start gap-3 sm:grid-cols-2">
        <Lines
          form={form}
          name="between"
          label="Widths between, for a belly or waist"
          hint="one a line: below the rim; width there"
        />
        <Lines
          form={form}
          name="keepClear"
          label="Stay clear of"
          hint="what; below the rim; height; width and angle° of a patch"
        />
      </div>
      <label className="flex min-h-9 items-center gap-3">
        <input type="checkbox" className="size-6 accent-strata-3" {...form.register('openEnds')} />
        Open at both ends, as a pen barrel
      </label>
    </>
  );
}

interface FlatProps {
  readonly form: BlankFormHandle;
  readonly drawn: Drawn;
  readonly onDrawn: (d: Drawn) => void;
}

export function FlatFields({ form, drawn, onDrawn }: FlatProps) {
  return (
    <>
      <OutlineFile form={form} drawn={drawn} onDrawn={onDrawn} />
      <div className={row}>
        <Choice
          form={form}
          name="outline"
          label="Outline"
          options={['rectangle', ...PLAIN_FORMS, ...(drawn.points.length > 0 ? (['drawn'] as const) : [])]}
        />
        <Length form={form} name="widthMm" label="Width" />
        <Length form={form} name="heightMm" label="Height" />
        <Length form={form} name="cornerMm" label="Corner" hint="radius, rectangles only" />
        <Choice
          form={form}
          name="faces"
          label="Printed on"
          options={[
            ['1', 'one face'],
            ['2', 'both faces'],
          ]}
        />
        <Choice
          form={form}
          name="edge"
          label="Its edge"
          options={EDGES.map((e) => [e, `${e} edge`] as const)}
        />
      </div>
      <Lines
        form={form}
        name="holes"
        label="Holes and slots"
        hint="one a line: hole; from the left; from the top; width — slot; …; width; height"
      />
    </>
  );
}

export function AboutFields({ form }: { form: BlankFormHandle }) {
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

'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { sideOutline, sideZones } from '@/core/shapes/straight';
import { MATERIALS, straightShapeSchema, type Blank } from '@/core/shop/blank';
import { saveBlank } from '@/data/shop';
import { newId } from '@/data/ids';
import { Board } from '@/ui/board/Board';
import { SideView } from '@/ui/board/SideView';
import { Button } from '@/ui/Button';
import { FormField, inputClass } from '@/ui/FormField';
import { SheetDialog } from '@/ui/Sheet';
import { useUnits } from '@/ui/units';
import { tellProblem } from '@/ui/tell';
import { blankFormSchema, fromForm, toForm, type BlankFormIn, type BlankFormOut } from './blankForm';

interface Props {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly blank?: Blank | null;
  readonly onSaved?: (blank: Blank) => void;
}

/** A straight blank typed in, drawn as it is typed. */
export function BlankDialog({ open, onClose, blank = null, onSaved }: Props) {
  return (
    <SheetDialog
      open={open}
      onClose={onClose}
      wide
      title={blank ? `Change ${blank.name}` : 'A straight blank'}
      about="Maker’s figures will do to start; readings come next and decide."
    >
      <BlankForm blank={blank} onClose={onClose} onSaved={onSaved} />
    </SheetDialog>
  );
}

function BlankForm({ blank, onClose, onSaved }: Omit<Props, 'open'>) {
  const units = useUnits();
  const schema = useMemo(() => blankFormSchema(units.length), [units.length]);
  const form = useForm<BlankFormIn, unknown, BlankFormOut>({
    resolver: zodResolver(schema),
    defaultValues: toForm(blank ?? null, units),
    mode: 'onBlur',
  });
  const { errors } = form.formState;
  const live = useWatch({ control: form.control });
  const save = async (f: BlankFormOut) => {
    const made = fromForm(f, blank?.id ?? newId('blank'), blank?.keepClear ?? []);
    const r = await saveBlank(made);
    if (!r.ok) {
      tellProblem(r.problem);
      return;
    }
    onSaved?.(made);
    onClose();
  };
  const length = (
    name: 'diameterMm' | 'heightMm' | 'lipMm' | 'footMm' | 'wallMm',
    label: string,
    hint?: string,
  ) => (
    <FormField label={`${label}, ${units.length}`} hint={hint} problem={errors[name]?.message}>
      {(p) => <input {...p} autoComplete="off" className={inputClass} {...form.register(name)} />}
    </FormField>
  );
  return (
    <form
      className="grid gap-4 md:grid-cols-[1fr_15rem]"
      onSubmit={(e) => void form.handleSubmit(save)(e)}
      noValidate
    >
      <div className="grid content-start gap-3">
        <FormField label="Name" problem={errors.name?.message}>
          {(p) => (
            <input
              {...p}
              className={inputClass}
              placeholder="600 ml straight steel"
              {...form.register('name')}
            />
          )}
        </FormField>
        <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
          {length('diameterMm', 'Across')}
          {length('heightMm', 'Height')}
          {length('lipMm', 'Lip', 'rim to straight wall')}
          {length('footMm', 'Foot', 'straight wall to base')}
        </div>
        <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
          <FormField label="Kind">
            {(p) => (
              <select {...p} className={inputClass} {...form.register('family')}>
                {['tumbler', 'bottle', 'can sleeve', 'glass', 'cup'].map((v) => (
                  <option key={v}>{v}</option>
                ))}
              </select>
            )}
          </FormField>
          <FormField label="Material">
            {(p) => (
              <select {...p} className={inputClass} {...form.register('material')}>
                {MATERIALS.map((v) => (
                  <option key={v}>{v}</option>
                ))}
              </select>
            )}
          </FormField>
          <FormField label="Wall">
            {(p) => (
              <select {...p} className={inputClass} {...form.register('wall')}>
                <option value="vacuum">vacuum</option>
                <option value="single">single</option>
              </select>
            )}
          </FormField>
          {length('wallMm', 'Skin')}
        </div>
        <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
          <FormField label="Coating">
            {(p) => (
              <select {...p} className={inputClass} {...form.register('finish')}>
                <option>gloss</option>
                <option>matte</option>
              </select>
            )}
          </FormField>
          <FormField label="Blank’s colour" problem={errors.colour?.message}>
            {(p) => (
              <input {...p} type="color" className={`${inputClass} p-1`} {...form.register('colour')} />
            )}
          </FormField>
          <label className="col-span-2 flex items-center gap-3 pt-4">
            <input type="checkbox" className="size-6 accent-strata-3" {...form.register('film')} />
            Protective film to peel
          </label>
        </div>
        <div className="grid gap-3 sm:grid-cols-2">
          <FormField label="Parts to take off" hint="one a line">
            {(p) => <textarea {...p} rows={2} className={inputClass} {...form.register('takeOff')} />}
          </FormField>
          <FormField label="To finish" hint="one a line">
            {(p) => <textarea {...p} rows={2} className={inputClass} {...form.register('finishing')} />}
          </FormField>
        </div>
      </div>
      <LiveShape values={live} schema={schema} />
      <div className="flex justify-end gap-2 md:col-span-2">
        <Button onClick={onClose}>Leave it</Button>
        <Button kind="act" type="submit">
          Keep this blank
        </Button>
      </div>
    </form>
  );
}

/** The blank as typed so far, once it closes. */
function LiveShape({
  values,
  schema,
}: {
  values: Partial<BlankFormIn>;
  schema: ReturnType<typeof blankFormSchema>;
}) {
  const parts = schema.shape;
  const read = (key: 'diameterMm' | 'heightMm' | 'lipMm' | 'footMm') => {
    const r = parts[key].safeParse(values[key] ?? '');
    return r.success ? r.data : NaN;
  };
  const shape = straightShapeSchema.safeParse({
    kind: 'straight',
    diameterMm: read('diameterMm'),
    heightMm: read('heightMm'),
    lipMm: read('lipMm'),
    footMm: read('footMm'),
  });
  if (!shape.success) {
    return (
      <div className="board-ground grid min-h-64 place-content-center p-4 text-center text-soft">
        Drawn here once it is as wide and tall as a real one.
      </div>
    );
  }
  const s = shape.data;
  return (
    <div className="board-ground relative min-h-64">
      <Board
        label="The blank as typed"
        bounds={{ x: -s.diameterMm / 2, y: 0, width: s.diameterMm, height: s.heightMm }}
        room={{ top: 20, right: 20, bottom: 20, left: 20 }}
        draw={(fit) => (
          <SideView
            fit={fit}
            outline={sideOutline(s)}
            zones={sideZones(s)}
            colour={values.colour ?? '#ffffff'}
          />
        )}
      />
    </div>
  );
}

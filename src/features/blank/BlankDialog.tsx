'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo, useState } from 'react';
import { useForm, useWatch, type UseFormReturn } from 'react-hook-form';
import type { Blank } from '@/core/shop/blank';
import { saveBlank } from '@/data/shop';
import { newId } from '@/data/ids';
import { Board } from '@/ui/board/Board';
import { BlankShape, shapeBounds } from '@/ui/board/BlankShape';
import { Button } from '@/ui/Button';
import { FormField, inputClass } from '@/ui/FormField';
import { Segments } from '@/ui/Segments';
import { SheetDialog } from '@/ui/Sheet';
import { useUnits } from '@/ui/units';
import { tellProblem } from '@/ui/tell';
import { AboutFields, FlatFields, RoundFields } from './BlankFields';
import {
  blankFormSchema,
  drawnOf,
  fromForm,
  shapeFrom,
  shapeProblem,
  toForm,
  type BlankFormIn,
  type BlankFormOut,
  type Drawn,
} from './blankForm';

export type BlankFormHandle = UseFormReturn<BlankFormIn, unknown, BlankFormOut>;

interface Props {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly blank?: Blank | null;
  /** Starts from the blank given but keeps it: a new one of its own. */
  readonly copy?: boolean;
  readonly onSaved?: (blank: Blank) => void;
}

/** A blank typed in, drawn as it is typed. */
export function BlankDialog({ open, onClose, blank = null, copy = false, onSaved }: Props) {
  return (
    <SheetDialog
      open={open}
      onClose={onClose}
      wide
      title={blank ? (copy ? `Another like ${blank.name}` : `Change ${blank.name}`) : 'A blank of your own'}
      about="Maker’s figures will do to start; readings come next and decide."
    >
      <BlankForm blank={blank} copy={copy} onClose={onClose} onSaved={onSaved} />
    </SheetDialog>
  );
}

function BlankForm({ blank = null, copy = false, onClose, onSaved }: Omit<Props, 'open'>) {
  const units = useUnits();
  const schema = useMemo(() => blankFormSchema(units.length), [units.length]);
  const [drawn, setDrawn] = useState<Drawn>(() => drawnOf(blank));
  const form = useForm<BlankFormIn, unknown, BlankFormOut>({
    resolver: zodResolver(schema),
    defaultValues: {
      ...toForm(blank, units),
      ...(copy && blank ? { name: `${blank.name}, copy`.slice(0, 80) } : {}),
    },
    mode: 'onBlur',
  });
  const kind = useWatch({ control: form.control, name: 'kind' });
  const save = async (f: BlankFormOut) => {
    const shape = shapeFrom(f, drawn);
    if (!shape.success) {
      const { field, message } = shapeProblem(shape.error);
      form.setError(field, { message }, { shouldFocus: true });
      return;
    }
    const made = fromForm(f, shape.data, blank && !copy ? blank.id : newId('blank'));
    const r = await saveBlank(made);
    if (!r.ok) {
      tellProblem(r.problem);
      return;
    }
    onSaved?.(made);
    onClose();
  };
  return (
    <form
      className="grid gap-4 md:grid-cols-[1fr_16rem]"
      onSubmit={(e) => void form.handleSubmit(save)(e)}
      noValidate
    >
      <div className="grid content-start gap-3">
        <FormField label="Name" problem={form.formState.errors.name?.message}>
          {(p) => (
            <input
              {...p}
              className={inputClass}
              placeholder="600 ml straight steel"
              {...form.register('name')}
            />
          )}
        </FormField>
        <Segments
          className="justify-self-start"
          label="Shape"
          value={kind}
          options={[
            { value: 'round', label: 'Round: cup, bottle, mug, barrel' },
            { value: 'flat', label: 'Flat: panel, slate, ornament' },
          ]}
          onChange={(v) => form.setValue('kind', v)}
        />
        {kind === 'round' ? (
          <RoundFields form={form} />
        ) : (
          <FlatFields form={form} drawn={drawn} onDrawn={setDrawn} />
        )}
        <AboutFields form={form} />
      </div>
      <LiveShape form={form} schema={schema} drawn={drawn} />
      <div className="flex justify-end gap-2 md:col-span-2">
        <Button onClick={onClose}>Leave it</Button>
        <Button kind="act" type="submit">
          Keep this blank
        </Button>
      </div>
    </form>
  );
}

interface LiveProps {
  readonly form: BlankFormHandle;
  readonly schema: ReturnType<typeof blankFormSchema>;
  readonly drawn: Drawn;
}

/** The blank as typed so far, once it closes. */
function LiveShape({ form, schema, drawn }: LiveProps) {
  const values = useWatch({ control: form.control });
  const read = schema.safeParse({ ...form.getValues(), ...values, name: 'live' });
  const shape = read.success ? shapeFrom(read.data, drawn) : null;
  if (!read.success || !shape?.success) {
    return (
      <div className="board-ground grid min-h-64 place-content-center p-4 text-center text-soft">
        Drawn here once it is as wide and tall as a real one.
      </div>
    );
  }
  const blank = {
    shape: shape.data,
    coating: { colour: read.data.colour, finish: read.data.finish, stock: read.data.stock },
  };
  return (
    <div className="board-ground relative min-h-64">
      <Board
        label="The blank as typed"
        bounds={shapeBounds(shape.data)}
        room={{ top: 20, right: 20, bottom: 20, left: 20 }}
        draw={(fit) => <BlankShape fit={fit} blank={blank} />}
      />
    </div>
  );
}

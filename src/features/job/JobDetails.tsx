'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { Pencil } from 'lucide-react';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import * as z from 'zod/mini';
import { jobSchema } from '@/core/job/job';
import { daySchema } from '@/core/shop/common';
import { Button } from '@/ui/Button';
import { FormField, inputClass } from '@/ui/FormField';
import { Dialog } from '@/ui/Dialog';
import { wholeText } from '../shop/shopForm';
import { useJob } from './jobContext';

const detailsSchema = z.object({
  name: jobSchema.shape.name,
  pieces: wholeText('Pieces', 1, 10_000),
  dueOn: z.pipe(
    z.union([z.literal(''), daySchema]),
    z.transform((day) => (day === '' ? null : day)),
  ),
  dueAt: z.pipe(
    z.string().check(z.regex(/^(\d{2}:\d{2})?$/, 'A time is written 14:30.')),
    z.transform((t) => (t === '' ? null : Number(t.slice(0, 2)) * 60 + Number(t.slice(3)))),
  ),
  note: jobSchema.shape.note,
});
type Details = z.input<typeof detailsSchema>;

/** A time of day as its field has it. */
const clock = (min: number | null): string =>
  min === null ? '' : `${String(Math.floor(min / 60)).padStart(2, '0')}:${String(min % 60).padStart(2, '0')}`;

/** The job's name, which opens its particulars. */
export function JobDetails() {
  const { job } = useJob();
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        onClick={() => setOpen(true)}
        title="Name, pieces, due day, note"
        className="flex max-w-full items-center gap-2 text-left hover:underline"
      >
        <span className="truncate">{job.name}</span>
        <Pencil size={15} aria-label="edit" role="img" className="shrink-0 text-soft" />
      </button>
      <Dialog open={open} onClose={() => setOpen(false)} title="The job" about="What, how many, by when.">
        <DetailsForm onDone={() => setOpen(false)} />
      </Dialog>
    </>
  );
}

function DetailsForm({ onDone }: { onDone: () => void }) {
  const { job, edit } = useJob();
  const form = useForm<Details, unknown, z.output<typeof detailsSchema>>({
    resolver: zodResolver(detailsSchema),
    defaultValues: {
      name: job.name,
      pieces: String(job.pieces),
      dueOn: job.dueOn ?? '',
      dueAt: clock(job.day.dueAtMin),
      note: job.note,
    },
  });
  const { errors } = form.formState;
  return (
    <form
      className="grid gap-3"
      onSubmit={(e) =>
        void form.handleSubmit(({ dueAt, ...d }) => {
          edit((j) => ({ ...j, ...d, day: { ...j.day, dueAtMin: dueAt } }));
          onDone();
        })(e)
      }
    >
      <FormField label="Name" problem={errors.name?.message}>
        {(p) => <input {...p} className={inputClass} {...form.register('name')} />}
      </FormField>
      <div className="grid grid-cols-3 gap-3">
        <FormField label="Pieces" problem={errors.pieces?.message}>
          {(p) => <input {...p} inputMode="numeric" className={inputClass} {...form.register('pieces')} />}
        </FormField>
        <FormField label="Due" problem={errors.dueOn?.message}>
          {(p) => <input {...p} type="date" className={inputClass} {...form.register('dueOn')} />}
        </FormField>
        <FormField label="At" hint="Empty: at closing." problem={errors.dueAt?.message}>
          {(p) => <input {...p} type="time" className={inputClass} {...form.register('dueAt')} />}
        </FormField>
      </div>
      <FormField label="Note" problem={errors.note?.message}>
        {(p) => <textarea {...p} rows={3} className={inputClass} {...form.register('note')} />}
      </FormField>
      <div className="flex justify-end gap-2">
        <Button onClick={onDone}>Cancel</Button>
        <Button kind="act" type="submit">
          Save
        </Button>
      </div>
    </form>
  );
}

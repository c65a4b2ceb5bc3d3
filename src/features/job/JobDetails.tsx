'use client';

import { rule } from '@/core/basics/rule';
import { say } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { zodResolver } from '@hookform/resolvers/zod';
import { Pencil } from 'lucide-react';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import * as z from 'zod/mini';
import { jobSchema } from '@/core/job/job';
import { daySchema } from '@/core/shop/common';
import { Dialog } from '@/ui/Dialog';
import { DialogForm, fieldsOf } from '@/ui/form';
import { wholeText } from '../shop/shopForm';
import { useJob } from './jobContext';

const detailsSchema = z.object({
  name: jobSchema.shape.name,
  pieces: wholeText(say('common.pieces'), 1, 10_000),
  dueOn: z.pipe(
    z.union([z.literal(''), daySchema]),
    z.transform((day) => (day === '' ? null : day)),
  ),
  dueAt: z.pipe(
    z.string().check(z.regex(/^(\d{2}:\d{2})?$/, rule('common.timeWritten1430'))),
    z.transform((t) => (t === '' ? null : Number(t.slice(0, 2)) * 60 + Number(t.slice(3)))),
  ),
  note: jobSchema.shape.note,
});
type Details = z.input<typeof detailsSchema>;
const { Text } = fieldsOf<Details>();

/** A time of day as its field has it. */
const clock = (min: number | null): string =>
  min === null ? '' : `${String(Math.floor(min / 60)).padStart(2, '0')}:${String(min % 60).padStart(2, '0')}`;

/** The job's name, which opens its particulars. */
export function JobDetails() {
  const t = useWords();
  const { job } = useJob();
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        onClick={() => setOpen(true)}
        title={t('job.namePiecesDueDay')}
        className="flex max-w-full items-center gap-2 text-left hover:underline"
      >
        <span className="truncate">{job.name}</span>
        <Pencil size={15} aria-label={t('job.edit')} role="img" className="shrink-0 text-soft" />
      </button>
      <Dialog
        open={open}
        onClose={() => setOpen(false)}
        title={t('job.jobDetails')}
        about={t('job.nameNumberPiecesDue')}
      >
        <DetailsForm onDone={() => setOpen(false)} />
      </Dialog>
    </>
  );
}

function DetailsForm({ onDone }: { onDone: () => void }) {
  const t = useWords();
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
  return (
    <DialogForm
      form={form}
      onSave={({ dueAt, ...d }) => {
        edit((j) => ({ ...j, ...d, day: { ...j.day, dueAtMin: dueAt } }));
        onDone();
      }}
      onCancel={onDone}
      saveLabel={t('common.save')}
    >
      <Text name="name" label={t('common.name')} />
      <div className="grid grid-cols-3 gap-3">
        <Text name="pieces" label={t('common.pieces')} inputMode="numeric" />
        <Text name="dueOn" label={t('common.due')} type="date" />
        <Text name="dueAt" label={t('job.at')} hint={t('job.emptyMeansClosingTime')} type="time" />
      </div>
      <Text name="note" label={t('common.note')} rows={3} />
    </DialogForm>
  );
}

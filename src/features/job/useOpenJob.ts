'use client';

import { useEffect, useState } from 'react';
import { addJob, openJob } from '@/data/jobs';
import { newId } from '@/data/ids';
import { dropUnsaved, readUnsaved } from '@/data/journal';
import { createJobStore, type JobStore } from './jobStore';
import { createSaver, type Saver } from './saver';

export interface OpenJob {
  readonly store: JobStore;
  readonly saver: Saver;
  /** Name of a copy made of edits that could not join what another tab had saved meanwhile. */
  readonly rescued: string | null;
}

export type Opening = OpenJob | 'opening' | 'missing';

async function open(id: string): Promise<OpenJob | 'missing'> {
  const record = await openJob(id);
  if (!record) return 'missing';
  const unsaved = readUnsaved(id);
  if (unsaved && unsaved.baseRev === record.rev) {
    const store = createJobStore(unsaved.job);
    return { store, saver: createSaver(store, record.rev, true), rescued: null };
  }
  let rescued: string | null = null;
  if (unsaved) {
    // Typed in a tab that closed, over a job saved since by another: both are kept.
    const name = `${unsaved.job.name.slice(0, 60)} (unsaved edits)`;
    const added = await addJob({ ...unsaved.job, id: newId('job'), name });
    if (added.ok) {
      rescued = name;
      dropUnsaved(id);
    }
  }
  const store = createJobStore(record.job);
  return { store, saver: createSaver(store, record.rev, false), rescued };
}

/** Opens a job for editing, with whatever was typed and not yet saved when its tab closed. */
export function useOpenJob(id: string): Opening {
  const [opening, setOpening] = useState<{ readonly id: string; readonly job: OpenJob | 'missing' } | null>(
    null,
  );
  useEffect(() => {
    let gone = false;
    let mine: OpenJob | null = null;
    void open(id).then((job) => {
      if (gone) return;
      mine = job === 'missing' ? null : job;
      setOpening({ id, job });
    });
    return () => {
      gone = true;
      mine?.saver.stop();
    };
  }, [id]);
  return opening?.id === id ? opening.job : 'opening';
}

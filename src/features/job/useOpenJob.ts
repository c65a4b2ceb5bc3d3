'use client';

import { useWords } from '@/ui/words';
import { say, type Write } from '@/core/message/message';
import { useEffect, useRef, useState } from 'react';
import { isKept, keepAsCopy, openJob } from '@/data/jobs';
import { sameContent } from '@/core/basics/same';
import type { JobRecord } from '@/data/db';
import { dropUnsaved, readUnsaved, saveIdOf, type Note } from '@/data/journal';
import { createJobStore, type JobStore } from './jobStore';
import { createSaver, type Saver } from './saver';

export interface OpenJob {
  readonly store: JobStore;
  readonly saver: Saver;
  /** Name of a copy made of edits that could not join what another tab had saved meanwhile. */
  readonly rescued: string | null;
}

/** A job that cannot be opened: gone from this browser, or kept and not read by this version. */
type NoJob = 'missing' | 'unreadable';
export type Opening = OpenJob | 'opening' | NoJob;

async function open(id: string, write: Write): Promise<OpenJob | NoJob> {
  const record = await openJob(id);
  if (!record) return (await isKept(id)) ? 'unreadable' : 'missing';
  const found = await readUnsaved(id);
  const note = found && isNews(found, record) ? found : null;
  if (found && !note) await dropUnsaved(id);
  if (note?.over.includes(saveIdOf(record))) {
    const store = createJobStore(note.job);
    return { store, saver: createSaver(store, { record, unsaved: note.id }), rescued: null };
  }
  let rescued: string | null = null;
  if (note) {
    // Typed in a tab that closed, over a job saved since by another: both are kept.
    const name = write(say('job.unsavedEdits', { job: note.job.name.slice(0, 60) }));
    const added = await keepAsCopy(note.job, name);
    if (added.ok) {
      rescued = name;
      await dropUnsaved(id);
    }
  }
  const store = createJobStore(record.job);
  return { store, saver: createSaver(store, { record, unsaved: null }), rescued };
}

/** A note whose edit is the very save in the database, or says no more than it, holds nothing unsaved. */
const isNews = (note: Note, record: JobRecord): boolean =>
  note.id !== record.saveId && !sameContent(note.job, record.job);

/** Opens a job for editing, with whatever was typed and not yet saved when its tab closed. */
export function useOpenJob(id: string): Opening {
  const [opening, setOpening] = useState<{ readonly id: string; readonly job: OpenJob | NoJob } | null>(null);
  const t = useWords();
  const write = useRef<Write>(t);
  useEffect(() => {
    write.current = t;
  });
  useEffect(() => {
    let gone = false;
    let mine: OpenJob | null = null;
    void open(id, write.current).then((job) => {
      if (gone) return;
      mine = typeof job === 'string' ? null : job;
      setOpening({ id, job });
    });
    return () => {
      gone = true;
      mine?.saver.stop();
    };
  }, [id]);
  return opening?.id === id ? opening.job : 'opening';
}

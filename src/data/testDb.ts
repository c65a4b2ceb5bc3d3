import { NO_ART, pictureLayer, type Art, type PictureRef } from '@/core/job/art';
import 'fake-indexeddb/auto';
import type { Job } from '@/core/job/job';
import { MesaDb, type JobRecord } from './db';
import { saveIdOf } from './journal';
import { openJob } from './jobs';
import { seedIfEmpty } from './seed';

export const DEMO_JOBS = 10;
export const TODAY = new Date('2026-11-24T12:00:00Z');
let n = 0;
export const fresh = () => new MesaDb(`test-${(n += 1)}`);
export const demo = async () => {
  const d = fresh();
  await seedIfEmpty(true, 'en', d, TODAY);
  return d;
};
export const jobOf = async (d: MesaDb, id: string): Promise<Job> => {
  const r = await openJob(id, d);
  if (!r) throw new Error(id);
  return r.job;
};

export const baseOf = async (d: MesaDb, id: string): Promise<string> => {
  const r = await openJob(id, d);
  if (!r) throw new Error(id);
  return saveIdOf(r);
};

export const only = (picture: PictureRef): Art => ({ ...NO_ART, layers: [pictureLayer('p', picture)] });

/** A job that this version cannot read. */
export const BROKEN: JobRecord = {
  id: 'broken',
  rev: 1,
  savedAt: 0,
  archived: 0,
  pictures: [],
  job: { id: 'broken' } as Job,
};

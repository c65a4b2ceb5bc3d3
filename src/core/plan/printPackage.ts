import type { PrintPackage } from '../formats/manifest';
import type { Job } from '../job/job';
import type { Plan } from './plan';
import { printedArt } from './sheet';

/** What whoever prints a job's package needs of its plan. */
export const printPackageOf = (job: Job, { art, wrap, sheet }: Plan): PrintPackage => ({
  jobName: job.name,
  pieces: printedArt(job, art).pieceCount,
  trim: wrap.pattern?.trim ?? null,
  sheet,
});

import type { PrintPackage } from '../../formats/manifest';
import type { Job } from '../../job/job';
import type { Plan } from '../planShape';
import { printedPieces } from '../stages';

/** What a print package needs of a plan. */
export const printPackageOf = (job: Job, { art, wrap, sheet }: Plan): PrintPackage => ({
  jobName: job.name,
  pieces: printedPieces({ pieces: art.pieces, jobPieces: job.pieces, reprint: job.reprint }).pieceCount,
  trim: wrap.pattern?.trim ?? null,
  sheet,
});

import type { Layer } from '../job/art';
import type { Job } from '../job/job';
import type { Mend } from './check';

function mendedLayer(l: Layer, mend: Mend): Layer {
  if (l.id !== mend.layer) return l;
  if (l.kind === 'picture' && mend.kind === 'picture')
    return { ...l, placement: { ...l.placement, ...mend.placement } };
  if (l.kind === 'picture' && mend.kind === 'flip')
    return { ...l, flip: { ...l.flip, across: !l.flip.across } };
  return l.kind === 'words' && mend.kind === 'words' ? { ...l, ...mend.words } : l;
}

/** The job with a finding put right. */
export const mended =
  (mend: Mend) =>
  (job: Job): Job => ({
    ...job,
    art: { ...job.art, layers: job.art.layers.map((l) => mendedLayer(l, mend)) },
  });

import type { Layer } from '../job/art';
import type { Job } from '../job/job';
import type { Fix } from './check';

function fixedLayer(l: Layer, fix: Fix): Layer {
  if (l.id !== fix.layer) return l;
  if (l.kind === 'picture' && fix.kind === 'picture')
    return { ...l, placement: { ...l.placement, ...fix.placement } };
  if (l.kind === 'picture' && fix.kind === 'flip')
    return { ...l, flip: { ...l.flip, across: !l.flip.across } };
  return l.kind === 'text' && fix.kind === 'text' ? { ...l, ...fix.text } : l;
}

/** The job with a finding put right. */
export const fixed =
  (fix: Fix) =>
  (job: Job): Job => ({
    ...job,
    art: { ...job.art, layers: job.art.layers.map((l) => fixedLayer(l, fix)) },
  });

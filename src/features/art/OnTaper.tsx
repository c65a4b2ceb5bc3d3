'use client';

import type { Warp } from '@/core/job/art';
import { Labelled } from '@/ui/Labelled';
import { Segments } from '@/ui/Segments';
import { useJob } from '../job/jobContext';

const WARPS: readonly { readonly value: Warp; readonly label: string; readonly title: string }[] = [
  { value: 'level', label: 'Level', title: 'Widths as drawn all the way down; level lines stay level' },
  { value: 'true', label: 'True', title: 'Upright lines follow the wall; widths shrink with it' },
  { value: 'flat', label: 'Flat', title: 'Straight on the paper: level lines will droop on the cup' },
];

/** How art lies on a tapered wall; each way costs something, said where it is chosen. */
export function OnTaper() {
  const { job, plan, edit } = useJob();
  if (plan.wrap.pattern?.form !== 'cone') return null;
  const chosen = WARPS.find((l) => l.value === job.art.warp);
  return (
    <Labelled label="On the taper">
      <Segments
        label="Warp on the taper"
        value={job.art.warp}
        onChange={(warp) => edit((j) => ({ ...j, art: { ...j.art, warp } }))}
        options={WARPS}
      />
      <span className="block pt-0.5 text-fine leading-tight font-normal text-soft">{chosen?.title}</span>
    </Labelled>
  );
}

'use client';

import { say, type Message } from '@/core/message/message';
import { useWords } from '@/ui/words';
import type { Warp } from '@/core/job/art';
import { Labelled } from '@/ui/Labelled';
import { Segments } from '@/ui/Segments';
import { useJob } from '../job/jobContext';

const WARPS: readonly { readonly value: Warp; readonly label: Message; readonly title: Message }[] = [
  { value: 'level', label: say('art.level'), title: say('art.widthsDrawnAllWay') },
  { value: 'true', label: say('art.true'), title: say('art.uprightLinesFollowWall') },
  { value: 'flat', label: say('inspect.flat'), title: say('art.straightPaperLevelLines') },
];

/** How art lies on a tapered wall; each way costs something, said where it is chosen. */
export function OnTaper() {
  const t = useWords();
  const { job, plan, edit } = useJob();
  if (plan.wrap.pattern?.form !== 'cone') return null;
  const chosen = WARPS.find((l) => l.value === job.art.warp);
  return (
    <Labelled label={t('art.onTheTaper')}>
      <Segments
        label={t('art.warpTaper')}
        value={job.art.warp}
        onChange={(warp) => edit((j) => ({ ...j, art: { ...j.art, warp } }))}
        options={WARPS}
      />
      <span className="block pt-0.5 text-fine leading-tight font-normal text-soft">
        {chosen?.title ? t(chosen?.title) : null}
      </span>
    </Labelled>
  );
}

'use client';

import { FINE_TYPE_MM, lowerEnd } from '@/core/heat/settings/fineType';
import { celsius, fineMm, ratio, seconds } from '@/core/message/quantity';
import { Button } from '@/ui/Button';
import { useWords } from '@/ui/words';
import { useHeatEdit, useJob } from '../job/jobContext';

/** Seconds that are worth a change of the setting. */
const WORTH_S = 3;

/** Offers the lower end of the window where the art has fine type: it stays sharper there. */
export function FineType() {
  const t = useWords();
  const { plan } = useJob();
  const edit = useHeatEdit();
  const { chosen, model } = plan.heat;
  const heights = plan.art.placedLayers.flatMap((l) => (l.kind === 'text' ? [l.set.capHeightMm] : []));
  const smallestMm = Math.min(...heights);
  if (!chosen || !model?.window || model.updating || model.rough || !(smallestMm < FINE_TYPE_MM)) return null;
  const { settings } = chosen;
  const end = lowerEnd(model.window, settings.platenC);
  if (!end || settings.dwellS - end.dwellS < WORTH_S) return null;
  const { dwellS, good } = end;
  return (
    <div className="mx-5 mt-2 flex flex-wrap items-center gap-3 border-l-6 border-warning bg-board px-3 py-2">
      <p className="min-w-60 flex-1 leading-snug">
        {t('heat.fineType', {
          capHeight: fineMm(smallestMm),
          dwell: seconds(dwellS),
          platen: celsius(settings.platenC),
          good: ratio(good),
        })}
      </p>
      <Button onClick={() => edit((j) => ({ ...j, heat: { ...j.heat, dwellS } }))}>
        {t('heat.useDwell', { dwell: seconds(dwellS) })}
      </Button>
    </div>
  );
}

'use client';

import { type Open } from './openEntries';
import { useWords } from '@/ui/words';
import type { LogCharts } from '@/core/log/charts';
import { CostWeeks, FaultBars, GoodWeeks } from './WeekCharts';
import { SupplyBars } from './SupplyBars';
import { DriftLines, KeptDots } from './PressCharts';

/** Charts that each answer a question; a bar or a dot opens the entries under it. */
export function Charts({ charts, onOpen }: { charts: LogCharts; onOpen: Open }) {
  const t = useWords();
  if (charts.good.weeks.length === 0)
    return <p className="p-8 text-lead">{t('logbook.nothingChartEntriesShown')}</p>;
  return (
    <div
      tabIndex={0}
      role="region"
      aria-label={t('logbook.charts')}
      className="grid h-full content-start gap-x-8 gap-y-6 overflow-auto p-4 xl:grid-cols-2"
    >
      <GoodWeeks chart={charts.good} onOpen={onOpen} />
      <FaultBars bars={charts.faults} onOpen={onOpen} />
      <DriftLines lines={charts.drift} onOpen={onOpen} />
      <KeptDots chart={charts.kept} />
      <CostWeeks chart={charts.cost} onOpen={onOpen} />
      <SupplyBars charts={charts.supplies} onOpen={onOpen} />
    </div>
  );
}

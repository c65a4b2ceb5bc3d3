'use client';

import { say, type Message } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { useLiveQuery } from 'dexie-react-hooks';
import { CAUSES, faultLabel } from '@/core/inspect/faults';
import { NONE_CONFIRMED, PRIOR_INSPECTIONS, priorOf, priorSeen } from '@/core/inspect/shopTable';
import { confirmedCounts } from '@/data/log';
import { Dialog } from '@/ui/Dialog';
import { useJob } from '../job/jobContext';

const pct = (v: number): Message =>
  v < 0.01 ? say('inspect.under1') : say('inspect.v', { v: Math.round(v * 100) });

/** The table causes are weighed by: our figures, and what this shop settled on. */
export function TableDialog({ onClose }: { onClose: () => void }) {
  const t = useWords();
  const { plan } = useJob();
  const counts = useLiveQuery(() => confirmedCounts(), []) ?? NONE_CONFIRMED;
  const { faults } = plan.inspect.evidence;
  const total = Object.values(counts.causes).reduce((a, b) => a + b, 0);
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title={t('inspect.sourcesTheseFigures')}
      about={t('inspect.ourOwnTableWritten', { priorLooks: PRIOR_INSPECTIONS })}
    >
      <table className="w-full border-collapse text-left">
        <thead>
          <tr className="border-b-2 border-ink font-label">
            <th className="py-1 pr-3">{t('common.cause')}</th>
            <th className="py-1 pr-3 text-right">{t('inspect.allFaultsOurs')}</th>
            {faults.map((f) => (
              <th key={f} className="py-1 pr-3 text-right">
                {t('inspect.underOurs', { f: faultLabel(f) })}
              </th>
            ))}
            <th className="py-1 text-right">{t('inspect.settledHere')}</th>
          </tr>
        </thead>
        <tbody>
          {plan.inspect.ranked.slice(0, 12).map(({ cause }) => (
            <tr key={cause} className="border-b border-rule">
              <td className="py-1 pr-3 font-medium first-letter:uppercase">{t(CAUSES[cause].label)}</td>
              <td className="py-1 pr-3 text-right">{t(pct(priorOf(cause)))}</td>
              {faults.map((f) => (
                <td key={f} className="py-1 pr-3 text-right">
                  {t(pct(priorSeen(cause, f)))}
                  {(counts.faults[cause]?.[f] ?? 0) > 0 &&
                    t('inspect.seenTimes', { faults: counts.faults[cause]?.[f] ?? 0 })}
                </td>
              ))}
              <td className="py-1 text-right">
                {t('inspect.of', { causes: counts.causes[cause] ?? 0, total })}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Dialog>
  );
}

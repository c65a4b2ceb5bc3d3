'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { CAUSES, faultLabel } from '@/core/look/faults';
import { NONE_CONFIRMED, PRIOR_LOOKS, priorOf, priorSeen } from '@/core/look/shopTable';
import { confirmedCounts } from '@/data/log';
import { Dialog } from '@/ui/Dialog';
import { useJob } from '../job/jobContext';

const pct = (v: number): string => (v < 0.01 ? 'under 1 %' : `${Math.round(v * 100)} %`);

/** The table causes are weighed by: our figures, and what this shop settled on. */
export function TableDialog({ onClose }: { onClose: () => void }) {
  const { plan } = useJob();
  const counts = useLiveQuery(() => confirmedCounts(), []) ?? NONE_CONFIRMED;
  const { faults } = plan.look.evidence;
  const total = Object.values(counts.causes).reduce((a, b) => a + b, 0);
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title="Sources of these figures"
      about={`Our own table, written down from practice and not counted from a survey. It counts as ${PRIOR_LOOKS} inspections; every cause this shop confirms counts as one more. A wrong one is taken back by correcting its log entry.`}
    >
      <table className="w-full border-collapse text-left">
        <thead>
          <tr className="border-b-2 border-ink font-label">
            <th className="py-1 pr-3">Cause</th>
            <th className="py-1 pr-3 text-right">Of all faults, ours</th>
            {faults.map((f) => (
              <th key={f} className="py-1 pr-3 text-right">
                {faultLabel(f)} under it, ours
              </th>
            ))}
            <th className="py-1 text-right">Settled here</th>
          </tr>
        </thead>
        <tbody>
          {plan.look.ranked.slice(0, 12).map(({ cause }) => (
            <tr key={cause} className="border-b border-rule">
              <td className="py-1 pr-3 font-medium first-letter:uppercase">{CAUSES[cause].label}</td>
              <td className="py-1 pr-3 text-right">{pct(priorOf(cause))}</td>
              {faults.map((f) => (
                <td key={f} className="py-1 pr-3 text-right">
                  {pct(priorSeen(cause, f))}
                  {(counts.faults[cause]?.[f] ?? 0) > 0 && ` · seen ${counts.faults[cause]?.[f]} times`}
                </td>
              ))}
              <td className="py-1 text-right">
                {counts.causes[cause] ?? 0} of {total}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Dialog>
  );
}

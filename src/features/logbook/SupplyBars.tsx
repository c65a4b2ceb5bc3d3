'use client';

import { useWords } from '@/ui/words';
import { say, type Message } from '@/core/message/message';
import type { SupplyChart, SupplyShare } from '@/core/log/supplies';
import { ChartFrame } from './ChartFrame';
import { SUPPLY_LABELS } from './supplyWords';
import type { Open } from './openEntries';

const pct = (v: number): string => `${Math.round(v * 100)} %`;

function answerOf(charts: readonly SupplyChart[]): Message {
  const [better, worse] = charts.find((c) => c.different)?.different ?? [];
  if (charts.length === 0) return say('logbook.oneOfEachSupply');
  if (!better || !worse) return say('logbook.suppliesAlike');
  return say('logbook.supplyBetter', {
    better: better.name,
    share: pct(better.share),
    worse: worse.name,
    share2: pct(worse.share),
  });
}

/** Papers, printers, inks and suppliers by what came out good with them, each with the interval that chance leaves. */
export function SupplyBars({ charts, onOpen }: { charts: readonly SupplyChart[]; onOpen: Open }) {
  const t = useWords();
  return (
    <ChartFrame question={t('logbook.suppliesDiffer')} answer={t(answerOf(charts))}>
      {charts.map(({ supply, shares }) => (
        <section key={supply} aria-label={t(SUPPLY_LABELS[supply].label)} className="mb-2">
          <h3 className="font-label text-base font-semibold">{t(SUPPLY_LABELS[supply].label)}</h3>
          <ul className="grid gap-1">
            {shares.map((s) => (
              <li key={s.name}>
                <ShareRow share={s} onOpen={() => onOpen({ [supply]: s.name })} />
              </li>
            ))}
          </ul>
        </section>
      ))}
      {charts.length > 0 && <p className="text-soft">{t('logbook.supplyCaution')}</p>}
    </ChartFrame>
  );
}

function ShareRow({ share, onOpen }: { readonly share: SupplyShare; readonly onOpen: () => void }) {
  const t = useWords();
  const { name, good, pressed, low, high } = share;
  return (
    <button
      type="button"
      onClick={onOpen}
      aria-label={t('logbook.supplyOpen', { name, good, pressed })}
      className="grid min-h-10 w-full grid-cols-[minmax(0,10rem)_1fr_7rem] items-center gap-3 text-left hover:bg-board"
    >
      <span className="truncate">{name}</span>
      <span className="relative block h-5 bg-board">
        <span className="absolute inset-y-0 left-0 bg-strata-3" style={{ width: `${100 * share.share}%` }} />
        <span
          className="absolute top-2 h-1 bg-warning"
          style={{ left: `${100 * low}%`, width: `${100 * (high - low)}%` }}
        />
      </span>
      <span className="font-label font-medium">{t('logbook.goodOf', { good, pressed })}</span>
    </button>
  );
}

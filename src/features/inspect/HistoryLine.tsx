import { Link } from '@/ui/Link';
import type { HistoryStep } from '@/core/inspect/history';
import { sameSettings, type HeatSettings } from '@/core/shop/heatSettings';
import { celsius, seconds, date } from '@/core/message/quantity';
import { Say, useWords, Q } from '@/ui/words';
import { VERDICT_WORDS } from './Judgement';

export const VERDICT_GROUND: Readonly<Record<HistoryStep['verdict'], string>> = {
  good: 'bg-strata-3 text-white',
  under: 'bg-board text-ink',
  over: 'bg-strata-8 text-white',
  other: 'bg-strata-5 text-ink',
};

const SHOWN = 12;

/** A recipe’s line, oldest first: what was tried, what it did. */
export function HistoryLine({
  steps,
  proven,
}: {
  steps: readonly HistoryStep[];
  proven?: HeatSettings | null;
}) {
  const t = useWords();
  const shown = steps.slice(-SHOWN);
  return (
    <ol className="mt-1 grid gap-0 border-l-2 border-ink pl-4">
      {shown.map((s) => (
        <li
          key={s.entryId}
          className="relative grid grid-cols-[9rem_minmax(0,1fr)_auto] items-baseline gap-3 border-b border-rule py-1.5"
        >
          <span aria-hidden className="absolute top-3 -left-[1.35rem] size-2.5 bg-ink" />
          <Link href={`/logbook/${s.entryId}`} className="underline underline-offset-2">
            <Q of={date(s.at, 'moment')} />
          </Link>
          <span>
            {t('common.two', { first: celsius(s.settings.platenC), second: seconds(s.settings.dwellS) })}
            {s.changes.map((c, i) => (
              <span key={i} className="text-soft">
                {' '}
                · <Say message={c} />
              </span>
            ))}
          </span>
          <span className="flex items-center gap-2">
            <span className={`px-2 py-0.5 font-label font-semibold ${VERDICT_GROUND[s.verdict]}`}>
              {t(VERDICT_WORDS[s.verdict])}
            </span>
            {t('common.goodSpoiled', { good: s.good, seconds: s.seconds, spoiled: s.spoiled })}
            {proven && sameSettings(proven, s.settings) && (
              <strong className="border border-ink px-1.5">{t('inspect.provenNow')}</strong>
            )}
          </span>
        </li>
      ))}
    </ol>
  );
}

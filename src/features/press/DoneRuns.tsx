import { date } from '@/core/message/quantity';
import { say, type Message } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { Link } from '@/ui/Link';
import { isOn, type RunWithState } from '@/core/run/pieces';
import { coolingLoads, lastThroughAt } from '@/core/run/run';
import { clockText } from '@/core/units/format';
import { useShop } from '../shell/shopContext';

/** A finished run is shown for so long, or until its press is on again. */
const TOLD_MS = 3600_000;

/** Runs that came to their end a little while ago, on presses nothing has been begun on since. */
export const doneRuns = (all: readonly RunWithState[], nowMs: number): readonly RunWithState[] =>
  all.filter(
    (r) =>
      !isOn(r) &&
      r.state.ended === 'finished' &&
      nowMs - (lastThroughAt(r.state) ?? 0) < TOLD_MS &&
      !all.some((o) => o.run.press.id === r.run.press.id && o.run.startedAt > r.run.startedAt),
  );

/** How long the last of its pieces are still too hot to touch; '' where none are. */
function hotText({ run, state }: RunWithState, nowMs: number): Message {
  const waits = coolingLoads(run, state, nowMs).map((c) => c.waitS);
  return waits.length === 0
    ? say('common.n')
    : say('press.stillHotTouch', { value: clockText(Math.ceil(Math.max(...waits))) });
}

/** What is through, with the way to its end list and to Look. */
export function DoneRuns({ runs, nowMs }: { runs: readonly RunWithState[]; nowMs: number }) {
  const t = useWords();
  const { jobs } = useShop();
  if (runs.length === 0) return null;
  return (
    <ul aria-label={t('press.through')} className="grid gap-2">
      {runs.map(({ run, state }) => (
        <li key={run.id}>
          <Link
            href={`/press/${run.jobId}?on=${run.press.id}`}
            className="flex min-h-16 flex-wrap items-center justify-between gap-x-6 border-2 border-strata-4 px-4 py-2 font-label text-lead hover:bg-strata-2"
          >
            <span>
              <strong className="font-semibold">{run.press.name}</strong>{' '}
              {t('press.finishedGood', {
                job: jobs.find((j) => j.id === run.jobId)?.job.name ?? '',
                value: date(lastThroughAt(state) ?? run.startedAt, 'time'),
                good: state.good,
              })}
              {state.spoiled > 0 && t('press.spoiled', { spoiled: state.spoiled })}
              {t(hotText({ run, state }, nowMs))}
            </span>
            <span className="font-semibold">{t('press.putAwayCountInspect')}</span>
          </Link>
        </li>
      ))}
    </ul>
  );
}

import { date } from '@/core/message/quantity';
import { say, type Message } from '@/core/message/message';
import { useWords, Q } from '@/ui/words';
import { overTimeText, piecesText, spoiledText } from '@/core/plan/press/runWords';
import { listOf } from '@/core/run/chain';
import { overTime, passesOf } from '@/core/run/dose';
import type { RunWithState } from '@/core/run/pieces';
import { cycleOf } from '@/core/run/run';
import { type LoadThrough } from '@/core/run/loadThrough';

const NEWEST = 12;

interface Through {
  readonly of: RunWithState;
  readonly load: LoadThrough;
}

/** What the passes really were and did; a load that ended before its last pass had no dose to judge. */
function dwellText({ run }: RunWithState, load: LoadThrough): Message {
  const passes = passesOf(listOf(load.steps));
  const set = cycleOf(run).filter((o) => o.timed).length;
  if (passes.length < set) return say('press.endedAfterPasses', { passes: passes.length, set });
  return overTimeText(overTime(run.dose, passes)) ?? say('press.asSet');
}

/** Loads that are through, newest first: what went in, when it came out, what its passes really were, what was spoiled. */
export function LoadsThrough({ runs }: { runs: readonly RunWithState[] }) {
  const t = useWords();
  const all = runs
    .flatMap((of) => listOf(of.state.loads).map((load): Through => ({ of, load })))
    .sort((a, b) => b.load.endedAt - a.load.endedAt);
  if (all.length === 0) return null;
  return (
    <section className="mt-6 max-w-3xl">
      <h2 className="font-name text-name font-semibold">{t('press.loadsThrough')}</h2>
      <table className="mt-2 w-full text-left font-label">
        <thead>
          <tr className="border-b-2 border-ink">
            <th className="py-1 pr-4">{t('press.outAt')}</th>
            <th className="py-1 pr-4">{t('common.pieces')}</th>
            <th className="py-1 pr-4">{t('press.timePress')}</th>
            <th className="py-1">{t('common.spoiled')}</th>
          </tr>
        </thead>
        <tbody>
          {all.slice(0, NEWEST).map(({ of, load }) => (
            <tr key={`${of.run.id} ${load.endedAt}`} className="border-b border-rule align-top">
              <td className="py-1 pr-4">
                <Q of={date(load.endedAt, 'time')} />
              </td>
              <td className="py-1 pr-4">{t(piecesText(load.pieces))}</td>
              <td className="py-1 pr-4">{t(dwellText(of, load))}</td>
              <td className="py-1">{load.spoiled.map((s) => t(spoiledText(s))).join('; ')}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {all.length > NEWEST && (
        <p className="mt-1 text-soft">{t('press.beforeThem', { all: all.length - NEWEST })}</p>
      )}
    </section>
  );
}

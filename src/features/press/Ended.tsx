'use client';

import { useWords } from '@/ui/words';
import { Link } from '@/ui/Link';
import { useRouter } from 'next/navigation';
import { endCheck } from '@/core/operations/startCheck';
import type { Plan } from '@/core/plan/planShape';
import { piecesText, whyLabel } from '@/core/plan/press/runWords';
import { isOn, withState, type RunWithState } from '@/core/run/pieces';
import { practicesOf } from '@/core/shop/practices';
import type { Job } from '@/core/job/job';
import { changeJob } from '@/data/jobs';
import { notifyProblem } from '@/ui/notify';
import { useShopWithRuns } from '../shell/shopContext';
import { blanksText } from './Hands';
import { SoakRows } from './PeelRows';
import { PressButton } from './PressButton';
import { CheckList } from './Ready';
import { tap } from './tap';

interface Props {
  readonly job: Job;
  readonly made: Plan;
  readonly last: RunWithState | null;
  /** Goes on with what is left; null where nothing is. */
  readonly onMore: (() => void) | null;
}

const LINK =
  'inline-flex min-h-16 items-center border-2 border-mist px-6 font-label text-name font-semibold hover:bg-strata-2';

/** After the last piece of a run: put away, count, inspect them, print again what was spoiled. */
export function Ended({ job, made, last, onMore }: Props) {
  const t = useWords();
  const { shop } = useShopWithRuns();
  const router = useRouter();
  const { press } = made;
  const { reprints, left } = press;
  const total = press.good + left;
  const waits = shop.runs.some((r) => r.press.id === last?.run.press.id && isOn(withState(r)));
  const reprint = async () => {
    const list = reprints.map((r) => r.piece);
    const r = await changeJob(job.id, (j) => ({ ...j, reprint: list }));
    if (r.ok) router.push(`/job/${job.id}/sheet`);
    else notifyProblem(r.problem);
  };
  return (
    <main className="on-night flex h-dvh flex-col bg-night text-pale">
      <div className="min-h-0 flex-1 overflow-auto px-5 py-6 sm:p-8">
        <h1 className="font-name text-big font-semibold">
          {left === 0
            ? t('press.allPiecesPressed', { total })
            : t('press.ofAreGood', { good: press.good, total })}
        </h1>
        <p className="mt-1 text-name text-mist">
          {job.name}
          {press.spoiled > 0 && t('press.spoiled2', { spoiled: press.spoiled })}
          {press.seconds > 0 && t('press.secondsToo', { seconds: press.seconds })}
          {press.blanksLeft !== null && t('press.blanks', { blanksText: blanksText(press.blanksLeft, left) })}
        </p>
        <div className="mt-6 grid gap-x-10 gap-y-6 lg:grid-cols-2">
          {last && (
            <section>
              <h2 className="font-name text-head font-semibold">{t('press.closingChecklist')}</h2>
              <CheckList
                items={endCheck(
                  last.run.press,
                  waits,
                  practicesOf(shop.settings.practices, job.practices).pressOff,
                )}
              />
            </section>
          )}
          {press.runs.some((r) => r.state.soaking.length > 0) && (
            <section>
              <h2 className="font-name text-head font-semibold">{t('press.soaking')}</h2>
              <ul className="mt-2 text-lead">
                <SoakRows runs={press.runs} open />
              </ul>
            </section>
          )}
          {reprints.length > 0 && (
            <section>
              <h2 className="font-name text-head font-semibold">{t('press.reprintList')}</h2>
              <ul className="mt-2 grid gap-1.5 text-lead">
                {reprints.map(({ piece, why }) => (
                  <li
                    key={`${piece.number} ${piece.name}`}
                    className="flex justify-between gap-4 border-b-2 border-strata-2 py-1.5"
                  >
                    <span>{t(piecesText([piece]))}</span>
                    <span className="font-semibold">{t(whyLabel(why))}</span>
                  </li>
                ))}
              </ul>
            </section>
          )}
        </div>
      </div>
      <footer className="flex flex-wrap items-center gap-4 border-t-2 border-strata-2 p-5">
        <Link
          href={`/job/${job.id}/inspect`}
          className="inline-flex min-h-16 items-center bg-act px-8 font-label text-head font-semibold text-white"
        >
          {t('press.inspectPieces')}
        </Link>
        {reprints.length > 0 && (
          <PressButton onClick={() => void reprint()}>
            {t('press.printAgain', { reprints: reprints.length })}
          </PressButton>
        )}
        {onMore && (
          <PressButton onClick={onMore}>{t('press.pressLeft', { free: made.press.free.length })}</PressButton>
        )}
        {last && last.state.ended !== 'no' && (
          <PressButton onClick={() => void tap(last, 'undo')}>{t('press.undoLastStep')}</PressButton>
        )}
        <Link href={`/finish/${job.id}`} className={LINK}>
          {t('job.finishPack')}
        </Link>
        <Link href="/pressing" className={LINK}>
          {t('common.allPresses')}
        </Link>
      </footer>
    </main>
  );
}

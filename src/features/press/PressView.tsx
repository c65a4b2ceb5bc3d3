'use client';

import { say, type Message } from '@/core/message/message';
import { Link } from '@/ui/Link';
import { useMemo } from 'react';
import type { Operation, Resource } from '@/core/shop/operation';
import { plannedS } from '@/core/shop/operation';
import { operationWords } from '@/core/operations/words';
import { heatUp } from '@/core/plan/press/heatUp';
import { contextOfPlan } from '@/core/plan/press/operationWords';
import { piecesText, whyLabel } from '@/core/plan/press/runWords';
import { paceFrom, timedSteps, type PaceOf } from '@/core/run/pace';
import { withState } from '@/core/run/pieces';
import { count } from '@/core/message/quantity';
import { ProgressBar } from '@/ui/ProgressBar';
import { Button } from '@/ui/Button';
import { Say, useWords } from '@/ui/words';
import { useJob } from '../job/jobContext';
import { useShopWithRuns } from '../shell/shopContext';
import { NeedsBlank } from '../job/NeedsBlank';
import { blanksText } from './Hands';
import { JobMethods } from './JobMethods';
import { LoadsThrough } from './LoadsThrough';

const RESOURCE_WORDS: Readonly<Record<Resource, Message>> = {
  hands: say('press.hands2'),
  waiting: say('press.wait'),
  press: say('press.pressOnly'),
  oven: say('press.ovenOnly'),
  'cooling place': say('press.coolingWord'),
};
const RESOURCE_BARS: Readonly<Record<Resource, string>> = {
  hands: 'bg-strata-3',
  waiting: 'bg-strata-5',
  press: 'bg-strata-7',
  oven: 'bg-strata-7',
  'cooling place': 'bg-strata-4',
};

/** Times a step was seen before its usual time here is shown. */
const SEEN_ENOUGH = 3;

/** How long a step takes: as set, as it usually takes here once that was seen, else as planned. */
function stepTimeText(step: Operation, pace: PaceOf, pressId: string): Message {
  if (step.timed) return say('press.s', { planned: step.plannedS });
  const { usualS, seen } = pace(step, pressId, null);
  return seen >= SEEN_ENOUGH
    ? say('press.sHere', { usual: Math.round(usualS) })
    : say('press.s2', { planned: step.plannedS });
}

/** Before and between runs: how many are through, and what one piece asks of hands and press. */
export function PressView() {
  const { plan } = useJob();
  const { shop } = useShopWithRuns();
  const t = useWords();
  const pace = useMemo(() => paceFrom(timedSteps(shop.runs.map(withState))), [shop.runs]);
  if (!plan.blank.blank) return <NeedsBlank />;
  const { press, heat } = plan;
  const context = contextOfPlan(plan);
  const atOnce = heat.load?.load.piecesAtOnce ?? 1;
  const total = press.good + press.left;
  const cycleS = Math.max(1, plannedS(press.cycle));
  return (
    <div className="absolute inset-0 overflow-y-auto px-6 py-5">
      <div className="flex flex-wrap items-end gap-x-8 gap-y-2">
        <p className="font-name font-semibold">
          <span className="text-[72px] leading-none">{press.good}</span>
          <span className="text-head"> {t('press.ofPressed', { count: count(total, 'piece') })}</span>
        </p>
        {press.spoiled > 0 && (
          <p className="pb-2 font-label text-lead font-semibold text-act-deep">
            {t('press.spoiled3', { spoiled: press.spoiled })}
          </p>
        )}
        {press.seconds > 0 && (
          <p className="pb-2 font-label text-lead font-semibold">
            {t('press.seconds3', { seconds: press.seconds })}
          </p>
        )}
        {heat.press && <p className="pb-2 text-lead">{heat.press.name}</p>}
      </div>
      <PieceTally good={press.good} spoiled={press.spoiled} pieces={total} />
      <AfterRuns />
      <LoadsThrough runs={press.runs} />
      {!context || press.cycle.length === 0 ? (
        <p className="mt-6 text-lead">{t('press.setHeatFirstSteps')}</p>
      ) : (
        <>
          <HeatUpList />
          <h2 className="mt-6 font-name text-name font-semibold">
            {t('press.oneAtonceOne', { atOnce, which: atOnce > 1 ? 'oneLoad' : 'other' })}
          </h2>
          <ol className="mt-2 grid max-w-3xl gap-1">
            {press.cycle.map((step) => (
              <li
                key={step.id}
                className="grid grid-cols-[1fr_auto] items-center gap-x-3 gap-y-1 border-b border-rule py-1 sm:grid-cols-[1fr_7rem_minmax(6rem,14rem)]"
              >
                <span className="font-label text-lead font-semibold">
                  <Say message={operationWords(step, context).title} />
                </span>
                <span className="font-label text-base text-soft">
                  {t(RESOURCE_WORDS[step.resource])}, {t(stepTimeText(step, pace, heat.press?.id ?? ''))}
                </span>
                <span
                  aria-hidden
                  className={`col-span-2 h-2 sm:col-span-1 sm:h-4 ${RESOURCE_BARS[step.resource]}`}
                  style={{ width: `${Math.max(2, (100 * step.plannedS) / cycleS)}%` }}
                />
              </li>
            ))}
          </ol>
          <div className="mt-4">
            <JobMethods />
          </div>
          <p className="mt-4 max-w-2xl leading-snug">
            {t('press.whilePressingScreenDark')} <strong>{t('common.space2')}</strong>{' '}
            {t('press.alwaysNextStepTiming')}
          </p>
        </>
      )}
    </div>
  );
}

/** What is done to the cold press before the first piece. */
function HeatUpList() {
  const t = useWords();
  const { plan } = useJob();
  const { shop } = useShopWithRuns();
  const made = heatUp(plan, shop.runs);
  if (!made) return null;
  return (
    <>
      <h2 className="mt-6 font-name text-name font-semibold">{t('press.heatUpFirst')}</h2>
      <ol className="mt-2 grid max-w-3xl list-decimal gap-1 pl-6">
        {made.steps.map((s) => (
          <li key={s.id} className={`text-lead ${s.id === 'last-set' ? 'font-semibold text-act-deep' : ''}`}>
            {t(s.text)}
          </li>
        ))}
      </ol>
    </>
  );
}

/** What was spoiled and has to be printed again, what blanks are left, and where the presses are. */
function AfterRuns() {
  const t = useWords();
  const { plan, job, edit } = useJob();
  const { reprints, blanksLeft, left } = plan.press;
  const list = reprints.map((r) => r.piece);
  return (
    <div className="mt-4 flex max-w-3xl flex-wrap items-center gap-x-6 gap-y-3">
      {reprints.length > 0 && (
        <>
          <ul className="grid gap-0.5" aria-label={t('press.reprintList')}>
            {reprints.map(({ piece, why }) => (
              <li key={`${piece.number} ${piece.name}`}>
                {t(piecesText([piece]))}: {t(whyLabel(why))}
              </li>
            ))}
          </ul>
          <Button
            onClick={() => {
              edit((j) => ({ ...j, reprint: list }));
              window.history.pushState(null, '', `/job/${job.id}/sheet`);
            }}
          >
            {t('press.printAgain2', { list: list.length })}
          </Button>
        </>
      )}
      {blanksLeft !== null && (
        <p className="font-label font-semibold">
          {t('press.blanks3', { blanksText: blanksText(blanksLeft, left) })}
        </p>
      )}
      <Link href="/pressing" className="font-label font-semibold underline underline-offset-4">
        {t('common.allPresses')}
      </Link>
    </div>
  );
}

/** A square a piece, up to a case or so; beyond that a bar. */
function PieceTally({ good, spoiled, pieces }: { good: number; spoiled: number; pieces: number }) {
  const t = useWords();
  if (pieces > 120) {
    return (
      <ProgressBar
        label={t('press.piecesPressed')}
        value={good}
        max={pieces}
        className="mt-3 w-full max-w-3xl"
      />
    );
  }
  return (
    <div
      className="mt-3 flex max-w-3xl flex-wrap gap-1.5"
      role="img"
      aria-label={t('press.pressedSpoiled', { good, pieces, spoiled })}
    >
      {Array.from({ length: pieces }, (_, i) => (
        <span key={i} className={`size-5 border-2 border-ink ${i < good ? 'bg-strata-3' : 'bg-white'}`} />
      ))}
    </div>
  );
}

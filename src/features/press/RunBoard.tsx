'use client';

import { Link } from '@/ui/Link';
import { useMemo, useState, type CSSProperties } from 'react';
import type { Job } from '@/core/job/job';
import type { Plan } from '@/core/plan/planShape';
import type { Operation } from '@/core/shop/operation';
import { loadCheck } from '@/core/operations/loadCheck';
import type { OperationWords } from '@/core/operations/words';
import { laneOf, type Lane } from '@/core/run/board';
import { cycleOf } from '@/core/run/run';
import type { RunWithState } from '@/core/run/pieces';
import type { Run } from '@/core/shop/run';
import { celsius, date } from '@/core/message/quantity';
import { Say, useWords } from '@/ui/words';
import { useShop } from '../shell/shopContext';
import { FollowBanner, JumpBanner } from './Banners';
import { DisplayTaps } from './DisplayTaps';
import { LaneMenu } from './LaneMenu';
import { loadText, openText, overText, shownClock, wordsOf } from './laneWords';
import { PressButton } from './PressButton';
import { RunAside } from './RunAside';
import { useShopNow } from './shopTime';
import { SpoiledDialog } from './SpoiledDialog';
import { tap } from './tap';
import { useAttention, useWakeLock } from './useAttention';
import { useLead } from './useLead';
import { useForecast, useRunsOn } from './useRuns';
import { useStepKeys } from './useStepKeys';

interface Props {
  readonly job: Job;
  readonly made: Plan;
  readonly of: RunWithState;
}

/** An operation with its words. */
export interface WordedOperation {
  readonly operation: Operation;
  readonly words: OperationWords;
}

const stepsOf = (run: Run): readonly WordedOperation[] =>
  cycleOf(run).map((operation) => ({ operation, words: wordsOf(operation, run) }));

/** On the red of “time is up” every quiet colour turns pale, or it could not be read. */
const PALE_ON_RED = {
  '--color-mist': '#f4f5f0',
  '--color-strata-5': '#f4f5f0',
  '--color-strata-2': '#f4f5f0',
} as CSSProperties;

/** The screen of one press while its run is on: readable from two metres, worked in gloves. */
export function RunBoard({ job, made, of }: Props) {
  const t = useWords();
  const { shop } = useShop();
  const on = useRunsOn();
  const watched = useMemo(() => [of], [of]);
  const { lead, takeOver } = useLead();
  const now = useShopNow(watched, lead === 'leading');
  const latest = useForecast(on, now);
  const lane = laneOf(of, now, on.pace);
  const steps = useMemo(() => stepsOf(of.run), [of.run]);
  const number = (on.numbers.get(of.run.press.id) ?? 1) - 1;
  const open = lead !== 'following';
  const next = () => {
    if (lane && open && !(lane.step.timed && !lane.clock.up)) void tap(lane, 'done');
  };
  useStepKeys({ onSpace: next });
  useWakeLock(true);
  const calls = lane?.need === 'time up' || lane?.need === 'display';
  useAttention(
    lane && calls
      ? [
          {
            key: `${of.run.events.length} ${lane.need}`,
            press: number,
            text: `${of.run.press.name}: ${lane.need === 'time up' ? t('press.timeUp') : t('press.readDisplay')}`,
          },
        ]
      : [],
    { lead: lead === 'leading', sound: shop.settings.sound, nowMs: now },
  );
  if (!lane) return null;
  const up = lane.clock.up;
  const ends = latest?.forecast.runs[of.run.id];
  const endText = ends && latest ? date(latest.atMs + ends.usualS * 1000, 'time') : null;
  const toCome = on.jobs.get(job.id)?.toCome ?? 0;
  return (
    <main
      className={`on-night flex h-dvh flex-col text-pale ${up ? 'bg-act-deep' : 'bg-night'}`}
      style={up ? PALE_ON_RED : undefined}
    >
      <header className="flex flex-wrap items-baseline gap-x-6 gap-y-1 border-b-2 border-strata-2 px-6 py-3">
        <h1 className="font-name text-name font-semibold">{job.name}</h1>
        <p className="text-lead">
          {t('press.of2', { loadText: loadText(lane, toCome), good: made.press.good + made.press.left })}
        </p>
        <p className="text-lead">
          {t('common.two', { first: of.run.press.name, second: celsius(of.run.settings.platenC) })}
        </p>
        {made.press.spoiled > 0 && (
          <p className="text-lead">{t('press.spoiled3', { spoiled: made.press.spoiled })}</p>
        )}
        <p className="ml-auto text-lead">{endText && t('press.finishAbout', { endText })}</p>
        <Link href="/pressing" className="text-lead font-semibold underline underline-offset-4">
          {t('common.allPresses')}
          {on.runs.length > 1 && t('press.running', { runs: on.runs.length })}
        </Link>
      </header>
      <FollowBanner lead={lead} takeOver={takeOver} />
      <JumpBanner />
      <div className="grid min-h-0 flex-1 content-start gap-4 overflow-auto px-6 py-5 md:grid-cols-[minmax(13rem,17rem)_1fr] lg:grid-cols-[14rem_minmax(0,1fr)_15rem] xl:grid-cols-[17rem_minmax(0,1fr)_17rem]">
        <StepList steps={steps} at={of.state.stepIndex} />
        <div className="order-first grid content-center gap-3 md:order-none">
          <Digits lane={lane} />
          {lane.step.kind === 'load' && <LoadCheck run={of.run} />}
          <DisplayTaps run={of.run} state={of.state} />
        </div>
        <RunAside lane={lane} made={made} nowMs={now} open={open} />
      </div>
      <Foot lane={lane} name={of.run.press.name} jobId={job.id} open={open} onNext={next} />
    </main>
  );
}

/** What to look at on the piece before it goes in. */
function LoadCheck({ run }: { run: Run }) {
  const t = useWords();
  return (
    <section className="mx-auto max-w-2xl border-l-8 border-strata-4 pl-4">
      <h2 className="font-name text-name font-semibold">{t('press.checkTitle')}</h2>
      <ul className="mt-1 grid gap-1 text-lead leading-snug">
        {loadCheck(run.blank, run.operations).map((m) => (
          <li key={m.id}>{t(m)}</li>
        ))}
      </ul>
    </section>
  );
}

interface FootProps {
  readonly lane: Lane;
  readonly name: string;
  readonly jobId: string;
  readonly open: boolean;
  readonly onNext: () => void;
}

function Foot({ lane, name, jobId, open, onNext }: FootProps) {
  const t = useWords();
  const [spoiling, setSpoiling] = useState(false);
  const words = wordsOf(lane.step, lane.run);
  const early = lane.step.timed && !lane.clock.up;
  return (
    <footer className="flex flex-wrap items-center gap-3 border-t-2 border-strata-2 px-6 py-3">
      <PressButton
        look={early ? 'plain' : lane.clock.up ? 'call' : 'act'}
        onClick={onNext}
        aria-disabled={early || !open}
        className="min-w-56 px-7 text-head"
      >
        {early ? t('press.handsOff2') : t(words.done)}
      </PressButton>
      <PressButton disabled={!open} onClick={() => void tap(lane, 'undo')}>
        {t('common.undo')}
      </PressButton>
      {early && (
        <PressButton disabled={!open} onClick={() => void tap(lane, 'done')}>
          {t('press.openedEarly')}
        </PressButton>
      )}
      {lane.step.kind === 'load' && (
        <PressButton disabled={!open} onClick={() => void tap(lane, 'retaped')}>
          {t('press.tapeAgain')}
        </PressButton>
      )}
      <PressButton disabled={!open} onClick={() => setSpoiling(true)}>
        {t('common.spoiled')}
      </PressButton>
      <Link
        href={`/job/${jobId}/press`}
        onClick={() => void tap(lane, 'stop')}
        className="inline-flex min-h-16 items-center border-2 border-mist px-5 font-label text-name font-semibold hover:bg-strata-2"
      >
        {t('press.stopRun')}
      </Link>
      {open && <LaneMenu lane={lane} name={name} />}
      {words.caution && (
        <p className="ml-auto flex max-w-lg items-stretch gap-3 text-lead">
          <span aria-hidden className="w-1.5 shrink-0 bg-warning" />
          {t(words.caution)}
        </p>
      )}
      {spoiling && <SpoiledDialog of={lane} onClose={() => setSpoiling(false)} />}
    </footer>
  );
}

function StepList({ steps, at }: { steps: readonly WordedOperation[]; at: number }) {
  const t = useWords();
  return (
    <ol className="grid content-start gap-3.5">
      {steps.map((s, i) => (
        <li
          key={s.operation.id}
          aria-current={i === at ? 'step' : undefined}
          className={`flex items-center gap-3.5 font-label font-semibold ${i === at ? 'text-head text-white' : 'text-lead text-mist'}`}
        >
          <span
            aria-hidden
            className={`size-4.5 shrink-0 border-2 ${i < at ? 'border-strata-4 bg-strata-4' : i === at ? 'border-strata-6 bg-strata-6' : 'border-mist'}`}
          />
          <span className="leading-tight">
            <Say message={s.words.title} />
            {i === at && s.words.note && (
              <span className="mt-1 block text-lead font-normal text-pale">
                <Say message={s.words.note} />
              </span>
            )}
            {i < at && <span className="sr-only">{t('press.done2')}</span>}
          </span>
        </li>
      ))}
    </ol>
  );
}

function Digits({ lane }: { lane: Lane }) {
  const t = useWords();
  const { clock, step, run } = lane;
  const words = wordsOf(step, run);
  const timed = clock.leftS !== null;
  const shown = shownClock(lane);
  const over = overText(lane);
  const stoodOpen = openText(lane);
  const under = clock.up
    ? (over ?? t('press.openNow'))
    : words.meanwhile
      ? t(words.meanwhile)
      : (over ?? (stoodOpen ? t(stoodOpen) : t('press.thenSpaceButton')));
  return (
    <section aria-label={t('press.clock')} className="grid content-center justify-items-center text-center">
      <p className="font-name text-big font-semibold text-strata-5">
        {clock.up ? t('press.timeUpOpenNow') : t(words.title)}
      </p>
      <p
        role="timer"
        className={`font-name leading-[0.95] font-bold ${clock.up ? 'text-[clamp(6rem,18vw,16rem)] text-pale xl:text-[clamp(6rem,20vw,16rem)]' : timed ? 'text-[clamp(7rem,22vw,20rem)] text-pale xl:text-[clamp(7rem,26vw,21rem)]' : 'text-[clamp(5rem,13vw,10rem)] text-mist'}`}
      >
        {shown.over && <span className="text-[0.5em]">+</span>}
        {shown.text}
      </p>
      <p aria-live="assertive" className="max-w-xl font-name text-big leading-tight font-semibold">
        {under && t.label(under)}
      </p>
    </section>
  );
}

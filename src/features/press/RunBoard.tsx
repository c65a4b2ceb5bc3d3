'use client';

import Link from 'next/link';
import { useEffect, useMemo, useRef, type CSSProperties } from 'react';
import type { Job } from '@/core/job/job';
import type { Plan } from '@/core/plan/plan';
import type { Operation } from '@/core/shop/operation';
import { operationWords, type OperationWords } from '@/core/operations/words';
import { contextOfRun } from '@/core/plan/operationWords';
import {
  cooling,
  cycleOf,
  remainingS,
  stepClock,
  touchSafeAfterS,
  inHand,
  type RunState,
  type Struck,
  type StepClock,
} from '@/core/run/run';
import type { Run } from '@/core/shop/run';
import { clockText } from '@/core/units/format';
import { celsius, seconds } from '@/core/units/quantity';
import { clockTimeText } from '@/ui/dates';
import { Say, useSay } from '@/ui/units';
import { Barrel } from '../heat/Barrel';
import { useShop } from '../shell/shopContext';
import { isHandled } from '@/core/shop/blank';
import { DisplayTaps } from './DisplayTaps';
import { ring } from './sound';
import { useSpace } from './Runner';

interface Props {
  readonly job: Job;
  readonly made: Plan;
  readonly run: Run;
  readonly state: RunState;
  readonly nowMs: number;
  readonly send: (kind: Struck) => void;
}

/** An operation with its words. */
interface Step {
  readonly operation: Operation;
  readonly words: OperationWords;
}

/** Which pieces are in hand. */
function pieceWords(run: Run, state: RunState): string {
  const first = state.piece + 1;
  const last = state.piece + inHand(run, state);
  const lost = state.spoiledInLoad > 0 ? `, ${state.spoiledInLoad} of them spoiled` : '';
  return last > first
    ? `pieces ${first} to ${last} of ${run.pieces}${lost}`
    : `piece ${first} of ${run.pieces}`;
}

const stepsOf = (run: Run): readonly Step[] =>
  cycleOf(run).map((operation) => ({ operation, words: operationWords(operation, contextOfRun(run)) }));

/** On the red of “time is up” every quiet colour turns pale, or it could not be read. */
const PALE_ON_RED = {
  '--color-mist': '#f4f5f0',
  '--color-strata-5': '#f4f5f0',
  '--color-strata-2': '#f4f5f0',
} as CSSProperties;

/** The press screen while a run is on: readable from two metres, worked in gloves. */
export function RunBoard(props: Props) {
  const { job, made, run, state, nowMs, send } = props;
  const steps = useMemo(() => stepsOf(run), [run]);
  const { shop } = useShop();
  const clock = stepClock(run, state, nowMs);
  const step = steps[state.stepIndex];
  const early = clock.leftS !== null && !clock.up;
  const next = () => {
    if (!early) send('done');
  };
  useSpace(next);
  useBell(clock.up, `${state.piece}-${state.stepIndex}`, shop.settings.sound);
  const finishAt = new Date(nowMs + remainingS(run, state, nowMs) * 1000);
  if (!step) return null;
  return (
    <main
      className={`on-night flex h-dvh flex-col text-pale ${clock.up ? 'bg-act-deep' : 'bg-night'}`}
      style={clock.up ? PALE_ON_RED : undefined}
    >
      <header className="flex flex-wrap items-baseline gap-x-6 gap-y-1 border-b-2 border-strata-2 px-6 py-3">
        <h1 className="font-name text-name font-semibold">{job.name}</h1>
        <p className="text-lead">{pieceWords(run, state)}</p>
        <p className="text-lead">
          <Say phrase={[run.press.name, ' · ', celsius(run.settings.platenC)]} />
        </p>
        {state.spoiled > 0 && <p className="text-lead">{state.spoiled} spoiled</p>}
        <p className="ml-auto text-lead">finish about {clockTimeText(finishAt)}</p>
      </header>
      <div className="grid min-h-0 flex-1 content-start gap-4 overflow-auto px-6 py-5 md:grid-cols-[minmax(13rem,17rem)_1fr] lg:grid-cols-[14rem_minmax(0,1fr)_15rem] xl:grid-cols-[17rem_minmax(0,1fr)_17rem]">
        <StepList steps={steps} at={state.stepIndex} />
        <div className="order-first grid content-center gap-3 md:order-none">
          <Digits step={step} clock={clock} />
          <DisplayTaps run={run} state={state} />
        </div>
        <Aside made={made} run={run} step={step} steps={steps} state={state} nowMs={nowMs} />
      </div>
      <footer className="flex flex-wrap items-center gap-3 border-t-2 border-strata-2 px-6 py-3">
        <button
          type="button"
          onClick={(e) => {
            if (e.detail > 0) e.currentTarget.blur();
            next();
          }}
          aria-disabled={early}
          className={`min-h-16 min-w-56 px-7 font-label text-head font-semibold ${early ? 'border-2 border-mist bg-transparent text-pale' : clock.up ? 'bg-pale text-ink' : 'bg-act text-white'}`}
        >
          {early ? 'Hands off' : step.words.done}
        </button>
        <BigButton onClick={() => send('undo')}>Undo</BigButton>
        {early && <BigButton onClick={() => send('done')}>Opened early</BigButton>}
        <BigButton onClick={() => send('spoiled')}>Spoiled</BigButton>
        <StopButton jobId={job.id} stop={() => send('stop')} />
        {step.words.caution && (
          <p className="ml-auto flex max-w-lg items-stretch gap-3 text-lead">
            <span aria-hidden className="w-1.5 shrink-0 bg-warning" />
            {step.words.caution}
          </p>
        )}
      </footer>
    </main>
  );
}

const BigButton = ({ onClick, children }: { onClick: () => void; children: string }) => (
  <button
    type="button"
    onClick={(e) => {
      // Touched, it must not keep the focus: space stays the next step, not this button again.
      if (e.detail > 0) e.currentTarget.blur();
      onClick();
    }}
    className="min-h-16 border-2 border-mist px-5 font-label text-name font-semibold hover:bg-strata-2"
  >
    {children}
  </button>
);

const StopButton = ({ jobId, stop }: { jobId: string; stop: () => void }) => (
  <Link
    href={`/job/${jobId}/press`}
    onClick={stop}
    className="inline-flex min-h-16 items-center border-2 border-mist px-5 font-label text-name font-semibold hover:bg-strata-2"
  >
    Stop the run
  </Link>
);

function useBell(up: boolean, key: string, on: boolean): void {
  const rung = useRef('');
  useEffect(() => {
    if (!up || !on) return;
    if (rung.current !== key) {
      rung.current = key;
      ring();
    }
    const again = setInterval(ring, 5000);
    return () => clearInterval(again);
  }, [up, key, on]);
}

function StepList({ steps, at }: { steps: readonly Step[]; at: number }) {
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
            <Say phrase={s.words.title} />
            {i < at && <span className="sr-only">, done</span>}
          </span>
        </li>
      ))}
    </ol>
  );
}

function Digits({ step, clock }: { step: Step; clock: StepClock }) {
  const say = useSay();
  const timed = clock.leftS !== null;
  const shown = clock.leftS === null ? clock.elapsedS : clock.up ? -clock.leftS : Math.ceil(clock.leftS);
  const under = clock.up
    ? 'Open it now'
    : step.words.meanwhile
      ? say(step.words.meanwhile)
      : 'Then space, or the button';
  return (
    <section aria-label="Clock" className="grid content-center justify-items-center text-center">
      <p className="font-name text-big font-semibold text-strata-5">
        {clock.up ? 'Time is up' : say(step.words.title)}
      </p>
      <p
        role="timer"
        className={`font-name leading-[0.95] font-bold ${clock.up ? 'text-[clamp(6rem,18vw,16rem)] text-pale xl:text-[clamp(6rem,20vw,16rem)]' : timed ? 'text-[clamp(7rem,22vw,20rem)] text-pale xl:text-[clamp(7rem,26vw,21rem)]' : 'text-[clamp(5rem,13vw,10rem)] text-mist'}`}
      >
        {clock.up && <span className="text-[0.5em]">+</span>}
        {clockText(shown)}
      </p>
      <p aria-live="assertive" className="max-w-xl font-name text-big leading-tight font-semibold">
        {under}
      </p>
    </section>
  );
}

interface AsideProps {
  readonly made: Plan;
  readonly run: Run;
  readonly step: Step;
  readonly steps: readonly Step[];
  readonly state: RunState;
  readonly nowMs: number;
}

function Aside({ made, run, step, steps, state, nowMs }: AsideProps) {
  const say = useSay();
  const cover = made.press.runHeaterReach;
  const cool = cooling(state, touchSafeAfterS(run), nowMs);
  const next = steps[state.stepIndex + 1];
  return (
    <aside className="grid content-start gap-3 md:col-span-2 lg:col-span-1">
      {cover && (
        <figure>
          <figcaption className="font-name text-name font-semibold">Looking down the barrel</figcaption>
          <svg
            viewBox="-112 -128 224 244"
            className="mx-auto w-full max-w-60"
            role="img"
            aria-label={`Seam ${step.operation.needs.turnedDeg === 0 ? 'up, at the gap' : `turned ${Math.round(step.operation.needs.turnedDeg)} degrees`}`}
          >
            {cover.gapDeg > 0 && (
              <text
                y={-110}
                textAnchor="middle"
                fontSize={15}
                fontWeight={500}
                className="font-label"
                fill="#c5d6cf"
              >
                no heat {Math.round(cover.gapDeg)}°
              </text>
            )}
            <Barrel
              coveredDeg={cover.coveredDeg}
              rotationDeg={cover.rotationDeg}
              seamDeg={step.operation.needs.turnedDeg}
              size={200}
              ground="#173a36"
              ink="#f4f5f0"
              showTurn={step.operation.kind === 'turn'}
              mark={isHandled(run.blank) ? 'handle' : 'seam'}
            />
          </svg>
        </figure>
      )}
      <dl className="font-label text-name font-semibold">
        <Row label="Set" value={say([celsius(run.settings.platenC)])} />
        <Row label="Next" value={next ? say(next.words.title) : 'the next piece'} />
        <Row
          label="Cooling"
          value={cool.pieces === 0 ? 'none' : `${cool.pieces} · ${say([seconds(cool.waitS)])}`}
        />
        <Row label="Good" value={String(state.good)} />
      </dl>
    </aside>
  );
}

const Row = ({ label, value }: { label: string; value: string }) => (
  <div className="flex justify-between gap-4 border-t-2 border-strata-2 py-2">
    <dt className="text-mist">{label}</dt>
    <dd className="text-right">{value}</dd>
  </div>
);

'use client';

import { memo, useState } from 'react';
import type { Lane } from '@/core/run/board';
import { say } from '@/core/units/phrase';
import { celsius } from '@/core/units/quantity';
import { useSay } from '@/ui/units';
import { LaneMenu } from './LaneMenu';
import { loadText, overText, shownClock, wordsOf } from './laneWords';
import { PressButton } from './PressButton';
import { SpoiledDialog } from './SpoiledDialog';
import { StepBar } from './StepBar';

/** Each press its own colour, with its number in words beside it. */
const COLOURS = [
  'bg-strata-5',
  'bg-strata-6',
  'bg-strata-4',
  'bg-mist',
  'bg-strata-7',
  'bg-strata-3',
] as const;

interface Props {
  readonly lane: Lane;
  /** From 1, in the order in which the runs were begun. */
  readonly number: number;
  readonly jobName: string;
  readonly toCome: number;
  /** Hands are needed here before anywhere else. */
  readonly calls: boolean;
  /** Taps count: this tab leads. */
  readonly open: boolean;
  readonly onNext: (lane: Lane) => void;
}

/** One press on the board. */
export const Band = memo(function Band({ lane, number, jobName, toCome, calls, open, onNext }: Props) {
  const phrase = useSay();
  const [spoiling, setSpoiling] = useState(false);
  const { run, step, clock, need } = lane;
  const words = wordsOf(step, run);
  const flood = need === 'time up';
  const early = step.timed && !clock.up;
  const shown = shownClock(lane);
  const name = `${number} · ${run.press.name}`;
  const over = overText(lane);
  return (
    <section
      aria-label={name}
      data-need={need}
      className={`on-night flex border-2 text-pale ${flood ? 'border-pale bg-act-deep' : calls ? 'border-pale bg-strata-1' : 'border-strata-2 bg-night'}`}
    >
      <span
        aria-hidden
        className={`w-3.5 shrink-0 ${flood ? 'bg-pale' : COLOURS[(number - 1) % COLOURS.length]}`}
      />
      <div className="grid min-w-0 flex-1 grid-cols-[minmax(0,1fr)_auto] gap-x-4 gap-y-2 px-4 py-3">
        <div className="min-w-0">
          <h2 className="font-name text-name font-semibold">{name}</h2>
          <p className="truncate font-label text-base">
            {jobName} · {loadText(lane, toCome)}
          </p>
          <div className="mt-2">
            <StepBar lane={lane} flood={flood} />
          </div>
        </div>
        <p
          role="timer"
          aria-label={`Clock of ${name}`}
          className={`row-span-1 self-start text-right font-name text-[clamp(3.5rem,9.5vw,7.5rem)] leading-[0.85] font-bold ${shown.sure ? 'text-pale' : 'text-mist'}`}
        >
          {shown.over && <span className="text-[0.5em]">+</span>}
          {shown.text}
        </p>
        <div className="min-w-0 self-end">
          <p className="font-name text-head leading-tight font-semibold">
            {flood ? 'Time is up: open it' : phrase(words.title)}
          </p>
          <p className="font-label text-base text-pale/90">
            {over ??
              (early
                ? phrase(
                    say`hands off, ${celsius(run.settings.platenC)}, ${run.settings.pressure.replace('-', ' to ')}`,
                  )
                : need === 'nothing yet'
                  ? 'hands free'
                  : (words.caution ?? 'hands are needed'))}
          </p>
        </div>
        <div className="flex items-end justify-end gap-2 self-end">
          {!early && (
            <PressButton
              look={flood ? 'call' : calls ? 'act' : 'plain'}
              aria-disabled={!open}
              onClick={() => onNext(lane)}
              className="max-w-64"
            >
              {words.done}
              {calls && <span className="ml-3 font-normal opacity-80">space</span>}
            </PressButton>
          )}
          <PressButton onClick={() => setSpoiling(true)} aria-disabled={!open} disabled={!open}>
            Spoiled
          </PressButton>
          {open && <LaneMenu lane={lane} name={name} />}
        </div>
      </div>
      {spoiling && <SpoiledDialog of={lane} onClose={() => setSpoiling(false)} />}
    </section>
  );
});

'use client';

import { PRESSURE_WORDS } from '@/core/heat/settings/labels';
import { memo, useState } from 'react';
import type { Lane } from '@/core/run/board';
import { chainSize } from '@/core/run/chain';
import { say } from '@/core/message/message';
import { celsius } from '@/core/message/quantity';
import { useWords } from '@/ui/words';
import { LaneMenu } from './LaneMenu';
import { loadText, openText, overText, shownClock, wordsOf } from './laneWords';
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
export const PressLane = memo(function Band({ lane, number, jobName, toCome, calls, open, onNext }: Props) {
  const t = useWords();
  const [spoiling, setSpoiling] = useState(false);
  const { run, step, clock, need } = lane;
  const words = wordsOf(step, run);
  const flood = need === 'time up';
  const early = step.timed && !clock.up;
  const shown = shownClock(lane);
  const name = `${number} · ${run.press.name}`;
  const { platenC, pressure } = run.settings;
  const stoodOpen = openText(lane);
  const under =
    overText(lane) ??
    (early
      ? t(say('press.handsOff', { platen: celsius(platenC), pressureWords: PRESSURE_WORDS[pressure] }))
      : need === 'nothing yet'
        ? t('press.handsFree')
        : stoodOpen
          ? t(stoodOpen)
          : words.caution
            ? t(words.caution)
            : t('press.handsNeeded'));
  return (
    <section
      aria-label={name}
      data-need={need}
      data-step={`${chainSize(lane.state.loads)} ${step.id}`}
      className={`on-night flex border-2 text-pale ${flood ? 'border-pale bg-act-deep' : calls ? 'border-pale bg-strata-1' : 'border-strata-2 bg-night'}`}
    >
      <span
        aria-hidden
        className={`w-3.5 shrink-0 ${flood ? 'bg-pale' : COLOURS[(number - 1) % COLOURS.length]}`}
      />
      <div className="flex min-w-0 flex-1 flex-col justify-between gap-2 px-4 py-2.5">
        <div className="flex items-start justify-between gap-4">
          <div className="min-w-0">
            <h2 className="font-name text-name font-semibold">{name}</h2>
            <p className="font-label text-base">
              {jobName} · {t(loadText(lane, toCome))}
            </p>
            <div className="mt-2">
              <StepBar lane={lane} flood={flood} />
            </div>
          </div>
          <p
            role="timer"
            aria-label={t('press.clockOf', { name })}
            className={`text-right font-name text-[clamp(3.5rem,9vw,7.25rem)] leading-[0.85] font-bold ${shown.sure ? 'text-pale' : 'text-mist'}`}
          >
            {shown.over && <span className="text-[0.5em]">+</span>}
            {shown.text}
          </p>
        </div>
        <div className="flex flex-wrap items-end justify-between gap-x-4 gap-y-2">
          <div className="min-w-36 flex-1">
            <p className="font-name text-name leading-tight font-semibold xl:text-head">
              {flood ? t('press.timeUpOpen') : t(words.title)}
            </p>
            <p className="font-label text-base">{t.label(under)}</p>
          </div>
          <div className="flex gap-2">
            {!early && (
              <PressButton
                look={flood ? 'call' : calls ? 'act' : 'plain'}
                aria-disabled={!open}
                onClick={() => onNext(lane)}
              >
                {t(words.done)}
                {calls && <span className="ml-3 hidden font-normal xl:inline">{t('press.space')}</span>}
              </PressButton>
            )}
            <PressButton onClick={() => setSpoiling(true)} disabled={!open}>
              {t('common.spoiled')}
            </PressButton>
            {open && <LaneMenu lane={lane} name={name} />}
          </div>
        </div>
      </div>
      {spoiling && <SpoiledDialog of={lane} onClose={() => setSpoiling(false)} />}
    </section>
  );
});

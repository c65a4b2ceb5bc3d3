'use client';

import { useWords } from '@/ui/words';
import { useState } from 'react';
import { closedJustNow, lowestRead, timingOfRun, wasBack } from '@/core/plan/press/timing';
import type { RunState } from '@/core/run/run';
import { cycleOf } from '@/core/run/run';
import type { Run, RunEvent } from '@/core/shop/run';

import { celsius } from '@/core/message/quantity';
import { newId } from '@/data/ids';
import { addRunEvent } from '@/data/runs';
import { savePress } from '@/data/shop';
import { notify, notifyProblem } from '@/ui/notify';
import { useUnits } from '@/ui/units';
import { useShop } from '../shell/shopContext';
import { shopNow } from './shopTime';

interface Props {
  readonly run: Run;
  readonly state: RunState;
}

/** First guess of how far a display falls, K: one touch from what it will read. */
const USUAL_FALL_K = 20;

/** Two taps that teach the product this press: the lowest its display read after closing, and when it was back. Nobody has to. */
export function DisplayTaps({ run, state }: Props) {
  const t = useWords();
  const units = useUnits();
  const { shop } = useShop();
  const [readC, setReadC] = useState(run.settings.platenC - USUAL_FALL_K);
  const operationId = cycleOf(run)[state.stepIndex]?.id;
  if (!closedJustNow(run, state) || operationId === undefined || wasBack(run, state)) return null;
  const lowest = lowestRead(run, state);
  const shown = t.parts(celsius(readC));
  const step = units.temperature === 'F' ? 5 / 9 : 1;
  const send = async (what: 'lowest' | 'back', at: number) => {
    const c = what === 'lowest' ? readC : run.settings.platenC;
    const event: RunEvent = { kind: 'reading', what, operationId, readC: c, at };
    const r = await addRunEvent(run.id, event, run.events.length);
    if (!r.ok) notifyProblem(r.problem);
    return r.ok;
  };
  const back = async () => {
    const at = shopNow();
    const timing = timingOfRun(run, state, at, newId('timing'));
    if (!(await send('back', at)) || !timing) return;
    const press = shop.presses.find((p) => p.id === run.press.id);
    if (!press) return;
    const r = await savePress({ ...press, timings: [...press.timings, timing].slice(-60) });
    if (r.ok) notify(t('press.oneMoreTimingSaved', { press: press.name }));
    else notifyProblem(r.problem);
  };
  return (
    <section
      aria-label={t('press.whatDisplayReads')}
      className="flex flex-wrap items-center justify-center gap-2"
    >
      <Tap label={t('press.oneDegreeLess')} onClick={() => setReadC((c) => Math.max(30, c - step))}>
        −
      </Tap>
      <output className="min-w-24 text-center font-name text-head font-semibold">
        {shown.number} {shown.unit}
      </output>
      <Tap
        label={t('press.oneDegreeMore')}
        onClick={() => setReadC((c) => Math.min(run.settings.platenC, c + step))}
      >
        +
      </Tap>
      <Tap onClick={() => void send('lowest', shopNow())}>
        {lowest === null ? t('common.lowestRead') : t('press.lowestNoted')}
      </Tap>
      <Tap onClick={() => void back()}>{t('common.backTemperature')}</Tap>
    </section>
  );
}

const Tap = ({ label, onClick, children }: { label?: string; onClick: () => void; children: string }) => (
  <button
    type="button"
    aria-label={label}
    onClick={(e) => {
      // Touched, it must not keep the focus: space stays the next step.
      if (e.detail > 0) e.currentTarget.blur();
      onClick();
    }}
    className="min-h-16 min-w-16 border-2 border-strata-4 px-3 font-label text-lead font-semibold hover:bg-strata-2"
  >
    {children}
  </button>
);

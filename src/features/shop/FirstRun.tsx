'use client';

import { useEffect, useMemo, useState } from 'react';
import { coatingPrior } from '@/core/heat/coatings';
import { verdictOf, type PressFaults, type SimulatedRun } from '@/core/heat/pressSimulator';
import { timedLoad, timedOf } from '@/core/plan/heatSubject';
import type { Blank } from '@/core/shop/blank';
import { isOven, isWrapPress, type Press } from '@/core/shop/press';
import { clockText, formatQuantity } from '@/core/units/format';
import { parseTemperature } from '@/core/units/parse';
import { celsius } from '@/core/units/quantity';
import { Button } from '@/ui/Button';
import { notifyProblem } from '@/ui/notify';
import { TypedField } from '@/ui/TypedField';
import { useUnits } from '@/ui/units';
import { inHeatWorker } from '@/workers/client';
import { useShop } from '../shell/shopContext';
import { goesIn, LoadChoice, type TimedLoad } from './TimePress';
import { FASTER, readingAt } from './TimeWatch';

interface Props {
  readonly press: Press;
  readonly faults: PressFaults;
}

const LONGEST_S = 1200;
const VERDICT_WORDS = {
  'too little': 'Too little: pale, dye left on the paper.',
  good: 'Good.',
  'too much': 'Too much: browned, soft lines.',
} as const;

interface Closed {
  readonly at: number;
  readonly run: SimulatedRun;
}
const closedNow = (run: SimulatedRun): Closed => ({ at: Date.now(), run });

/** A load as the simulator takes it. */
function loadOf(press: Press, blank: Blank, { heaterId, pieces }: TimedLoad, setC: number) {
  const load = timedLoad(blank, { pieces, heaterId, wasteSheets: isOven(press) ? 0 : 1 });
  return timedOf({ id: 'try', at: 0, setC, roomC: 22, lowestC: null, backS: null, load }, press);
}

/** A first run without burning a blank: close, watch the display, open, and see what the coating got. */
export function FirstRun({ press, faults }: Props) {
  const units = useUnits();
  const { shop } = useShop();
  const blanks = useMemo(() => shop.blanks.filter((b) => goesIn(press, b)), [shop.blanks, press]);
  const [load, setLoad] = useState<TimedLoad>({
    blankId: blanks[0]?.id ?? '',
    heaterId: isWrapPress(press) ? (press.heaters[0]?.id ?? null) : null,
    pieces: 1,
  });
  const [setC, setSetC] = useState(195);
  const [closed, setClosed] = useState<Closed | null>(null);
  const [now, setNow] = useState(0);
  const [outcome, setOutcome] = useState<{ readonly run: SimulatedRun; readonly afterS: number } | null>(
    null,
  );
  const blank = blanks.find((b) => b.id === load.blankId) ?? null;
  useEffect(() => {
    if (!closed) return;
    const t = setInterval(() => setNow(Date.now()), 100);
    return () => clearInterval(t);
  }, [closed]);
  const elapsedS = closed ? Math.max(0, ((now - closed.at) / 1000) * FASTER) : 0;
  const simulated = async (dwellS: number): Promise<SimulatedRun | null> => {
    if (!blank) return null;
    const of = loadOf(press, blank, load, setC);
    const settings = { ...of.settings, dwellS: Math.max(1, Math.min(LONGEST_S, dwellS)) };
    const r = await inHeatWorker('Heat', (api) => api.simulated(faults, of.load, settings));
    if (r.ok) return r.value;
    notifyProblem(r.problem);
    return null;
  };
  const close = async () => {
    setOutcome(null);
    const run = await simulated(LONGEST_S);
    if (run) setClosed(closedNow(run));
  };
  const openIt = async () => {
    const afterS = elapsedS;
    setClosed(null);
    const run = await simulated(afterS);
    if (run) setOutcome({ run, afterS });
  };
  const shown = formatQuantity(celsius(setC), units);
  const coating = blank && coatingPrior(blank.material, press.kind);
  return (
    <div className="grid gap-4">
      <p className="max-w-2xl leading-snug">
        Close it on a blank of your choice, watch the display, and open it when you think it is done. The
        simulated press has faults of its own; what the coating really got is said afterwards.
      </p>
      <div className="flex flex-wrap items-end gap-4">
        <LoadChoice press={press} blanks={blanks} load={load} put={(next) => setLoad({ ...load, ...next })} />
        <TypedField
          label="Display set to"
          text={shown.number}
          unit={shown.unit}
          parse={(t) => parseTemperature(t, units.temperature, 'Display set to')}
          onValue={setSetC}
        />
      </div>
      <div className="flex flex-wrap items-center gap-4 border-2 border-ink bg-night p-3 text-pale">
        <span className="min-w-28 font-name text-big leading-none font-semibold">{clockText(elapsedS)}</span>
        <output aria-label="Display" className="font-name text-big leading-none font-semibold text-strata-5">
          {formatQuantity(celsius(closed ? readingAt(closed.run, elapsedS) : setC), units).number} °
          {units.temperature}
        </output>
        {closed ? (
          <Button kind="act" onClick={() => void openIt()}>
            Open it
          </Button>
        ) : (
          <Button kind="act" onClick={() => void close()}>
            Close it
          </Button>
        )}
        <span className="text-fine">{FASTER} times faster than life</span>
      </div>
      {outcome && coating && (
        <p aria-live="polite" className="text-lead leading-snug">
          <strong>{VERDICT_WORDS[verdictOf(outcome.run, coating)]}</strong> Opened after{' '}
          {clockText(outcome.afterS)}, the coating got {Math.round(outcome.run.leastS)} s at 200 °C where it
          was heated least and {Math.round(outcome.run.mostS)} s where it was heated most; this coating needs
          about {Math.round(coating.neededS)} s and tolerates about {Math.round(coating.limitS)} s.
        </p>
      )}
    </div>
  );
}

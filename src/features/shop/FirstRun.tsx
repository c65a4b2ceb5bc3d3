'use client';

import { usualWasteSheets } from '@/core/press/kinds';
import { say } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { useEffect, useMemo, useState } from 'react';
import { coatingPrior } from '@/core/heat/model/coatings';
import { REFERENCE_C } from '@/core/heat/model/dose';
import { verdictOf, type PressFaults, type SimulatedRun } from '@/core/heat/press/pressSimulator';
import { timedLoad, timedOf } from '@/core/plan/heat/subject';
import type { Blank } from '@/core/shop/blank';
import { isWrapPress, type Press } from '@/core/shop/press';
import { clockText } from '@/core/units/format';
import { parseTemperature } from '@/core/units/parse';
import { celsius } from '@/core/message/quantity';
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
  'too little': say('shop.tooLittlePaleDye'),
  good: say('shop.good'),
  'too much': say('shop.tooMuchBrownedSoft'),
} as const;

interface Closed {
  readonly at: number;
  readonly run: SimulatedRun;
}
const closedNow = (run: SimulatedRun): Closed => ({ at: Date.now(), run });

/** A load as the simulator takes it. */
function loadOf(press: Press, blank: Blank, { heaterId, pieces }: TimedLoad, setC: number) {
  const load = timedLoad(blank, { pieces, heaterId, wasteSheets: usualWasteSheets(press) });
  return timedOf({ id: 'try', at: 0, setC, roomC: 22, lowestC: null, backS: null, load }, press);
}

/** A first run without burning a blank: close, watch the display, open, and see what the coating got. */
export function FirstRun({ press, faults }: Props) {
  const t = useWords();
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
    const r = await inHeatWorker(say('common.heat'), (api) => api.simulated(faults, of.load, settings));
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
  const shown = t.parts(celsius(setC));
  const coating = blank && coatingPrior(blank.material, press.kind);
  return (
    <div className="grid gap-4">
      <p className="max-w-2xl leading-snug">{t('shop.closeBlankYourChoice')}</p>
      <div className="flex flex-wrap items-end gap-4">
        <LoadChoice press={press} blanks={blanks} load={load} put={(next) => setLoad({ ...load, ...next })} />
        <TypedField
          label={t('shop.displaySet')}
          text={shown.number}
          unit={shown.unit}
          parse={(typed) => parseTemperature(typed, units.temperature, t('shop.displaySet'))}
          onValue={setSetC}
        />
      </div>
      <div className="flex flex-wrap items-center gap-4 border-2 border-ink bg-night p-3 text-pale">
        <span className="min-w-28 font-name text-big leading-none font-semibold">{clockText(elapsedS)}</span>
        <output
          aria-label={t('shop.display')}
          className="font-name text-big leading-none font-semibold text-strata-5"
        >
          {t.parts(celsius(closed ? readingAt(closed.run, elapsedS) : setC)).number} °{units.temperature}
        </output>
        {closed ? (
          <Button kind="act" onClick={() => void openIt()}>
            {t('shop.openIt')}
          </Button>
        ) : (
          <Button kind="act" onClick={() => void close()}>
            {t('shop.closeIt')}
          </Button>
        )}
        <span className="text-fine">{t('shop.timesFasterThanLife', { faster: FASTER })}</span>
      </div>
      {outcome && coating && (
        <p aria-live="polite" className="text-lead leading-snug">
          <strong>{t(VERDICT_WORDS[verdictOf(outcome.run, coating)])}</strong>{' '}
          {t('shop.openedAfterCoatingGot', {
            after: clockText(outcome.afterS),
            reference: celsius(REFERENCE_C),
            least: Math.round(outcome.run.leastS),
            most: Math.round(outcome.run.mostS),
            needed: Math.round(coating.neededS),
            limit: Math.round(coating.limitS),
          })}
        </p>
      )}
    </div>
  );
}

'use client';

import { usualWasteSheets } from '@/core/press/kinds';
import { useWords } from '@/ui/words';
import { say } from '@/core/message/message';
import { useEffect, useMemo, useState } from 'react';
import { heaterOf } from '@/core/heat/press/heaters';
import { pressModel } from '@/core/heat/press/pressModel';
import type { PressFaults } from '@/core/heat/press/pressSimulator';
import type { HeaterFit } from '@/core/heat/press/timing';
import { blankArea, timedLoad, timedOf } from '@/core/plan/heat/subject';
import { fail, ok, type Result } from '@/core/basics/result';
import type { Blank } from '@/core/shop/blank';
import { isChamber, isWrapPress, type Press, type PressTiming } from '@/core/shop/press';
import { clockText } from '@/core/units/format';
import { parseDuration, parseTemperature } from '@/core/units/parse';
import { celsius } from '@/core/message/quantity';
import { newId } from '@/data/ids';
import { savePress } from '@/data/shop';
import { Button } from '@/ui/Button';
import { FormField } from '@/ui/FormField';
import { Select } from '@/ui/Select';
import { notify, notifyProblem } from '@/ui/notify';
import { NumberField } from '@/ui/NumberField';
import { TypedField } from '@/ui/TypedField';
import { useUnits } from '@/ui/units';
import { inHeatWorker } from '@/workers/client';
import { useShop } from '../shell/shopContext';
import { TimeWatch } from './TimeWatch';

interface Props {
  readonly press: Press;
  readonly faults: PressFaults | null;
  readonly onDone: () => void;
}

const ROOM_C = 22;

/** One closing on a known load, timed: heater power and heat capacity by least squares. */
export function TimePress({ press, faults, onDone }: Props) {
  const t = useWords();
  const units = useUnits();
  const { shop } = useShop();
  const blanks = useMemo(() => shop.blanks.filter((b) => goesIn(press, b)), [shop.blanks, press]);
  const [load, setLoad] = useState<TimedLoad>({
    blankId: blanks[0]?.id ?? '',
    heaterId: isWrapPress(press) ? (press.heaters[0]?.id ?? null) : null,
    pieces: 1,
  });
  const { blankId, heaterId, pieces } = load;
  const [setC, setSetC] = useState(190);
  const [lowestC, setLowestC] = useState<number | null>(null);
  const [backS, setBackS] = useState<number | null>(null);
  const [id] = useState(() => newId('timing'));
  const blank = blanks.find((b) => b.id === blankId) ?? null;
  const timing: PressTiming | null = blank && {
    id,
    at: 0,
    setC,
    roomC: ROOM_C,
    lowestC,
    backS,
    load: timedLoad(blank, { pieces, heaterId, wasteSheets: usualWasteSheets(press) }),
  };
  const fit = useFit(press, timing, heaterId);
  const known = lowestC !== null || backS !== null;
  const save = async () => {
    if (!timing) return;
    const kept = { ...timing, at: Date.now() };
    const r = await savePress({ ...press, timings: [...press.timings, kept].slice(-60) });
    if (!r.ok) return notifyProblem(r.problem);
    notify(t('shop.keptFromNowCounts', { press: press.name }));
    onDone();
  };
  const shown = (c: number) => t.parts(celsius(c));
  return (
    <div className="grid gap-5 md:grid-cols-[1fr_19rem]">
      <div className="grid content-start gap-4">
        <ol className="list-decimal pl-5 leading-snug">
          <li>{t('shop.letPressSettleSet')}</li>
          <li>{t('shop.closeColdBlankPaper')}</li>
          <li>{t('shop.writeDownLowestReads')}</li>
        </ol>
        <div className="flex flex-wrap items-end gap-4">
          <LoadChoice
            press={press}
            blanks={blanks}
            load={load}
            put={(next) => setLoad({ ...load, ...next })}
          />
          <TypedField
            label={t('shop.displaySet')}
            text={shown(setC).number}
            unit={shown(setC).unit}
            parse={(typed) => parseTemperature(typed, units.temperature, t('shop.displaySet'))}
            onValue={setSetC}
          />
        </div>
        <TimeWatch press={press} timing={timing} faults={faults} onLowest={setLowestC} onBack={setBackS} />
        <div className="flex flex-wrap items-end gap-5">
          <TypedField
            label={t('common.lowestRead')}
            text={lowestC === null ? '' : shown(lowestC).number}
            unit={`°${units.temperature}`}
            byHand={lowestC !== null}
            parse={(typed) => readLowest(typed, units.temperature, setC)}
            onValue={setLowestC}
          />
          <TypedField
            label={t('shop.backTemperatureAfter')}
            text={backS === null ? '' : clockText(backS)}
            byHand={backS !== null}
            parse={(typed) => parseDuration(typed, t('common.backTemperature'))}
            onValue={setBackS}
          />
        </div>
      </div>
      <Known press={press} fit={fit} timing={timing} ready={known} save={() => void save()} />
    </div>
  );
}

/** Whether a press closes on a blank, by the blank's own figures. */
export function goesIn(press: Press, blank: Blank): boolean {
  const { circumferenceMm } = blankArea(blank);
  if (isChamber(press)) return true;
  if (!isWrapPress(press)) return circumferenceMm === null;
  const across = (circumferenceMm ?? 0) / Math.PI;
  return press.heaters.some((h) => across >= h.smallestDiameterMm && across <= h.largestDiameterMm);
}

export interface TimedLoad {
  readonly blankId: string;
  readonly heaterId: string | null;
  readonly pieces: number;
}

interface LoadChoiceProps {
  readonly press: Press;
  readonly blanks: readonly Blank[];
  readonly load: TimedLoad;
  readonly put: (next: Partial<TimedLoad>) => void;
}

/** What the press was closed on. */
export function LoadChoice({ press, blanks, load, put }: LoadChoiceProps) {
  const t = useWords();
  const heaters = isWrapPress(press) ? press.heaters : [];
  return (
    <>
      <FormField label={t('shop.closedOn')}>
        {({ id }) => (
          <Select
            id={id}
            label={t('shop.closedOn')}
            value={load.blankId}
            options={blanks.map((b) => ({ value: b.id, label: b.name }))}
            onChange={(blankId) => put({ blankId })}
          />
        )}
      </FormField>
      {heaters.length > 1 && (
        <FormField label={t('common.heater')}>
          {({ id }) => (
            <Select
              id={id}
              label={t('common.heater')}
              value={load.heaterId ?? heaters[0]?.id ?? ''}
              options={heaters.map((h) => ({ value: h.id, label: h.name }))}
              onChange={(heaterId) => put({ heaterId })}
            />
          )}
        </FormField>
      )}
      {!isWrapPress(press) && (
        <NumberField
          label={t('common.pieces')}
          value={load.pieces}
          min={1}
          max={60}
          whole
          width="w-14"
          onValue={(pieces) => put({ pieces })}
        />
      )}
    </>
  );
}

/** The lowest reading after closing: it cannot lie over what is set, nor under the room. */
export function readLowest(text: string, unit: 'C' | 'F', setC: number): Result<number> {
  const r = parseTemperature(text, unit, say('common.lowestRead'));
  if (!r.ok) return r;
  if (r.value < ROOM_C + 8)
    return fail(say('shop.belowAnyClosedPress'), say('common.lowestRead'), say('shop.hotHeaterNeverFalls'));
  return r.value > setC
    ? fail(say('shop.overSetTemperature'), say('common.lowestRead'), say('shop.writeLowestShowedAfter'))
    : ok(r.value);
}

/** What the timing says of the heater, asked of the worker once there is something to fit. */
function useFit(press: Press, timing: PressTiming | null, heaterId: string | null): HeaterFit | null {
  const [fit, setFit] = useState<{ readonly of: string; readonly fit: HeaterFit } | null>(null);
  const heater = useMemo(() => heaterOf(press, null, heaterId), [press, heaterId]);
  const key = JSON.stringify(timing);
  const ready = timing !== null && (timing.lowestC !== null || timing.backS !== null);
  useEffect(() => {
    if (!ready) return;
    let on = true;
    const timed = JSON.parse(key) as PressTiming;
    const { sd } = pressModel(press, heater, { uncoveredM2: 0, inEdge: false });
    const prior = { powerSd: sd.power, capacitySd: sd.capacity };
    void inHeatWorker(say('common.heat'), (api) => api.fitHeater([timedOf(timed, press)], prior)).then(
      (r) => {
        if (on && r.ok) setFit({ of: key, fit: r.value });
      },
    );
    return () => {
      on = false;
    };
  }, [key, ready, press, heater]);
  return ready && fit?.of === key ? fit.fit : null;
}

interface KnownProps {
  readonly press: Press;
  readonly fit: HeaterFit | null;
  readonly timing: PressTiming | null;
  readonly ready: boolean;
  readonly save: () => void;
}

function Known({ press, fit, timing, ready, save }: KnownProps) {
  const t = useWords();
  const heater = heaterOf(press, null, timing?.load.heaterId ?? null);
  const { heater: supposed } = pressModel(press, heater, { uncoveredM2: 0, inEdge: false });
  const spread = (of: number, ln: number, sd: number, unit: string) => {
    const at = (z: number) => Math.round(of * Math.exp(ln + z * sd));
    return t('shop.aboutRange', { about: at(0), unit, from: at(-1.96), to: at(1.96) });
  };
  return (
    <aside className="grid content-start gap-3" aria-live="polite">
      <h3 className="font-name text-lead font-semibold">{t('shop.whatSays')}</h3>
      {fit ? (
        <dl className="grid gap-2 font-label">
          <Line label={t('shop.heaterPower')} value={spread(supposed.powerW, fit.power, fit.powerSd, 'W')} />
          <Line
            label={t('shop.heatHolds')}
            value={spread(supposed.capacityJK, fit.capacity, fit.capacitySd, 'J/K')}
          />
        </dl>
      ) : (
        <p>{ready ? t('common.calculating') : t('shop.timingYet')}</p>
      )}
      {fit && fit.misfit > 3 && (
        <p role="alert" className="border-l-4 border-warning pl-2 text-fine leading-snug">
          {t('shop.twoReadingsDoFit')}
        </p>
      )}
      <p className="text-fine leading-snug">
        {t('shop.takenSoFarW', {
          powerW: Math.round(supposed.powerW),
          which: press.power.from === 'plate' ? 'byItsPlate' : 'other',
          which2: press.power.watts === null ? 'usualSize' : 'other',
        })}
      </p>
      <Button kind="act" disabled={!ready} onClick={save}>
        {t('shop.saveTiming')}
      </Button>
    </aside>
  );
}

const Line = ({ label, value }: { label: string; value: string }) => (
  <div className="border-b border-rule pb-1">
    <dt className="text-fine">{label}</dt>
    <dd className="text-lead font-semibold">{value}</dd>
  </div>
);

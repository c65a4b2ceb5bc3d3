'use client';

import { fail, ok, type Result } from '@/core/basics/result';
import { PEEL_NOTES, PRESSURE_WORDS, TIMER_START_WORDS } from '@/core/heat/labels';
import { lowestTargetC } from '@/core/heat/starting';
import { byTimer, timerWays } from '@/core/heat/timerWays';
import { WASTE_SHEETS } from '@/core/heat/materials';
import { PEELS, PRESSURES, type HeatSettings } from '@/core/shop/heatSettings';
import { HEATED_FROM, WASTE_KINDS, type Load } from '@/core/shop/load';
import { isOven, isWrapPress, TIMER_STARTS, type TimerStart } from '@/core/shop/press';
import { clockText, formatQuantity } from '@/core/units/format';
import { parseDuration, parseTemperature } from '@/core/units/parse';
import type { Phrase } from '@/core/units/phrase';
import { celsius, mm } from '@/core/units/quantity';
import { Button } from '@/ui/Button';
import { Labelled } from '@/ui/Labelled';
import { NumberField } from '@/ui/NumberField';
import { Segments } from '@/ui/Segments';
import { Select } from '@/ui/Select';
import { TypedField } from '@/ui/TypedField';
import { useSay, useUnits } from '@/ui/units';
import { useJob } from '../job/jobContext';

/** A target the press never reads is refused with the reason. */
function reachableTarget(
  targetC: number,
  platenC: number,
  restingC: number | null,
  say: (p: Phrase) => string,
): Result<number> {
  const where = 'Cool-down target';
  const lowest = lowestTargetC(restingC);
  if (targetC >= platenC)
    return fail('It must be below the working temperature.', where, `Less than ${say([celsius(platenC)])}.`);
  if (restingC !== null && lowest !== null && targetC < lowest)
    return fail(
      `This press rests at ${say([celsius(restingC)])}: it never falls to ${say([celsius(targetC)])}.`,
      where,
      lowest < platenC
        ? `From ${say([celsius(lowest)])} to below ${say([celsius(platenC)])}.`
        : 'Type “no”: it cannot fall below its working temperature.',
    );
  return ok(targetC);
}

/** What is set on the press, and how the pieces lie in it; each with its origin. */
export function HeatFields() {
  const { plan, job, edit } = useJob();
  const units = useUnits();
  const say = useSay();
  const { chosen, press } = plan.heat;
  if (!chosen || !press) return null;
  const { settings: s, originOf } = chosen;
  const put = (next: Partial<HeatSettings>, group?: string) =>
    edit((j) => ({ ...j, heat: { ...j.heat, ...next } }), group);
  const temp = formatQuantity(celsius(s.platenC), units);
  const coolDown = s.coolDownC === null ? 'no' : formatQuantity(celsius(s.coolDownC), units).number;
  const changed = Object.keys(job.heat).length > 0 || Object.keys(job.load).length > 0;
  const readTemp = (where: string) => (text: string) => {
    const r = parseTemperature(text, units.temperature, where);
    return r.ok && r.value < 100
      ? fail('This is too cool to transfer dye.', where, 'Common work is 175 to 205 °C (350 to 400 °F).')
      : r;
  };
  const reachable = (r: Result<number>): Result<number> =>
    r.ok ? reachableTarget(r.value, s.platenC, isOven(press) ? null : press.restingC, say) : r;
  return (
    <div className="flex flex-wrap items-end gap-x-5 gap-y-2 border-y border-rule bg-sheet/80 px-5 py-2">
      <TypedField
        label="Temperature"
        text={temp.number}
        unit={temp.unit}
        byHand={originOf.platenC === 'measured'}
        width="w-14"
        parse={readTemp('Temperature')}
        onValue={(platenC) => put({ platenC }, 'platen')}
      />
      <TypedField
        label={s.passes > 1 ? 'Dwell time per pass' : 'Dwell time'}
        text={String(s.dwellS)}
        unit={s.dwellS >= 60 ? `s, ${clockText(s.dwellS)}` : 's'}
        byHand={originOf.dwellS === 'measured'}
        width="w-16"
        parse={(t) => parseDuration(t)}
        onValue={(dwellS) => put({ dwellS }, 'dwell')}
      />
      <TimerChoice />
      {isWrapPress(press) && (
        <NumberField
          label="Passes"
          value={s.passes}
          min={1}
          max={6}
          whole
          byHand={originOf.passes === 'measured'}
          width="w-12"
          onValue={(passes) => put({ passes }, 'passes')}
        />
      )}
      {s.passes > 1 && (
        <TypedField
          label="Later passes"
          text={s.laterDwellS === null ? 'same' : String(s.laterDwellS)}
          unit={s.laterDwellS === null ? '' : 's'}
          byHand={originOf.laterDwellS === 'measured'}
          width="w-16"
          parse={(t) => (/^(same|no|-)?$/i.test(t.trim()) ? ok(null) : parseDuration(t, 'Later passes'))}
          onValue={(laterDwellS) => put({ laterDwellS }, 'later')}
        />
      )}
      {s.passes > 1 && !isOven(press) && (
        <TypedField
          label="Cool-down target"
          text={coolDown}
          unit={s.coolDownC === null ? '' : temp.unit}
          byHand={originOf.coolDownC === 'measured'}
          width="w-16"
          parse={(t) =>
            /^(no|none|-)?$/i.test(t.trim())
              ? ok(null)
              : reachable(parseTemperature(t, units.temperature, 'Cool-down target'))
          }
          onValue={(coolDownC) => put({ coolDownC }, 'fall')}
        />
      )}
      <Labelled label="Pressure">
        <Select
          label="Pressure"
          value={s.pressure}
          options={PRESSURES.map((p) => ({ value: p, label: PRESSURE_WORDS[p] }))}
          onChange={(pressure) => put({ pressure })}
          className="w-36"
        />
      </Labelled>
      <Labelled label="Peel">
        <Select
          label="Peel"
          value={s.peel}
          options={PEELS.map((p) => ({ value: p, label: PEEL_NOTES[p].label }))}
          onChange={(peel) => put({ peel })}
          className="w-32"
        />
      </Labelled>
      <HeaterChoice />
      <LoadFields />
      <p className="max-w-60 font-label text-fine leading-snug font-medium">
        {PEEL_NOTES[s.peel].gain} <span className="text-act-deep">{PEEL_NOTES[s.peel].risk}</span>
      </p>
      {changed && (
        <Button onClick={() => edit((j) => ({ ...j, heat: {}, load: {} }))}>
          {chosen.proven ? 'Reset to the proven recipe' : 'Reset to the usual settings'}
        </Button>
      )}
    </div>
  );
}

/** The ways to count the same time, side by side: they can differ by a minute. */
function TimerChoice() {
  const { plan, edit } = useJob();
  const { chosen, model } = plan.heat;
  if (!chosen) return null;
  const { settings: s, originOf } = chosen;
  const outcome = model?.shown ?? null;
  const ways = outcome ? timerWays(outcome) : [];
  const label = (t: TimerStart): string => {
    const first = ways.find((w) => w.timerStart === t)?.passS[0];
    const words = t === 'at-temperature' ? 'at temperature' : 'from closing';
    if (first === undefined) return words;
    return first === null ? `${words}: not back in time` : `${words} ${clockText(Math.round(first))}`;
  };
  const choose = (timerStart: TimerStart) => {
    if (timerStart === s.timerStart) return;
    // A time the model chose is chosen anew; one that was set or proven is told the other way.
    const same = originOf.dwellS === 'estimated' || !outcome ? null : byTimer(s, outcome, timerStart);
    edit((j) => ({
      ...j,
      heat: {
        ...j.heat,
        timerStart,
        ...(same ? { dwellS: same.dwellS, laterDwellS: same.laterDwellS } : {}),
      },
    }));
  };
  return (
    <Labelled label="Timer">
      <Segments
        label="When the timer starts"
        value={s.timerStart}
        options={TIMER_STARTS.map((t) => ({ value: t, label: label(t), title: TIMER_START_WORDS[t] }))}
        onChange={choose}
      />
    </Labelled>
  );
}

/** Changes how pieces lie in the press. */
function usePutLoad(): (next: Partial<Load>, group?: string) => void {
  const { edit } = useJob();
  return (next, group) => edit((j) => ({ ...j, load: { ...j.load, ...next } }), group);
}

/** Which heater is in the press. */
function HeaterChoice() {
  const { plan } = useJob();
  const put = usePutLoad();
  const say = useSay();
  const { press, heater } = plan.heat;
  if (!press || !isWrapPress(press) || press.heaters.length < 2 || !heater) return null;
  return (
    <Labelled label="Heater">
      <Select
        label="Heater"
        value={heater.id}
        options={press.heaters.map((h) => ({ value: h.id, label: `${h.name}, ${say([mm(h.lengthMm)])}` }))}
        onChange={(heaterId) => put({ heaterId })}
        className="w-48"
      />
    </Labelled>
  );
}

function LoadFields() {
  const { plan } = useJob();
  const put = usePutLoad();
  const { press, load } = plan.heat;
  if (!press || !load) return null;
  const flat = press.kind === 'flat';
  return (
    <>
      {!isWrapPress(press) && (
        <NumberField
          label="At once"
          value={load.load.piecesAtOnce}
          min={1}
          max={60}
          whole
          byHand={load.byHand.includes('piecesAtOnce')}
          width="w-12"
          onValue={(piecesAtOnce) => put({ piecesAtOnce }, 'at-once')}
        />
      )}
      <WasteFields />
      {flat && plan.heat.model?.subject.load.faces === 'one' && (
        <Labelled label="Position">
          <Select
            label="Position"
            value={load.load.heatedFrom}
            options={HEATED_FROM.map((k) => ({
              value: k,
              label: k === 'paper' ? 'face up, under its paper' : 'face down, heated through',
            }))}
            onChange={(heatedFrom) => put({ heatedFrom })}
            className="w-56"
          />
        </Labelled>
      )}
    </>
  );
}

/** Sheets between heater and paper, and of what. */
function WasteFields() {
  const { plan } = useJob();
  const put = usePutLoad();
  const { press, load } = plan.heat;
  if (!press || !load || isOven(press)) return null;
  return (
    <div className="flex items-end gap-2">
      <NumberField
        label="Waste sheets"
        value={load.load.wasteSheets}
        min={0}
        max={6}
        whole
        byHand={load.byHand.includes('wasteSheets')}
        width="w-12"
        onValue={(wasteSheets) => put({ wasteSheets }, 'sheets')}
      />
      {load.load.wasteSheets > 0 && (
        <Labelled label="of">
          <Select
            label="Waste sheet"
            value={load.load.wasteKind}
            options={WASTE_KINDS.map((k) => ({ value: k, label: WASTE_SHEETS[k].words }))}
            onChange={(wasteKind) => put({ wasteKind })}
            className="w-36"
          />
        </Labelled>
      )}
    </div>
  );
}

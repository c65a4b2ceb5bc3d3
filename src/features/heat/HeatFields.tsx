'use client';

import { restingOf } from '@/core/press/kinds';
import { say } from '@/core/message/message';
import { fail, ok, type Result } from '@/core/basics/result';
import { PEEL_NOTES, PRESSURE_WORDS, TIMER_START_WORDS, WASTE_WORDS } from '@/core/heat/settings/labels';
import { lowestTargetC } from '@/core/heat/settings/starting';
import { byTimer, timerWays } from '@/core/heat/press/timerWays';
import { PEELS, PRESSURES, type HeatSettings } from '@/core/shop/heatSettings';
import { HEATED_FROM, WASTE_KINDS, type Load } from '@/core/shop/load';
import { isChamber, isWrapPress, TIMER_STARTS, type TimerStart } from '@/core/shop/press';
import { clockText } from '@/core/units/format';
import { parseDuration, parseTemperature } from '@/core/units/parse';
import { celsius, mm } from '@/core/message/quantity';
import { Button } from '@/ui/Button';
import { Labelled } from '@/ui/Labelled';
import { NumberField } from '@/ui/NumberField';
import { Segments } from '@/ui/Segments';
import { Select } from '@/ui/Select';
import { TypedField } from '@/ui/TypedField';
import { useUnits } from '@/ui/units';
import { useWords } from '@/ui/words';
import { useHeatEdit, useJob } from '../job/jobContext';

/** A target the press never reads is refused with the reason. */
function reachableTarget(targetC: number, platenC: number, restingC: number | null): Result<number> {
  const where = say('heat.coolDownTarget');
  const lowest = lowestTargetC(restingC);
  if (targetC >= platenC)
    return fail(
      say('heat.mustBelowWorkingTemperature'),
      where,
      say('heat.lessThan', { platen: celsius(platenC) }),
    );
  if (restingC !== null && lowest !== null && targetC < lowest)
    return fail(
      say('heat.pressRestsNeverFalls2', { resting: celsius(restingC), target: celsius(targetC) }),
      where,
      lowest < platenC
        ? say('heat.fromBelow', { lowest: celsius(lowest), platen: celsius(platenC) })
        : say('heat.typeCannotFallBelow'),
    );
  return ok(targetC);
}

/** What is set on the press, and how the pieces lie in it; each with its origin. */
export function HeatFields() {
  const { plan, job } = useJob();
  const edit = useHeatEdit();
  const units = useUnits();
  const t = useWords();
  const { chosen, press } = plan.heat;
  if (!chosen || !press) return null;
  const { settings: s, originOf } = chosen;
  const put = (next: Partial<HeatSettings>, group?: string) =>
    edit((j) => ({ ...j, heat: { ...j.heat, ...next } }), group);
  const temp = t.parts(celsius(s.platenC));
  const coolDown = s.coolDownC === null ? t('common.noWord') : t.parts(celsius(s.coolDownC)).number;
  const changed = Object.keys(job.heat).length > 0 || Object.keys(job.load).length > 0;
  const readTemp = (where: string) => (text: string) => {
    const r = parseTemperature(text, units.temperature, where);
    return r.ok && r.value < 100
      ? fail(say('heat.tooCoolTransferDye'), where, say('heat.commonWork175205'))
      : r;
  };
  const reachable = (r: Result<number>): Result<number> =>
    r.ok ? reachableTarget(r.value, s.platenC, restingOf(press)) : r;
  return (
    <div className="flex flex-wrap items-end gap-x-5 gap-y-2 border-y border-rule bg-sheet/80 px-5 py-2">
      <TypedField
        label={t('common.temperature')}
        text={temp.number}
        unit={temp.unit}
        byHand={originOf.platenC === 'measured'}
        width="w-14"
        parse={readTemp(t('common.temperature'))}
        onValue={(platenC) => put({ platenC }, 'platen')}
      />
      <TypedField
        label={s.passes > 1 ? t('heat.dwellTimePerPass') : t('heat.dwellTime')}
        text={String(s.dwellS)}
        unit={s.dwellS >= 60 ? `s, ${clockText(s.dwellS)}` : 's'}
        byHand={originOf.dwellS === 'measured'}
        width="w-16"
        parse={(typed) => parseDuration(typed)}
        onValue={(dwellS) => put({ dwellS }, 'dwell')}
      />
      <TimerChoice />
      {isWrapPress(press) && (
        <NumberField
          label={t('heat.passes')}
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
          label={t('heat.laterPasses')}
          text={s.laterDwellS === null ? t('heat.same') : String(s.laterDwellS)}
          unit={s.laterDwellS === null ? '' : 's'}
          byHand={originOf.laterDwellS === 'measured'}
          width="w-16"
          parse={(typed) =>
            /^(same|igual|no|-)?$/i.test(typed.trim())
              ? ok(null)
              : parseDuration(typed, t('heat.laterPasses'))
          }
          onValue={(laterDwellS) => put({ laterDwellS }, 'later')}
        />
      )}
      {s.passes > 1 && !isChamber(press) && (
        <TypedField
          label={t('heat.coolDownTarget')}
          text={coolDown}
          unit={s.coolDownC === null ? '' : temp.unit}
          byHand={originOf.coolDownC === 'measured'}
          width="w-16"
          parse={(typed) =>
            /^(no|none|-)?$/i.test(typed.trim())
              ? ok(null)
              : reachable(parseTemperature(typed, units.temperature, t('heat.coolDownTarget')))
          }
          onValue={(coolDownC) => put({ coolDownC }, 'fall')}
        />
      )}
      <Labelled label={t('heat.pressure2')}>
        <Select
          label={t('heat.pressure2')}
          value={s.pressure}
          options={PRESSURES.filter((p) => (p === 'membrane') === (press.kind === 'vacuum')).map((p) => ({
            value: p,
            label: t(PRESSURE_WORDS[p]),
          }))}
          onChange={(pressure) => put({ pressure })}
          className="w-36"
        />
      </Labelled>
      <Labelled label={t('heat.peel')}>
        <Select
          label={t('heat.peel')}
          value={s.peel}
          options={PEELS.map((p) => ({ value: p, label: t(PEEL_NOTES[p].label) }))}
          onChange={(peel) => put({ peel })}
          className="w-32"
        />
      </Labelled>
      <HeaterChoice />
      <LoadFields />
      <p className="max-w-60 font-label text-fine leading-snug font-medium">
        {t(PEEL_NOTES[s.peel].gain)} <span className="text-act-deep">{t(PEEL_NOTES[s.peel].risk)}</span>
      </p>
      {changed && (
        <Button onClick={() => edit((j) => ({ ...j, heat: {}, load: {} }))}>
          {chosen.proven ? t('heat.resetProvenRecipe') : t('heat.resetUsualSettings')}
        </Button>
      )}
    </div>
  );
}

/** The ways to count the same time, side by side: they can differ by a minute. */
function TimerChoice() {
  const t = useWords();
  const { plan } = useJob();
  const edit = useHeatEdit();
  const { chosen, model } = plan.heat;
  if (!chosen) return null;
  const { settings: s, originOf } = chosen;
  const outcome = model?.shown ?? null;
  const ways = outcome ? timerWays(outcome) : [];
  const label = (start: TimerStart): string => {
    const first = ways.find((w) => w.timerStart === start)?.passS[0];
    const words = start === 'at-temperature' ? t('heat.atTemperature') : t('heat.fromClosing');
    if (first === undefined) return words;
    return first === null ? t('heat.notBackInTime', { words }) : `${words} ${clockText(Math.round(first))}`;
  };
  const choose = (timerStart: TimerStart) => {
    if (timerStart === s.timerStart) return;
    // A time the model chose is chosen again; one that was set or proven is given the other way.
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
    <Labelled label={t('common.timer')}>
      <Segments
        label={t('heat.whenTimerStarts')}
        value={s.timerStart}
        options={TIMER_STARTS.map((start) => ({
          value: start,
          label: label(start),
          title: TIMER_START_WORDS[start],
        }))}
        onChange={choose}
      />
    </Labelled>
  );
}

/** Changes how pieces lie in the press. */
function usePutLoad(): (next: Partial<Load>, group?: string) => void {
  const edit = useHeatEdit();
  return (next, group) => edit((j) => ({ ...j, load: { ...j.load, ...next } }), group);
}

/** Which heater is in the press. */
function HeaterChoice() {
  const { plan } = useJob();
  const put = usePutLoad();
  const t = useWords();
  const { press, heater } = plan.heat;
  if (!press || !isWrapPress(press) || press.heaters.length < 2 || !heater) return null;
  return (
    <Labelled label={t('common.heater')}>
      <Select
        label={t('common.heater')}
        value={heater.id}
        options={press.heaters.map((h) => ({
          value: h.id,
          label: `${h.name}, ${t.quantity(mm(h.lengthMm))}`,
        }))}
        onChange={(heaterId) => put({ heaterId })}
        className="w-48"
      />
    </Labelled>
  );
}

function LoadFields() {
  const t = useWords();
  const { plan } = useJob();
  const put = usePutLoad();
  const { press, load } = plan.heat;
  if (!press || !load) return null;
  const flat = press.kind === 'flat';
  return (
    <>
      {!isWrapPress(press) && (
        <NumberField
          label={t('heat.atOnce')}
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
        <Labelled label={t('heat.position')}>
          <Select
            label={t('heat.position')}
            value={load.load.heatedFrom}
            options={HEATED_FROM.map((k) => ({
              value: k,
              label: k === 'paper' ? t('heat.faceUpUnderPaper') : t('heat.faceDownHeatedThrough2'),
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
  const t = useWords();
  const { plan } = useJob();
  const put = usePutLoad();
  const { press, load } = plan.heat;
  if (!press || !load || isChamber(press)) return null;
  return (
    <div className="flex items-end gap-2">
      <NumberField
        label={t('heat.wasteSheets')}
        value={load.load.wasteSheets}
        min={0}
        max={6}
        whole
        byHand={load.byHand.includes('wasteSheets')}
        width="w-12"
        onValue={(wasteSheets) => put({ wasteSheets }, 'sheets')}
      />
      {load.load.wasteSheets > 0 && (
        <Labelled label={t('heat.of')}>
          <Select
            label={t('heat.wasteSheet')}
            value={load.load.wasteKind}
            options={WASTE_KINDS.map((k) => ({ value: k, label: t(WASTE_WORDS[k]) }))}
            onChange={(wasteKind) => put({ wasteKind })}
            className="w-36"
          />
        </Labelled>
      )}
    </div>
  );
}

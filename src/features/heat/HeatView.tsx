'use client';

import { preparationWords } from '@/core/plan/operationWords';
import { PEELS, PRESSURES, type HeatSettings } from '@/core/shop/heatSettings';
import { TIMER_START_WORDS, PEEL_NOTES } from '@/core/heat/labels';
import { fail, ok } from '@/core/basics/result';
import { TIMER_STARTS, isOven } from '@/core/shop/press';
import { formatQuantity } from '@/core/units/format';
import { parseDuration, parseTemperature } from '@/core/units/parse';
import { celsius } from '@/core/units/quantity';
import { Button } from '@/ui/Button';
import { Labelled } from '@/ui/Labelled';
import { NumberField } from '@/ui/NumberField';
import { Select } from '@/ui/Select';
import { Segments } from '@/ui/Segments';
import { TypedField } from '@/ui/TypedField';
import { Say, useUnits } from '@/ui/units';
import { useJob } from '../job/jobContext';
import { NeedsBlank } from '../job/NeedsBlank';
import { BarrelDiagram } from './BarrelDiagram';
import { HeatWindow } from './HeatWindow';

/** Temperature, time, pressure, passes and peel for this blank on this press, each with its origin. */
export function HeatView() {
  const { plan, job, shop, edit } = useJob();
  if (!plan.blank.blank) return <NeedsBlank />;
  return (
    <div className="absolute inset-0 flex flex-col overflow-y-auto">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2 px-5 pt-3">
        <Segments
          label="Press"
          value={job.pressId}
          onChange={(pressId) => edit((j) => ({ ...j, pressId, heat: {} }))}
          options={shop.presses.map((p) => ({ value: p.id, label: p.name }))}
        />
        {shop.presses.length === 0 && <p>No press in the shop yet. Add one under Presses.</p>}
      </div>
      {plan.heat.chosen ? (
        <Settings />
      ) : (
        <p className="p-8 text-lead">
          {job.pressId
            ? 'The findings below say why.'
            : 'Choose the press this job will run on. Its usual or proven settings come up by themselves.'}
        </p>
      )}
    </div>
  );
}

function Settings() {
  const { plan } = useJob();
  return (
    <>
      <div className="grid min-h-64 flex-[1_0_auto] grid-cols-1 sm:grid-cols-[15rem_1fr]">
        <BarrelDiagram />
        <div className="relative min-h-64">
          <HeatWindow />
        </div>
      </div>
      <Fields />
      <section aria-label="Before the press" className="px-5 pt-2 pb-3">
        <h2 className="font-name text-lead font-semibold">Before the press, in order</h2>
        <ol className="columns-1 gap-6 md:columns-2">
          {preparationWords(plan).map((step, i) => (
            <li key={i} className="flex break-inside-avoid gap-2 py-0.5 leading-snug">
              <span className="w-5 shrink-0 text-right font-label font-semibold">{i + 1}</span>
              <span>
                <Say phrase={step} />
              </span>
            </li>
          ))}
        </ol>
      </section>
    </>
  );
}

function Fields() {
  const { plan, job, edit } = useJob();
  const units = useUnits();
  const { chosen, press } = plan.heat;
  if (!chosen || !press) return null;
  const { settings: s, originOf } = chosen;
  const put = (next: Partial<HeatSettings>, group?: string) =>
    edit((j) => ({ ...j, heat: { ...j.heat, ...next } }), group);
  const changed = Object.keys(job.heat).length > 0;
  const temp = formatQuantity(celsius(s.platenC), units);
  const coolDown = s.coolDownC === null ? 'no' : formatQuantity(celsius(s.coolDownC), units).number;
  const readTemp = (where: string) => (text: string) => {
    const r = parseTemperature(text, units.temperature, where);
    return r.ok && r.value < 100
      ? fail('That is too cool to transfer.', where, 'Common work is 175 to 205 °C (350 to 400 °F).')
      : r;
  };
  return (
    <div className="flex flex-wrap items-end gap-x-5 gap-y-2 border-y border-rule bg-sheet/80 px-5 py-2">
      <TypedField
        label="Temperature"
        text={temp.number}
        unit={temp.unit}
        byHand={originOf.platenC === 'measured'}
        width="w-16"
        parse={readTemp('Temperature')}
        onValue={(platenC) => put({ platenC }, 'platen')}
      />
      <TypedField
        label={s.passes > 1 ? 'Time a pass' : 'Time'}
        text={String(s.dwellS)}
        unit="s"
        byHand={originOf.dwellS === 'measured'}
        width="w-16"
        parse={(t) => parseDuration(t)}
        onValue={(dwellS) => put({ dwellS }, 'dwell')}
      />
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
              : parseTemperature(t, units.temperature, 'Cool-down target')
          }
          onValue={(coolDownC) => put({ coolDownC }, 'fall')}
        />
      )}
      <Labelled label="Timer starts">
        <Select
          label="When the timer starts"
          value={s.timerStart}
          options={TIMER_STARTS.map((c) => ({ value: c, label: TIMER_START_WORDS[c] }))}
          onChange={(timerStart) => put({ timerStart })}
          className="w-48"
        />
      </Labelled>
      <Labelled label="Pressure">
        <Select
          label="Pressure"
          value={s.pressure}
          options={PRESSURES.map((p) => ({ value: p, label: p.replace('-', ' to ') }))}
          onChange={(pressure) => put({ pressure })}
          className="w-40"
        />
      </Labelled>
      <Labelled label="Peel">
        <Select
          label="Peel"
          value={s.peel}
          options={PEELS.map((p) => ({ value: p, label: PEEL_NOTES[p].label }))}
          onChange={(peel) => put({ peel })}
          className="w-40"
        />
      </Labelled>
      <p className="max-w-64 font-label text-fine leading-snug font-medium">
        {PEEL_NOTES[s.peel].gain} <span className="text-act-deep">{PEEL_NOTES[s.peel].risk}</span>
      </p>
      {changed && (
        <Button onClick={() => edit((j) => ({ ...j, heat: {} }))}>
          {chosen.proven ? 'Back to the proven recipe' : 'Back to the usual start'}
        </Button>
      )}
    </div>
  );
}

'use client';

import { date } from '@/core/message/quantity';
import { useWords } from '@/ui/words';
import { say } from '@/core/message/message';
import { Plus, Trash2 } from 'lucide-react';
import { fail, ok } from '@/core/basics/result';
import { WEEKDAYS, type Circuit, type DaySettings } from '@/core/shop/day';
import type { Press } from '@/core/shop/press';
import { newId } from '@/data/ids';
import { Button } from '@/ui/Button';
import { NumberField } from '@/ui/NumberField';
import { TypedField } from '@/ui/TypedField';
import { useShop } from '../shell/shopContext';
import { SettingsGroup } from './Group';
import { hoursMessage, readHours } from './hours';
import { useSettings } from './useSettings';

/** Midday of a Monday, for the names of the days. */
const A_MONDAY = new Date(2024, 0, 1, 12).getTime();
const DAY_MS = 86_400_000;

const title = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);

/** When the shop works, with how many hands, and where pieces cool. */
export function DayGroup() {
  const t = useWords();
  const { s, change } = useSettings();
  const put = (next: Partial<DaySettings>) => change((now) => ({ ...now, day: { ...now.day, ...next } }));
  const { day } = s;
  return (
    <SettingsGroup title={t('shop.workingHours')} about={t('shop.workScheduledTheseHours')}>
      {WEEKDAYS.map((w, i) => (
        <TypedField
          key={w}
          label={title(t.quantity(date(A_MONDAY + i * DAY_MS, 'weekday')))}
          text={t(hoursMessage(day.opening[w]))}
          width="w-28"
          byHand
          parse={readHours}
          onValue={(hours) =>
            change((now) => ({ ...now, day: { ...now.day, opening: { ...now.day.opening, [w]: hours } } }))
          }
        />
      ))}
      {day.breaks.map((b, i) => (
        <TypedField
          key={`${b.name} ${i}`}
          label={b.name}
          text={t(hoursMessage(b.hours))}
          width="w-28"
          byHand
          parse={readHours}
          onValue={(hours) =>
            put({
              breaks: day.breaks.flatMap((x, k) => (k !== i ? [x] : hours ? [{ ...x, hours }] : [])),
            })
          }
        />
      ))}
      {day.breaks.length < 6 && (
        <Button
          onClick={() =>
            put({
              breaks: [
                ...day.breaks,
                {
                  name: t('shop.break', { breaks: day.breaks.length + 1 }),
                  hours: { fromMin: 900, toMin: 915 },
                },
              ],
            })
          }
        >
          <Plus size={16} aria-hidden /> {t('shop.addBreak')}
        </Button>
      )}
      <NumberField
        label={t('shop.people')}
        value={day.hands}
        min={0}
        max={12}
        whole
        byHand
        onValue={(hands) => put({ hands })}
      />
      <NumberField
        label={t('shop.coolingPlaces')}
        value={day.coolingPlaces}
        min={1}
        max={200}
        whole
        byHand
        onValue={(coolingPlaces) => put({ coolingPlaces })}
      />
      <NumberField
        label={t('shop.printTimeA4Sheet')}
        value={day.printA4S}
        min={5}
        max={3600}
        unit="s"
        byHand
        onValue={(printA4S) => put({ printA4S })}
      />
      <NumberField
        label={t('shop.dryingTime')}
        value={Math.round(day.dryS / 60)}
        min={0}
        max={1440}
        unit="min"
        byHand
        onValue={(min) => put({ dryS: min * 60 })}
      />
    </SettingsGroup>
  );
}

/** Circuits of the building, and which presses hang on them. */
export function CircuitsGroup() {
  const t = useWords();
  const { s, change } = useSettings();
  const { shop } = useShop();
  const put = (f: (now: readonly Circuit[]) => readonly Circuit[]) =>
    change((now) => ({ ...now, day: { ...now.day, circuits: [...f(now.day.circuits)] } }));
  const set = (id: string, next: Partial<Circuit>) =>
    put((all) => all.map((c) => (c.id === id ? { ...c, ...next } : c)));
  const plug = (id: string, pressId: string, on: boolean) =>
    put((all) =>
      all.map((c) => ({
        ...c,
        pressIds:
          c.id === id && on
            ? [...new Set([...c.pressIds, pressId])]
            : c.pressIds.filter((p) => p !== pressId),
      })),
    );
  return (
    <SettingsGroup title={t('shop.circuits')} about={t('shop.ratingEachBreakerPresses')}>
      <div className="grid w-full gap-4">
        {s.day.circuits.map((c) => (
          <OneCircuit
            key={c.id}
            circuit={c}
            presses={shop.presses}
            onSet={(next) => set(c.id, next)}
            onPlug={(pressId, on) => plug(c.id, pressId, on)}
            onRemove={() => put((all) => all.filter((x) => x.id !== c.id))}
          />
        ))}
        <Button
          className="justify-self-start"
          onClick={() =>
            put((all) => [
              ...all,
              {
                id: newId('circuit'),
                name: t('shop.circuit', { all: all.length + 1 }),
                ratingA: 16,
                volts: 230,
                continuousPct: 80,
                otherA: 0,
                pressIds: [],
              },
            ])
          }
        >
          <Plus size={16} aria-hidden /> {t('shop.addCircuit')}
        </Button>
      </div>
    </SettingsGroup>
  );
}

interface OneCircuitProps {
  readonly circuit: Circuit;
  readonly presses: readonly Press[];
  readonly onSet: (next: Partial<Circuit>) => void;
  readonly onPlug: (pressId: string, on: boolean) => void;
  readonly onRemove: () => void;
}

function OneCircuit({ circuit: c, presses, onSet, onPlug, onRemove }: OneCircuitProps) {
  const t = useWords();
  return (
    <fieldset className="grid gap-2 border-b border-rule pb-3">
      <legend className="sr-only">{c.name}</legend>
      <div className="flex flex-wrap items-end gap-3">
        <TypedField
          label={t('common.circuit')}
          text={c.name}
          width="w-36"
          byHand
          parse={(t) =>
            t.trim() === ''
              ? fail(say('shop.nameMissing'), say('common.circuit'), say('shop.typeAnyName'))
              : ok(t.trim().slice(0, 80))
          }
          onValue={(name) => onSet({ name })}
        />
        <NumberField
          label={t('shop.breaker')}
          value={c.ratingA}
          min={1}
          max={200}
          unit="A"
          byHand
          onValue={(ratingA) => onSet({ ratingA })}
        />
        <NumberField
          label={t('shop.volts')}
          value={c.volts}
          min={80}
          max={480}
          unit="V"
          byHand
          onValue={(volts) => onSet({ volts })}
        />
        <NumberField
          label={t('shop.continuousLoad')}
          value={c.continuousPct}
          min={20}
          max={100}
          unit="%"
          byHand
          onValue={(continuousPct) => onSet({ continuousPct })}
        />
        <NumberField
          label={t('shop.otherLoads')}
          value={c.otherA}
          min={0}
          max={200}
          unit="A"
          byHand
          onValue={(otherA) => onSet({ otherA })}
        />
        <Button kind="quiet" aria-label={t('shop.remove', { c: c.name })} onClick={onRemove}>
          <Trash2 size={18} aria-hidden />
        </Button>
      </div>
      <div className="flex flex-wrap gap-x-5 gap-y-1">
        {presses.map((p) => (
          <label key={p.id} className="flex min-h-9 items-center gap-2 font-label">
            <input
              type="checkbox"
              className="size-5"
              checked={c.pressIds.includes(p.id)}
              onChange={(e) => onPlug(p.id, e.target.checked)}
            />
            {p.name}
          </label>
        ))}
      </div>
    </fieldset>
  );
}

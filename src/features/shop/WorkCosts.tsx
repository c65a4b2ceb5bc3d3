'use client';

import { ok } from '@/core/basics/result';
import type { MoneySettings } from '@/core/shop/money';
import { MoneyField } from '@/ui/MoneyField';
import { NumberField } from '@/ui/NumberField';
import { TypedField } from '@/ui/TypedField';
import { Group } from './Group';
import { useSettings } from './useSettings';

type Cents = Exclude<
  { [K in keyof MoneySettings]: MoneySettings[K] extends number ? K : never }[keyof MoneySettings],
  'marketFeePct' | 'marginPct' | 'quoteDays'
>;

const AMOUNTS: readonly (readonly [Cents, string])[] = [
  ['payHourCents', 'Wage per hour'],
  ['wantedHourCents', 'Target earnings per hour'],
  ['energyKwhCents', 'Energy, per kWh'],
  ['machineHourCents', 'Press wear, per hour'],
  ['tapeMetreCents', 'Tape, per metre'],
  ['wasteSheetCents', 'Waste paper, per sheet'],
  ['packingCents', 'Packaging, per piece'],
  ['priceStepCents', 'Round prices to'],
];

/** What work costs here, and how prices are made from it. */
export function WorkCosts() {
  const { s, change } = useSettings();
  const put = (next: Partial<MoneySettings>) =>
    change((now) => ({ ...now, money: { ...now.money, ...next } }));
  return (
    <Group
      title="Cost rates"
      about="Costs and quotes use these rates. Each part of a cost is rounded to the hundredth, halves up, and the total is their sum."
    >
      {AMOUNTS.map(([key, label]) => (
        <MoneyField
          key={key}
          label={label}
          cents={s.money[key]}
          currency={s.currency}
          least={key === 'priceStepCents' ? 1 : 0}
          onCents={(cents) => put({ [key]: cents })}
        />
      ))}
      <NumberField
        label="Margin"
        value={s.money.marginPct}
        min={0}
        max={90}
        unit="%"
        byHand
        onValue={(marginPct) => put({ marginPct })}
      />
      <NumberField
        label="Market fee"
        value={s.money.marketFeePct}
        min={0}
        max={60}
        unit="%"
        byHand
        onValue={(marketFeePct) => put({ marketFeePct })}
      />
      <NumberField
        label="Quotes valid for"
        value={s.money.quoteDays}
        min={1}
        max={365}
        unit="days"
        whole
        byHand
        onValue={(quoteDays) => put({ quoteDays })}
      />
      <TypedField
        label="Quote footer"
        text={s.money.terms}
        width="w-96"
        byHand
        parse={(t) => ok(t.trim().slice(0, 600))}
        onValue={(terms) => put({ terms })}
      />
    </Group>
  );
}

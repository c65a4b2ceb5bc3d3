'use client';

import { say, type Message } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { ok } from '@/core/basics/result';
import type { MoneySettings } from '@/core/shop/money';
import { MoneyField } from '@/ui/MoneyField';
import { NumberField } from '@/ui/NumberField';
import { TypedField } from '@/ui/TypedField';
import { SettingsGroup } from './Group';
import { useSettings } from './useSettings';

type Cents = Exclude<
  { [K in keyof MoneySettings]: MoneySettings[K] extends number ? K : never }[keyof MoneySettings],
  'marketFeePct' | 'marginPct' | 'quoteDays'
>;

const AMOUNTS: readonly (readonly [Cents, Message])[] = [
  ['payHourCents', say('shop.wagePerHour')],
  ['wantedHourCents', say('shop.targetEarningsPerHour')],
  ['energyKwhCents', say('shop.energyPerKwh')],
  ['machineHourCents', say('shop.pressWearPerHour')],
  ['tapeMetreCents', say('shop.tapePerMetre')],
  ['wasteSheetCents', say('shop.wastePaperPerSheet')],
  ['tackCents', say('shop.sprayTackPerPiece')],
  ['packingCents', say('shop.packagingPerPiece')],
  ['priceStepCents', say('shop.roundPrices')],
];

/** What work costs here, and how prices are made from it. */
export function WorkCosts() {
  const t = useWords();
  const { s, change } = useSettings();
  const put = (next: Partial<MoneySettings>) =>
    change((now) => ({ ...now, money: { ...now.money, ...next } }));
  return (
    <SettingsGroup title={t('shop.costRates')} about={t('shop.costsQuotesUseThese')}>
      {AMOUNTS.map(([key, label]) => (
        <MoneyField
          key={key}
          label={t(label)}
          cents={s.money[key]}
          currency={s.currency}
          least={key === 'priceStepCents' ? 1 : 0}
          onCents={(cents) => put({ [key]: cents })}
        />
      ))}
      <NumberField
        label={t('common.margin')}
        value={s.money.marginPct}
        min={0}
        max={90}
        unit="%"
        byHand
        onValue={(marginPct) => put({ marginPct })}
      />
      <NumberField
        label={t('common.marketFee')}
        value={s.money.marketFeePct}
        min={0}
        max={60}
        unit="%"
        byHand
        onValue={(marketFeePct) => put({ marketFeePct })}
      />
      <NumberField
        label={t('shop.secondShare')}
        value={s.money.secondPct}
        min={0}
        max={100}
        unit="%"
        byHand
        onValue={(secondPct) => put({ secondPct })}
      />
      <NumberField
        label={t('shop.quotesValid')}
        value={s.money.quoteDays}
        min={1}
        max={365}
        unit={t('shop.days')}
        whole
        byHand
        onValue={(quoteDays) => put({ quoteDays })}
      />
      <TypedField
        label={t('shop.quoteFooter')}
        text={s.money.terms}
        width="w-96"
        byHand
        parse={(t) => ok(t.trim().slice(0, 600))}
        onValue={(terms) => put({ terms })}
      />
    </SettingsGroup>
  );
}

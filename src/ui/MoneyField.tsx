'use client';

import { fail, ok } from '@/core/basics/result';
import { readMoney } from '@/core/money/money';
import { TypedField, type Taken } from './TypedField';

interface Props {
  readonly label: string;
  readonly hideLabel?: boolean;
  readonly cents: number;
  readonly currency: string;
  readonly byHand?: boolean;
  readonly width?: string;
  /** Nothing is an amount too, but not everywhere. */
  readonly least?: number;
  readonly onCents: (cents: number) => Taken;
}

/** An amount of money, typed to the hundredth at most. */
export function MoneyField({
  label,
  hideLabel = false,
  cents,
  currency,
  byHand = true,
  width = 'w-20',
  least = 0,
  onCents,
}: Props) {
  return (
    <TypedField
      label={label}
      hideLabel={hideLabel}
      text={(cents / 100).toFixed(2)}
      unit={currency}
      width={width}
      byHand={byHand}
      value={cents}
      parse={(t) => {
        const read = readMoney(t, currency);
        if (read === null) return fail('An amount is written 12.50.', label, 'No finer than a hundredth.');
        return read < least ? fail('It has to be more than 0.', label, 'Write an amount.') : ok(read);
      }}
      onValue={onCents}
    />
  );
}

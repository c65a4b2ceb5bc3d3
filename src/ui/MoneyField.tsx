'use client';

import { useTypedNumber } from './typedNumber';
import { say } from '@/core/message/message';
import { fail, ok } from '@/core/basics/result';
import { readMoney } from '@/core/money/money';
import { TypedField, type StoreResult } from './TypedField';

interface Props {
  readonly label: string;
  readonly hideLabel?: boolean;
  readonly cents: number;
  readonly currency: string;
  readonly byHand?: boolean;
  readonly width?: string;
  /** Nothing is an amount too, but not everywhere. */
  readonly least?: number;
  readonly onCents: (cents: number) => StoreResult;
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
  const typedNumber = useTypedNumber();
  return (
    <TypedField
      label={label}
      hideLabel={hideLabel}
      text={typedNumber(cents / 100, 2, 'fixed')}
      unit={currency}
      width={width}
      byHand={byHand}
      value={cents}
      parse={(typed) => {
        const read = readMoney(typed, currency);
        if (read === null)
          return fail(say('common.amountWritten1250'), label, say('common.finerThanHundredth'));
        return read < least ? fail(say('common.hasMoreThan0'), label, say('common.writeAmount')) : ok(read);
      }}
      onValue={onCents}
    />
  );
}

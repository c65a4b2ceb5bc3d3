'use client';

import { useTypedNumber } from './typedNumber';
import { say } from '@/core/message/message';
import { useCallback } from 'react';
import { fail, ok, type Result } from '@/core/basics/result';
import { TypedField, type StoreResult } from './TypedField';

interface Props {
  readonly label: string;
  readonly hideLabel?: boolean;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly unit?: string;
  readonly whole?: boolean;
  readonly byHand?: boolean;
  readonly width?: string;
  readonly onValue: (value: number) => StoreResult;
}

/** A plain number in a stated range. */
export function NumberField({
  label,
  hideLabel,
  value,
  min,
  max,
  unit,
  whole = false,
  byHand,
  width = 'w-16',
  onValue,
}: Props) {
  const parse = useCallback(
    (text: string): Result<number> => {
      const clean = text.trim().replace('−', '-').replace(',', '.');
      if (!/^-?\d{1,7}(?:\.\d{1,4})?$/.test(clean))
        return fail(say('common.thatIsNotA'), label, say('common.writeOneFrom', { min, max }));
      const n = Number(clean);
      if (whole && !Number.isInteger(n))
        return fail(say('common.wholeNumbersOnly'), label, say('common.writeOneFrom', { min, max }));
      if (n < min || n > max)
        return fail(say('common.outRange'), label, say('common.writeOneFrom', { min, max }));
      return ok(n);
    },
    [label, max, min, whole],
  );
  const text = useTypedNumber()(value, 2);
  return (
    <TypedField
      label={label}
      hideLabel={hideLabel}
      text={text}
      unit={unit}
      parse={parse}
      value={value}
      onValue={onValue}
      byHand={byHand}
      width={width}
    />
  );
}

'use client';

import { say } from '@/core/message/message';
import { useCallback } from 'react';
import { fail, ok, type Result } from '@/core/basics/result';

import { parseLength } from '@/core/units/parse';
import { mm, fineMm } from '@/core/message/quantity';
import { TypedField, type StoreResult } from './TypedField';
import { useUnits } from './units';
import { useWords } from './words';

interface Props {
  readonly label: string;
  readonly hideLabel?: boolean;
  readonly valueMm: number;
  readonly minMm: number;
  readonly maxMm: number;
  readonly byHand?: boolean;
  /** Nobody said it: drawn in proportion until somebody does. */
  readonly guessed?: boolean;
  readonly fine?: boolean;
  readonly width?: string;
  readonly signed?: boolean;
  readonly onValue: (mm: number) => StoreResult;
}

/** A length in the shop's unit, typed as people write it. */
export function LengthField({
  label,
  hideLabel,
  valueMm,
  minMm,
  maxMm,
  byHand,
  guessed,
  fine = false,
  width,
  signed = false,
  onValue,
}: Props) {
  const units = useUnits();
  const t = useWords();
  const shown = t.parts(fine ? fineMm(valueMm) : mm(valueMm));
  const parse = useCallback(
    (text: string): Result<number> => {
      const clean = text.trim();
      const negative = signed && /^[-−]/.test(clean);
      const bare = negative ? clean.slice(1) : clean;
      // Zero is a length here (no bleed, no setback); a reading of zero is not.
      const zero = /^0+(?:[.,]0*)?(?:\s*(?:mm|cm|in|"))?$/.test(bare);
      const parsed = zero ? ok({ valueMm: 0 }) : parseLength(bare, units.length, label);
      if (!parsed.ok) return parsed;
      const value = negative ? -parsed.value.valueMm : parsed.value.valueMm;
      return value < minMm - 1e-9 || value > maxMm + 1e-9
        ? fail(say('common.outRange'), label, say('common.betweenAnd2', { min: mm(minMm), max: mm(maxMm) }))
        : ok(value);
    },
    [label, maxMm, minMm, signed, units.length],
  );
  return (
    <TypedField
      label={label}
      hideLabel={hideLabel}
      text={shown.number}
      unit={shown.unit}
      parse={parse}
      value={valueMm}
      onValue={onValue}
      byHand={byHand}
      guessed={guessed}
      width={width}
    />
  );
}

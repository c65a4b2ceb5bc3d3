import { rule, asIssue } from '@/core/basics/rule';
import { say, inTurn, type Message, packed } from '@/core/message/message';
import * as z from 'zod/mini';
import { formatAmount, type LengthUnit, type UnitChoice } from '@/core/units/format';
import { parseLength } from '@/core/units/parse';
import { fineMm, mm } from '@/core/message/quantity';

/** Money as written, to hundredths. */
export const moneyText = z.pipe(
  z.string(),
  z.transform((text, ctx) => {
    const clean = text.trim().replace(',', '.');
    if (!/^\d{1,5}(?:\.\d{1,2})?$/.test(clean)) {
      ctx.issues.push({ code: 'custom', message: rule('shop.writeAmountSuch0'), input: text });
      return z.NEVER;
    }
    return Math.round(Number(clean) * 100);
  }),
);

/** Money as written, or nothing where nobody said. */
export const optionalMoneyText = z.pipe(
  z.string(),
  z.transform((text, ctx) => {
    if (text.trim() === '') return null;
    const read = moneyText.safeParse(text);
    if (read.success) return read.data;
    ctx.issues.push({
      code: 'custom',
      message: rule('shop.writeAmountSuch4'),
      input: text,
    });
    return z.NEVER;
  }),
);

export const shortText = z.pipe(
  z.string().check(z.maxLength(160, rule('shop.keepUnder160Letters'))),
  z.transform((t) => t.trim()),
);

/** A whole number as written, within a range. */
export const wholeText = (label: Message, min: number, max: number) =>
  z.pipe(
    z.string(),
    z.transform((text, ctx) => {
      const n = Number(text.trim());
      if (!/^\d{1,6}$/.test(text.trim()) || n < min || n > max) {
        ctx.issues.push({
          code: 'custom',
          message: rule('shop.wholeNumberFrom', { label, min, max }),
          input: text,
        });
        return z.NEVER;
      }
      return n;
    }),
  );

/**
 * Lengths as a form first shows them. Shown in inches a length is rounded to the tape’s marks; a text nobody changed stands for the length
 * that was stored, not for its rounding.
 */
export interface ShownLengths {
  readonly show: (of: Message | string, valueMm: number, fine?: boolean) => string;
  readonly stored: (of: Message | string, text: string) => number | null;
}

const keyOf = (of: Message | string): string => (typeof of === 'string' ? of : packed(of));

export function shownLengths(units: UnitChoice): ShownLengths {
  const shown = new Map<string, { readonly text: string; readonly valueMm: number }>();
  return {
    show: (of, valueMm, fine = false) => {
      const text = formatAmount(fine ? fineMm(valueMm) : mm(valueMm), units).number;
      shown.set(keyOf(of), { text, valueMm });
      return text;
    },
    stored: (of, text) => {
      const s = shown.get(keyOf(of));
      return s && s.text === text.trim() ? s.valueMm : null;
    },
  };
}

/** A length typed into a form, in mm between two ends. Zero is allowed where `min` is 0. */
export const lengthText = (
  unit: LengthUnit,
  label: Message,
  min: number,
  max: number,
  shown: ShownLengths | null = null,
) =>
  z.pipe(
    z.string(),
    z.transform((text, ctx) => {
      const refuse = (message: Message) => {
        ctx.issues.push({ code: 'custom', message: asIssue(message), input: text });
        return z.NEVER;
      };
      const kept = shown?.stored(label, text) ?? null;
      if (kept !== null) return kept;
      if (min === 0 && /^0*(?:[.,]0*)?$/.test(text.trim())) return 0;
      const parsed = parseLength(text, unit, label);
      if (!parsed.ok) return refuse(inTurn(parsed.problem.what, parsed.problem.wayOut));
      const { valueMm } = parsed.value;
      if (valueMm < min || valueMm > max)
        return refuse(say('shop.betweenMmReadsMm', { min, max, value: Math.round(valueMm * 10) / 10 }));
      return valueMm;
    }),
  );

export const linesText = z.pipe(
  z.string(),
  z.transform((text) =>
    text
      .split('\n')
      .map((l) => l.trim())
      .filter((l) => l !== '')
      .slice(0, 12)
      .map((l) => l.slice(0, 160)),
  ),
);

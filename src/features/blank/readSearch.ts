import type { CommonNames } from '@/words/commonNames';

/** A search with its amounts separated from its words. */
export interface BlankQuery {
  readonly volumesMl: readonly number[];
  /** Sizes of a flat face, shorter side first, mm. */
  readonly sizesMm: readonly (readonly [number, number])[];
  /** Every word that must be found, in small letters. */
  readonly words: readonly string[];
}

/** A US fluid ounce and the metric units, ml. */
export const US_FLUID_OUNCE_ML = 29.5735;
const ML_IN: Readonly<Record<string, number>> = { oz: US_FLUID_OUNCE_ML, ml: 1, cl: 10, l: 1000 };
const VOLUME = /(\d+(?:[.,]\d+)?)\s*(?:fl\.?\s*)?(oz|ounces?|onzas?|ml|cl|l|lit(?:re|er)s?|litros?)\b/gi;

/** Volumes named in a text, ml. */
export function volumesMl(text: string): readonly number[] {
  return [...text.matchAll(VOLUME)].map(([, amount = '', unit = '']) => {
    const short = unit
      .toLowerCase()
      .replace(/^(?:ounces?|onzas?)$/, 'oz')
      .replace(/^lit.*$/, 'l');
    return Number(amount.replace(',', '.')) * (ML_IN[short] ?? NaN);
  });
}

const MM_IN: Readonly<Record<string, number>> = { in: 25.4, mm: 1, cm: 10 };
const NUMBER = String.raw`(\d+(?:[.,]\d+)?)(?:\s+(\d+)/(\d+))?`;
const UNIT = String.raw`\s*("|″|''|in\b|inch(?:es)?\b|pulgadas?\b|mm\b|cm\b)?`;
const SIZE = new RegExp(String.raw`${NUMBER}${UNIT}\s*(?:x|×|by|por)\s*${NUMBER}${UNIT}`, 'gi');
/** Two bare numbers up to here are inches, as plates and panels are sold: 8 x 10. Larger ones are millimetres. */
const LARGEST_BARE_INCHES = 36;

const lengthOf = (whole = '', over = '', under = ''): number =>
  Number(whole.replace(',', '.')) + (over && Number(under) > 0 ? Number(over) / Number(under) : 0);

const unitOf = (text = ''): string => {
  const unit = text.toLowerCase();
  return unit === '' ? '' : /^(?:mm|cm)$/.test(unit) ? unit : 'in';
};

/** Sizes of a face named in a text, shorter side first, mm: 8 x 10, 8" × 10", 200 x 300 mm, 20 by 30 cm. */
export function sizesMm(text: string): readonly (readonly [number, number])[] {
  return [...text.matchAll(SIZE)].map(([, a, aOver, aUnder, aUnit, b, bOver, bUnder, bUnit]) => {
    const [first, second] = [lengthOf(a, aOver, aUnder), lengthOf(b, bOver, bUnder)];
    const bare = Math.max(first, second) <= LARGEST_BARE_INCHES ? 'in' : 'mm';
    const [own, other] = [unitOf(aUnit), unitOf(bUnit)];
    const sides = [
      first * (MM_IN[own || other || bare] ?? NaN),
      second * (MM_IN[other || own || bare] ?? NaN),
    ];
    return [Math.min(...sides), Math.max(...sides)] as const;
  });
}

/** A typed search, read as the trade writes it; common names stand for the words that find them. */
export function readSearch(text: string, names: CommonNames): BlankQuery {
  const small = ` ${text.toLowerCase().replace(/\s+/g, ' ').trim()} `;
  const named = names.reduce(
    (t, [name, finds]) => t.replace(` ${name}s `, ` ${finds} `).replace(` ${name} `, ` ${finds} `),
    small,
  );
  return {
    volumesMl: volumesMl(text),
    sizesMm: sizesMm(text),
    words: named
      .replace(SIZE, ' ')
      .replace(VOLUME, ' ')
      .split(/\s+/)
      .filter((w) => w !== ''),
  };
}

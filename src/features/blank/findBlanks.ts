import { FAMILY_WORDS, FINISH_WORDS, MATERIAL_WORDS, STOCK_WORDS } from '@/core/shop/kindWords';
import { say, type Write, type Message } from '@/core/message/message';
import { formOf, narrowestMm, widestMm } from '@/core/shapes/round';
import type { Blank, Family } from '@/core/shop/blank';
import { mm } from '@/core/message/quantity';

export interface BlankFilter {
  readonly text: string;
  readonly family: Family | null;
}

/** What a blank can be found by: its own words, and those of its shape as `write` writes them. */
function wordsOf(b: Blank, write: Write): string {
  const { shape } = b;
  const form =
    shape.kind === 'flat'
      ? say('blank.flatWords', {
          form: shape.outline.form.replace(' ', ''),
          faces: shape.faces,
          edge: shape.edge,
        })
      : say('blank.roundWords', {
          form: formOf(shape),
          handle: shape.handle ? 'yes' : 'no',
          openEnds: shape.openEnds ? 'yes' : 'no',
        });
  const kinds = [
    FAMILY_WORDS[b.family],
    MATERIAL_WORDS[b.material],
    FINISH_WORDS[b.coating.finish],
    STOCK_WORDS[b.coating.stock],
    form,
  ];
  return `${b.name} ${kinds.map(write).join(' ')}`.toLowerCase();
}

/** A US fluid ounce and the metric units, ml. */
const ML_IN: Readonly<Record<string, number>> = { oz: 29.5735, ml: 1, cl: 10, l: 1000 };
const VOLUME = /(\d+(?:[.,]\d+)?)\s*(?:fl\.?\s*)?(oz|ounces?|ml|cl|l|lit(?:re|er)s?)\b/gi;
/** The trade rounds either way: 11 oz is sold as 325, 330 and 340 ml. */
const SAME_VOLUME = 0.05;

/** Volumes named in a text, ml. */
function volumesMl(text: string): readonly number[] {
  return [...text.matchAll(VOLUME)].map(([, amount = '', unit = '']) => {
    const short = unit
      .toLowerCase()
      .replace(/^ounces?$/, 'oz')
      .replace(/^lit.*$/, 'l');
    return Number(amount.replace(',', '.')) * (ML_IN[short] ?? NaN);
  });
}

/** Blanks of a family that hold every word typed, in the shop's order. A volume finds blanks of about that volume, named in any unit. */
export function findBlanks(
  blanks: readonly Blank[],
  { text, family }: BlankFilter,
  write: Write,
): readonly Blank[] {
  const volumes = volumesMl(text);
  const wanted = text
    .toLowerCase()
    .replace(VOLUME, ' ')
    .split(/\s+/)
    .filter((w) => w !== '');
  return blanks.filter((b) => {
    if (family !== null && b.family !== family) return false;
    const own = volumes.length > 0 ? volumesMl(b.name) : [];
    if (!volumes.every((v) => own.some((o) => Math.abs(o / v - 1) <= SAME_VOLUME))) return false;
    if (wanted.length === 0) return true;
    const words = wordsOf(b, write);
    return wanted.every((w) => words.includes(w));
  });
}

/** Families that the shop has, with how many of each. */
export function familiesOf(blanks: readonly Blank[]): readonly (readonly [Family, number])[] {
  const counts = new Map<Family, number>();
  for (const b of blanks) counts.set(b.family, (counts.get(b.family) ?? 0) + 1);
  return [...counts].sort(([a], [b]) => a.localeCompare(b));
}

/** A blank's size in a few words. */
export function sizeWords({ shape, wallMm }: Blank): Message {
  if (shape.kind === 'flat')
    return say('blank.flatSize', {
      width: mm(shape.outline.widthMm),
      height: mm(shape.outline.heightMm),
      thickness: mm(wallMm),
    });
  const [a, b] = [widestMm(shape), narrowestMm(shape)];
  const height = mm(shape.heightMm);
  return a - b < 0.5
    ? say('blank.roundSize', { across: mm(a), height })
    : say('blank.taperedSize', { from: mm(b), to: mm(a), height });
}

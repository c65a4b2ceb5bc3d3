import { FAMILY_WORDS, FINISH_WORDS, MATERIAL_WORDS, STOCK_WORDS } from '@/core/shop/kindWords';
import { say, type Write, type Message } from '@/core/message/message';
import { formOf, narrowestMm, widestMm } from '@/core/shapes/round';
import type { Blank, Family } from '@/core/shop/blank';
import { decimal, mm } from '@/core/message/quantity';
import type { CommonNames } from '@/words/commonNames';
import { readSearch, US_FLUID_OUNCE_ML, volumesMl, type BlankQuery } from './readSearch';

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

/** The trade rounds either way: 11 oz is sold as 325, 330 and 340 ml, and 8 x 10 in as 200 x 250 mm. */
const SAME_VOLUME = 0.05;
const SAME_SIZE = 0.03;

/** Volumes that the name of a blank says, ml. */
const volumesOf = (b: Blank): readonly number[] => volumesMl(b.name);

/** Sides of a flat blank, shorter first, mm; null where it is round. */
function sidesOf({ shape }: Blank): readonly [number, number] | null {
  if (shape.kind !== 'flat') return null;
  const { widthMm, heightMm } = shape.outline;
  return [Math.min(widthMm, heightMm), Math.max(widthMm, heightMm)];
}

/** How far apart two amounts are: the size of the logarithm of their ratio. */
const apart = (a: number, b: number): number => Math.abs(Math.log(a / b));
const sizeApart = (sides: readonly [number, number], wanted: readonly [number, number]): number =>
  Math.max(apart(sides[0], wanted[0]), apart(sides[1], wanted[1]));
const nearestOf = (distances: readonly number[]): number => Math.min(Infinity, ...distances);

/** How far a blank is from an amount asked for; infinite where it has none. */
const volumeApart = (b: Blank, ml: number): number => nearestOf(volumesOf(b).map((v) => apart(v, ml)));
const faceApart = (b: Blank, wanted: readonly [number, number]): number => {
  const sides = sidesOf(b);
  return sides ? sizeApart(sides, wanted) : Infinity;
};

const hasAmounts = (b: Blank, q: BlankQuery): boolean =>
  q.volumesMl.every((ml) => volumeApart(b, ml) <= SAME_VOLUME) &&
  q.sizesMm.every((size) => faceApart(b, size) <= SAME_SIZE);

/**
 * Blanks of a family that hold every word typed, in the shop's order. A volume finds blanks of about that volume, and two sides a flat face of
 * about that size, in whatever unit they are typed; a common name finds what it names.
 */
export function findBlanks(
  blanks: readonly Blank[],
  { text, family }: BlankFilter,
  write: Write,
  names: CommonNames,
): readonly Blank[] {
  const query = readSearch(text, names);
  // The shop may itself have named a blank as it is commonly called.
  const typed = readSearch(text, []);
  return blanks.filter((b) => {
    if (family !== null && b.family !== family) return false;
    if (!hasAmounts(b, query)) return false;
    if (query.words.length === 0) return true;
    const words = wordsOf(b, write);
    return [query, typed].some((q) => q.words.every((w) => words.includes(w)));
  });
}

/** Letters at the beginning that two words must share to count as alike. */
const SAME_START = 4;

/** How well a blank answers a search, 0 to 1: the share of its words and amounts that it has, or nearly has. */
function likeness(b: Blank, q: BlankQuery, write: Write): number {
  const own = wordsOf(b, write);
  const parts = own.split(/[\s,]+/);
  const wordScores = q.words.map((w) => {
    if (own.includes(w)) return 1;
    const start = w.slice(0, SAME_START);
    return w.length >= SAME_START && parts.some((p) => p.startsWith(start)) ? 0.5 : 0;
  });
  const amounts = [...q.volumesMl.map((ml) => volumeApart(b, ml)), ...q.sizesMm.map((s) => faceApart(b, s))];
  const scores = [...wordScores, ...amounts.map((d) => Math.exp(-4 * d))];
  return scores.length === 0 ? 0 : scores.reduce((a, v) => a + v, 0) / scores.length;
}

/** Blanks below this are not offered. */
const LEAST_LIKENESS = 0.25;

/** Where nothing is found: the blanks that come nearest, nearest first, whatever their family. */
export const nearestBlanks = (
  blanks: readonly Blank[],
  text: string,
  write: Write,
  names: CommonNames,
  most = 5,
): readonly Blank[] => {
  const query = readSearch(text, names);
  return blanks
    .map((blank) => ({ blank, like: likeness(blank, query, write) }))
    .filter((x) => x.like >= LEAST_LIKENESS)
    .sort((a, b) => b.like - a.like)
    .slice(0, most)
    .map((x) => x.blank);
};

/** Families that the shop has, with how many of each. */
export function familiesOf(blanks: readonly Blank[]): readonly (readonly [Family, number])[] {
  const counts = new Map<Family, number>();
  for (const b of blanks) counts.set(b.family, (counts.get(b.family) ?? 0) + 1);
  return [...counts].sort(([a], [b]) => a.localeCompare(b));
}

/** Ounces to one decimal where they are few, and millilitres to five. */
function volumeWords(ml: number): Message {
  const oz = ml / US_FLUID_OUNCE_ML;
  return say('blank.volumes', {
    ml: decimal(Math.round(ml / 5) * 5, 0),
    oz: decimal(oz, oz < 9.5 ? 1 : 0),
  });
}

/** A blank's size in a few words; its volume first, in both units, where its name says one. */
export function sizeWords(b: Blank): Message {
  const [ml] = volumesOf(b);
  return ml === undefined
    ? measures(b)
    : say('blank.volumeAndSize', { volume: volumeWords(ml), size: measures(b) });
}

function measures({ shape, wallMm }: Blank): Message {
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

import { formOf, narrowestMm, widestMm } from '@/core/shapes/round';
import type { Blank, Family } from '@/core/shop/blank';
import type { Phrase } from '@/core/units/phrase';
import { mm } from '@/core/units/quantity';

export interface BlankFilter {
  readonly text: string;
  readonly family: Family | null;
}

/** What a blank can be found by: its own words, and those of its shape. */
function wordsOf(b: Blank): string {
  const { shape } = b;
  const form =
    shape.kind === 'flat'
      ? `flat ${shape.outline.form} ${shape.faces === 2 ? 'two faces both sides' : ''} ${shape.edge} edge`
      : `round ${formOf(shape)} ${shape.handle ? 'handle' : ''} ${shape.openEnds ? 'barrel' : ''}`;
  return `${b.name} ${b.family} ${b.material} ${b.coating.finish} ${b.coating.stock} ${form}`.toLowerCase();
}

/** Blanks of a family that hold every word typed, in the shop's order. */
export function findBlanks(blanks: readonly Blank[], { text, family }: BlankFilter): readonly Blank[] {
  const wanted = text
    .toLowerCase()
    .split(/\s+/)
    .filter((w) => w !== '');
  return blanks.filter((b) => {
    if (family !== null && b.family !== family) return false;
    if (wanted.length === 0) return true;
    const words = wordsOf(b);
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
export function sizeWords({ shape, wallMm }: Blank): Phrase {
  if (shape.kind === 'flat')
    return [mm(shape.outline.widthMm), ' × ', mm(shape.outline.heightMm), ' · ', mm(wallMm), ' thick'];
  const [a, b] = [widestMm(shape), narrowestMm(shape)];
  return a - b < 0.5
    ? [mm(a), ' across · ', mm(shape.heightMm), ' tall']
    : [mm(b), ' to ', mm(a), ' across · ', mm(shape.heightMm), ' tall'];
}

import type { Quantity } from './quantity';

/**
 * A sentence with quantities left unformatted, so that switching units rewrites every sentence at once.
 * Plain JSON: strings and quantities in reading order.
 */
export type Phrase = readonly (string | Quantity)[];

/** Tagged template for phrases: say`tape ${mm(279)} less ${mm(1.3)} of tape thickness`. */
export function say(text: TemplateStringsArray, ...slots: readonly (Quantity | Phrase | string)[]): Phrase {
  const parts: (string | Quantity)[] = [];
  text.forEach((piece, i) => {
    if (piece !== '') parts.push(piece);
    const slot = slots[i];
    if (slot === undefined) return;
    if (typeof slot === 'string') parts.push(slot);
    else if ('kind' in slot) parts.push(slot);
    else parts.push(...slot);
  });
  return parts;
}

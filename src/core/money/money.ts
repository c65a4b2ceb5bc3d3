/*
 * Money is whole hundredths of the shop's currency. Where a sum is made of parts, the parts are rounded and the sum is theirs: what is shown
 * adds up to the hundredth.
 */

/** To the nearest hundredth, halves up. */
export const toCents = (amount: number): number => Math.floor(amount + 0.5);

/** Up to the next whole step. */
export const upTo = (cents: number, stepCents: number): number =>
  Math.ceil((cents - 1e-6) / stepCents) * stepCents;

/**
 * An amount shared out by weight so that the shares add up to it: each gets its whole hundredths, the rest go to the largest remainders
 * (Hamilton's method). All weights 0: even shares.
 */
export function shared(cents: number, weights: readonly number[]): readonly number[] {
  const sum = weights.reduce((a, b) => a + b, 0);
  const exact = weights.map((w) => (sum > 0 ? (cents * w) / sum : cents / weights.length));
  const whole = exact.map(Math.floor);
  const left = cents - whole.reduce((a, b) => a + b, 0);
  const order = exact
    .map((e, i) => ({ i, rest: e - Math.floor(e) }))
    .sort((a, b) => b.rest - a.rest || a.i - b.i)
    .slice(0, left)
    .map((x) => x.i);
  return whole.map((w, i) => (order.includes(i) ? w + 1 : w));
}

/** An amount a person wrote: `12`, `12.5`, `12,50`, with or without the currency. Null where it is none, or finer than a hundredth. */
export function readMoney(text: string, currency: string): number | null {
  const bare = text.trim().replace(currency, '').trim();
  const found = /^(\d{1,7})(?:[.,](\d{1,2}))?$/.exec(bare);
  if (!found) return null;
  return Number(found[1]) * 100 + Number((found[2] ?? '').padEnd(2, '0') || 0);
}

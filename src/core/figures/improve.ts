import type { Message } from '../message/message';
import { sourceOf } from './sources';
import { budget, type Uncertain } from './uncertain';

export interface Improvement {
  readonly label: Message;
  readonly advice: Message;
  /** Share of the variance this source carries, 0..1. */
  readonly share: number;
  /** How much narrower the 95 % half-width would be with the advice followed, in the base unit. */
  readonly buys: number;
}

/** Sources that carry less of the variance than this are not worth advice. */
export const LEAST_SHARE = 0.05;

/** A source of error with its share, in the words and with the advice of the shop. */
export type Advised = Omit<Improvement, 'buys'>;

/** The sources worth improving, largest first. */
export const advisedSources = (value: Uncertain): readonly (Advised & { readonly source: string })[] =>
  budget(value)
    .filter((line) => line.share >= LEAST_SHARE)
    .map(({ source, share }) => {
      const { label, advice } = sourceOf(source);
      return { source, label, advice, share };
    });

/** An uncertainty after one source is improved as advised. */
export function improved(value: Uncertain, source: string): Uncertain {
  const u = value.parts[source];
  return u === undefined
    ? value
    : { ...value, parts: { ...value.parts, [source]: u * sourceOf(source).leaves } };
}

/** Which sources to improve, largest first, and what each would buy by `measure` (a half-width, a reach). */
export function improvements(value: Uncertain, measure: (v: Uncertain) => number): readonly Improvement[] {
  const now = measure(value);
  return advisedSources(value).map(({ source, ...advised }) => ({
    ...advised,
    buys: Math.max(0, now - measure(improved(value, source))),
  }));
}

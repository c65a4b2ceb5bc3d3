import type { Phrase } from '../units/phrase';
import type { Quantity } from '../units/quantity';
import { within95 } from './interval';
import { sourceOf } from './sources';
import type { Terrace } from './terraces';
import { budget, standardU, type Uncertain } from './uncertain';

/** Where a figure came from: measured by hand, calculated by arithmetic, estimated by a model, proven on this bench. */
export type Origin = 'measured' | 'calculated' | 'estimated' | 'proven';

export interface Improvement {
  readonly label: string;
  readonly advice: string;
  /** Share of the variance this source carries, 0..1. */
  readonly share: number;
  /** How much narrower the 95 % half-width would be with the advice followed, in the base unit. */
  readonly buys: number;
}

/** One figure of the plan, able to explain itself. Plain JSON. */
export interface Figure {
  readonly id: string;
  readonly label: string;
  readonly quantity: Quantity;
  readonly origin: Origin;
  /** One line under the figure. */
  readonly working: Phrase;
  /** The full arithmetic, a line each. */
  readonly arithmetic: readonly Phrase[];
  /** Ids of the figures it was made from. */
  readonly inputs: readonly string[];
  /** Standard uncertainty in the base unit of the quantity. */
  readonly standardU?: number;
  /** Half-width of the interval that holds the true value 19 times in 20, in the base unit. */
  readonly within95?: number;
  /** Range of an estimate, in the base unit. */
  readonly spread?: readonly [number, number];
  /** Good pieces behind a proven figure. */
  readonly provenBy?: number;
  /** What to improve first, largest share first. */
  readonly improve?: readonly Improvement[];
}

export type FigureInput = Omit<Figure, 'arithmetic' | 'inputs'> &
  Partial<Pick<Figure, 'arithmetic' | 'inputs'>>;

export const figure = (f: FigureInput): Figure => ({ arithmetic: [], inputs: [], ...f });

/** What is left of an uncertainty with one source improved as advised. */
function improved(value: Uncertain, source: string): Uncertain {
  const u = value.parts[source];
  return u === undefined
    ? value
    : { ...value, parts: { ...value.parts, [source]: u * sourceOf(source).leaves } };
}

/** Which sources to improve, largest first, and what each would buy by `measure` (a half-width, a reach). */
export function improvements(value: Uncertain, measure: (v: Uncertain) => number): readonly Improvement[] {
  const now = measure(value);
  return budget(value)
    .filter((line) => line.share >= 0.05)
    .map(({ source, share }) => {
      const { label, advice } = sourceOf(source);
      return { label, advice, share, buys: Math.max(0, now - measure(improved(value, source))) };
    });
}

/** The uncertainty fields of a figure, from a propagated value. */
export function uncertaintyOf(value: Uncertain): Pick<Figure, 'standardU' | 'within95' | 'improve'> {
  return {
    standardU: standardU(value),
    within95: within95(value),
    improve: improvements(value, within95),
  };
}

export type Level = 'blocker' | 'warning' | 'info';

/** Something that stands in the way, or should be known, with the way out. */
export interface Finding {
  readonly id: string;
  readonly terrace: Terrace;
  readonly level: Level;
  readonly text: Phrase;
}

export const LEVEL_ORDER: Readonly<Record<Level, number>> = { blocker: 0, warning: 1, info: 2 };

export const worstFirst = (findings: readonly Finding[]): readonly Finding[] =>
  [...findings].sort((a, b) => LEVEL_ORDER[a.level] - LEVEL_ORDER[b.level]);

import type { Message, Quantity } from '../message/message';
import { within95 } from './interval';
import type { JobStep } from './jobSteps';
import { standardU, type Uncertain } from './uncertain';

/** Where a figure came from: measured by hand, calculated by arithmetic, estimated by a model, proven in this shop. */
export type Origin = 'measured' | 'calculated' | 'estimated' | 'proven';

/** One figure of the plan, able to explain itself. Plain JSON. */
export interface Figure {
  readonly id: string;
  readonly label: Message;
  readonly quantity: Quantity;
  readonly origin: Origin;
  /** One line under the figure. */
  readonly working: Message;
  /** The full arithmetic, a line each. */
  readonly arithmetic: readonly Message[];
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
  /** Where its error comes from: what to improve first is worked out from it when it is shown. */
  readonly error?: FigureError;
}

/** An error of zero mean with its sources, and what is asked of it: to stay within, to reach, both margins of a wrap, or a flat blank's edges. */
export type FigureError =
  | {
      readonly asks: 'within' | 'reach' | 'both margins';
      /** Signed standard contribution of each source, in the base unit of the figure. */
      readonly parts: Uncertain['parts'];
    }
  | {
      readonly asks: 'edges';
      readonly halfSize: { readonly x: Uncertain; readonly y: Uncertain };
      readonly handMm: number;
    };

export type FigureInput = Omit<Figure, 'arithmetic' | 'inputs'> &
  Partial<Pick<Figure, 'arithmetic' | 'inputs'>>;

export const figure = (f: FigureInput): Figure => ({ arithmetic: [], inputs: [], ...f });

/** The uncertainty fields of a figure, from a propagated value. */
export function uncertaintyOf(value: Uncertain): Pick<Figure, 'standardU' | 'within95' | 'error'> {
  return {
    standardU: standardU(value),
    within95: within95(value),
    error: { asks: 'within', parts: value.parts },
  };
}

export type Level = 'blocker' | 'warning' | 'info';

/** Something that stands in the way, or should be known, with the way out. */
export interface Finding {
  readonly id: string;
  readonly step: JobStep;
  readonly level: Level;
  readonly text: Message;
}

export const LEVEL_ORDER: Readonly<Record<Level, number>> = { blocker: 0, warning: 1, info: 2 };

export const worstFirst = (findings: readonly Finding[]): readonly Finding[] =>
  [...findings].sort((a, b) => LEVEL_ORDER[a.level] - LEVEL_ORDER[b.level]);

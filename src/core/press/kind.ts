import type { Message, Quantity, Value } from '../message/message';
import type { Blank, Material } from '../shop/blank';
import type { Peel, Pressure } from '../shop/heatSettings';
import type { Oven, TimerStart } from '../shop/press';

/** How heat reaches the paper: from a mat round it, from a platen on it, or from hot air on all sides. */
export type HeatKind = 'wrap' | 'flat' | 'oven';

/** A range in common use for a material in a kind of press: a place to start, never a promise. °C, s per pass. */
export interface KindRange {
  readonly material: Material;
  /** Of pieces this thick, mm; absent for all. */
  readonly wallMm?: readonly [number, number];
  readonly platenC: readonly [number, number];
  readonly dwellS: readonly [number, number];
  readonly pressure: Pressure;
  readonly peel: Peel;
  readonly note: Message;
}

/** What goes over a wrapped blank in the press: as the shop holds its wraps, or what the press itself needs. */
export type OverWrap = 'as the shop holds' | 'nothing' | Oven['hold'];

/** What is said of a press that is a heated chamber. */
export interface ChamberWords {
  readonly load: (blank: Blank, pieces: number) => Message;
  readonly heatUp: (temperature: Value) => Message;
  /** Clear space round every piece. */
  readonly spacing: (gap: Quantity) => Message;
  readonly tooTall: (of: {
    readonly press: string;
    readonly inside: Quantity;
    readonly tall: Quantity;
  }) => Message;
}

/** Everything that sets one kind of press apart. A kind is added by one such object: the types name every place that asks for more. */
export interface PressKindOf<P> {
  readonly label: Message;
  readonly heats: HeatKind;
  /** What it can press. */
  readonly takes: (blank: Blank) => boolean;
  /** What it is made for: chosen before another that can press it as well. */
  readonly suits: (blank: Blank) => boolean;
  /** Said where it cannot press a blank; null where it takes every blank. */
  readonly refuses: Message | null;
  /** From when its times count. */
  readonly timerStart: (press: P) => TimerStart;
  /** Its own timer starts without a hand: closed again while hot it counts at once. */
  readonly timesItself: (press: P) => boolean;
  /** Temperature it keeps between pieces, °C, where that is lower than the working one. */
  readonly restingC: (press: P) => number | null;
  /** Sheets of waste paper usual between heater and print. */
  readonly usualWasteSheets: number;
  /** Soft pad or membrane between heater and piece, mm. */
  readonly padMm: (press: P) => number;
  readonly overWrap: (press: P, pressure: Pressure) => OverWrap;
  /** What presses a wrap to its wall whatever a hand chooses; null where a lever or a latch does. */
  readonly holds: (press: P, blank: Blank) => Pressure | null;
  readonly ranges: readonly KindRange[];
  /** What is said of it at the press. */
  readonly words: {
    readonly shut: Message | null;
    readonly off: Message;
    readonly check: Message | null;
    readonly loadCaution: Message;
    /** What to mind when it is closed. */
    readonly closeCaution: Message;
  };
}

/** A kind that is a heated chamber. */
export interface ChamberKindOf<P> extends PressKindOf<P> {
  readonly chamber: ChamberWords;
}

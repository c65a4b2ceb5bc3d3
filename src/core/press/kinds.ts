import type { Message } from '../message/message';
import type { Blank } from '../shop/blank';
import type { Pressure } from '../shop/heatSettings';
import {
  PRESS_KINDS,
  type Chamber,
  type Press,
  type PressKind,
  type PressOf,
  type TimerStart,
} from '../shop/press';
import { FLAT_PRESS } from './flat';
import type { ChamberKindOf, ChamberWords, HeatKind, KindRange, OverWrap, PressKindOf } from './kind';
import { MUG_PRESS } from './mug';
import { OVEN } from './oven';
import { TUMBLER_PRESS } from './tumbler';
import { VACUUM_PRESS } from './vacuum';

/** The one registry of kinds of press: a kind that is missing, or lacks something, does not compile. */
export const KINDS: { readonly [K in PressKind]: PressKindOf<PressOf<K>> } = {
  tumbler: TUMBLER_PRESS,
  mug: MUG_PRESS,
  oven: OVEN,
  flat: FLAT_PRESS,
  vacuum: VACUUM_PRESS,
};

const CHAMBERS: { readonly [K in Chamber['kind']]: ChamberKindOf<PressOf<K>> } = {
  oven: OVEN,
  vacuum: VACUUM_PRESS,
};

/** The kind of a press, for a press of that kind: what TypeScript cannot follow from a key to its value. */
const kindOf = <P extends Press>(press: P): PressKindOf<P> => KINDS[press.kind] as unknown as PressKindOf<P>;

export const heatsOf = (press: Press): HeatKind => kindOf(press).heats;
export const takes = (press: Press, blank: Blank): boolean => kindOf(press).takes(blank);
export const suits = (press: Press, blank: Blank): boolean => kindOf(press).suits(blank);
export const refusal = (press: Press): Message | null => kindOf(press).refuses;
export const timerStartOf = (press: Press): TimerStart => kindOf(press).timerStart(press);
export const timesItself = (press: Press): boolean => kindOf(press).timesItself(press);
export const restingOf = (press: Press): number | null => kindOf(press).restingC(press);
export const usualWasteSheets = (press: Press): number => kindOf(press).usualWasteSheets;
export const heldBy = (press: Press, blank: Blank): Pressure | null => kindOf(press).holds(press, blank);
export const padMmOf = (press: Press): number => kindOf(press).padMm(press);
export const overWrap = (press: Press, pressure: Pressure): OverWrap =>
  kindOf(press).overWrap(press, pressure);
export const chamberWords = (press: Chamber): ChamberWords => CHAMBERS[press.kind].chamber;
export const wordsOfKind = (press: Press): PressKindOf<Press>['words'] => kindOf(press).words;

/** Something of every kind, by its id. */
const ofEachKind = <T>(make: (kind: PressKindOf<never>) => T): Readonly<Record<PressKind, T>> =>
  Object.fromEntries(PRESS_KINDS.map((k) => [k, make(KINDS[k])])) as Record<PressKind, T>;

export const PRESS_KIND_WORDS: Readonly<Record<PressKind, Message>> = ofEachKind((k) => k.label);

/** Ranges in common use, by kind of press. */
export const rangesOf = (kind: PressKind): readonly KindRange[] => KINDS[kind].ranges;

import { mm } from '@/core/message/quantity';
import { say, type Message } from '@/core/message/message';
import { problemMessage } from '@/core/basics/result';
import { SCALE_BELIEVED } from '@/core/calibration/calibration';
import type { Calibration } from '@/core/shop/paper';
import type { LengthUnit } from '@/core/units/format';
import { parseLength } from '@/core/units/parse';
import type { ShownLengths } from './shopForm';

export type Axis = 'across' | 'along';
type When = 'printed' | 'pressed';
/** The four bars as they are typed. */
export type BarTexts = Readonly<Record<`${Axis}-${When}`, string>>;

export const AXES: readonly Axis[] = ['across', 'along'];
export const AXIS_WORDS: Readonly<Record<Axis, Message>> = {
  across: say('shop.acrossSheet'),
  along: say('shop.alongFeed'),
};

/** What the form first shows: the bars as they were measured, empty where they were not. */
export function barTexts(old: Calibration | null, shown: ShownLengths): BarTexts {
  const text = (key: string, v: number | null | undefined) => (v == null ? '' : shown.show(key, v, true));
  return {
    'across-printed': text('across-printed', old?.across.printedMm),
    'along-printed': text('along-printed', old?.along.printedMm),
    'across-pressed': text('across-pressed', old?.across.pressedMm),
    'along-pressed': text('along-pressed', old?.along.pressedMm),
  };
}

interface Given {
  readonly unit: LengthUnit;
  /** The bars as they are drawn, mm. */
  readonly nominal: Readonly<Record<Axis, number>>;
  readonly old: Calibration | null;
  readonly shown: ShownLengths;
}

export interface ReadBars {
  /** Null where anything is wrong. */
  readonly calibration: Calibration | null;
  readonly wrong: Partial<Readonly<Record<keyof BarTexts, Message>>>;
}

/** Reads the bars. */
export function readBars(texts: BarTexts, { unit, nominal, old, shown }: Given): ReadBars {
  const wrong: Partial<Record<keyof BarTexts, Message>> = {};
  const read = (axis: Axis, when: When): number | null => {
    const key = `${axis}-${when}` as const;
    if (texts[key].trim() === '' && when === 'pressed') return null;
    const kept = shown.stored(key, texts[key]);
    if (kept !== null) return kept;
    const parsed = parseLength(texts[key], unit, AXIS_WORDS[axis]);
    if (!parsed.ok) wrong[key] = problemMessage(parsed.problem);
    else if (Math.abs(parsed.value.valueMm / nominal[axis] - 1) > SCALE_BELIEVED)
      wrong[key] = say('shop.barMoreThan3', { nominal: mm(nominal[axis]) });
    return parsed.ok ? parsed.value.valueMm : null;
  };
  // Bars not measured again are those of the page that was measured then.
  const measuredThen = (axis: Axis) => shown.stored(`${axis}-printed`, texts[`${axis}-printed`]) !== null;
  const bar = (axis: Axis) => ({
    nominalMm: (measuredThen(axis) ? old?.[axis].nominalMm : null) ?? nominal[axis],
    printedMm: read(axis, 'printed') ?? nominal[axis],
    pressedMm: read(axis, 'pressed'),
  });
  const calibration: Calibration = { across: bar('across'), along: bar('along') };
  return { calibration: Object.keys(wrong).length > 0 ? null : calibration, wrong };
}

import * as z from 'zod/mini';
import { nameSchema } from '@/core/shop/common';
import { isFlatPress, isOven, PRESS_KINDS, TIMER_STARTS, type Press } from '@/core/shop/press';
import type { LengthUnit } from '@/core/units/format';
import { lengthText, type ShownLengths } from './shopForm';

export const PRESS_KIND_WORDS: Readonly<Record<Press['kind'], string>> = {
  tumbler: 'tumbler press',
  mug: 'mug press',
  oven: 'oven',
  flat: 'flat press',
};

/** The fields of a press as they are typed, in one form for all kinds. */
export const pressFormSchema = (unit: LengthUnit, shown: ShownLengths) =>
  z
    .object({
      name: nameSchema,
      kind: z.enum(PRESS_KINDS),
      heaterLengthMm: lengthText(unit, 'Heater round', 50, 600, shown),
      heaterHeightMm: lengthText(unit, 'Heater tall', 30, 400, shown),
      smallestDiameterMm: lengthText(unit, 'Smallest', 10, 200, shown),
      largestDiameterMm: lengthText(unit, 'Largest', 10, 250, shown),
      timerStart: z.enum(TIMER_STARTS),
      autoTimer: z.boolean(),
      insideHeightMm: lengthText(unit, 'Inside height', 50, 1000, shown),
      hold: z.enum(['sleeve', 'shrink film']),
      platenWidthMm: lengthText(unit, 'Platen width', 100, 1600, shown),
      platenHeightMm: lengthText(unit, 'Platen depth', 100, 1600, shown),
      openingMm: lengthText(unit, 'Opening', 2, 120, shown),
      opens: z.enum(['swing-away', 'clamshell', 'drawer']),
    })
    .check(
      z.refine((f) => f.kind === 'oven' || f.kind === 'flat' || f.smallestDiameterMm < f.largestDiameterMm, {
        path: ['largestDiameterMm'],
        error: 'The largest must be more than the smallest.',
      }),
    );
export type PressFormIn = z.input<ReturnType<typeof pressFormSchema>>;
export type PressFormOut = z.output<ReturnType<typeof pressFormSchema>>;

/** What the form first shows: a press as it is, or usual sizes to start from. */
export function pressToForm(p: Press | null, shown: ShownLengths): PressFormIn {
  const base = {
    name: p?.name ?? '',
    kind: p?.kind ?? ('tumbler' as const),
    timerStart: 'from-closing' as const,
    autoTimer: false,
    hold: 'shrink film' as const,
    insideHeightMm: shown.show('Inside height', 300),
    heaterLengthMm: shown.show('Heater round', 203),
    heaterHeightMm: shown.show('Heater tall', 240),
    smallestDiameterMm: shown.show('Smallest', 62),
    largestDiameterMm: shown.show('Largest', 90),
    platenWidthMm: shown.show('Platen width', 400),
    platenHeightMm: shown.show('Platen depth', 500),
    openingMm: shown.show('Opening', 30),
    opens: 'swing-away' as const,
  };
  if (!p) return base;
  if (isOven(p))
    return { ...base, insideHeightMm: shown.show('Inside height', p.insideHeightMm), hold: p.hold };
  if (isFlatPress(p))
    return {
      ...base,
      timerStart: p.timerStart,
      platenWidthMm: shown.show('Platen width', p.platenWidthMm),
      platenHeightMm: shown.show('Platen depth', p.platenHeightMm),
      openingMm: shown.show('Opening', p.openingMm),
      opens: p.opens,
    };
  return {
    ...base,
    timerStart: p.timerStart,
    autoTimer: p.autoTimer,
    heaterLengthMm: shown.show('Heater round', p.heaterLengthMm),
    heaterHeightMm: shown.show('Heater tall', p.heaterHeightMm),
    smallestDiameterMm: shown.show('Smallest', p.smallestDiameterMm),
    largestDiameterMm: shown.show('Largest', p.largestDiameterMm),
  };
}

/** The press the form says: the fields of its kind, and no others. */
export function pressFromForm(f: PressFormOut, id: string): Press {
  const { name, timerStart } = f;
  if (f.kind === 'oven') return { id, name, kind: 'oven', insideHeightMm: f.insideHeightMm, hold: f.hold };
  if (f.kind === 'flat') {
    const { platenWidthMm, platenHeightMm, openingMm, opens } = f;
    return { id, name, kind: 'flat', platenWidthMm, platenHeightMm, openingMm, opens, timerStart };
  }
  return {
    id,
    name,
    kind: f.kind,
    heaterLengthMm: f.heaterLengthMm,
    heaterHeightMm: f.heaterHeightMm,
    smallestDiameterMm: f.smallestDiameterMm,
    largestDiameterMm: f.largestDiameterMm,
    timerStart,
    autoTimer: f.autoTimer,
  };
}

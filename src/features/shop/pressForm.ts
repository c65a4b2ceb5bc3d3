import { restingOf } from '@/core/press/kinds';
import { rule, asIssue } from '@/core/basics/rule';
import { say, type Message, inTurn } from '@/core/message/message';
import * as z from 'zod/mini';
import { nameSchema } from '@/core/shop/common';
import {
  isFlatPress,
  isChamber,
  isWrapPress,
  PRESS_KINDS,
  PRESS_TIMERS,
  USUAL_POWER,
  type Press,
  type PressHeater,
  type PressTimer,
  OVEN_AIRS,
  OVEN_HOLDS,
  PRESS_OPENS,
  PRESSURE_SCALES,
  isOven,
} from '@/core/shop/press';
import { formatAmount, toCelsius, type UnitChoice } from '@/core/units/format';
import { parseTemperature } from '@/core/units/parse';
import { celsius, mm } from '@/core/message/quantity';
import { lengthText, type ShownLengths } from './shopForm';

export const PRESS_TIMER_WORDS: Readonly<Record<PressTimer, Message>> = {
  'by-hand': say('shop.handFromClosing'),
  'own-from-closing': say('shop.ownFromClosing'),
  'own-at-temperature': say('shop.ownReachingTemperature'),
};

const text = z.string();

/** A plain figure as written, or nothing. */
const figureText = (label: Message, min: number, max: number, unit: string) =>
  z.pipe(
    text,
    z.transform((typed, ctx): number | null => {
      const clean = typed.trim().replace(',', '.');
      if (clean === '') return null;
      const n = Number(clean);
      if (!/^\d{1,6}(?:\.\d{1,3})?$/.test(clean) || n < min || n > max) {
        ctx.issues.push({
          code: 'custom',
          message: rule('shop.fromLeaveEmpty', { label, min, max, unit }),
          input: typed,
        });
        return z.NEVER;
      }
      return n;
    }),
  );

/** A temperature as written, in °C, or nothing. */
const temperatureText = (label: Message, units: UnitChoice) =>
  z.pipe(
    text,
    z.transform((typed, ctx): number | null => {
      if (typed.trim() === '') return null;
      const r = parseTemperature(typed, units.temperature, label);
      const wrong = !r.ok
        ? inTurn(r.problem.what, r.problem.wayOut)
        : r.value < 30 || r.value > 300
          ? say('shop.pressRestsBetween30', { label })
          : null;
      if (r.ok && wrong === null) return r.value;
      ctx.issues.push({ code: 'custom', message: wrong ? asIssue(wrong) : '', input: typed });
      return z.NEVER;
    }),
  );

/** A difference of temperature as written in the shop's degrees, in kelvins. */
const fallText = (units: UnitChoice) =>
  z.pipe(
    figureText(say('shop.itFallsBy'), 0, units.temperature === 'F' ? 270 : 150, `°${units.temperature}`),
    z.transform((n) => (n === null ? null : units.temperature === 'F' ? toCelsius(n + 32) : n)),
  );

const heaterForm = (units: UnitChoice) =>
  z
    .object({
      id: text,
      name: nameSchema,
      lengthMm: lengthText(units.length, say('shop.heaterLength'), 50, 600),
      heightMm: lengthText(units.length, say('shop.heaterHeight'), 30, 400),
      smallestDiameterMm: lengthText(units.length, say('shop.smallest'), 10, 200),
      largestDiameterMm: lengthText(units.length, say('shop.largest'), 10, 250),
      taperMm: lengthText(units.length, say('shop.taper'), 0, 40),
    })
    .check(
      z.refine((h) => h.smallestDiameterMm < h.largestDiameterMm, {
        path: ['largestDiameterMm'],
        error: rule('shop.largestMustMoreThan'),
      }),
    );

/** The fields of a press as they are typed, in one form for all kinds. */
export const pressFormSchema = (units: UnitChoice, shown: ShownLengths) =>
  z
    .object({
      name: nameSchema,
      kind: z.enum(PRESS_KINDS),
      heaters: z.array(heaterForm(units)).check(z.minLength(1), z.maxLength(12)),
      timer: z.enum(PRESS_TIMERS),
      restingC: temperatureText(say('shop.resting'), units),
      watts: figureText(say('shop.power'), 20, 30000, 'W'),
      wattsFrom: z.enum(['plate', 'measured']),
      volts: figureText(say('shop.supply'), 80, 480, 'V'),
      insideHeightMm: lengthText(units.length, say('shop.insideHeight'), 50, 1000, shown),
      insideWidthMm: lengthText(units.length, say('shop.rackWidth'), 100, 2000, shown),
      insideDepthMm: lengthText(units.length, say('shop.rackDepth'), 100, 2000, shown),
      fallK: fallText(units),
      hold: z.enum(OVEN_HOLDS),
      air: z.enum(OVEN_AIRS),
      membraneMm: lengthText(units.length, say('shop.membraneThickness'), 0.2, 6, shown),
      platenWidthMm: lengthText(units.length, say('shop.platenWidth'), 100, 1600, shown),
      platenHeightMm: lengthText(units.length, say('shop.platenDepth'), 100, 1600, shown),
      platenThicknessMm: lengthText(units.length, say('shop.platenThickness'), 3, 60, shown),
      padMm: lengthText(units.length, say('shop.pad'), 0, 30, shown),
      openingMm: lengthText(units.length, say('shop.opening'), 2, 120, shown),
      opens: z.enum(PRESS_OPENS),
      pressureScale: z.enum(PRESSURE_SCALES),
    })
    .check(
      z.refine((f) => f.kind === 'oven' || f.kind === 'vacuum' || f.restingC === null || f.restingC < 230, {
        path: ['restingC'],
        error: rule('shop.restsCoolerThanWorks'),
      }),
    );
export type PressFormIn = z.input<ReturnType<typeof pressFormSchema>>;
export type PressFormOut = z.output<ReturnType<typeof pressFormSchema>>;

const lengthShown = (units: UnitChoice) => (valueMm: number) => formatAmount(mm(valueMm), units).number;

/** A heater as the form shows it; a new one of a usual size. */
export function heaterToForm(
  h: PressHeater | null,
  id: string,
  units: UnitChoice,
  newName: string,
): PressFormIn['heaters'][number] {
  const show = lengthShown(units);
  return {
    id: h?.id ?? id,
    name: h?.name ?? newName,
    lengthMm: show(h?.lengthMm ?? 203),
    heightMm: show(h?.heightMm ?? 240),
    smallestDiameterMm: show(h?.smallestDiameterMm ?? 62),
    largestDiameterMm: show(h?.largestDiameterMm ?? 90),
    taperMm: show(h?.taperMm ?? 0),
  };
}

/** What the form first shows: a press as it is, or usual sizes to start from. */
export function pressToForm(
  p: Press | null,
  shown: ShownLengths,
  units: UnitChoice,
  newName: string,
): PressFormIn {
  const flat = p && isFlatPress(p) ? p : null;
  const oven = p && isOven(p) ? p : null;
  const chamber = p && isChamber(p) ? p : null;
  const vacuum = p?.kind === 'vacuum' ? p : null;
  const wrap = p && isWrapPress(p) ? p : null;
  const restingC = p && restingOf(p);
  const fall = oven?.fallK ?? null;
  return {
    name: p?.name ?? '',
    kind: p?.kind ?? 'tumbler',
    heaters: (wrap?.heaters ?? [null]).map((h) => heaterToForm(h, 'mat', units, newName)),
    timer: p && !isOven(p) ? p.timer : 'by-hand',
    restingC: restingC === null ? '' : formatAmount(celsius(restingC), units).number,
    watts: p?.power.watts?.toString() ?? '',
    wattsFrom: p?.power.from ?? 'plate',
    volts: p?.power.volts?.toString() ?? '',
    insideHeightMm: shown.show(say('shop.insideHeight'), chamber?.insideHeightMm ?? 300),
    insideWidthMm: shown.show(say('shop.rackWidth'), chamber?.insideWidthMm ?? 380),
    insideDepthMm: shown.show(say('shop.rackDepth'), chamber?.insideDepthMm ?? 320),
    fallK: fall === null ? '' : String(Math.round((units.temperature === 'F' ? fall * 1.8 : fall) * 10) / 10),
    hold: oven?.hold ?? 'shrink film',
    air: oven?.air ?? 'fan',
    membraneMm: shown.show(say('shop.membraneThickness'), vacuum?.membraneMm ?? 1.5),
    platenWidthMm: shown.show(say('shop.platenWidth'), flat?.platenWidthMm ?? 400),
    platenHeightMm: shown.show(say('shop.platenDepth'), flat?.platenHeightMm ?? 500),
    platenThicknessMm: shown.show(say('shop.platenThickness'), flat?.platenThicknessMm ?? 10),
    padMm: shown.show(say('shop.pad'), flat?.padMm ?? 8),
    openingMm: shown.show(say('shop.opening'), flat?.openingMm ?? 30),
    opens: flat?.opens ?? 'swing-away',
    pressureScale: flat?.pressureScale ?? wrap?.pressureScale ?? 'none',
  };
}

/** A length nobody changed stays what it was, to the last digit: shown in inches it was rounded to the tape's marks. */
function heaterFromForm(
  f: PressFormOut['heaters'][number],
  was: PressHeater | undefined,
  units: UnitChoice,
): PressHeater {
  const show = lengthShown(units);
  const kept = (typed: number, before: number | undefined): number =>
    before !== undefined && show(before) === show(typed) ? before : typed;
  return {
    id: f.id,
    name: f.name,
    lengthMm: kept(f.lengthMm, was?.lengthMm),
    heightMm: kept(f.heightMm, was?.heightMm),
    smallestDiameterMm: kept(f.smallestDiameterMm, was?.smallestDiameterMm),
    largestDiameterMm: kept(f.largestDiameterMm, was?.largestDiameterMm),
    taperMm: kept(f.taperMm, was?.taperMm),
  };
}

/** The press the form says: the fields of its kind, and no others. What was checked and timed on it stays with it. */
export function pressFromForm(f: PressFormOut, id: string, was: Press | null, units: UnitChoice): Press {
  const base = {
    id,
    name: f.name,
    power: { ...USUAL_POWER, watts: f.watts, from: f.wattsFrom, volts: f.volts },
    checks: was?.checks ?? [],
    timings: was?.timings ?? [],
  };
  if (f.kind === 'oven') {
    const { insideHeightMm, insideWidthMm, insideDepthMm, fallK, hold, air } = f;
    return { ...base, kind: 'oven', insideHeightMm, insideWidthMm, insideDepthMm, fallK, hold, air };
  }
  const { timer, restingC, pressureScale } = f;
  if (f.kind === 'vacuum') {
    const { insideHeightMm, insideWidthMm, insideDepthMm, membraneMm } = f;
    return { ...base, kind: 'vacuum', insideHeightMm, insideWidthMm, insideDepthMm, membraneMm, timer };
  }
  if (f.kind === 'flat') {
    const { platenWidthMm, platenHeightMm, platenThicknessMm, padMm, openingMm, opens } = f;
    const flat = { platenWidthMm, platenHeightMm, platenThicknessMm, padMm, openingMm, opens };
    const flatness = was && isFlatPress(was) ? was.flatness : [];
    return { ...base, kind: 'flat', ...flat, timer, restingC, pressureScale, flatness };
  }
  const before = was && isWrapPress(was) ? was.heaters : [];
  return {
    ...base,
    kind: f.kind,
    heaters: f.heaters.map((h) =>
      heaterFromForm(
        h,
        before.find((b) => b.id === h.id),
        units,
      ),
    ),
    timer,
    restingC,
    pressureScale,
  };
}

import { isRaw, type Raw, type VersionStep } from './raw';

/*
 * Version 5 to version 6: presses know their heaters, power, checks and timings and say in one word how they keep time; jobs, recipes, log
 * entries and runs know how pieces lay in the press. Stands alone.
 */

const UNKNOWN_POWER = { watts: null, from: 'plate', volts: null };

/** A clock that started by itself did so on reaching temperature; one that counted from there is the same way. */
const timer = (p: Raw): string =>
  p.timerStart === 'at-temperature'
    ? 'own-at-temperature'
    : p.autoTimer === true
      ? 'own-from-closing'
      : 'by-hand';

function wrapPress(p: Raw): Raw {
  const {
    heaterLengthMm: lengthMm,
    heaterHeightMm: heightMm,
    smallestDiameterMm,
    largestDiameterMm,
    timerStart: _start,
    autoTimer: _auto,
    ...rest
  } = p;
  // Version 5 took any two diameters in either order.
  const [least, most] =
    typeof smallestDiameterMm === 'number' &&
    typeof largestDiameterMm === 'number' &&
    smallestDiameterMm >= largestDiameterMm
      ? [
          Math.min(200, largestDiameterMm),
          smallestDiameterMm + (smallestDiameterMm === largestDiameterMm ? 1 : 0),
        ]
      : [smallestDiameterMm, largestDiameterMm];
  return {
    ...rest,
    heaters: [
      {
        id: 'mat',
        name: 'Its own heater',
        lengthMm,
        heightMm,
        smallestDiameterMm: least,
        largestDiameterMm: most,
        taperMm: 0,
      },
    ],
    timer: timer(p),
    restingC: null,
  };
}

function press(v: unknown): unknown {
  if (!isRaw(v) || v.power !== undefined) return v;
  const known = { power: UNKNOWN_POWER, checks: [], timings: [] };
  if (v.kind === 'oven') return { ...v, ...known, insideWidthMm: null, insideDepthMm: null, fallK: null };
  if (v.kind === 'flat') {
    const { timerStart: _, ...rest } = v;
    return { ...rest, ...known, platenThicknessMm: 10, padMm: 8, timer: timer(v), restingC: null };
  }
  return { ...wrapPress(v), ...known };
}

/** Until then every pass took the same time. */
const settings = (v: unknown): unknown =>
  isRaw(v) && v.laterDwellS === undefined ? { ...v, laterDwellS: null } : v;

const withLoad = (v: unknown): unknown =>
  isRaw(v) ? { ...v, settings: settings(v.settings), load: v.load ?? null } : v;

const run = (v: unknown): unknown =>
  isRaw(v) ? { ...v, settings: settings(v.settings), press: press(v.press), load: v.load ?? null } : v;

const job = (v: unknown): unknown => (isRaw(v) && v.load === undefined ? { ...v, load: {} } : v);

export const TO_6: VersionStep = { to: 6, press, recipe: withLoad, logEntry: withLoad, run, job };

import { MM_PER_INCH, type Amount } from '../message/quantity';
import { type Quantity } from '../message/message';

export type LengthUnit = 'mm' | 'in';
export type TemperatureUnit = 'C' | 'F';

export interface UnitChoice {
  readonly length: LengthUnit;
  readonly temperature: TemperatureUnit;
  /** Denominator of the finest mark on the shop's inch tape: 8, 16, 32 or 64. */
  readonly inchDenominator: number;
}

export const METRIC: UnitChoice = { length: 'mm', temperature: 'C', inchDenominator: 16 };

export interface Formatted {
  /** The number as shown, without its unit. */
  readonly number: string;
  /** The unit as shown, possibly empty. */
  readonly unit: string;
  /** The same value to more places, for a tooltip. Absent where it adds nothing. */
  readonly exact?: string;
}

/** The sign of numbers below zero, in every unit. */
const MINUS = '−';

const trimZeros = (text: string): string => (text.includes('.') ? text.replace(/\.?0+$/, '') : text);

const fixed = (value: number, places: number): string => {
  const text = value.toFixed(places);
  return Number(text) === 0 ? (0).toFixed(places) : text.replace('-', MINUS);
};

/** Nearest fraction of an inch as a tape reads it: 9.1875 -> "9 3/16". */
export function inchFraction(inches: number, denominator: number): string {
  const sign = inches < 0 ? MINUS : '';
  const ticks = Math.round(Math.abs(inches) * denominator);
  const whole = Math.floor(ticks / denominator);
  let top = ticks % denominator;
  let bottom = denominator;
  while (top > 0 && top % 2 === 0 && bottom > 1) {
    top /= 2;
    bottom /= 2;
  }
  if (top === 0) return `${ticks === 0 ? '' : sign}${whole}`;
  return whole === 0 ? `${sign}${top}/${bottom}` : `${sign}${whole} ${top}/${bottom}`;
}

export const toFahrenheit = (c: number): number => (c * 9) / 5 + 32;
export const toCelsius = (f: number): number => ((f - 32) * 5) / 9;

/** Press time: seconds below 100, then m:ss, then hours and minutes. */
export function formatDuration(s: number): { number: string; unit: string } {
  const whole = Math.max(0, Math.round(s));
  if (whole < 100) return { number: String(whole), unit: 's' };
  if (whole < 3600) return { number: clockText(whole), unit: 'min' };
  const minutes = Math.round(whole / 60);
  return { number: `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}`, unit: 'min' };
}

/** m:ss, as on a press display. */
export const clockText = (s: number): string =>
  `${Math.floor(s / 60)}:${String(Math.floor(s % 60)).padStart(2, '0')}`;

function formatLength(q: Extract<Quantity, { kind: 'length' }>, units: UnitChoice): Formatted {
  if (units.length === 'mm') {
    const places = q.fine && Math.abs(q.value) < 1 ? 2 : 1;
    return { number: trimZeros(fixed(q.value, places)), unit: 'mm', exact: `${fixed(q.value, 3)} mm` };
  }
  const inches = q.value / MM_PER_INCH;
  if (q.fine) return { number: fixed(inches, 3), unit: 'in', exact: `${fixed(inches, 4)} in` };
  return {
    number: inchFraction(inches, units.inchDenominator),
    unit: 'in',
    exact: `${fixed(inches, 4)} in`,
  };
}

/** Per cent; nearly all is never rounded up to all, nor hardly any down to none. */
function formatRatio(value: number): Formatted {
  if (value > 0.99 && value < 1) return { number: '> 99', unit: '%' };
  if (value > 0 && value < 0.001) return { number: '< 0.1', unit: '%' };
  return { number: fixed(value * 100, value < 0.1 && value !== 0 ? 1 : 0), unit: '%' };
}

/** An amount as number and unit, in the units the shop reads. */
export function formatAmount(q: Amount, units: UnitChoice): Formatted {
  switch (q.kind) {
    case 'length':
      return formatLength(q, units);
    case 'temperature':
      return units.temperature === 'C'
        ? { number: fixed(q.value, 0), unit: '°C' }
        : { number: fixed(toFahrenheit(q.value), 0), unit: '°F' };
    case 'duration':
      return formatDuration(q.value);
    case 'angle':
      return { number: fixed(q.value, 0), unit: '°' };
    case 'ratio':
      return formatRatio(q.value);
    case 'resolution':
      return { number: fixed(q.value, 0), unit: 'ppi' };
    case 'decimal':
      return { number: fixed(q.value, q.places), unit: '' };
  }
}

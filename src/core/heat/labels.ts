import type { TimerStart } from '../shop/press';
import type { Peel, Pressure } from '../shop/heatSettings';

/** A pressure, in a few words. */
export const PRESSURE_WORDS: Readonly<Record<Pressure, string>> = {
  light: 'light',
  'light-medium': 'light to medium',
  medium: 'medium',
  'medium-firm': 'medium to firm',
  firm: 'firm',
  sleeve: 'sleeve',
  film: 'shrink film',
  tape: 'wound tape',
};

/** A pressure, with what it feels like. */
export const PRESSURE_NOTES: Readonly<Record<Pressure, string>> = {
  light: 'light',
  'light-medium': 'light to medium',
  medium: 'medium: one hand closes it',
  'medium-firm': 'medium to firm',
  firm: 'firm',
  sleeve: 'by the sleeve',
  film: 'by the shrink film',
  tape: 'by tape wound tight',
};

export const TIMER_START_WORDS: Readonly<Record<TimerStart, string>> = {
  'from-closing': 'from closing',
  'at-temperature': 'on reaching temperature',
};

export const PEEL_NOTES: Readonly<Record<Peel, { label: string; gain: string; risk: string }>> = {
  hot: {
    label: 'Hot, at once',
    gain: 'Stops the cooking.',
    risk: 'Lifting and dropping back leaves a second edge.',
  },
  warm: { label: 'Warm', gain: 'Less slip than hot.', risk: 'Still cooking while it waits.' },
  cold: { label: 'Cold', gain: 'Nothing can shift.', risk: 'Cooks on while wrapped; blacks can brown.' },
  quench: {
    label: 'Quench in water',
    gain: 'Stops everything at once.',
    risk: 'Only some ceramics stand it. Never glass.',
  },
};

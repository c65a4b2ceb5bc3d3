import { type WasteKind } from '../model/materials';
import { say, type Message } from '../../message/message';
import { celsius, seconds } from '../../message/quantity';
import type { TimerStart } from '../../shop/press';
import type { HeatSettings, Peel, Pressure } from '../../shop/heatSettings';

/** A pressure, in a few words. */
export const PRESSURE_WORDS: Readonly<Record<Pressure, Message>> = {
  light: say('heat.light'),
  'light-medium': say('heat.lightMedium'),
  medium: say('heat.medium'),
  'medium-firm': say('heat.mediumFirm'),
  firm: say('heat.firm'),
  sleeve: say('heat.sleeve'),
  film: say('heat.shrinkFilm'),
  tape: say('heat.woundTape'),
  membrane: say('heat.membrane'),
};

/** A pressure, with what it feels like. */
export const PRESSURE_NOTES: Readonly<Record<Pressure, Message>> = {
  light: say('heat.light'),
  'light-medium': say('heat.lightMedium'),
  medium: say('heat.mediumOneHandCloses'),
  'medium-firm': say('heat.mediumFirm'),
  firm: say('heat.firm'),
  sleeve: say('heat.byTheSleeve'),
  film: say('heat.shrinkFilm2'),
  tape: say('heat.tapeWoundTight'),
  membrane: say('heat.byTheMembrane'),
};

export const TIMER_START_WORDS: Readonly<Record<TimerStart, Message>> = {
  'from-closing': say('heat.fromClosing'),
  'at-temperature': say('common.reachingTemperature'),
};

export const PEEL_NOTES: Readonly<Record<Peel, { label: Message; gain: Message; risk: Message }>> = {
  hot: {
    label: say('heat.hotOnce'),
    gain: say('heat.stopsCooking'),
    risk: say('heat.liftingDroppingBackLeaves'),
  },
  warm: {
    label: say('heat.warm'),
    gain: say('heat.lessSlipThanHot'),
    risk: say('heat.stillCookingWhileWaits'),
  },
  cold: {
    label: say('heat.cold'),
    gain: say('heat.nothingCanShift'),
    risk: say('heat.cooksWhileWrappedBlacks'),
  },
  quench: {
    label: say('heat.quenchWater'),
    gain: say('heat.stopsEverythingOnce'),
    risk: say('heat.onlySomeCeramicsStand'),
  },
};

/** Settings in one line, with the time that the run really kept where it is known, s. */
export const settingsSummary = (s: HeatSettings, keptDwellS: number | null = null): Message =>
  say('common.settingsWhole', {
    platen: celsius(s.platenC),
    dwell: seconds(s.dwellS),
    kept: keptDwellS === null ? 'no' : seconds(Math.round(keptDwellS)),
    passes: s.passes,
    pressure: PRESSURE_WORDS[s.pressure],
    peel: s.peel,
  });

/** What lies between the print and the press. */
export const WASTE_WORDS: Readonly<Record<WasteKind, Message>> = {
  plain: say('heat.plainPaper'),
  parchment: say('press.parchment'),
  silicone: say('press.siliconeSheet'),
};

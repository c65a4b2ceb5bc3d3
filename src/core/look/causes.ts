import type { HeatSettings } from '../shop/heatSettings';
import type { Mark, Verdict } from '../shop/records';
import type { PAPER_STATES } from '../shop/records';
import { say, type Phrase } from '../units/phrase';
import { celsius, seconds } from '../units/quantity';
import { CAUSES, FAULTS, type CauseId } from './faults';

type PaperState = (typeof PAPER_STATES)[number];

/** How the used paper speaks for or against a cause: factors on its weight. */
const PAPER_SAYS: Readonly<Record<PaperState, Partial<Record<CauseId, number>>>> = {
  even: { 'too-cool': 0.3, 'too-short': 0.3, 'light-pressure': 0.4, 'moved-hot': 1.5 },
  'left-all': {
    'too-cool': 2.5,
    'too-short': 2.5,
    'not-recovered': 2,
    'light-pressure': 1.5,
    'too-hot': 0.2,
    'too-long': 0.2,
  },
  'left-in-places': { 'uneven-pressure': 3, 'over-curve': 2.5, 'past-heater': 2.5, 'air-in-seam': 1.5 },
  browned: { 'too-hot': 3, 'too-long': 3, 'left-wrapped': 2, 'too-cool': 0.1, 'too-short': 0.1 },
};

const VERDICT_SAYS: Readonly<Record<Verdict, Partial<Record<CauseId, number>>>> = {
  good: {},
  other: {},
  under: { 'too-cool': 2, 'too-short': 2, 'not-recovered': 2 },
  over: { 'too-hot': 2, 'too-long': 2, 'left-wrapped': 2 },
};

export interface RankedCause {
  readonly cause: CauseId;
  readonly label: string;
  readonly change: string;
  /** Share of the weight, 0..1; the shares add to 1. */
  readonly share: number;
}

/**
 * Causes of what was marked, most likely first. Each mark gives its causes weight 1, 1/2, 1/3 ... by their place in the
 * stated table, times its severity; the used paper and the verdict then speak for and against.
 */
export function rankCauses(
  marks: readonly Mark[],
  paper: PaperState | null,
  verdict: Verdict | null,
): readonly RankedCause[] {
  const weights = new Map<CauseId, number>();
  for (const mark of marks) {
    const fault = FAULTS.find((f) => f.id === mark.fault);
    fault?.causes.forEach((cause, i) => {
      weights.set(cause, (weights.get(cause) ?? 0) + mark.severity / (i + 1));
    });
  }
  const spoken = [...weights].map(([cause, w]): [CauseId, number] => [
    cause,
    w * ((paper && PAPER_SAYS[paper][cause]) ?? 1) * ((verdict && VERDICT_SAYS[verdict][cause]) ?? 1),
  ]);
  const total = spoken.reduce((s, [, w]) => s + w, 0);
  return spoken
    .map(([cause, w]) => ({ cause, ...CAUSES[cause], share: total === 0 ? 0 : w / total }))
    .sort((a, b) => b.share - a.share || a.cause.localeCompare(b.cause));
}

/** Steps of time worth trying: about an eighth of the dwell, in whole seconds a press can be set to. */
const stepS = (dwellS: number): number => Math.max(3, Math.round(dwellS / 8));

export interface OneChange {
  readonly text: Phrase;
  /** Settings to try next, where the change is one of settings. */
  readonly heat: Partial<HeatSettings> | null;
}

const hotter = (s: HeatSettings, platenC: number): OneChange => ({
  text: say`Set ${celsius(platenC)} instead of ${celsius(s.platenC)}, nothing else.`,
  heat: { platenC },
});

/** The one thing to change next, from the likeliest cause, or from the verdict where nothing is marked. */
export function oneChange(
  ranked: readonly RankedCause[],
  verdict: Verdict | null,
  s: HeatSettings,
): OneChange | null {
  const first = ranked[0];
  const cause = first?.cause ?? (verdict === 'under' ? 'too-short' : verdict === 'over' ? 'too-long' : null);
  if (cause === null) return null;
  const step = stepS(s.dwellS);
  switch (cause) {
    case 'too-short': {
      const dwellS = s.dwellS + step;
      return {
        text: say`Press ${seconds(dwellS)} instead of ${seconds(s.dwellS)} a pass, nothing else.`,
        heat: { dwellS },
      };
    }
    case 'too-long': {
      const dwellS = Math.max(1, s.dwellS - step);
      return {
        text: say`Press ${seconds(dwellS)} instead of ${seconds(s.dwellS)} a pass, nothing else.`,
        heat: { dwellS },
      };
    }
    case 'too-cool':
      return hotter(s, Math.min(260, s.platenC + 4));
    case 'too-hot':
      return hotter(s, Math.max(100, s.platenC - 4));
    case 'not-recovered':
      return {
        text: say`${CAUSES[cause].change}`,
        heat: s.timerStart === 'at-temperature' ? null : { timerStart: 'at-temperature' },
      };
    default:
      return { text: say`${CAUSES[cause].change}`, heat: null };
  }
}

import type { HeatSettings } from '../../shop/heatSettings';
import { USUAL_UNKNOWNS, UNKNOWN_KEYS, type HeatCase } from '../model/case';
import { logDoses, type Spreads } from '../model/sensitivity';
import { dwellForDose } from './start';

export interface Settled {
  readonly load: HeatCase;
  readonly settings: HeatSettings;
}

/** What each step of a chain changes. */
const MATCH_CHANGES = ['blank', 'press', 'load', 'sheets', 'pressure', 'timer', 'temperature'] as const;
export type MatchChange = (typeof MATCH_CHANGES)[number];

/** The dwell to the same dose once this much has been changed, s. */
export interface MatchStep {
  readonly change: MatchChange;
  readonly dwellS: number;
}

function changed(at: Settled, to: Settled, change: MatchChange): Settled {
  const { load: a, settings: s } = at;
  const { load: b, settings: t } = to;
  switch (change) {
    case 'blank': {
      const { material, wallMm, vacuum, pieceM2, faces } = b;
      return { settings: s, load: { ...a, material, wallMm, vacuum, pieceM2, faces } };
    }
    case 'press': {
      const { kind, heater, heaterM2, padMm, round } = b;
      const { passes, coolDownC, laterDwellS } = t;
      return {
        settings: { ...s, passes, coolDownC, laterDwellS },
        load: { ...a, kind, heater, heaterM2, padMm, round },
      };
    }
    case 'load':
      return { settings: s, load: { ...a, pieces: b.pieces, heatedFrom: b.heatedFrom } };
    case 'sheets':
      return {
        settings: s,
        load: { ...a, wasteSheets: b.wasteSheets, wasteKind: b.wasteKind, paperMm: b.paperMm },
      };
    case 'pressure':
      return { load: a, settings: { ...s, pressure: t.pressure } };
    case 'timer':
      return { load: a, settings: { ...s, timerStart: t.timerStart } };
    case 'temperature':
      return { load: a, settings: { ...s, platenC: t.platenC, peel: t.peel } };
  }
}

const WITHIN_95 = 1.96;
/** A step smaller than this is not worth a line, s. */
const WORTH_S = 0.5;

/**
 * The dwell that gives `to` the dose `from` is proven with, by one change after another, with the spread of what is not known of either:
 * what both share moves both and cancels.
 */
export function matchOf(
  from: Settled,
  to: Settled,
  spreads: Spreads,
): {
  readonly dwellS: number;
  readonly low: number;
  readonly high: number;
  readonly steps: readonly MatchStep[];
} {
  const wanted = Math.exp(logDoses(from.load, from.settings).least);
  let at = from;
  let dwellS = from.settings.dwellS;
  const steps: MatchStep[] = [];
  for (const change of MATCH_CHANGES) {
    const next = changed(at, to, change);
    const same = JSON.stringify(next) === JSON.stringify(at);
    at = next;
    if (same) continue;
    const now = dwellForDose(next.load, next.settings, wanted);
    if (Math.abs(now - dwellS) >= WORTH_S) steps.push({ change, dwellS: now });
    dwellS = now;
  }
  const logs = UNKNOWN_KEYS.map((key) => {
    const unknowns = { ...USUAL_UNKNOWNS, [key]: spreads[key] };
    const moved = Math.exp(logDoses(from.load, from.settings, unknowns).least);
    const here = logDoses(at.load, { ...at.settings, dwellS }, unknowns).least;
    return Math.log(moved) - here;
  });
  // How much the dose needed here moves against the dose given, as time: near enough in proportion.
  const spread = WITHIN_95 * Math.hypot(...logs);
  return { dwellS, low: dwellS * Math.exp(-spread), high: dwellS * Math.exp(spread), steps };
}

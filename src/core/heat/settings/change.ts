import type { HeatSettings } from '../../shop/heatSettings';
import { believedDose, believedDoses, chances, fitBelief, independentPieces, type Belief } from './fit';
import type { Resolved } from './resolve';
import { doseSensitivity, logDoses, type LogDoses } from '../model/sensitivity';
import { settableS } from './start';

/** A piece came out with too little or too much at these settings: what one change of time or temperature would do. */
export interface ChangeInput {
  readonly verdict: 'under' | 'over';
  readonly pieces: number;
}

/** One setting changed and nothing else, with what the model says it does. */
export interface SizedChange {
  readonly to: Pick<HeatSettings, 'dwellS'> | Pick<HeatSettings, 'platenC'>;
  /** Dose of the least heated printed place, as a share of what it is now. */
  readonly leastBy: number;
  /** Dose of the most heated place, as a share of what the coating bears: above 1 it bears no more. */
  readonly mostOfLimit: number;
  /** Probability of good, now and then, once it is believed that this one was not. */
  readonly goodNow: number;
  readonly goodThen: number;
}

export interface HeatChange {
  readonly kind: 'change';
  readonly time: SizedChange | null;
  readonly temperature: SizedChange | null;
  /** No change of time or temperature makes good likely: the coldest and the hottest place lie too far apart. */
  readonly beyondHeat: boolean;
}

/** A change of less than this share of the dose cannot be seen on a piece. */
const LEAST_DOSE_STEP = 0.08;
/** And one of more than this at once is a leap, not a step. */
const LARGEST_DOSE_STEP = 1.6;
const TIMES = [1.04, 1.08, 1.12, 1.16, 1.2, 1.26, 1.32, 1.4, 1.5, 1.65, 1.8, 2, 2.3];
const DEGREES = [2, 3, 4, 5, 6, 8, 10, 12, 15];
const LIMITS_C = [120, 215] as const;
/** Good less often than this after the best change: heat is not what is wrong. */
const WORTH_TRYING = 0.5;

interface Tried {
  readonly to: SizedChange['to'];
  readonly settings: HeatSettings;
}

function times(s: HeatSettings, more: boolean): readonly Tried[] {
  const dwells = TIMES.map((f) => settableS(more ? s.dwellS * f : s.dwellS / f));
  return [...new Set(dwells)]
    .filter((dwellS) => (more ? dwellS > s.dwellS : dwellS < s.dwellS))
    .map((dwellS) => ({
      to: { dwellS },
      // A shorter later pass keeps its share of the first.
      settings: {
        ...s,
        dwellS,
        laterDwellS: s.laterDwellS === null ? null : settableS((s.laterDwellS * dwellS) / s.dwellS),
      },
    }));
}

const temperatures = (s: HeatSettings, more: boolean): readonly Tried[] =>
  DEGREES.map((d) => s.platenC + (more ? d : -d))
    .filter((c) => c >= LIMITS_C[0] && c <= LIMITS_C[1])
    .map((platenC) => ({ to: { platenC }, settings: { ...s, platenC } }));

function best(tried: readonly Tried[], now: LogDoses, r: Resolved, belief: Belief): SizedChange | null {
  const goodNow = chances(now, belief).good;
  const limit = believedDose(belief).limit.value;
  const before = believedDoses(now, belief).least.value;
  let found: SizedChange | null = null;
  for (const t of tried) {
    // What is not known moves the dose as much as it did before: only the dose itself is simulated again.
    const doses = { ...now, ...logDoses(r.load, t.settings) };
    const step = Math.abs(doses.least - now.least);
    if (step < LEAST_DOSE_STEP) continue;
    if (step > LARGEST_DOSE_STEP) break;
    const then = believedDoses(doses, belief);
    const sized: SizedChange = {
      to: t.to,
      leastBy: then.least.value / before,
      mostOfLimit: then.most.value / limit,
      goodNow,
      goodThen: chances(doses, belief).good,
    };
    if (!found || sized.goodThen > found.goodThen) found = sized;
    // Past its best the chance only falls.
    else if (sized.goodThen < found.goodThen - 0.05) break;
  }
  return found;
}

/** Sizes one change of time and one of temperature, each for the best chance of good after what was seen. */
export function sizeChange(r: Resolved, s: HeatSettings, ask: ChangeInput): HeatChange {
  const now = doseSensitivity(r.load, s, r.spreads);
  const seen = {
    id: 'this-look',
    doses: now,
    verdict: ask.verdict,
    weight: independentPieces(Math.max(1, ask.pieces)),
  };
  const belief = fitBelief([...r.trials, seen], r.belief.coating);
  const more = ask.verdict === 'under';
  const time = best(times(s, more), now, r, belief);
  const temperature = best(temperatures(s, more), now, r, belief);
  const most = Math.max(time?.goodThen ?? 0, temperature?.goodThen ?? 0);
  return { kind: 'change', time, temperature, beyondHeat: most < WORTH_TRYING };
}

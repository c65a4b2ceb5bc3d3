import { PRESSURE_WORDS } from '../../heat/settings/labels';
import type { HeatCache, HeatAnswer } from '../../heat/answer';
import type { SizedChange } from '../../heat/settings/change';
import { heatKey, type HeatQuestion } from '../../heat/question';
import { nextPressures } from '../../heat/settings/variants';
import type { Job } from '../../job/job';
import { CAUSES, type Remedy } from '../../inspect/faults';
import type { CauseShare } from '../../inspect/infer';
import type { CauseId } from '../../shop/faultIds';
import type { HeatSettings } from '../../shop/heatSettings';
import { say, type Message } from '../../message/message';
import { celsius, seconds } from '../../message/quantity';
import type { HeatPlan } from '../heat/heat';

/** The one thing to change next. */
export interface OneChange {
  readonly cause: CauseId | null;
  readonly text: Message;
  /** What the model says it does; nothing where it has not been asked or heat is not what changes. */
  readonly does: readonly Message[];
  /** Settings to try next, where the change is one of settings; exactly one of them differs. */
  readonly heat: Partial<HeatSettings> | null;
  /** Where to go for it besides: the gaps of the platen. */
  readonly goTo: 'flatness' | null;
}

type ChangeQuestion = Extract<HeatQuestion, { kind: 'change' }>;
type ChangeAnswer = Extract<HeatAnswer, { kind: 'change' }>;

const whole = (share: number): string => String(Math.abs(Math.round(share * 100)));

/** “the coldest place gets 20 % more, the hottest stays 15 % under its limit.” */
function doesWords(c: SizedChange): readonly Message[] {
  const least = c.leastBy - 1;
  const under = 1 - c.mostOfLimit;
  return [
    say('inspect.coldestPrintedPlaceGets', {
      least: whole(least),
      which: least >= 0 ? 'more' : 'other',
      under: whole(under),
      which2: under >= 0 ? 'staysUnderLimi' : 'other',
    }),
    say('inspect.goodAfterOneSo', { goodNow: whole(c.goodNow), goodThen: whole(c.goodThen) }),
  ];
}

/** Time where time was wrong, temperature where temperature was: each cause changes its own setting. */
const byTemperature = (cause: CauseId | null): boolean => cause === 'too-cool' || cause === 'too-hot';

function sized(cause: CauseId | null, s: HeatSettings, answer: ChangeAnswer): OneChange | null {
  if (answer.beyondHeat)
    return {
      cause,
      text: say('inspect.heatAloneDoesSolve'),
      does: [],
      heat: null,
      goTo: 'flatness',
    };
  const change = byTemperature(cause)
    ? (answer.temperature ?? answer.time)
    : (answer.time ?? answer.temperature);
  if (!change) return null;
  if ('platenC' in change.to)
    return {
      cause,
      text: say('inspect.setInsteadNothingElse', {
        platen: celsius(change.to.platenC),
        platen2: celsius(s.platenC),
      }),
      does: doesWords(change),
      heat: change.to,
      goTo: null,
    };
  const by = change.to.dwellS - s.dwellS;
  return {
    cause,
    text: say('inspect.dwellDwell2', {
      which: by > 0 ? 'n' : 'other',
      by: seconds(Math.abs(by)),
      dwell: seconds(change.to.dwellS),
      dwell2: seconds(s.dwellS),
      which2: s.passes > 1 ? 'aPass' : 'other',
    }),
    does: doesWords(change),
    heat: change.to,
    goTo: null,
  };
}

/** Before the model has answered: the way to go, not how far. */
const waiting = (cause: CauseId | null, more: boolean): OneChange => ({
  cause,
  text: cause ? CAUSES[cause].change : say('inspect.moreLess', { which: more ? 'moreHeat' : 'other' }),
  does: [say('inspect.heatModelCalculatingHow')],
  heat: null,
  goTo: null,
});

function pressureChange(cause: CauseId, s: HeatSettings): OneChange {
  const { lighter, firmer } = nextPressures(s.pressure);
  const to = cause === 'light-pressure' ? firmer : cause === 'heavy-pressure' ? lighter : null;
  return {
    cause,
    text: CAUSES[cause].change,
    does: to
      ? [
          say('inspect.pressureInstead', {
            pressureWords: PRESSURE_WORDS[to],
            pressureWords2: PRESSURE_WORDS[s.pressure],
          }),
        ]
      : [],
    heat: to ? { pressure: to } : null,
    goTo: cause === 'uneven-pressure' ? 'flatness' : null,
  };
}

function handsChange(cause: CauseId, s: HeatSettings): OneChange {
  const text = CAUSES[cause].change;
  if (cause === 'moved-hot' && (s.peel === 'hot' || s.peel === 'warm'))
    return {
      cause,
      text: say('inspect.peelColdInsteadNothing', { peel: s.peel }),
      does: [say('inspect.staysLongerHeatUnder')],
      heat: { peel: 'cold' },
      goTo: null,
    };
  if (cause === 'left-wrapped' && (s.peel === 'cold' || s.peel === 'warm'))
    return {
      cause,
      text: say('inspect.peelHotInsteadGoes', { peel: s.peel }),
      does: [],
      heat: { peel: 'hot' },
      goTo: null,
    };
  return { cause, text, does: [], heat: null, goTo: null };
}

export interface ChangePlan {
  readonly change: OneChange | null;
  readonly wanted: readonly HeatQuestion[];
}

/** More heat, less heat, or neither: by the cause, or by the verdict where nothing is marked. */
function remedyOf(cause: CauseId | null, verdict: Job['inspection']['verdict']): Remedy | null {
  if (cause) return CAUSES[cause].remedy;
  return verdict === 'under' ? 'more-heat' : verdict === 'over' ? 'less-heat' : null;
}

/**
 * The one change for the likeliest cause, or for the cause the shop settled on; sized by the heat model where heat is what changes. `s` is what
 * the pieces were pressed with: a change already set for the next pressing is not added to again.
 */
export function planChange(
  inspection: Job['inspection'],
  heat: HeatPlan,
  s: HeatSettings | null,
  ranked: readonly CauseShare[],
  cache: HeatCache,
): ChangePlan {
  const { verdict, cause: settled } = inspection;
  const cause = settled ?? ranked[0]?.cause ?? null;
  const remedy = remedyOf(cause, verdict);
  if (!s || remedy === null) return { change: null, wanted: [] };
  const nothing = (change: OneChange): ChangePlan => ({ change, wanted: [] });
  if (cause && remedy === 'pressure') return nothing(pressureChange(cause, s));
  if (cause && remedy === 'hands') return nothing(handsChange(cause, s));
  if (cause && remedy === 'wait')
    return nothing({
      cause,
      text: CAUSES[cause].change,
      does: [],
      heat: s.timerStart === 'at-temperature' ? null : { timerStart: 'at-temperature' },
      goTo: null,
    });
  const more = remedy === 'more-heat';
  // Settings still move until the model has said what it makes of them.
  if (!heat.model?.outcome) return nothing(waiting(cause, more));
  const question: ChangeQuestion = {
    kind: 'change',
    subject: heat.model.subject,
    settings: s,
    ask: { verdict: more ? 'under' : 'over', pieces: Math.max(1, inspection.spoiled ?? 1) },
  };
  const answer = cache[heatKey(question)];
  if (answer?.kind !== 'change') return { change: waiting(cause, more), wanted: [question] };
  return { change: sized(cause, s, answer), wanted: [] };
}

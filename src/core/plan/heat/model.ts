import type { HeatCache, HeatMatch, HeatOptions } from '../../heat/answer';
import type { ChosenHeat } from '../../heat/settings/choose';
import type { HeatOutcome } from '../../heat/model/outcome';
import type { HeatQuestion } from '../../heat/question';
import type { HeatSubject } from '../../heat/model/subject';
import { whatIfVariants } from '../../heat/settings/variants';
import type { WindowMap, WindowRange } from '../../heat/settings/window';
import type { HeatSettings } from '../../shop/heatSettings';
import type { Message } from '../../message/message';
import { answersIn, placesFor, rangeFor, whatIfWords, windowQuestion } from './questions';

/** One change and what it does to the time, by the model. */
interface WhatIf {
  readonly id: string;
  readonly text: Message;
  readonly dwellS: number;
  readonly byS: number;
}

/** A load of so many pieces, and how long it would take to the same dose. */
interface LoadStep {
  readonly pieces: number;
  readonly dwellS: number;
}

/** What the model says of the chosen setting, as far as it has been asked yet. */
export interface HeatModel {
  readonly subject: HeatSubject;
  readonly outcome: HeatOutcome | null;
  /** The outcome to show: the last one, while a new one is calculated. */
  readonly shown: HeatOutcome | null;
  /** Settings or outcome are being recalculated. */
  readonly updating: boolean;
  readonly window: WindowMap | null;
  /** A finer window is on its way. */
  readonly rough: boolean;
  readonly range: WindowRange;
  readonly whatIfs: readonly WhatIf[];
  readonly loads: readonly LoadStep[];
  readonly match: HeatMatch | null;
  /** Still to be answered, in the order of need. */
  readonly wanted: readonly HeatQuestion[];
}

/** Where a proven recipe for something else is held against this. */
export type MatchFrom = Extract<HeatQuestion, { kind: 'match' }>['from'];

function whatIfs(
  options: HeatOptions | null,
  subject: HeatSubject,
  s: HeatSettings,
  most: number,
): readonly WhatIf[] {
  if (!options) return [];
  return whatIfVariants(subject.load, s, most).flatMap(({ id }) => {
    const dwellS = options.dwellS[id];
    const text = whatIfWords(id, subject.load, s);
    return dwellS === undefined || !text ? [] : [{ id, text, dwellS, byS: dwellS - s.dwellS }];
  });
}

const loadsOf = (options: HeatOptions | null): readonly LoadStep[] =>
  Object.entries(options?.dwellS ?? {})
    .flatMap(([id, dwellS]) => {
      const pieces = /^load-(\d+)$/.exec(id)?.[1];
      return pieces === undefined ? [] : [{ pieces: Number(pieces), dwellS }];
    })
    .sort((a, b) => a.pieces - b.pieces);

/** Whether a setting can be shown in a window. */
const holds = ({ platenC: [c0, c1], dwellS: [t0, t1] }: WindowRange, s: HeatSettings): boolean =>
  s.platenC >= c0 && s.platenC <= c1 && s.dwellS >= t0 && s.dwellS <= t1;

export function heatModel(
  chosen: ChosenHeat,
  subject: HeatSubject,
  { most, from }: { readonly most: number; readonly from: MatchFrom | null },
  cache: HeatCache,
  first: readonly HeatQuestion[],
): HeatModel {
  const { settings: s, base } = chosen;
  const ask = answersIn(cache);
  const range = rangeFor(chosen.range, base, s);
  const asked = { kind: 'outcome' as const, subject, settings: s, places: placesFor(subject.load) };
  const outcome = ask.get<'outcome'>(asked);
  const known = answersIn(cache).get<'window'>(windowQuestion(subject, s, range, 'fine'));
  const coarse = known ? null : ask.get<'window'>(windowQuestion(subject, s, range, 'coarse'));
  const match = from && ask.get<'match'>({ kind: 'match', subject, settings: s, from });
  const options = ask.get<'options'>({ kind: 'options', subject, settings: s, most });
  const fine = ask.get<'window'>(windowQuestion(subject, s, range, 'fine'));
  const last = fine ?? coarse ?? ask.like<'window'>(windowQuestion(subject, s, range, 'fine'));
  const window = last && holds(last, s) ? last : null;
  return {
    subject,
    outcome,
    shown: outcome ?? ask.like<'outcome'>(asked),
    updating: outcome === null || first.length > 0,
    window,
    rough: fine === null,
    // The window before stands still until its own is there.
    range: window ? { platenC: window.platenC, dwellS: window.dwellS } : range,
    whatIfs: whatIfs(options, subject, s, most),
    loads: loadsOf(options),
    match,
    wanted: [...first, ...ask.wanted],
  };
}

import { answerHeat, type HeatCache } from '../heat/answer';
import { heatKey, type HeatQuestion } from '../heat/question';
import type { Job } from '../job/job';
import type { Shop } from '../shop/shop';
import { plan } from './plan';
import { type Extra, type Plan } from './planShape';

/** A start moves the settings, and those are asked about in turn: more rounds than that are never needed. */
const MOST_ROUNDS = 4;

/** The window is a picture: only a screen asks for it. */
const isFigure = (q: HeatQuestion): boolean => q.kind !== 'window';

/** Asked before each answer; false ends the work with what is known so far. */
export type GoOn = () => boolean;

/**
 * A plan with everything the heat model is asked for answered at once, a second or so where nothing is known yet: for the command line and the
 * route. Screens have a worker answer instead.
 */
export function planAnswered(job: Job, shop: Shop, extra: Extra = {}, goOn: GoOn = () => true): Plan {
  let cache: HeatCache = extra.heatCache ?? {};
  let made = plan(job, shop, { ...extra, heatCache: cache });
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const wanted = [...(made.heat.model?.wanted ?? []), ...made.inspect.wanted].filter(
      (q) => isFigure(q) && cache[heatKey(q)] === undefined,
    );
    // What hangs on the start is asked again once it is known: it comes first, alone.
    const first = wanted.filter((q) => q.kind === 'start');
    const now = first.length > 0 ? first : wanted;
    if (now.length === 0) break;
    const answered = now.flatMap((q) => (goOn() ? [[heatKey(q), answerHeat(q)] as const] : []));
    cache = { ...cache, ...Object.fromEntries(answered) };
    made = plan(job, shop, { ...extra, heatCache: cache });
  }
  const { model } = made.heat;
  // What only a screen would ask for is not part of an answer.
  return model ? { ...made, heat: { ...made.heat, model: { ...model, wanted: [] } } } : made;
}

import type { Job } from '../job/job';
import type { Shop } from '../shop/shop';
import { allFindings, plan, sectionOf, standsAt, type Extra, type Plan } from './plan';
import type { Standing } from './standing';

/** Plans a job and keeps what a full bench shows of it. */
export const standingOf = (job: Job, shop: Shop, extra: Extra = {}): Standing =>
  standingIn(plan(job, shop, extra));

/** What a full bench shows of a plan. */
export function standingIn(made: Plan): Standing {
  const at = standsAt(made);
  const [worst] = allFindings(made).filter((f) => f.level !== 'note');
  return {
    at,
    summary: sectionOf(made, at).summary,
    blankName: made.blank.blank?.name ?? null,
    progress: {
      blank: made.blank.progress,
      measure: made.measure.progress,
      wrap: made.wrap.progress,
      art: made.art.progress,
      sheet: made.sheet.progress,
      heat: made.heat.progress,
      press: made.press.progress,
      look: made.look.progress,
    },
    worst: worst ? { level: worst.level, terrace: worst.terrace, text: worst.text } : null,
  };
}

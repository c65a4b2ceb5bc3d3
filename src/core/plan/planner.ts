import type { Job } from '../job/job';
import type { Shop } from '../shop/shop';
import type { Extra, Plan } from './planShape';
import { createRunner } from './runStages';
import { LAST_MEMO, type OnStage } from './stages';

/** Plans one job again and again: only the stages whose inputs changed, and what did not change stays identical, so that screens redraw only what did. */
export const createPlanner = (on?: OnStage): ((job: Job, shop: Shop, extra?: Extra) => Plan) =>
  createRunner(LAST_MEMO, on);

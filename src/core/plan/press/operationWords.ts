import { ofStage } from '../../shop/operation';
import { USUAL_WASTE } from '../../operations/prepare';
import { operationWords, type OperationContext } from '../../operations/words';
import type { Run } from '../../shop/run';
import type { Message } from '../../message/message';
import type { Plan } from '../planShape';

/** What the operations of a plan are about; null while there is no heat to plan them by. */
export function contextOfPlan({ blank, heat }: Plan): OperationContext | null {
  if (!blank.blank || !heat.press || !heat.chosen) return null;
  return {
    settings: heat.chosen.settings,
    blank: blank.blank,
    press: heat.press,
    waste: heat.load?.load ?? USUAL_WASTE,
    seam: heat.seamStep,
  };
}

/** What the operations of a run are about: what was copied into it at its start. */
export const contextOfRun = ({ settings, blank, press, load }: Run): OperationContext => ({
  settings,
  blank,
  press,
  waste: load ?? USUAL_WASTE,
  seam: null,
});

/** What to do before the first piece goes in, a sentence each. */
export function preparationWords(plan: Plan): readonly Message[] {
  const context = contextOfPlan(plan);
  const { operations } = plan.heat;
  return context
    ? [...ofStage(operations, 'prepare'), ...ofStage(operations, 'set-up')].map(
        (o) => operationWords(o, context).title,
      )
    : [];
}

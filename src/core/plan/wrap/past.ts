import type { Past } from '../../wrap/roundPattern';
import type { WrapPlan } from './wrapPlan';

/** How far the paper stands past rim and foot: where a setback is negative. On a shaped wall the paper ends with the wall. */
export const pastOf = ({
  setbacks,
  shaped,
}: {
  readonly setbacks: WrapPlan['setbacks'];
  readonly shaped: boolean;
}): Past =>
  shaped
    ? { rimMm: 0, footMm: 0 }
    : { rimMm: Math.max(0, -setbacks.topMm), footMm: Math.max(0, -setbacks.footMm) };

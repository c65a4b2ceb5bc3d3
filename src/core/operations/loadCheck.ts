import { say, type Message } from '../message/message';
import { isBarrel, isHandled, type Blank } from '../shop/blank';
import type { Operation, OperationKind } from '../shop/operation';

/** What is looked at on a piece before it goes in: only what this blank and its steps can get wrong. */
export function loadCheck(blank: Blank, operations: readonly Operation[]): readonly Message[] {
  const has = (...kinds: readonly OperationKind[]): boolean => operations.some((o) => kinds.includes(o.kind));
  const { shape } = blank;
  const upright = isHandled(blank)
    ? say('press.checkHandle')
    : shape.kind === 'round' && !isBarrel(blank)
      ? say('press.checkUpright')
      : null;
  const seam = has('tape-seam', 'lap-ends')
    ? say('press.checkSeam')
    : has('tape-ends')
      ? say('press.checkEnds')
      : null;
  const rims = has('tape-rims', 'tape-rims-lifting', 'cut-at-edge') ? say('press.checkRims') : null;
  const holes = shape.kind === 'flat' && shape.holes.length > 0 ? say('press.checkHoles') : null;
  return [upright, say('press.checkText'), seam, rims, holes, say('press.checkLoose')].filter(
    (m) => m !== null,
  );
}

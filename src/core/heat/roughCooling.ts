import type { Blank } from '../shop/blank';
import { TOUCH_SAFE_C } from './cooling';
import { BODY } from './materials';
import type { Spread } from './fit';

/** Still air with radiation, per face, W/(m² K): usual and range. */
const FACE_WM2K = { usual: 12, low: 9, high: 16 } as const;
const ROOM_C = 22;

/** Lumped body losing heat from its faces (Incropera, ch. 5): t = τ ln((T0 − Ta)/(T − Ta)). s. */
export function lumpedCoolingS(fromC: number, toC: number, roomC: number, tauS: number): number {
  return fromC <= toC ? 0 : tauS * Math.log((fromC - roomC) / (toC - roomC));
}

/**
 * Time to cool to touch before a simulation says better, s, with its range. A plate loses heat from both faces, a cup mostly from one; across a
 * vacuum almost nothing passes, so an outer skin cools by itself.
 */
export function roughTouchS(blank: Blank, fromC: number): Spread {
  const faces = blank.shape.kind === 'flat' ? 2 : blank.wall === 'vacuum' ? 1 : 1.5;
  const perFace = (BODY[blank.material].capacity * blank.wallMm * 1e-3) / faces;
  const at = (h: number) => lumpedCoolingS(fromC, TOUCH_SAFE_C, ROOM_C, perFace / h);
  return { value: at(FACE_WM2K.usual), low: at(FACE_WM2K.high), high: at(FACE_WM2K.low) };
}

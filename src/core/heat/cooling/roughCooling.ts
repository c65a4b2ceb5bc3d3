import type { Blank } from '../../shop/blank';
import type { HeatSettings } from '../../shop/heatSettings';
import { BODY } from '../model/materials';
import type { PosteriorSpread } from '../settings/fit';

/** Still air with radiation, per face, W/(m² K): usual and range. */
const FACE_WM2K = { usual: 12, low: 9, high: 16 } as const;
const ROOM_C = 22;

/** Lumped body losing heat from its faces (Incropera, ch. 5): t = τ ln((T0 − Ta)/(T − Ta)). s. */
export function lumpedCoolingS(fromC: number, toC: number, roomC: number, tauS: number): number {
  return fromC <= toC ? 0 : tauS * Math.log((fromC - roomC) / (toC - roomC));
}

/** How deep heat reaches a body in a time: about this many √(αt) hold nearly all of it (Carslaw & Jaeger, 2.4). */
const DEPTHS = 1.4;

/**
 * Time to cool to a temperature before a simulation says better, s, with its range: for planning, never shown. A plate loses heat from both faces, a cup
 * mostly from one; across a vacuum almost nothing passes, so an outer skin cools by itself. What the press has not had the time to heat through
 * is not counted.
 */
export function roughCoolS(
  blank: Blank,
  s: Pick<HeatSettings, 'platenC' | 'dwellS' | 'passes'>,
  toC: number,
): PosteriorSpread {
  const { conductivity, capacity } = BODY[blank.material];
  const faces = blank.shape.kind === 'flat' ? 2 : blank.wall === 'vacuum' ? 1 : 1.2;
  const reachedM = DEPTHS * Math.sqrt((conductivity / capacity) * s.dwellS * s.passes);
  const heatedM = Math.min(blank.wallMm * 1e-3, reachedM);
  const at = (h: number) => lumpedCoolingS(s.platenC, toC, ROOM_C, (capacity * heatedM) / faces / h);
  return { value: at(FACE_WM2K.usual), low: at(FACE_WM2K.high) / 1.3, high: at(FACE_WM2K.low) * 1.3 };
}

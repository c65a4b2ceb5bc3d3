import type { Blank, Material } from '../shop/blank';
import type { Estimate } from './dose';

/** Volumetric heat capacity, MJ/(m³ K): handbook values (304 steel, 5xxx aluminium, soda-lime glass, stoneware and so on). */
const HEAT_CAPACITY: Readonly<Record<Material, number>> = {
  steel: 3.95,
  aluminium: 2.43,
  glass: 2.1,
  ceramic: 2.0,
  hardboard: 1.25,
  FRP: 1.9,
  acrylic: 1.75,
  slate: 2.1,
  polymer: 1.8,
};

/** Still air with radiation, per face, W/(m² K): usual and range. */
const H_STILL_AIR = { usual: 10, low: 7, high: 14 } as const;
export const TOUCH_SAFE_C = 45;
const ROOM_C = 22;

/** Lumped body losing heat from its outer face (Incropera, ch. 5): t = τ ln((T0 − Ta)/(T − Ta)), τ = ρc·d/h. s. */
export function coolingS(fromC: number, toC: number, roomC: number, tauS: number): number {
  if (fromC <= toC) return 0;
  return tauS * Math.log((fromC - roomC) / (toC - roomC));
}

/**
 * Time to cool to a touch-safe 45 °C in a 22 °C room, s, with its range. `solidMm` is all the wall that has to lose its heat
 * through the outer face: both skins of a vacuum wall.
 */
export function touchSafe(material: Material, coolingMm: number, fromC: number): Estimate {
  const at = (h: number) =>
    coolingS(fromC, TOUCH_SAFE_C, ROOM_C, (HEAT_CAPACITY[material] * 1e6 * coolingMm * 1e-3) / h);
  return { value: at(H_STILL_AIR.usual), low: at(H_STILL_AIR.high), high: at(H_STILL_AIR.low) };
}

/** All the wall of a blank that has to lose its heat through its outer face, mm: both skins of a vacuum wall. */
export const coolingThicknessMm = (blank: Blank): number => blank.wallMm * (blank.wall === 'vacuum' ? 2 : 1);

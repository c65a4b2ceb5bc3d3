import type { Blank } from '../../shop/blank';
import type { Press, PressHeater } from '../../shop/press';
import { BODY } from './materials';
import { pressModel } from '../press/pressModel';

const ROOM_C = 22;
/** Share of the time a press stands open while it is worked, our own estimate. */
const OPEN_SHARE = 0.25;

/** What a press draws, from the same heater model as its dose: capacity, power and losses. */
export interface PressEnergy {
  readonly powerW: number;
  /** From cold to its working temperature, s and J. */
  readonly warmS: number;
  readonly warmJ: number;
  /** Kept hot with nothing in it, W. */
  readonly keptW: number;
}

/** Energy a piece of a blank takes up from room to pressing temperature, J: its wall under the heated face (lumped body). */
export const pieceJ = (blank: Blank, areaM2: number, platenC: number): number =>
  areaM2 * (blank.wallMm / 1000) * BODY[blank.material].capacity * Math.max(0, platenC - ROOM_C);

/**
 * Warm-up of a lumped heater against its losses: C dT/dt = P − K (T − room), so t = −(C/K) ln(1 − K ΔT / P) (Incropera & DeWitt, ch. 5). A
 * heater too weak to get there is said to take four hours.
 */
export function pressEnergy(press: Press, mat: PressHeater | null, platenC: number): PressEnergy {
  const { heater } = pressModel(press, mat, { uncoveredM2: 0, inEdge: false });
  const deltaK = Math.max(1, platenC - ROOM_C);
  const lossWK = heater.lossClosedWK * (1 - OPEN_SHARE) + heater.lossOpenWK * OPEN_SHARE;
  const share = (lossWK * deltaK) / heater.powerW;
  const warmS =
    share < 0.98
      ? Math.min(14_400, -(heater.capacityJK / Math.max(lossWK, 1e-9)) * Math.log(1 - share))
      : 14_400;
  return {
    powerW: heater.powerW,
    warmS,
    warmJ: warmS * heater.powerW,
    keptW: Math.min(heater.powerW, lossWK * deltaK),
  };
}

/** Mean power of a press worked without a pause, W: losses, and what its pieces take up in a cycle. */
export const workedW = (e: PressEnergy, loadJ: number, cycleS: number): number =>
  Math.min(e.powerW, e.keptW + loadJ / Math.max(1, cycleS));

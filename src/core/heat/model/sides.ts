import type { HeatSettings } from '../../shop/heatSettings';
import { contactWM2K, type HeatCase, type Unknowns } from './case';
import { layerSpan, type Column } from '../conduction/column';
import type { Exposed, Heater, BoundarySide } from '../conduction/step';
import { coveredShare, endK, type HeatedPlace } from './places';

/** Still air at a warm face, and inside a closed vessel, W/(m² K): middles of 4 to 7 and 3 to 5. Radiation comes on top. */
export const STILL_AIR_WM2K = 5.5;
const INSIDE_WM2K = 4;
const EMISSIVITY = 0.9;
/** The inside of a vessel sees itself but for its mouth: so little of its radiation leaves (Incropera, ch. 13, a cavity of this shape). */
export const INSIDE_EMISSIVITY = 0.15;
/**
 * Air of an oven with the radiation of its walls, W/(m² K): moved by a fan 35 in all; still about 20, and 8 by walls that pieces shade from each
 * other. Less inside a vessel.
 */
const OVEN_WM2K = { fan: 35, still: 28 } as const;
const OVEN_INSIDE_WM2K = { fan: 14, still: 9 } as const;
/** The bed under a pad: metal, which takes heat away. */
const BED_WM2K = 40;

export const inAir = (airC: number, air = STILL_AIR_WM2K, emissivity = EMISSIVITY): BoundarySide => ({
  heater: 0,
  heaterShare: 0,
  heaterOffsetK: 0,
  air,
  emissivity,
  airC,
});

const heated = (heater: number, heaterShare: number, heaterOffsetK: number, roomC: number): BoundarySide => ({
  ...inAir(roomC),
  heater,
  heaterShare,
  heaterOffsetK,
});

/** Which cells are still part of the piece once it is out of the press: with its paper, or peeled. */
function outOfPress(column: Column, peeled: boolean): { readonly from: number; readonly to: number } {
  const blank = layerSpan(column, 'blank');
  const paper = layerSpan(column, 'paper');
  const inner = layerSpan(column, 'inner skin');
  return {
    from: (peeled ? blank : (paper ?? blank))?.from ?? 0,
    to: (inner ?? blank)?.to ?? column.capacity.length,
  };
}

export interface Closing {
  readonly openingDeg: number;
  readonly coveredDeg: number;
}

/** One place as it stands in the closed press. */
export function closedOn(
  c: HeatCase,
  s: HeatSettings,
  unknowns: Unknowns,
  place: HeatedPlace,
  column: Column,
  { openingDeg, coveredDeg }: Closing,
): Exposed {
  const whole = { column, areaM2: place.areaM2, from: 0, to: column.capacity.length };
  const offsetK = place.offsetK;
  if (c.kind === 'oven') {
    const film = OVEN_WM2K[c.ovenAir];
    const inside = c.round ? OVEN_INSIDE_WM2K[c.ovenAir] : film;
    // Under a membrane no air reaches the inside of a cup.
    const sealed = c.vacuum || (c.round !== null && s.pressure === 'membrane');
    return {
      ...whole,
      top: heated(film * Math.exp(unknowns.contact), 1, offsetK, c.roomC),
      bottom: sealed ? inAir(c.roomC, 0, 0) : heated(inside, 1, offsetK, c.roomC),
    };
  }
  const contact = contactWM2K(c, s, unknowns);
  if (c.kind === 'flat')
    return { ...whole, top: heated(contact, 1, offsetK, c.roomC), bottom: inAir(c.roomC, BED_WM2K, 0) };
  const atDeg = place.atDeg ?? 0;
  const share = coveredShare(place, openingDeg, coveredDeg);
  const end = endK(atDeg, openingDeg, coveredDeg, c.heater.coldestK);
  return {
    ...whole,
    top: heated(contact, share, offsetK + end, c.roomC),
    bottom: inAir(c.roomC, INSIDE_WM2K, c.vacuum ? 0 : INSIDE_EMISSIVITY),
  };
}

/** One place out in the air. */
export function openOn(c: HeatCase, place: HeatedPlace, column: Column, peeled: boolean): Exposed {
  const range =
    c.kind === 'wrap' && !peeled ? { from: 0, to: column.capacity.length } : outOfPress(column, peeled);
  const inside = c.round ? inAir(c.roomC, INSIDE_WM2K, c.vacuum ? 0 : INSIDE_EMISSIVITY) : inAir(c.roomC);
  return { column, areaM2: place.areaM2, ...range, top: inAir(c.roomC), bottom: inside };
}

/** The heater as it stands: what it is set to really, closed or open. */
export const heaterFor = (c: HeatCase, unknowns: Unknowns, setC: number, closed: boolean): Heater => ({
  capacityJK: c.heater.capacityJK * Math.exp(unknowns.capacity),
  powerW: c.heater.powerW * Math.exp(unknowns.power),
  lossWK: closed ? c.heater.lossClosedWK : c.heater.lossOpenWK,
  roomC: c.roomC,
  setC,
});

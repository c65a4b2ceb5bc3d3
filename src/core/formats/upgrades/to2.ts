import { isRaw, list, number, type Raw, type VersionStep } from './raw';

/*
 * Version 1 to version 2: walls of every shape, more readings, more settings of the wrap. Stands alone, with its own defaults: what a new job
 * starts with today may change, this step may not.
 */

const NEW_READINGS = { girthTop: [], girthFoot: [], wall: [], handle: [], width: [], height: [] };
const NEW_WRAP = {
  school: null,
  form: null,
  hold: null,
  topSetbackMm: null,
  footSetbackMm: null,
  band: null,
  amountMm: null,
  lapOver: 'right',
  seamDeg: null,
  bleedMm: null,
  bleedRimMm: null,
  bleedFootMm: null,
  bleedEndsMm: null,
  safeMm: null,
  grip: null,
  marks: [],
  edge: null,
  turnInMm: null,
  fold: 'left',
  faces: 'together',
};
const STRING_MM = 1.2;
const FLAT_BLEED_MM = 4;
const HOLD = 'bare tape';

/** A straight wall given by its lip and foot becomes two widths down the wall. */
function shapeOf(shape: Raw, keepClear: readonly unknown[]): Raw {
  const { diameterMm, heightMm, lipMm, footMm } = shape;
  const top = number(lipMm);
  const zone = (z: unknown): unknown =>
    isRaw(z)
      ? { what: z.what, fromRimMm: top + number(z.fromTopMm), heightMm: z.heightMm, aroundMm: null, atDeg: 0 }
      : z;
  return {
    kind: 'round',
    heightMm,
    sections: [
      { fromRimMm: top, acrossMm: diameterMm },
      { fromRimMm: number(heightMm) - number(footMm), acrossMm: diameterMm },
    ],
    handle: null,
    openEnds: false,
    keepClear: keepClear.map(zone),
  };
}

function blank(v: unknown): unknown {
  if (!isRaw(v) || !isRaw(v.shape) || v.shape.kind !== 'straight') return v;
  const { keepClear, coating, ...rest } = v;
  return {
    ...rest,
    shape: shapeOf(v.shape, list(keepClear)),
    coating: isRaw(coating) ? { ...coating, stock: 'opaque' } : coating,
    cautions: [],
    needs: [],
  };
}

function job(v: unknown): unknown {
  if (!isRaw(v)) return v;
  return {
    ...v,
    readings: { ...NEW_READINGS, ...(isRaw(v.readings) ? v.readings : {}) },
    stations: v.stations ?? [],
    wrap: { ...NEW_WRAP, ...(isRaw(v.wrap) ? v.wrap : {}) },
  };
}

function settings(v: unknown): unknown {
  if (!isRaw(v)) return v;
  return {
    ...v,
    tape: isRaw(v.tape) ? { stringMm: STRING_MM, ...v.tape } : v.tape,
    house: isRaw(v.house) ? { flatBleedMm: FLAT_BLEED_MM, hold: HOLD, ...v.house } : v.house,
  };
}

export const TO_2: VersionStep = {
  to: 2,
  blank,
  job,
  settings,
  paper: (v) => (isRaw(v) ? { calibration: null, ...v } : v),
  run: (v) => (isRaw(v) ? { ...v, blank: blank(v.blank) } : v),
};

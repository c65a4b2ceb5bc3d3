import type { HeatSettings } from '../../shop/heatSettings';
import { contactWM2K, type HeatCase, type Unknowns } from './case';
import type { StackLayer } from '../conduction/column';
import { BODY, FILM, FOAM, PAPER, SILICONE, WASTE_SHEETS } from './materials';

const M = 1e-3;
/** Across a vacuum only radiation between bright steel passes (Incropera, ch. 13: emissivities about 0.1), W/(m² K). */
const VACUUM_WM2K = 0.6;
const SLEEVE_MM = 2;
const FILM_MM = 0.05;
/** The first cell of a body, against the coating: thin, since it heats first. */
const FIRST_MM = 0.06;

const sheet = (name: string, thicknessMm: number, contact: number): StackLayer => ({
  name,
  ...PAPER,
  thicknessM: thicknessMm * M,
  contact,
  firstCellM: null,
  cells: 2,
});

function body(c: HeatCase, contact: number, unknowns: Unknowns, name = 'blank'): StackLayer {
  const { conductivity, capacity } = BODY[c.material];
  const thicknessM = c.wallMm * M * Math.exp(unknowns.thickness);
  // A metal wall is nearly even through its depth; anything else is cut fine at both faces' scale.
  const fine = conductivity < 10;
  return {
    name,
    conductivity,
    capacity,
    thicknessM,
    contact,
    firstCellM: fine ? FIRST_MM * M : null,
    bothFaces: true,
    cells: 4,
  };
}

/** What holds a wrap in an oven or a vacuum press, outermost. */
function cover(c: HeatCase, s: HeatSettings): readonly StackLayer[] {
  if (s.pressure === 'sleeve' || s.pressure === 'membrane')
    return [
      {
        name: s.pressure,
        ...SILICONE,
        thicknessM: (s.pressure === 'membrane' ? c.padMm : SLEEVE_MM) * M,
        contact: Infinity,
        firstCellM: null,
        cells: 2,
      },
    ];
  const film: StackLayer = {
    name: 'film',
    ...FILM,
    thicknessM: FILM_MM * M,
    contact: Infinity,
    firstCellM: null,
    cells: 1,
  };
  return [film];
}

const wasteOf = (c: HeatCase, contact: number): readonly StackLayer[] =>
  Array.from({ length: c.wasteSheets }, (_, i) =>
    sheet(`waste ${i + 1}`, WASTE_SHEETS[c.wasteKind].thicknessMm, contact),
  );

function behind(c: HeatCase, contact: number, unknowns: Unknowns): readonly StackLayer[] {
  if (c.kind !== 'flat') return c.vacuum ? [body(c, VACUUM_WM2K, unknowns, 'inner skin')] : [];
  const paper =
    c.faces !== 'one' || c.heatedFrom === 'blank' ? [sheet('paper behind', c.paperMm, contact)] : [];
  const waste = sheet('waste behind', WASTE_SHEETS[c.wasteKind].thicknessMm, contact);
  const pad: StackLayer = {
    name: 'pad',
    ...FOAM,
    thicknessM: Math.max(0.5, c.padMm) * M,
    contact,
    firstCellM: 0.12 * M,
    cells: 4,
  };
  return [...paper, waste, pad];
}

/** The stack from the heater down: what lies before the coating, the blank, and what lies behind it. */
export function layersOf(c: HeatCase, s: HeatSettings, unknowns: Unknowns): readonly StackLayer[] {
  const contact = contactWM2K(c, s, unknowns);
  const front = c.kind === 'oven' ? cover(c, s) : wasteOf(c, contact);
  const through = c.heatedFrom === 'blank';
  const paper = through ? [] : [sheet('paper', c.paperMm, contact)];
  return [...front, ...paper, body(c, contact, unknowns), ...behind(c, contact, unknowns)];
}

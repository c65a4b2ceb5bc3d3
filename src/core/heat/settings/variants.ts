import type { HeatSettings, Pressure } from '../../shop/heatSettings';
import type { HeatCase } from '../model/case';

/** Another way to do the same: one change, its settings and its load. */
export interface Variant {
  readonly id: string;
  readonly load: HeatCase;
  readonly settings: HeatSettings;
}

const HAND_PRESSURES = [
  'light',
  'light-medium',
  'medium',
  'medium-firm',
  'firm',
] as const satisfies readonly Pressure[];
export const STEP_C = 5;

/** Pressures next to one, by hand; null past an end, and where no hand presses. */
export function nextPressures(p: Pressure): {
  readonly lighter: Pressure | null;
  readonly firmer: Pressure | null;
} {
  const at = HAND_PRESSURES.findIndex((x) => x === p);
  if (at < 0) return { lighter: null, firmer: null };
  return { lighter: HAND_PRESSURES[at - 1] ?? null, firmer: HAND_PRESSURES[at + 1] ?? null };
}

/** A metal sheet may lie on the paper or under it. */
const mayTurn = (c: HeatCase): boolean =>
  c.kind === 'flat' && c.faces === 'one' && (c.material === 'aluminium' || c.material === 'steel');

/** One change at a time: a sheet, five degrees, a step of pressure, a piece, the side it is heated from. */
export function whatIfVariants(load: HeatCase, s: HeatSettings, most: number): readonly Variant[] {
  const of = (id: string, change: Partial<HeatCase>, settings: Partial<HeatSettings> = {}): Variant => ({
    id,
    load: { ...load, ...change },
    settings: { ...s, ...settings },
  });
  const { lighter, firmer } = nextPressures(s.pressure);
  return [
    ...(load.kind === 'oven' ? [] : [of('sheet', { wasteSheets: load.wasteSheets + 1 })]),
    of('cooler', {}, { platenC: s.platenC - STEP_C }),
    of('hotter', {}, { platenC: s.platenC + STEP_C }),
    ...(lighter ? [of('lighter', {}, { pressure: lighter })] : []),
    ...(firmer ? [of('firmer', {}, { pressure: firmer })] : []),
    ...(most > load.pieces ? [of('piece', { pieces: load.pieces + 1 })] : []),
    ...(load.pieces > 1 ? [of('alone', { pieces: 1 })] : []),
    ...(mayTurn(load) ? [of('turned', { heatedFrom: load.heatedFrom === 'paper' ? 'blank' : 'paper' })] : []),
  ];
}

/** Loads worth showing beside one another: one, and up to what fits. */
export function loadSteps(most: number, chosen: number): readonly number[] {
  const steps = [1, 2, 4, 8, 12, 16, 24, 36, 48].filter((n) => n <= most);
  return [...new Set([...steps, chosen, Math.max(1, most)])].sort((a, b) => a - b);
}

export const loadVariants = (load: HeatCase, s: HeatSettings, most: number): readonly Variant[] =>
  most <= 1
    ? []
    : loadSteps(most, load.pieces).map((pieces) => ({
        id: `load-${pieces}`,
        load: { ...load, pieces },
        settings: s,
      }));

import type { Material } from '../../shop/blank';

/** What conduction needs to know of a material: conductivity W/(m K), volumetric heat capacity J/(m³ K). */
export interface Conductor {
  readonly conductivity: number;
  readonly capacity: number;
}

/** Handbook values at about 100 °C (Incropera & DeWitt, appendix A; CRC Handbook): 5xxx aluminium, 304 steel, stoneware, soda-lime glass. */
export const BODY: Readonly<Record<Material, Conductor>> = {
  aluminium: { conductivity: 140, capacity: 2.43e6 },
  steel: { conductivity: 16, capacity: 3.95e6 },
  ceramic: { conductivity: 1.4, capacity: 2.0e6 },
  glass: { conductivity: 1.0, capacity: 2.1e6 },
  slate: { conductivity: 2.0, capacity: 2.1e6 },
  hardboard: { conductivity: 0.16, capacity: 1.25e6 },
  acrylic: { conductivity: 0.19, capacity: 1.75e6 },
  FRP: { conductivity: 0.3, capacity: 1.9e6 },
  polymer: { conductivity: 0.22, capacity: 1.8e6 },
};

/** Paper pressed flat: the middle of 0.10 to 0.20 W/(m K). */
export const PAPER: Conductor = { conductivity: 0.15, capacity: 0.9e6 };
/** Silicone foam of a bed or a sleeve. */
export const FOAM: Conductor = { conductivity: 0.12, capacity: 0.5e6 };
/** Solid silicone of an oven sleeve. */
export const SILICONE: Conductor = { conductivity: 0.25, capacity: 1.4e6 };
/** Polyolefin shrink film. */
export const FILM: Conductor = { conductivity: 0.2, capacity: 1.7e6 };
/** Wood or a cork mat, to set a hot piece down on. */
export const WOOD: Conductor = { conductivity: 0.15, capacity: 0.8e6 };

/** Sheets laid against the platen or the bed. The thickness of one, mm. */
export const WASTE_SHEETS = {
  plain: { thicknessMm: 0.1 },
  parchment: { thicknessMm: 0.06 },
  silicone: { thicknessMm: 0.25 },
} as const;
export type WasteKind = keyof typeof WASTE_SHEETS;

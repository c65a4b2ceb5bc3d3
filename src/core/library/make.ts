import type { Blank, Family, FlatShape, Handle, Hole, ExclusionZone, Material } from '../shop/blank';

type Extras = Partial<Omit<Blank, 'coating'>> & { readonly coating?: Partial<Blank['coating']> };

const CAUTIONS: Readonly<Partial<Record<Material, readonly string[]>>> = {
  glass: ['Glass cracks: never quench it, never set it down on anything cold or wet.'],
  ceramic: ['Holds its heat for many minutes: gloves, and a heat mat under it.'],
  slate: ['Dangerous to touch for ten minutes and more. Never quench hot stone.'],
  acrylic: ['Leaves the press soft: cool it flat under weight.'],
  FRP: ['Bows if it cools unevenly: cool it flat under weight.'],
  hardboard: ['Gas and moisture come out of it: ventilate, and pre-press to dry it.'],
};

function blank(
  id: string,
  name: string,
  family: Family,
  shape: Blank['shape'],
  material: Material,
  wallMm: number,
  x: Extras,
): Blank {
  return {
    id,
    name,
    family,
    shape,
    material,
    wall: 'single',
    wallMm,
    takeOff: [],
    film: false,
    cautions: [...(CAUTIONS[material] ?? [])],
    finish: [],
    needs: [],
    costCents: null,
    supplier: '',
    ...x,
    coating: { colour: '#ffffff', finish: 'gloss', stock: 'opaque', ...x.coating },
  };
}

interface RoundSpec {
  readonly heightMm: number;
  /** Pairs of height below the rim and width there, mm. */
  readonly wall: readonly (readonly [number, number])[];
  readonly handle?: Handle;
  readonly openEnds?: boolean;
  readonly exclusionZones?: readonly ExclusionZone[];
}

export const roundBlank = (
  id: string,
  name: string,
  family: Family,
  spec: RoundSpec,
  material: Material,
  wallMm: number,
  extras: Extras = {},
): Blank =>
  blank(
    id,
    name,
    family,
    {
      kind: 'round',
      heightMm: spec.heightMm,
      sections: spec.wall.map(([fromRimMm, diameterMm]) => ({ fromRimMm, diameterMm })),
      handle: spec.handle ?? null,
      openEnds: spec.openEnds ?? false,
      exclusionZones: [...(spec.exclusionZones ?? [])],
    },
    material,
    wallMm,
    extras,
  );

export const flatBlank = (
  id: string,
  name: string,
  family: Family,
  outline: FlatShape['outline'],
  material: Material,
  thicknessMm: number,
  extras: Extras & {
    readonly holes?: readonly Hole[];
    readonly faces?: 1 | 2;
    readonly edge?: FlatShape['edge'];
  } = {},
): Blank => {
  const { holes = [], faces = 1, edge = 'plain', ...rest } = extras;
  return blank(
    id,
    name,
    family,
    { kind: 'flat', outline, holes: [...holes], faces, edge },
    material,
    thicknessMm,
    rest,
  );
};

export const hole = (xMm: number, yMm: number, diameterMm: number): Hole => ({
  form: 'round',
  xMm,
  yMm,
  diameterMm,
});
export const slot = (xMm: number, yMm: number, widthMm: number, heightMm: number): Hole => ({
  form: 'slot',
  xMm,
  yMm,
  widthMm,
  heightMm,
});
export const handleOf = (widthMm: number, fromRimMm: number, heightMm: number, reachMm: number): Handle => ({
  widthMm,
  fromRimMm,
  heightMm,
  reachMm,
});

export const rectangle = (widthMm: number, heightMm: number, cornerMm = 0) =>
  ({ form: 'rectangle', widthMm, heightMm, cornerMm }) as const;
export const discOf = (diameterMm: number) =>
  ({ form: 'oval', widthMm: diameterMm, heightMm: diameterMm }) as const;
export const plainOutline = <
  F extends 'oval' | 'hexagon' | 'star' | 'heart' | 'tag' | 'arch' | 'lugged disc',
>(
  form: F,
  widthMm: number,
  heightMm: number,
) => ({ form, widthMm, heightMm }) as const;

/** Right round the wall. */
export const band = (what: string, fromRimMm: number, heightMm: number): ExclusionZone => ({
  what,
  fromRimMm,
  heightMm,
  widthMm: null,
  atDeg: 0,
});
/** A patch of the wall, `atDeg` from the front. */
export const patch = (
  what: string,
  fromRimMm: number,
  heightMm: number,
  widthMm: number,
  atDeg: number,
): ExclusionZone => ({
  what,
  fromRimMm,
  heightMm,
  widthMm,
  atDeg,
});

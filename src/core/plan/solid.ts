import { exact, measured, plus, scaled, type Uncertain } from '../figures/uncertain';
import { MAKER_HALF_WIDTH_MM, uniformU, type PlaceReadings } from '../readings/readings';
import { fail, ok, type Result } from '../result';
import type { Band } from '../shapes/band';
import { profileThrough, type Profile } from '../shapes/profile';
import { formOf, nominalProfile, wallOf, type RoundForm } from '../shapes/round';
import { profileAt } from '../shapes/profile';
import type { FlatShape, RoundShape } from '../shop/blank';

/** A girth of the bare surface, right round, at a height from the rim. */
export interface GirthAt {
  readonly zMm: number;
  readonly girth: Uncertain;
}

/** A round blank as far as it is known: readings where they were taken, the maker's figures elsewhere. */
export interface RoundSolid {
  readonly kind: 'round';
  readonly form: RoundForm;
  readonly wall: Band;
  readonly profile: Profile;
  readonly girths: readonly GirthAt[];
  readonly top: Uncertain;
  readonly foot: Uncertain;
  /** Along the wall from top to foot. */
  readonly slant: Uncertain;
  readonly handle: Uncertain | null;
}

export interface FlatSolid {
  readonly kind: 'flat';
  readonly width: Uncertain;
  readonly height: Uncertain;
}

export type Solid = RoundSolid | FlatSolid;

const MAKER_HEIGHT_HALF_WIDTH_MM = 2;
const MAKER_HANDLE_HALF_WIDTH_MM = 2;
/** A wall that turns in or out faster than this between two readings is a slip of a reading: radius against height. */
const STEEPEST = 2.5;

const maker = (value: number, halfWidth: number): Uncertain =>
  measured(value, uniformU(halfWidth), 'maker’s figure');

interface Known {
  readonly z: number;
  readonly girth: Uncertain;
  readonly ratio: number;
}

/** Measured over nominal girth at a height: straight between measured places, level beyond them. */
function ratioAt(known: readonly Known[], z: number): number {
  const [first] = known;
  const last = known.at(-1);
  if (!first || !last) return 1;
  if (z <= first.z) return first.ratio;
  for (let i = 1; i < known.length; i += 1) {
    const a = known[i - 1] as Known;
    const b = known[i] as Known;
    if (z <= b.z) return a.ratio + ((b.ratio - a.ratio) * (z - a.z)) / (b.z - a.z);
  }
  return last.ratio;
}

/** Two places this close are one, mm. */
const SAME_PLACE_MM = 3;

function girthsOf(
  shape: RoundShape,
  places: readonly PlaceReadings[],
  wall: Band,
  handle: Uncertain,
): GirthAt[] {
  const nominal = nominalProfile(shape.sections);
  const stretch = (wall.footMm - wall.topMm) / (wallOf(shape).footMm - wallOf(shape).topMm);
  const toNominal = (z: number) => wallOf(shape).topMm + (z - wall.topMm) / stretch;
  const girthThere = (z: number) => 2 * Math.PI * profileAt(nominal, toNominal(z)).r;
  const heightOf = (p: PlaceReadings): number =>
    p.place.id === 'girthTop'
      ? wall.topMm
      : p.place.id === 'girthFoot'
        ? wall.footMm
        : (p.place.atMm ?? wall.topMm);
  const known = places
    .flatMap((p): Known[] => {
      if (p.place.kind !== 'girth' || !p.value) return [];
      const z = heightOf(p);
      // Handled walls are read from handle to handle; the handle makes it whole.
      const girth = plus(p.value, handle);
      return [{ z, girth, ratio: girth.value / girthThere(z) }];
    })
    .sort((a, b) => a.z - b.z);
  const doubt = known.length > 0 ? MAKER_HALF_WIDTH_MM / 2 : MAKER_HALF_WIDTH_MM;
  const inner = shape.sections.map((v) => wall.topMm + (v.fromRimMm - wallOf(shape).topMm) * stretch);
  const estimated = inner
    .filter((z) => known.every((k) => Math.abs(k.z - z) > SAME_PLACE_MM))
    .map((z): GirthAt => ({ zMm: z, girth: maker(girthThere(z) * ratioAt(known, z), Math.PI * doubt) }));
  return [...known.map((k): GirthAt => ({ zMm: k.z, girth: k.girth })), ...estimated].sort(
    (a, b) => a.zMm - b.zMm,
  );
}

/** Girth at a height, its doubt taken from the two places beside it. */
export function girthAt(solid: RoundSolid, zMm: number): Uncertain {
  const { girths, profile } = solid;
  const value = 2 * Math.PI * profileAt(profile, zMm).r;
  const above = girths.filter((g) => g.zMm <= zMm).at(-1) ?? girths[0];
  const below = girths.find((g) => g.zMm >= zMm) ?? girths.at(-1);
  if (!above || !below) return exact(value);
  const share = below.zMm === above.zMm ? 0 : (zMm - above.zMm) / (below.zMm - above.zMm);
  const parts: Record<string, number> = {};
  for (const [source, u] of Object.entries(above.girth.parts)) parts[source] = (1 - share) * u;
  if (below !== above)
    for (const [source, u] of Object.entries(below.girth.parts))
      parts[source] = (parts[source] ?? 0) + share * u;
  return { value, parts };
}

const read = (places: readonly PlaceReadings[], id: string): Uncertain | null =>
  places.find((p) => p.place.id === id)?.value ?? null;

/** Height along the axis of a wall measured along its slope. */
function axialMm(slantMm: number, topGirth: number, footGirth: number): number | null {
  const across = (topGirth - footGirth) / (2 * Math.PI);
  return slantMm > Math.abs(across) ? Math.sqrt(slantMm * slantMm - across * across) : null;
}

/** Further than this off the straight line from rim to foot, mm of girth, a wall bulges. */
const BULGES_MM = 1.5;

/** The catalogue's form, unless a girth taken between rim and foot shows a belly or a waist. */
function formFound(
  shape: RoundShape,
  girths: readonly GirthAt[],
  stations: readonly PlaceReadings[],
): RoundForm {
  const form = formOf(shape);
  const first = girths[0];
  const last = girths.at(-1);
  const taken = stations.some((p) => p.place.kind === 'girth' && p.value && !p.place.id.startsWith('girth'));
  if (form === 'shaped' || !taken || !first || !last) return form;
  const slope = (last.girth.value - first.girth.value) / (last.zMm - first.zMm);
  const off = (g: GirthAt) => Math.abs(g.girth.value - first.girth.value - slope * (g.zMm - first.zMm));
  return girths.some((g) => off(g) > BULGES_MM) ? 'shaped' : form;
}

function sane(girths: readonly GirthAt[]): Result<true> {
  for (let i = 1; i < girths.length; i += 1) {
    const a = girths[i - 1] as GirthAt;
    const b = girths[i] as GirthAt;
    const steep = Math.abs(b.girth.value - a.girth.value) / (2 * Math.PI) / (b.zMm - a.zMm);
    if (steep > STEEPEST)
      return fail(
        `Between ${Math.round(a.zMm)} and ${Math.round(b.zMm)} mm below the rim the girths change faster than a wall can.`,
        'Girths',
        'One of the two is a slip. Measure both again.',
      );
  }
  return ok(true);
}

/** A round blank from its readings; a problem where the readings cannot be one wall. */
export function roundSolid(shape: RoundShape, places: readonly PlaceReadings[]): Result<RoundSolid> {
  const nominal = wallOf(shape);
  const handle = shape.handle
    ? (read(places, 'handle') ?? maker(shape.handle.widthMm, MAKER_HANDLE_HALF_WIDTH_MM))
    : null;
  const nominalHeight = nominal.footMm - nominal.topMm;
  const rough = girthsOf(shape, places, nominal, handle ?? exact(0));
  const topGirth = (rough[0] as GirthAt).girth.value;
  const footGirth = (rough.at(-1) as GirthAt).girth.value;
  const form = formOf(shape);
  const taken = read(places, 'wall');
  const slant =
    taken ??
    maker(
      form === 'tapered' ? Math.hypot(nominalHeight, (topGirth - footGirth) / (2 * Math.PI)) : nominalHeight,
      MAKER_HEIGHT_HALF_WIDTH_MM,
    );
  const axial = form === 'tapered' ? axialMm(slant.value, topGirth, footGirth) : slant.value;
  if (axial === null)
    return fail(
      'The wall is shorter than the girths step in: such a cone would pass its own tip.',
      'Height of the wall',
      'Measure along the wall, and both girths again.',
    );
  const wall: Band = { topMm: nominal.topMm, footMm: nominal.topMm + axial };
  const girths = girthsOf(shape, places, wall, handle ?? exact(0)).filter(
    (g) => g.zMm >= wall.topMm - 1e-9 && g.zMm <= wall.footMm + 1e-9,
  );
  const checked = sane(girths);
  if (!checked.ok) return checked;
  const profile = profileThrough(girths.map((g) => ({ z: g.zMm, r: g.girth.value / (2 * Math.PI) })));
  return ok({
    kind: 'round',
    form: formFound(shape, girths, places),
    wall,
    profile,
    girths,
    top: (girths[0] as GirthAt).girth,
    foot: (girths.at(-1) as GirthAt).girth,
    slant,
    handle,
  });
}

export function flatSolid(shape: FlatShape, places: readonly PlaceReadings[]): FlatSolid {
  return {
    kind: 'flat',
    width: read(places, 'width') ?? maker(shape.outline.widthMm, MAKER_HALF_WIDTH_MM),
    height: read(places, 'height') ?? maker(shape.outline.heightMm, MAKER_HALF_WIDTH_MM),
  };
}

/** Girth in the middle of the wall, for whatever needs one figure; both ends' doubts weigh half. */
export const middleGirth = (s: RoundSolid): Uncertain =>
  s.form === 'shaped' ? girthAt(s, (s.wall.topMm + s.wall.footMm) / 2) : scaled(plus(s.top, s.foot), 0.5);

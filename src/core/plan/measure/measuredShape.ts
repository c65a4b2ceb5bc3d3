import { say } from '../../message/message';
import { makerSource } from '../../figures/sources';
import {
  derive,
  exact,
  meanOf,
  measured,
  plus,
  scaled,
  times,
  uniformU,
  type Uncertain,
} from '../../figures/uncertain';
import type { PlaceRole } from '../../readings/places';
import type { PlaceReadings } from '../../readings/readings';
import { MAKER_HALF_WIDTH_MM, makerWidth } from '../../readings/surface';
import { fail, ok, type Result } from '../../basics/result';
import type { Band } from '../../shapes/band';
import { alongMm, profileAt, profileThrough, stretchFor, type Profile } from '../../shapes/profile';
import { formOf, nominalProfile, wallOf, type RoundForm } from '../../shapes/round';
import type { FlatShape, RoundShape, WallSection } from '../../shop/blank';

/** A circumference of the bare surface, right round, at a height from the rim. */
export interface CircumferenceAt {
  readonly zMm: number;
  readonly circumference: Uncertain;
}

/** A round blank as far as it is known: readings where they were taken, the maker's figures elsewhere. */
export interface MeasuredRound {
  readonly kind: 'round';
  readonly form: RoundForm;
  readonly wall: Band;
  readonly profile: Profile;
  readonly circumferences: readonly CircumferenceAt[];
  readonly top: Uncertain;
  readonly foot: Uncertain;
  /** Along the wall from top to foot. */
  readonly slant: Uncertain;
  readonly handle: Uncertain | null;
}

export interface MeasuredFlat {
  readonly kind: 'flat';
  readonly width: Uncertain;
  readonly height: Uncertain;
}

export type MeasuredShape = MeasuredRound | MeasuredFlat;

const MAKER_HEIGHT_HALF_WIDTH_MM = 2;
const MAKER_HANDLE_HALF_WIDTH_MM = 2;
/** A wall that turns in or out faster than this between two readings is a slip of a reading: radius against height. */
const STEEPEST = 2.5;

const maker = (value: number, halfWidth: number, what: string): Uncertain =>
  measured(value, uniformU(halfWidth), makerSource(what));

/** The handle's width by the catalogue. */
export const makerHandle = (widthMm: number): Uncertain =>
  maker(widthMm, MAKER_HANDLE_HALF_WIDTH_MM, 'handle');

/** Circumference of the catalogue's wall at a height below the rim: between two of its widths, with the uncertainty of both. */
function nominalCircumferenceAt(shape: RoundShape, profile: Profile, z: number): Uncertain {
  const value = 2 * Math.PI * profileAt(profile, z).r;
  const above = shape.sections.filter((s) => s.fromRimMm <= z).at(-1) ?? shape.sections[0];
  const below = shape.sections.find((s) => s.fromRimMm >= z) ?? shape.sections.at(-1);
  if (!above || !below) return exact(value);
  const run = below.fromRimMm - above.fromRimMm;
  const share = run === 0 ? 0 : (z - above.fromRimMm) / run;
  const of = (s: WallSection, weight: number) => scaled(makerWidth(s.diameterMm), Math.PI * weight);
  return { value, parts: plus(of(above, 1 - share), of(below, share)).parts };
}

/** A circumference measured at a height, beside what the catalogue has there. */
interface Known {
  readonly z: number;
  readonly circumference: Uncertain;
  readonly nominal: Uncertain;
}

/** Measured over nominal. */
const ratioOf = (k: Known): Uncertain =>
  derive([k.circumference, k.nominal], (measuredMm, nominalMm) => measuredMm / nominalMm);

/** Measured over nominal circumference at a height: straight between measured places, level beyond them. */
function ratioAt(known: readonly Known[], z: number): Uncertain {
  const after = known.findIndex((k) => k.z >= z);
  const below = known[after === -1 ? known.length - 1 : after];
  const above = known[Math.max(0, after === -1 ? known.length - 1 : after - 1)];
  if (!above || !below) return exact(1);
  if (above === below || z <= above.z) return ratioOf(above === below ? below : above);
  const share = (z - above.z) / (below.z - above.z);
  return plus(scaled(ratioOf(above), 1 - share), scaled(ratioOf(below), share));
}

/** Two places this close are one for the catalogue's figures, mm. */
const SAME_PLACE_MM = 3;
/** Circumferences taken this close together are repeats of one, mm. */
const SAME_HEIGHT_MM = 1;

/** Circumferences at one height as one: their mean, at the height of the first, so that rim and foot stay where they are. */
function oneAHeight(known: readonly Known[]): Known[] {
  const groups: Known[][] = [];
  for (const k of known) {
    const group = groups.at(-1);
    if (group?.[0] && k.z - group[0].z < SAME_HEIGHT_MM) group.push(k);
    else groups.push([k]);
  }
  return groups.flatMap(([first, ...rest]) =>
    first
      ? [{ ...first, circumference: meanOf(first.circumference, ...rest.map((k) => k.circumference)) }]
      : [],
  );
}

function circumferencesOf(
  shape: RoundShape,
  places: readonly PlaceReadings[],
  wall: Band,
  handle: Uncertain,
): CircumferenceAt[] {
  const profile = nominalProfile(shape.sections);
  const stretch = (wall.footMm - wall.topMm) / (wallOf(shape).footMm - wallOf(shape).topMm);
  const nominalAt = (z: number) =>
    nominalCircumferenceAt(shape, profile, wallOf(shape).topMm + (z - wall.topMm) / stretch);
  const heightOf = (p: PlaceReadings): number =>
    p.place.role === 'rim'
      ? wall.topMm
      : p.place.role === 'foot'
        ? wall.footMm
        : (p.place.atMm ?? wall.topMm);
  const taken = places
    .flatMap((p): Known[] => {
      if (p.place.kind !== 'circumference' || !p.value) return [];
      const z = heightOf(p);
      if (z < wall.topMm - SAME_HEIGHT_MM || z > wall.footMm + SAME_HEIGHT_MM) return [];
      const inside = Math.min(wall.footMm, Math.max(wall.topMm, z));
      // Handled walls are read from handle to handle; the handle makes it whole.
      return [{ z: inside, circumference: plus(p.value, handle), nominal: nominalAt(inside) }];
    })
    .sort((a, b) => a.z - b.z);
  const known = oneAHeight(taken);
  const inner = shape.sections.map((v) => wall.topMm + (v.fromRimMm - wallOf(shape).topMm) * stretch);
  const estimated = inner
    .filter((z) => known.every((k) => Math.abs(k.z - z) > SAME_PLACE_MM))
    .map((z): CircumferenceAt => ({ zMm: z, circumference: times(nominalAt(z), ratioAt(known, z)) }));
  return [
    ...known.map((k): CircumferenceAt => ({ zMm: k.z, circumference: k.circumference })),
    ...estimated,
  ].sort((a, b) => a.zMm - b.zMm);
}

/** Circumference at a height, its uncertainty taken from the two places beside it. */
export function circumferenceAt(measuredShape: MeasuredRound, zMm: number): Uncertain {
  const { circumferences, profile } = measuredShape;
  const value = 2 * Math.PI * profileAt(profile, zMm).r;
  const above = circumferences.filter((g) => g.zMm <= zMm).at(-1) ?? circumferences[0];
  const below = circumferences.find((g) => g.zMm >= zMm) ?? circumferences.at(-1);
  if (!above || !below) return exact(value);
  const share = below.zMm === above.zMm ? 0 : (zMm - above.zMm) / (below.zMm - above.zMm);
  const parts: Record<string, number> = {};
  for (const [source, u] of Object.entries(above.circumference.parts)) parts[source] = (1 - share) * u;
  if (below !== above)
    for (const [source, u] of Object.entries(below.circumference.parts))
      parts[source] = (parts[source] ?? 0) + share * u;
  return { value, parts };
}

const read = (places: readonly PlaceReadings[], role: PlaceRole): Uncertain | null =>
  places.find((p) => p.place.role === role)?.value ?? null;

const profileOf = (circumferences: readonly CircumferenceAt[]): Profile =>
  profileThrough(circumferences.map((g) => ({ z: g.zMm, r: g.circumference.value / (2 * Math.PI) })));

/** Further than this off the straight line from rim to foot, mm of circumference, a wall bulges. */
const BULGES_MM = 1.5;

/** The catalogue's form, unless a circumference taken between rim and foot shows a belly or a waist. */
function formFound(
  shape: RoundShape,
  circumferences: readonly CircumferenceAt[],
  stations: readonly PlaceReadings[],
): RoundForm {
  const form = formOf(shape);
  const first = circumferences[0];
  const last = circumferences.at(-1);
  const taken = stations.some((p) => p.place.role === 'between' && p.value);
  if (form === 'shaped' || !taken || !first || !last) return form;
  const slope = (last.circumference.value - first.circumference.value) / (last.zMm - first.zMm);
  const off = (g: CircumferenceAt) =>
    Math.abs(g.circumference.value - first.circumference.value - slope * (g.zMm - first.zMm));
  return circumferences.some((g) => off(g) > BULGES_MM) ? 'shaped' : form;
}

function sane(circumferences: readonly CircumferenceAt[]): Result<true> {
  for (let i = 1; i < circumferences.length; i += 1) {
    const a = circumferences[i - 1] as CircumferenceAt;
    const b = circumferences[i] as CircumferenceAt;
    const steep = Math.abs(b.circumference.value - a.circumference.value) / (2 * Math.PI) / (b.zMm - a.zMm);
    if (steep > STEEPEST)
      return fail(
        say('measure.betweenMmBelowRim', { z: Math.round(a.zMm), z2: Math.round(b.zMm) }),
        say('measure.circumferences'),
        say('measure.oneTwoWrongMeasure'),
      );
  }
  return ok(true);
}

/** The wall as far as its length goes: along it, and how tall it stands for that. */
interface Length {
  readonly slant: Uncertain;
  readonly wall: Band;
}

/** The catalogue's wall with the circumferences found, stretched in height until it is as long as it was measured. */
function lengthOf(
  shape: RoundShape,
  rough: readonly CircumferenceAt[],
  taken: Uncertain | null,
): Result<Length> {
  const nominal = wallOf(shape);
  const profile = profileOf(rough);
  const slant = taken ?? maker(alongMm(profile), MAKER_HEIGHT_HALF_WIDTH_MM, 'wall');
  const stretch = stretchFor(profile, slant.value);
  if (stretch === null)
    return fail(
      say('measure.wallShorterThanCircumferences'),
      say('measure.heightWall'),
      say('measure.measureAlongWallBoth'),
    );
  const heightMm = (nominal.footMm - nominal.topMm) * stretch;
  return ok({ slant, wall: { topMm: nominal.topMm, footMm: nominal.topMm + heightMm } });
}

/** A round blank from its readings; a problem where the readings cannot be one wall. */
export function measuredRound(shape: RoundShape, places: readonly PlaceReadings[]): Result<MeasuredRound> {
  const handle = shape.handle ? (read(places, 'handle') ?? makerHandle(shape.handle.widthMm)) : null;
  const rough = circumferencesOf(shape, places, wallOf(shape), handle ?? exact(0));
  const length = lengthOf(shape, rough, read(places, 'wall'));
  if (!length.ok) return length;
  const { slant, wall } = length.value;
  const circumferences = circumferencesOf(shape, places, wall, handle ?? exact(0));
  const checked = sane(circumferences);
  if (!checked.ok) return checked;
  return ok({
    kind: 'round',
    form: formFound(shape, circumferences, places),
    wall,
    profile: profileOf(circumferences),
    circumferences,
    top: (circumferences[0] as CircumferenceAt).circumference,
    foot: (circumferences.at(-1) as CircumferenceAt).circumference,
    slant,
    handle,
  });
}

export function measuredFlat(shape: FlatShape, places: readonly PlaceReadings[]): MeasuredFlat {
  return {
    kind: 'flat',
    width: read(places, 'width') ?? maker(shape.outline.widthMm, MAKER_HALF_WIDTH_MM, 'width'),
    height: read(places, 'height') ?? maker(shape.outline.heightMm, MAKER_HALF_WIDTH_MM, 'height'),
  };
}

/** Circumference in the middle of the wall, for whatever needs one figure; both ends' uncertainties weigh half. */
export const middleCircumference = (s: MeasuredRound): Uncertain =>
  s.form === 'shaped'
    ? circumferenceAt(s, (s.wall.topMm + s.wall.footMm) / 2)
    : scaled(plus(s.top, s.foot), 0.5);

/** Heights sampled when the widest or narrowest of a wall is looked for. */
const EXTREME_STEPS = 200;

export interface CircumferenceRange {
  readonly widest: Uncertain;
  readonly narrowest: Uncertain;
}

/** The widest and the narrowest circumference between two heights. */
export function circumferenceRange(s: MeasuredRound, band: Band): CircumferenceRange {
  const heights = [
    ...Array.from(
      { length: EXTREME_STEPS + 1 },
      (_, i) => band.topMm + ((band.footMm - band.topMm) * i) / EXTREME_STEPS,
    ),
    ...s.circumferences.map((g) => g.zMm).filter((z) => z >= band.topMm && z <= band.footMm),
  ];
  const at = (better: (a: number, b: number) => boolean) =>
    heights.reduce((best, z) => (better(profileAt(s.profile, z).r, profileAt(s.profile, best).r) ? z : best));
  return {
    widest: circumferenceAt(
      s,
      at((a, b) => a > b),
    ),
    narrowest: circumferenceAt(
      s,
      at((a, b) => a < b),
    ),
  };
}

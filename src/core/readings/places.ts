import type { Blank, FlatShape, RoundShape } from '../shop/blank';
import { alongWallMm, nominalProfile, wallOf } from '../shapes/round';
import { profileAt } from '../shapes/profile';
import { readingSource } from '../figures/sources';

/** What a place is on the blank; its id only tells one from another. */
export type PlaceRole = 'rim' | 'foot' | 'between' | 'wall' | 'handle' | 'width' | 'height';

/** Where a blank is measured: what is expected there bounds what can be believed. */
export interface PlaceSpec {
  readonly id: string;
  readonly role: PlaceRole;
  readonly name: string;
  readonly hint: string;
  /** A circumference goes round the wall and is corrected to its surface; a length is taken as read. */
  readonly kind: 'circumference' | 'length';
  readonly minMm: number;
  readonly maxMm: number;
  /** What the maker's figures give here, mm. */
  readonly expectedMm: number;
  /** What the tape leaves out: the width of a handle. 0 right round. */
  readonly gapMm: number;
  /** Height on the drawing from the rim, mm; null where it is not at one height. */
  readonly atMm: number | null;
}

export const sourceOfPlace = (p: PlaceSpec): string => readingSource(p.name);

/** A reading this far off the maker's figure, either way, is a slip of unit or of the pen. */
const BELIEVED = 1.8;

const place = (p: Omit<PlaceSpec, 'minMm' | 'maxMm' | 'gapMm' | 'atMm'> & Partial<PlaceSpec>): PlaceSpec => ({
  gapMm: 0,
  atMm: null,
  minMm: p.expectedMm / BELIEVED,
  maxMm: p.expectedMm * BELIEVED,
  ...p,
});

export interface Station {
  readonly id: string;
  readonly fromRimMm: number;
}

/** The places of a round blank, from the rim down, then its wall and handle; `handleMm` as measured, where it was. */
export function roundPlaces(
  s: RoundShape,
  stations: readonly Station[],
  handleMm: number | null = null,
): readonly PlaceSpec[] {
  const wall = wallOf(s);
  const profile = nominalProfile(s.sections);
  const handled = s.handle !== null;
  const gapMm = s.handle ? (handleMm ?? s.handle.widthMm) : 0;
  const circumference = (id: string, role: PlaceRole, name: string, hint: string, atMm: number): PlaceSpec =>
    place({
      id,
      role,
      name,
      hint,
      kind: 'circumference',
      expectedMm: 2 * Math.PI * profileAt(profile, atMm).r - gapMm,
      gapMm,
      atMm,
    });
  const handleSide = handled ? ' From one side of the handle round to the other.' : '';
  return [
    circumference(
      'circumferenceTop',
      'rim',
      'Circumference near the rim',
      `Where the wall starts, just under the lip.${handleSide}`,
      wall.topMm,
    ),
    ...[...stations]
      .sort((a, b) => a.fromRimMm - b.fromRimMm)
      .map((st) =>
        circumference(
          st.id,
          'between',
          `Circumference ${round1(st.fromRimMm)} mm down`,
          'Tape level, at this height below the rim.',
          st.fromRimMm,
        ),
      ),
    circumference(
      'circumferenceFoot',
      'foot',
      'Circumference near the foot',
      `Just above the rounded foot.${handleSide}`,
      wall.footMm,
    ),
    place({
      id: 'wall',
      role: 'wall',
      name: 'Height of the wall',
      hint: 'Along the wall, where paper can lie: not the lip, not the rounded foot.',
      kind: 'length',
      expectedMm: alongWallMm(s),
    }),
    ...(s.handle
      ? [
          place({
            id: 'handle',
            role: 'handle',
            name: 'Width of the handle',
            hint: 'Across, where it meets the wall.',
            kind: 'length',
            expectedMm: s.handle.widthMm,
            minMm: 3,
            maxMm: 80,
          }),
        ]
      : []),
  ];
}

const round1 = (v: number): number => Math.round(v * 10) / 10;

function flatPlaces(s: FlatShape): readonly PlaceSpec[] {
  return [
    place({
      id: 'width',
      role: 'width',
      name: 'Overall width',
      hint: 'The widest, edge to edge.',
      kind: 'length',
      expectedMm: s.outline.widthMm,
    }),
    place({
      id: 'height',
      role: 'height',
      name: 'Overall height',
      hint: 'The tallest, lug and all.',
      kind: 'length',
      expectedMm: s.outline.heightMm,
    }),
  ];
}

/** `handleMm`: the handle as measured, null where it was not. */
export const placesOf = (
  b: Blank,
  stations: readonly Station[],
  handleMm: number | null = null,
): readonly PlaceSpec[] =>
  b.shape.kind === 'round' ? roundPlaces(b.shape, stations, handleMm) : flatPlaces(b.shape);

import type { Blank, FlatShape, RoundShape } from '../shop/blank';
import { nominalProfile, wallOf } from '../shapes/round';
import { profileAt } from '../shapes/profile';
import { readingSource } from '../figures/sources';

/** Where a blank is measured: what is expected there bounds what can be believed. */
export interface PlaceSpec {
  readonly id: string;
  readonly name: string;
  readonly hint: string;
  /** A girth goes round the wall and is corrected to its surface; a length is taken as read. */
  readonly kind: 'girth' | 'length';
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

/** The places of a round blank, from the rim down, then its wall and handle. */
export function roundPlaces(s: RoundShape, stations: readonly Station[]): readonly PlaceSpec[] {
  const wall = wallOf(s);
  const profile = nominalProfile(s.sections);
  const handled = s.handle !== null;
  const gapMm = s.handle?.widthMm ?? 0;
  const girth = (id: string, name: string, hint: string, atMm: number): PlaceSpec =>
    place({
      id,
      name,
      hint,
      kind: 'girth',
      expectedMm: 2 * Math.PI * profileAt(profile, atMm).r - gapMm,
      gapMm,
      atMm,
    });
  const handleSide = handled ? ' From one side of the handle round to the other.' : '';
  return [
    girth(
      'girthTop',
      'Girth near the rim',
      `Where the wall starts, just under the lip.${handleSide}`,
      wall.topMm,
    ),
    ...[...stations]
      .sort((a, b) => a.fromRimMm - b.fromRimMm)
      .map((st) =>
        girth(
          st.id,
          `Girth ${round1(st.fromRimMm)} mm down`,
          'Tape level, at this height below the rim.',
          st.fromRimMm,
        ),
      ),
    girth('girthFoot', 'Girth near the foot', `Just above the rounded foot.${handleSide}`, wall.footMm),
    place({
      id: 'wall',
      name: 'Height of the wall',
      hint: 'Along the wall, where paper can lie: not the lip, not the rounded foot.',
      kind: 'length',
      expectedMm: wall.footMm - wall.topMm,
    }),
    ...(s.handle
      ? [
          place({
            id: 'handle',
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
      name: 'Width over all',
      hint: 'The widest, edge to edge.',
      kind: 'length',
      expectedMm: s.outline.widthMm,
    }),
    place({
      id: 'height',
      name: 'Height over all',
      hint: 'The tallest, lug and all.',
      kind: 'length',
      expectedMm: s.outline.heightMm,
    }),
  ];
}

export const placesOf = (b: Blank, stations: readonly Station[]): readonly PlaceSpec[] =>
  b.shape.kind === 'round' ? roundPlaces(b.shape, stations) : flatPlaces(b.shape);

import { say, inTurn, type Message } from '../message/message';
import type { Blank, FlatShape, RoundShape } from '../shop/blank';
import { alongWallMm, nominalProfile, wallOf } from '../shapes/round';
import { profileAt } from '../shapes/profile';
import { placeName, readingSource, type PlaceRole } from '../figures/sources';

export type { PlaceRole } from '../figures/sources';

/** Where a blank is measured: what is expected there bounds what can be believed. */
export interface PlaceSpec {
  readonly id: string;
  readonly role: PlaceRole;
  readonly name: Message;
  readonly hint: Message;
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

export const sourceOfPlace = (p: PlaceSpec): string => readingSource(p.role, round1(p.atMm ?? 0));

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
  const circumference = (id: string, role: PlaceRole, hint: Message, atMm: number): PlaceSpec =>
    place({
      id,
      role,
      name: placeName(role, round1(atMm)),
      hint,
      kind: 'circumference',
      expectedMm: 2 * Math.PI * profileAt(profile, atMm).r - gapMm,
      gapMm,
      atMm,
    });
  const side = (hint: Message): Message => (handled ? inTurn(hint, say('measure.fromSideToSide')) : hint);
  return [
    circumference('circumferenceTop', 'rim', side(say('measure.whereWallStartsJust')), wall.topMm),
    ...[...stations]
      .sort((a, b) => a.fromRimMm - b.fromRimMm)
      .map((st) => circumference(st.id, 'between', say('measure.tapeLevelHeightBelow'), st.fromRimMm)),
    circumference('circumferenceFoot', 'foot', side(say('measure.justAboveRoundedFoot')), wall.footMm),
    place({
      id: 'wall',
      role: 'wall',
      name: placeName('wall', 0),
      hint: say('measure.alongWallWherePaper'),
      kind: 'length',
      expectedMm: alongWallMm(s),
    }),
    ...(s.handle
      ? [
          place({
            id: 'handle',
            role: 'handle',
            name: placeName('handle', 0),
            hint: say('measure.acrossWhereMeetsWall'),
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
      name: placeName('width', 0),
      hint: say('measure.widestEdgeEdge'),
      kind: 'length',
      expectedMm: s.outline.widthMm,
    }),
    place({
      id: 'height',
      role: 'height',
      name: placeName('height', 0),
      hint: say('measure.tallestLugAll'),
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

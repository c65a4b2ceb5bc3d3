import { say } from '../message/message';
import type { Blank } from '../shop/blank';
import { linearOf } from './colour';

/** Linear light, 0..1 each. */
export type Light = readonly [number, number, number];

/** What a clear blank may be seen against. */
export const BACKINGS = [
  { label: say('art.whiteCard'), colour: '#ffffff' },
  { label: say('art.againstWindow'), colour: '#dfe9ef' },
  { label: say('art.againstWood'), colour: '#a37b4f' },
  { label: say('art.darkWall'), colour: '#23282b' },
] as const;

export const lightOf = (hex: string): Light => {
  const at = (i: number) => linearOf(parseInt(hex.slice(i, i + 2), 16));
  return [at(1), at(3), at(5)];
};

/**
 * How art turns into what is seen on a blank: out = lift + (1 − lift) × tint × art, in linear light. Dye is a filter and the blank is the
 * paper: there is no white ink. A matte coat scatters a little light off every black.
 */
export interface PressedPicture {
  readonly tint: Light;
  readonly lift: number;
}

const LIFT: Readonly<Record<Blank['coating']['finish'], number>> = {
  gloss: 0.004,
  textured: 0.02,
  matte: 0.035,
};

/** How a blank shows art; `behindColour` is the colour of what a clear one is seen against, as #rrggbb. */
export function pressedPicture({ coating }: Pick<Blank, 'coating'>, behindColour: string): PressedPicture {
  const own = lightOf(coating.colour);
  const behind = lightOf(behindColour);
  const tint: Light =
    coating.stock === 'clear' ? [own[0] * behind[0], own[1] * behind[1], own[2] * behind[2]] : own;
  return { tint, lift: LIFT[coating.finish] };
}

/** Linear light of one colour of art once it is on the blank. */
export const pressedLight = (art: Light, { tint, lift }: PressedPicture): Light => [
  lift + (1 - lift) * tint[0] * art[0],
  lift + (1 - lift) * tint[1] * art[1],
  lift + (1 - lift) * tint[2] * art[2],
];

/** The same as the 20 numbers of a colour matrix over linear light, rows R G B A. */
export function pressedMatrix({ tint, lift }: PressedPicture): readonly number[] {
  const k = 1 - lift;
  return [
    [k * tint[0], 0, 0, 0, lift],
    [0, k * tint[1], 0, 0, lift],
    [0, 0, k * tint[2], 0, lift],
    [0, 0, 0, 1, 0],
  ].flat();
}

/**
 * The sheet before pressing: dye on paper absorbs far less than dye in the coat. A rough likeness, kept to a third of full colour and
 * never black, so that a dull print worries nobody. Rows R G B A over linear light.
 */
export const DULL_PRINT: readonly number[] = (() => {
  const [r, g, b] = [0.2126, 0.7152, 0.0722];
  const colour = 0.8;
  const [slope, floor] = [0.66, 0.11];
  const row = (own: 0 | 1 | 2) =>
    [r, g, b].map((w, i) => slope * ((1 - colour) * w + (i === own ? colour : 0))).concat([0, floor]);
  return [...row(0), ...row(1), ...row(2), 0, 0, 0, 1, 0];
})();

import { say, type Message } from '../message/message';
import type { Blank, Family, FlatOutline, Material } from './blank';
import type { FlatPress, Oven, PressureScale } from './press';
import type { Media } from './practices';
import type { Hold } from './settings';

export const FAMILY_WORDS: Readonly<Record<Family, Message>> = {
  mug: say('kinds.mug'),
  tumbler: say('kinds.tumbler'),
  bottle: say('kinds.bottle'),
  'can sleeve': say('kinds.canSleeve'),
  glass: say('kinds.glass'),
  cup: say('kinds.cup'),
  stein: say('kinds.stein'),
  'small cup': say('kinds.smallCup'),
  bowl: say('kinds.bowl'),
  pen: say('kinds.pen'),
  'metal panel': say('kinds.metalPanel'),
  'steel sheet': say('kinds.steelSheet'),
  board: say('kinds.board'),
  plaque: say('kinds.plaque'),
  FRP: say('kinds.frp'),
  acrylic: say('kinds.acrylic'),
  slate: say('kinds.slate'),
  tile: say('kinds.tile'),
  ornament: say('kinds.ornament'),
  tag: say('kinds.tag'),
  opener: say('kinds.opener'),
  clock: say('kinds.clock'),
  badge: say('kinds.badge'),
  coaster: say('kinds.coaster'),
  tray: say('kinds.tray'),
};

export const MATERIAL_WORDS: Readonly<Record<Material, Message>> = {
  steel: say('kinds.steel'),
  glass: say('kinds.glass'),
  ceramic: say('kinds.ceramic'),
  aluminium: say('kinds.aluminium'),
  hardboard: say('kinds.hardboard'),
  FRP: say('kinds.frp'),
  acrylic: say('kinds.acrylic'),
  slate: say('kinds.slate'),
  polymer: say('kinds.polymer'),
};

export const FINISH_WORDS: Readonly<Record<Blank['coating']['finish'], Message>> = {
  gloss: say('kinds.gloss'),
  matte: say('kinds.matte'),
  textured: say('kinds.textured'),
};

export const WALL_WORDS: Readonly<Record<Blank['wall'], Message>> = {
  vacuum: say('kinds.vacuum'),
  single: say('kinds.single'),
};

/** What holds a wrap on its blank in a wrap press. */
export const HOLD_WORDS: Readonly<Record<Hold, Message>> = {
  'bare tape': say('kinds.bareTape'),
  'tape pulled tight': say('kinds.tapePulledTight'),
  sleeve: say('heat.sleeve'),
};

/** What holds a wrap on its blank in an oven. */
export const OVEN_HOLD_WORDS: Readonly<Record<Oven['hold'], Message>> = {
  sleeve: say('heat.sleeve'),
  'shrink film': say('heat.shrinkFilm'),
  'wound tape': say('heat.woundTape'),
};

export const OPENS_WORDS: Readonly<Record<FlatPress['opens'], Message>> = {
  'swing-away': say('kinds.swingAway'),
  clamshell: say('kinds.clamshell'),
  drawer: say('kinds.drawer'),
};

/** How a press shows the pressure it is set to. */
export const PRESSURE_SCALE_WORDS: Readonly<Record<PressureScale, Message>> = {
  none: say('kinds.scaleNone'),
  number: say('kinds.scaleNumber'),
  turns: say('kinds.scaleTurns'),
  gap: say('kinds.scaleGap'),
  notch: say('kinds.scaleNotch'),
};

/** What is printed on. */
export const MEDIA_WORDS: Readonly<Record<Media, Message>> = {
  transfer: say('kinds.transferPaper'),
  copy: say('kinds.copyPaper'),
};

export const FLAT_FORM_WORDS: Readonly<Record<FlatOutline['form'], Message>> = {
  rectangle: say('blank.rectangle'),
  oval: say('blank.ovalDisc'),
  hexagon: say('blank.hexagon'),
  star: say('blank.star'),
  heart: say('blank.heart'),
  tag: say('blank.tag'),
  arch: say('blank.arch'),
  'lugged disc': say('blank.discLug'),
  drawn: say('blank.fromDrawing'),
};

/** Whether a blank is seen through. */
export const STOCK_WORDS: Readonly<Record<Blank['coating']['stock'], Message>> = {
  opaque: say('kinds.opaque'),
  clear: say('kinds.clear'),
};

import type { HeatSettings } from '../heat/settings';
import { isOven, type Press } from '../shop/press';
import { isBarrel, isHandled, type Blank } from '../shop/blank';
import type { Hold, School } from '../shop/settings';
import { say, type Phrase } from '../units/phrase';
import { celsius } from '../units/quantity';

/** What decides how the paper is fixed to a blank. */
export interface Fixing {
  readonly school: School;
  /** What the seam method asks of the hands. */
  readonly seam: Phrase;
  readonly hold: Hold;
  readonly bothFaces: boolean;
  readonly parcel: boolean;
}

const WASTE = say`Plain paper under and over; throw it away after one use`;

/** Fixing paper to a flat blank: tape or tack, one face or two about the fold. */
function fixFlat(blank: Blank, { bothFaces, parcel }: Fixing): readonly Phrase[] {
  const dry = blank.material === 'hardboard' ? [say`Pre-press it bare for a few seconds: moisture out`] : [];
  if (bothFaces)
    return [
      ...dry,
      say`Fold the sheet on its ticks, print side in, and put the blank between`,
      say`Three light passes of spray tack, away from the press, into a shield; or tape the open edges of the paper to each other, none on a face`,
      WASTE,
    ];
  return [
    ...dry,
    say`Lay the blank face down on the picture, centred on its ticks`,
    parcel
      ? say`Fold the paper up over the edges like a parcel and tape it on the back, tight, no fold on the face`
      : say`Tape at two edges, outside the picture; or three light passes of spray tack, away from the press, into a shield`,
    WASTE,
  ];
}

/** Winding a barrel: nothing taped at its rims, which are open and cut off. */
const fixBarrel = (): readonly Phrase[] => [
  say`Wrap it and lap the ends; a strip of tape inside the lap, so that nothing goes through twice`,
  say`Wind heat-proof tape from the middle to both ends, the way the paper laps, no ridge and no gap`,
  say`Leave a tail at each end to pull by`,
];

/** Paper with white between its ends: the ends are held, there is no seam to tape. */
function fixOpen(handled: boolean, seam: Phrase): readonly Phrase[] {
  return [
    say`Wrap tight from the middle outwards. ${seam}`,
    handled
      ? say`Tape both ends down flat beside the handle, tabs folded, none across the picture`
      : say`Tape both ends down flat, full length, tabs folded, none across the picture`,
  ];
}

/** Paper whose ends meet or lap. */
const fixClosed = (seam: Phrase): readonly Phrase[] => [
  say`Wrap tight from the middle outwards. ${seam}`,
  say`Tape the seam its full length, a folded tab at one end, and rub the air out of it`,
];

/** Fixing paper round a wall, by the seam, the hold and what presses it. */
function fixRound(
  blank: Blank,
  press: Press,
  s: HeatSettings,
  { school, seam, hold }: Fixing,
): readonly Phrase[] {
  if (isBarrel(blank)) return fixBarrel();
  const handled = isHandled(blank);
  const open = school === 'under' || school === 'gap';
  const ends = open ? fixOpen(handled, seam) : fixClosed(seam);
  // A mug press closes over the whole wrap of a handled blank; elsewhere the rims are pulled down or they lift.
  const rims =
    handled && !isOven(press) ? [] : [say`Tape both rims, pulling the paper down like shrink film`];
  const sleeve = hold === 'sleeve' ? [say`Pull the sleeve over the whole wrap, no fold, no bubble`] : [];
  const over = isOven(press)
    ? s.pressure === 'tape'
      ? []
      : [say`Pull the ${press.hold} over the whole wrap, no fold, no bubble`]
    : [...sleeve, say`Fresh waste paper round it, one use only`];
  return [...ends, ...rims, ...over];
}

/** What the press or oven has to be set to before. */
function setUp(s: HeatSettings, blank: Blank, press: Press): readonly Phrase[] {
  if (isOven(press)) return [say`Heat the oven to ${celsius(s.platenC)} with its rack in`];
  return [
    say`Set pressure cold, with the blank in: ${s.pressure.replace('-', ' to ')}`,
    blank.shape.kind === 'flat'
      ? say`Set ${celsius(s.platenC)} and let it settle`
      : say`Set ${celsius(s.platenC)}; warm the first cycle with a spare blank`,
  ];
}

/** What to do before the first piece goes in, in order: as this blank, its seam, its hold and its press ask. */
export function prePressSteps(
  s: HeatSettings,
  blank: Blank,
  press: Press,
  fixing: Fixing,
): readonly Phrase[] {
  const flat = blank.shape.kind === 'flat';
  return [
    ...blank.takeOff.map((part) => say`Take off: ${part}`),
    ...(blank.film ? [say`Peel the protective film`] : []),
    flat
      ? say`Lint roller over the face, or alcohol and a lint-free cloth well away from the press; then do not touch it`
      : say`Wipe with alcohol and a lint-free cloth, well away from the press, then do not touch the face`,
    ...(flat ? fixFlat(blank, fixing) : fixRound(blank, press, s, fixing)),
    ...setUp(s, blank, press),
  ];
}

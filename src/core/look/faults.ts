import type { FaultId } from '../shop/faultIds';

/**
 * What can be seen on a pressed piece, and what makes it, most likely first. Working-trade knowledge: a cause early in
 * a list weighs more.
 */
export const FAULTS = [
  {
    id: 'faded-all',
    label: 'Faded all over',
    causes: ['too-cool', 'too-short', 'not-recovered', 'light-pressure', 'wrong-side'],
  },
  { id: 'faded-edge', label: 'Faded corner or edge', causes: ['past-heater', 'uneven-pressure'] },
  { id: 'faded-band', label: 'Faded band at rim or foot', causes: ['over-curve', 'past-heater'] },
  {
    id: 'white-stripe',
    label: 'White stripe at seam',
    causes: ['wrap-short', 'pulled-open', 'no-heat-gap', 'paper-shrank'],
  },
  { id: 'dark-seam', label: 'Dark or blurred seam', causes: ['lapped', 'gas-sideways', 'air-in-seam'] },
  { id: 'ghost', label: 'Ghosting', causes: ['moved-hot', 'tape-let-go'] },
  { id: 'halo', label: 'Soft halo on fine lines', causes: ['too-hot', 'too-long', 'slow-peel', 'wet-print'] },
  { id: 'browned', label: 'Brown, orange or yellowed', causes: ['too-long', 'too-hot', 'left-wrapped'] },
  { id: 'colour-speck', label: 'Coloured speck', causes: ['lint'] },
  { id: 'pale-speck', label: 'Pale speck', causes: ['coating-dust'] },
  { id: 'stuck', label: 'Paper stuck', causes: ['heavy-pressure', 'too-long', 'paper-brand'] },
  { id: 'tape-mark', label: 'Tape shadow', causes: ['tape-crosses'] },
  { id: 'stray', label: 'Stray colour', causes: ['no-waste-sheet'] },
  { id: 'white-rim', label: 'White rim', causes: ['wrap-short-tall', 'slipped'] },
  { id: 'blotches', label: 'Blotches', causes: ['moisture', 'uneven-pressure', 'wet-print'] },
  { id: 'wrong-way', label: 'Mirrored or upside down', causes: ['mirror-count', 'put-on-upside-down'] },
] as const satisfies readonly { id: FaultId; label: string; causes: readonly string[] }[];

export type CauseId = (typeof FAULTS)[number]['causes'][number];

/** Each cause in shop words with the one change to try first. */
export const CAUSES: Readonly<Record<CauseId, { label: string; change: string }>> = {
  'too-cool': { label: 'press too cool', change: 'Raise the set temperature a little, nothing else.' },
  'too-short': { label: 'time too short', change: 'Add time, nothing else.' },
  'not-recovered': {
    label: 'press had not climbed back',
    change: 'Wait for temperature before the timer starts.',
  },
  'light-pressure': {
    label: 'pressure too light',
    change: 'Close one notch firmer, cold, with the blank in.',
  },
  'wrong-side': { label: 'wrong side or wrong paper', change: 'Check the print side of the paper.' },
  'past-heater': {
    label: 'printed past the heater',
    change: 'Slide the piece so the wrap sits inside the heater.',
  },
  'uneven-pressure': { label: 'uneven pressure', change: 'Even up the pressure, cold, with the blank in.' },
  'over-curve': { label: 'paper over the curve', change: 'Set the wrap further back from that edge.' },
  'wrap-short': { label: 'wrap cut short', change: 'Cut longer and trim at the pencil mark.' },
  'pulled-open': { label: 'seam pulled open', change: 'Tape the seam its full length before the rims.' },
  'no-heat-gap': {
    label: 'seam sat in the unheated gap',
    change: 'Turn so each pass heats the last pass’s gap.',
  },
  'paper-shrank': { label: 'paper shrank', change: 'Let the print dry, then cut a touch longer.' },
  lapped: { label: 'ends lapped', change: 'Cut to the meeting mark so the ends touch.' },
  'gas-sideways': {
    label: 'dye gas escaped sideways',
    change: 'Tape the seam full length, pressed down hard.',
  },
  'air-in-seam': { label: 'air in the seam', change: 'Rub the seam down with a blunt point.' },
  'moved-hot': {
    label: 'paper moved while hot',
    change: 'Peel in one smooth move, or leave it to cool first.',
  },
  'tape-let-go': { label: 'tape let go', change: 'Use fresh heat tape, and more of it.' },
  'too-hot': { label: 'too hot', change: 'Lower the set temperature a little, nothing else.' },
  'too-long': { label: 'too long', change: 'Take time off, nothing else.' },
  'slow-peel': { label: 'slow peel', change: 'Take the paper off the moment it leaves the press.' },
  'wet-print': { label: 'print not dry', change: 'Let the print dry longer before wrapping.' },
  'left-wrapped': {
    label: 'left wrapped and cooking',
    change: 'Peel at once: it cooks while it stays wrapped.',
  },
  lint: { label: 'lint or dust', change: 'Wipe with alcohol and a lint-free cloth, then do not touch.' },
  'coating-dust': {
    label: 'dust under the coating',
    change: 'Look the blank over under a lamp before wrapping.',
  },
  'heavy-pressure': { label: 'too much pressure', change: 'Back off one notch: one hand should close it.' },
  'paper-brand': { label: 'the paper itself', change: 'Try another paper; soak this one off.' },
  'tape-crosses': {
    label: 'tape across the picture',
    change: 'Move tape outside the picture, or cover it all round.',
  },
  'no-waste-sheet': { label: 'no fresh waste sheet', change: 'Fresh waste paper for every piece.' },
  'wrap-short-tall': { label: 'wrap not tall enough', change: 'Measure the straight wall again.' },
  slipped: { label: 'slipped in the press', change: 'Tape both rims, pulled down tight.' },
  moisture: { label: 'damp in blank or paper', change: 'Warm blank and paper for a few seconds first.' },
  'mirror-count': {
    label: 'mirrored twice or never',
    change: 'Mirror in one place only: the label on the sheet says which.',
  },
  'put-on-upside-down': {
    label: 'wrap put on upside down',
    change: 'Match the “rim” arrow on the sheet to the rim.',
  },
};

import type { CauseId, FaultId, PaperFaultId } from '../shop/faultIds';
import type { Mark } from '../shop/mark';

/** What can be seen on a pressed piece, in the order of the palette; `key` marks it from the keyboard. */
export const FAULTS: readonly { readonly id: FaultId; readonly label: string; readonly key: string }[] = [
  { id: 'faded-all', label: 'Faded all over', key: 'a' },
  { id: 'faded-edge', label: 'Faded corner or edge', key: 'e' },
  { id: 'faded-band', label: 'Faded band at rim or foot', key: 'f' },
  { id: 'white-stripe', label: 'White stripe at seam', key: 'w' },
  { id: 'dark-seam', label: 'Dark or blurred seam', key: 'd' },
  { id: 'ghost', label: 'Ghosting', key: 'g' },
  { id: 'halo', label: 'Soft halo on fine lines', key: 'h' },
  { id: 'browned', label: 'Brown, orange or yellowed', key: 'o' },
  { id: 'colour-speck', label: 'Coloured speck', key: 's' },
  { id: 'pale-speck', label: 'Pale speck', key: 'p' },
  { id: 'stuck', label: 'Paper stuck', key: 'k' },
  { id: 'tape-mark', label: 'Tape shadow', key: 'z' },
  { id: 'stray', label: 'Stray colour', key: 'y' },
  { id: 'white-rim', label: 'White rim', key: 'r' },
  { id: 'blotches', label: 'Blotches', key: 'b' },
  { id: 'wrong-way', label: 'Mirrored or upside down', key: 'm' },
  { id: 'track-line', label: 'Line across, from the trimmer', key: 'l' },
  { id: 'bowed', label: 'Bowed or cracked', key: 'c' },
];

/** What can be seen on the used paper. */
export const PAPER_FAULTS: readonly {
  readonly id: PaperFaultId;
  readonly label: string;
  readonly key: string;
}[] = [
  { id: 'dye-left', label: 'Dye left on the paper', key: 'i' },
  { id: 'paper-browned', label: 'Paper browned', key: 'n' },
];

const LABELS: Readonly<Record<string, string>> = Object.fromEntries(
  [...FAULTS, ...PAPER_FAULTS].map((f) => [f.id, f.label]),
);
export const faultLabel = (id: FaultId | PaperFaultId): string => LABELS[id] ?? id;

export const isOnPaper = (fault: Mark['fault']): fault is PaperFaultId =>
  fault === 'dye-left' || fault === 'paper-browned';

/** What a cause calls for: more or less heat by the model, a wait before the clock, pressure, or hands. */
export type Remedy = 'more-heat' | 'less-heat' | 'wait' | 'pressure' | 'hands';

export interface CauseWords {
  readonly label: string;
  /** The one change to try first. */
  readonly change: string;
  readonly remedy: Remedy;
}

const hands = (label: string, change: string): CauseWords => ({ label, change, remedy: 'hands' });

/** Each cause in shop words with the one change to try first. */
export const CAUSES: Readonly<Record<CauseId, CauseWords>> = {
  'too-cool': {
    label: 'press too cool',
    change: 'Raise the set temperature a little, nothing else.',
    remedy: 'more-heat',
  },
  'too-short': { label: 'time too short', change: 'Add time, nothing else.', remedy: 'more-heat' },
  'not-recovered': {
    label: 'press had not climbed back',
    change: 'Wait for temperature before the timer starts.',
    remedy: 'wait',
  },
  'light-pressure': {
    label: 'pressure too light',
    change: 'Close one notch firmer, set cold, with the blank in.',
    remedy: 'pressure',
  },
  'wrong-side': hands('wrong side or wrong paper', 'Check the print side of the paper.'),
  'past-heater': hands(
    'past the heater’s reach',
    'Lay or slide it so that all of the print lies well inside heater or platen.',
  ),
  'uneven-pressure': {
    label: 'uneven pressure',
    change: 'Check the platen flatness and pack it level. Until then place the piece where it is level.',
    remedy: 'pressure',
  },
  'over-curve': hands('paper over the curve', 'Set the wrap further back from that edge.'),
  'wrap-short': hands('wrap cut short', 'Cut longer and trim at the pencil mark.'),
  'pulled-open': hands('seam pulled open', 'Tape the seam its full length before the rims.'),
  'no-heat-gap': hands('seam sat in the unheated gap', 'Turn so each pass heats the last pass’s gap.'),
  'paper-shrank': hands('paper shrank', 'Let the print dry, then cut a touch longer.'),
  lapped: hands('ends overlapped', 'Cut to the meeting mark so the ends touch.'),
  'gas-sideways': hands('dye gas escaped sideways', 'Tape the seam full length, pressed down hard.'),
  'air-in-seam': hands('air in the seam', 'Rub the seam down with a blunt point.'),
  'moved-hot': hands('paper moved while hot', 'Let it cool before peeling, or peel in one smooth move.'),
  'tape-let-go': hands('tape let go', 'Use fresh heat tape, and more of it.'),
  'too-hot': {
    label: 'too hot',
    change: 'Lower the set temperature a little, nothing else.',
    remedy: 'less-heat',
  },
  'too-long': { label: 'too long', change: 'Take time off, nothing else.', remedy: 'less-heat' },
  'slow-peel': hands('slow peel', 'Take the paper off the moment it leaves the press.'),
  'wet-print': hands('print not dry', 'Let the print dry longer before wrapping.'),
  'left-wrapped': hands('left wrapped and cooking', 'Peel at once: it cooks while it stays wrapped.'),
  lint: hands('lint or dust', 'Wipe with alcohol and a lint-free cloth, then do not touch.'),
  'coating-dust': hands('dust under the coating', 'Look the blank over under a lamp before wrapping.'),
  'heavy-pressure': {
    label: 'too much pressure',
    change: 'Back off one notch: one hand should close it.',
    remedy: 'pressure',
  },
  'paper-brand': hands('the paper itself', 'Try another paper; soak this one off.'),
  'tape-crosses': hands('tape across the picture', 'Move tape outside the picture, or cover it all round.'),
  'no-waste-sheet': hands('no fresh waste sheet', 'Fresh waste paper for every piece.'),
  'wrap-short-tall': hands('wrap not tall enough', 'Measure the straight wall again.'),
  slipped: hands('slipped in the press', 'Tape both rims, pulled down tight.'),
  moisture: hands('damp in blank or paper', 'Warm blank and paper for a few seconds first.'),
  'mirror-count': hands(
    'mirrored twice or never',
    'Mirror in one place only: the label on the sheet says which.',
  ),
  'put-on-upside-down': hands('wrap put on upside down', 'Match the “rim” arrow on the sheet to the rim.'),
  'poor-coating': hands('poor coating of this lot', 'Take a blank of another lot; set this lot aside.'),
  'wheel-over-ink': hands('trimmer wheel ran over the ink', 'Cut with the print side away from the wheel.'),
  touched: hands('oil or fingers on the face', 'Wipe with alcohol, then do not touch the face again.'),
  'cooled-unevenly': hands('cooled unevenly', 'Cool it flat under weight; never quench glass or stone.'),
};

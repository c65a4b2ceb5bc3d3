import { say, verbatim, type Message } from '../message/message';
import type { CauseId, FaultId, PaperFaultId } from '../shop/faultIds';
import type { Mark } from '../shop/mark';

/** What can be seen on a pressed piece, in the order of the palette; `key` marks it from the keyboard. */
export const FAULTS: readonly { readonly id: FaultId; readonly label: Message; readonly key: string }[] = [
  { id: 'faded-all', label: say('inspect.fadedAllOver'), key: 'a' },
  { id: 'faded-edge', label: say('inspect.fadedCornerEdge'), key: 'e' },
  { id: 'faded-band', label: say('inspect.fadedBandRimFoot'), key: 'f' },
  { id: 'white-stripe', label: say('inspect.whiteStripeSeam'), key: 'w' },
  { id: 'dark-seam', label: say('inspect.darkBlurredSeam'), key: 'd' },
  { id: 'ghost', label: say('inspect.ghosting'), key: 'g' },
  { id: 'halo', label: say('inspect.softHaloFineLines'), key: 'h' },
  { id: 'browned', label: say('inspect.brownOrangeYellowed'), key: 'o' },
  { id: 'colour-speck', label: say('inspect.colouredSpeck'), key: 's' },
  { id: 'pale-speck', label: say('inspect.paleSpeck'), key: 'p' },
  { id: 'stuck', label: say('inspect.paperStuck'), key: 'k' },
  { id: 'tape-mark', label: say('inspect.tapeShadow'), key: 'z' },
  { id: 'stray', label: say('inspect.strayColour'), key: 'y' },
  { id: 'white-rim', label: say('inspect.whiteRim'), key: 'r' },
  { id: 'blotches', label: say('inspect.blotches'), key: 'b' },
  { id: 'wrong-way', label: say('inspect.mirroredUpsideDown'), key: 'm' },
  { id: 'track-line', label: say('inspect.lineAcrossFromTrimmer'), key: 'l' },
  { id: 'bowed', label: say('inspect.bowedCracked'), key: 'c' },
  { id: 'print-lines', label: say('inspect.printLines'), key: 'q' },
  { id: 'colour-cast', label: say('inspect.colourCast'), key: 'j' },
  { id: 'edge-smudge', label: say('inspect.edgeSmudge'), key: 'x' },
  { id: 'wrong-art', label: say('inspect.wrongArt'), key: 'v' },
];

/** What can be seen on the used paper. */
export const PAPER_FAULTS: readonly {
  readonly id: PaperFaultId;
  readonly label: Message;
  readonly key: string;
}[] = [
  { id: 'dye-left', label: say('inspect.dyeLeftPaper'), key: 'i' },
  { id: 'paper-browned', label: say('inspect.paperBrowned'), key: 'n' },
];

const LABELS: Readonly<Record<string, Message>> = Object.fromEntries(
  [...FAULTS, ...PAPER_FAULTS].map((f) => [f.id, f.label]),
);
export const faultLabel = (id: FaultId | PaperFaultId): Message => LABELS[id] ?? verbatim(id);

export const isOnPaper = (fault: Mark['fault']): fault is PaperFaultId =>
  fault === 'dye-left' || fault === 'paper-browned';

/** What a cause calls for: more or less heat by the model, a wait before the clock, pressure, or hands. */
export type Remedy = 'more-heat' | 'less-heat' | 'wait' | 'pressure' | 'hands';

export interface CauseWords {
  readonly label: Message;
  /** The one change to try first. */
  readonly change: Message;
  readonly remedy: Remedy;
}

const hands = (label: Message, change: Message): CauseWords => ({ label, change, remedy: 'hands' });

/** Each cause in shop words with the one change to try first. */
export const CAUSES: Readonly<Record<CauseId, CauseWords>> = {
  'too-cool': {
    label: say('inspect.pressTooCool'),
    change: say('inspect.raiseSetTemperatureLittle'),
    remedy: 'more-heat',
  },
  'too-short': {
    label: say('inspect.timeTooShort'),
    change: say('inspect.addTimeNothingElse'),
    remedy: 'more-heat',
  },
  'not-recovered': {
    label: say('inspect.pressHadClimbedBack'),
    change: say('inspect.waitTemperatureBeforeTimer'),
    remedy: 'wait',
  },
  'light-pressure': {
    label: say('inspect.pressureTooLight'),
    change: say('inspect.closeOneNotchFirmer'),
    remedy: 'pressure',
  },
  'wrong-side': hands(say('inspect.wrongSideWrongPaper'), say('inspect.checkPrintSidePaper')),
  'past-heater': hands(say('inspect.pastHeatersReach'), say('inspect.laySlideSoAll')),
  'uneven-pressure': {
    label: say('inspect.unevenPressure'),
    change: say('inspect.checkPlatenFlatnessPack'),
    remedy: 'pressure',
  },
  'over-curve': hands(say('inspect.paperOverCurve'), say('inspect.setWrapFurtherBack')),
  'wrap-short': hands(say('inspect.wrapCutShort'), say('inspect.cutLongerTrimPencil')),
  'pulled-open': hands(say('inspect.seamPulledOpen'), say('inspect.tapeSeamFullLength')),
  'no-heat-gap': hands(say('inspect.seamSatUnheatedGap'), say('inspect.turnSoEachPass')),
  'paper-shrank': hands(say('inspect.paperShrank'), say('inspect.letPrintDryThen')),
  lapped: hands(say('inspect.endsOverlapped'), say('inspect.cutMeetingMarkSo')),
  'gas-sideways': hands(say('inspect.dyeGasEscapedSideways'), say('inspect.tapeSeamFullLength2')),
  'air-in-seam': hands(say('inspect.airSeam'), say('inspect.rubSeamDownBlunt')),
  'moved-hot': hands(say('inspect.paperMovedWhileHot'), say('inspect.letCoolBeforePeeling')),
  'tape-let-go': hands(say('inspect.tapeLetGo'), say('inspect.useFreshHeatTape')),
  'too-hot': {
    label: say('inspect.tooHot'),
    change: say('inspect.lowerSetTemperatureLittle'),
    remedy: 'less-heat',
  },
  'too-long': {
    label: say('inspect.tooLong'),
    change: say('inspect.takeTimeOffNothing'),
    remedy: 'less-heat',
  },
  'slow-peel': hands(say('inspect.slowPeel'), say('inspect.takePaperOffMoment')),
  'wet-print': hands(say('inspect.printDry'), say('inspect.letPrintDryLonger')),
  'left-wrapped': hands(say('inspect.leftWrappedCooking'), say('inspect.peelOnceCooksWhile')),
  lint: hands(say('inspect.lintDust'), say('inspect.wipeAlcoholLintFree')),
  'coating-dust': hands(say('inspect.dustUnderCoating'), say('inspect.lookBlankOverUnder')),
  'heavy-pressure': {
    label: say('inspect.tooMuchPressure'),
    change: say('inspect.backOffOneNotch'),
    remedy: 'pressure',
  },
  'paper-brand': hands(say('inspect.paperItself'), say('inspect.tryAnotherPaperSoak')),
  'tape-crosses': hands(say('inspect.tapeAcrossPicture'), say('inspect.moveTapeOutsidePicture')),
  'no-waste-sheet': hands(say('inspect.freshWasteSheet'), say('inspect.freshWastePaperEvery')),
  'wrap-short-tall': hands(say('inspect.wrapTallEnough'), say('inspect.measureStraightWallAgain')),
  slipped: hands(say('inspect.slippedPress'), say('inspect.tapeBothRimsPulled')),
  moisture: hands(say('inspect.dampBlankPaper'), say('inspect.warmBlankPaperFew')),
  'mirror-count': hands(say('inspect.mirroredTwiceNever'), say('inspect.mirrorOnePlaceOnly')),
  'put-on-upside-down': hands(say('inspect.wrapPutUpsideDown'), say('inspect.matchRimArrowSheet')),
  'poor-coating': hands(say('inspect.poorCoatingLot'), say('inspect.takeBlankAnotherLot')),
  'wheel-over-ink': hands(say('inspect.trimmerWheelRanOver'), say('inspect.cutPrintSideAway')),
  touched: hands(say('inspect.oilFingersFace'), say('inspect.wipeAlcoholThenDo')),
  'cooled-unevenly': hands(say('inspect.cooledUnevenly'), say('inspect.coolFlatUnderWeight')),
  nozzles: hands(say('inspect.nozzles'), say('inspect.cleanNozzles')),
  'feed-step': hands(say('inspect.feedStep'), say('inspect.alignFeed')),
  'head-strike': hands(say('inspect.headStrike'), say('inspect.raiseHead')),
  'ink-low': hands(say('inspect.inkLow'), say('inspect.shakeOrFill')),
  'colour-twice': hands(say('inspect.colourTwice'), say('inspect.oneColourManager')),
  'wrong-page': hands(say('inspect.wrongPage'), say('inspect.readSheetNumber')),
};

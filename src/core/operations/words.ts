import { chamberWords, wordsOfKind } from '../press/kinds';
import { PRESSURE_WORDS } from '../heat/settings/labels';
import type { HeatSettings } from '../shop/heatSettings';
import { isBarrel, isHandled, type Blank } from '../shop/blank';
import { isFlatPress, isChamber, isWrapPress, type Press } from '../shop/press';
import { say, type Message, inTurn } from '../message/message';
import { celsius, degrees, seconds } from '../message/quantity';
import type { Waste } from './prepare';
import type { Operation, OperationKind } from '../shop/operation';

/** What an operation is about: kept beside it in a run, given by the plan before. */
export interface OperationContext {
  readonly settings: HeatSettings;
  readonly blank: Blank;
  readonly press: Press;
  readonly waste: Waste;
  /** What the seam method asks of the hands. */
  readonly seam: Message | null;
}

export interface OperationWords {
  readonly title: Message;
  /** What the button says to finish it. */
  readonly done: Message;
  /** What the free hands do meanwhile. */
  readonly meanwhile: Message | null;
  readonly caution: Message | null;
  /** A practical note for this step, or null. */
  readonly note: Message | null;
}

const HOT: Readonly<Record<Blank['material'], Message>> = {
  steel: say('press.steelStaysHotGloves'),
  glass: say('press.hotGlassCracksAnything'),
  ceramic: say('press.ceramicHoldsHeatMany'),
  aluminium: say('press.aluminiumPressHeatRight'),
  hardboard: say('press.boardStaysHotInside'),
  FRP: say('press.softHotGlovesFlat'),
  acrylic: say('press.softHotGlovesFlat'),
  slate: say('press.stoneStaysDangerousTen'),
  polymer: say('press.softWhileHotHold'),
};
const FUME = say('press.cautionFume');

/** Leave the press soft, and take the shape they cool in. */
const SOFT: readonly Blank['material'][] = ['acrylic', 'FRP', 'hardboard'];

const PEEL: Readonly<Record<HeatSettings['peel'], Message>> = {
  hot: say('press.outPeelWhileHot'),
  warm: say('press.outLetGoWarm'),
  cold: say('press.outLeaveWrappedUntil'),
  quench: say('press.outIntoWaterThen'),
};

/** A barrel is wound: its paper comes off from both ends. */
const BARREL_PEEL: Readonly<Record<HeatSettings['peel'], Message>> = {
  hot: say('press.outPullBothEnds'),
  warm: say('press.outLetGoWarm2'),
  cold: say('press.outLeaveWoundUntil'),
  quench: say('press.outIntoWaterThen2'),
};

const pressureWords = (s: HeatSettings): Message => PRESSURE_WORDS[s.pressure];
const isFlatBlank = (b: Blank): boolean => b.shape.kind === 'flat';

/** What lies between heater and paper; null where nothing does. Silicone is wiped and used again, paper and parchment are fresh. */
export const WASTE_NAMES: Readonly<Record<Waste['wasteKind'], Message>> = {
  plain: say('press.wastePaper'),
  parchment: say('press.parchment'),
  silicone: say('press.siliconeSheet'),
};

function wasteTitle({ blank, waste }: OperationContext): Message {
  const flat = isFlatBlank(blank);
  if (waste.wasteKind === 'silicone')
    return flat ? say('press.siliconeSheetUnderOver') : say('press.siliconeSheetRoundWiped');
  const values = { sheets: waste.wasteSheets, paper: waste.wasteKind };
  return flat ? say('press.wasteOverUnder', values) : say('press.wasteRound', values);
}

function loadTitle(o: Operation, { blank, press, waste }: OperationContext): Message {
  const many = o.uses.find((u) => u.what === 'blank')?.count ?? 1;
  if (isChamber(press)) return chamberWords(press).load(blank, many);
  if (isFlatPress(press)) {
    return say('press.onBed', {
      pieces: many,
      lies: (o.needs.part ?? 'other').replace(' ', ''),
      waste: waste.wasteSheets === 0 ? 'none' : waste.wasteKind,
    });
  }
  return isHandled(blank) ? say('press.slideHandleOpeningHeater') : say('press.slideSeamUpCentred');
}

function setDownTitle({ blank }: OperationContext): Message {
  if (SOFT.includes(blank.material)) return say('press.layFlatWeightUntil');
  return isFlatBlank(blank) ? say('press.layCoolHeatMat') : say('press.standCoolRoomAll');
}

function pressTitle(o: Operation, { settings }: OperationContext): Message {
  const pass = o.needs.pass ?? 1;
  const face = o.needs.face;
  if (face === 'front' || face === 'back')
    return say('press.firstSecondPlanned', {
      which: face === 'front' ? 'first' : 'other',
      planned: seconds(o.plannedS),
    });
  return settings.passes === 1
    ? say('press.pressFor', { planned: seconds(o.plannedS) })
    : say('press.passFor', { pass, planned: seconds(o.plannedS) });
}

const temperature = (o: Operation, c: OperationContext) =>
  celsius(o.needs.temperatureC ?? c.settings.platenC);

type Words = (o: Operation, c: OperationContext) => Partial<OperationWords> & { readonly title: Message };
const only =
  (title: Message): Words =>
  () => ({ title });

/** How a hot piece is held while its paper comes off. */
function peelNote(blank: Blank): Message | null {
  if (isHandled(blank)) return say('press.noteByHandle');
  const metal = blank.material === 'aluminium' || blank.material === 'steel';
  return isFlatBlank(blank) && metal ? say('press.noteLiftByPaper') : null;
}

const WORDS: Readonly<Record<OperationKind, Words>> = {
  'set-pressure': (_, c) => ({
    title: say('press.setPressureColdBlank', { settings: pressureWords(c.settings) }),
  }),
  'set-temperature': (o, c) => ({ title: say('press.setLetSettle', { temperature: temperature(o, c) }) }),
  'warm-spare': (o) => ({ title: say('press.warmSpare', { dwell: seconds(o.plannedS) }) }),
  'heat-oven': (o, c) => ({
    title: isChamber(c.press)
      ? chamberWords(c.press).heatUp(temperature(o, c))
      : say('press.waitFor', { temperature: temperature(o, c) }),
  }),
  'take-off': (o) => ({ title: say('press.takeOff', { part: o.needs.part ?? say('press.looseParts') }) }),
  'peel-film': only(say('press.peelProtectiveFilm')),
  clean: (_, c) => ({
    title: isFlatBlank(c.blank) ? say('press.lintRollerOverFace') : say('press.wipeAlcoholLintFree'),
  }),
  'clean-alcohol': () => ({ title: say('press.wipeAlcoholLintFree'), caution: say('press.cautionAlcohol') }),
  'clean-dry-cloth': only(say('press.wipeDryCloth')),
  'clean-lint-roller': only(say('press.rollLint')),
  dry: only(say('press.prePressBareFew')),
  'fold-in': () => ({ title: say('press.foldSheetTicksPrint'), note: say('press.noteFoldHinge') }),
  'tack-both-faces': () => ({
    title: say('press.threeLightPassesSpray'),
    note: say('press.noteOpenSlowly'),
  }),
  'tack-paper': () => ({
    title: say('press.tackPaper'),
    note: say('press.noteOpenSlowly'),
    caution: say('press.cautionTack'),
  }),
  'lay-face-down': only(say('press.layBlankFaceDown')),
  'hold-edges': only(say('press.tapeTwoEdgesOutside')),
  'wrap-edges': only(say('press.foldPaperUpOver')),
  wrap: (_, c) => ({
    title: c.seam ? inTurn(say('press.wrapTightFromMiddle'), c.seam) : say('press.wrapTightFromMiddle'),
  }),
  'pull-tails': only(say('press.pullTails')),
  'cut-at-edge': () => ({ title: say('press.cutAtEdge'), caution: say('press.cautionKnife') }),
  'lap-ends': only(say('press.wrapOverlapEndsStrip')),
  'wind-tape': only(say('press.windHeatProofTape')),
  'leave-tails': only(say('press.leaveTailEachEnd')),
  'tape-ends': (_, c) => ({
    title: isHandled(c.blank) ? say('press.tapeBothEndsDown') : say('press.tapeBothEndsDown2'),
  }),
  'tape-seam': only(say('press.tapeSeamFullLength')),
  'tape-rims': only(say('press.tapeBothRimsPulling')),
  'tape-rims-lifting': only(say('press.tapeRimsLifting')),
  'pull-over': (o) => ({
    title: say('press.pullOverWholeWrap', { part: o.needs.part ?? say('heat.sleeve') }),
  }),
  'waste-paper': (_, c) => ({ title: wasteTitle(c) }),
  load: (o, c) => ({
    title: loadTitle(o, c),
    done: say('press.loaded'),
    note: isWrapPress(c.press) ? say('press.noteCloseEnd') : null,
    caution: wordsOfKind(c.press).loadCaution,
  }),
  turn: (o) => ({
    title:
      o.needs.turnDeg === 180
        ? say('press.turnHalfRound')
        : say('press.turn', { turn: degrees(o.needs.turnDeg ?? 0) }),
    done: say('press.turned'),
    caution: say('press.blankPressHeatGloves'),
    note: say('press.noteNothingOut'),
  }),
  settle: (o) => ({
    title: say('press.settle', { wait: seconds(o.plannedS) }),
    done: say('press.settled'),
    meanwhile: say('press.settleWhy'),
  }),
  'turn-over': (_, c) => ({
    title:
      c.waste.wasteSheets === 0
        ? say('press.turnOver')
        : say('press.turnOverUnderOver', { waste: c.waste.wasteKind }),
    done: say('press.turnedOver'),
    caution: say('press.piecePressHeatWhat'),
  }),
  'cool-down': (o, c) => ({
    title: say('press.waitUntilPressFalls', { temperature: temperature(o, c) }),
    done: say('press.atTemperature'),
    meanwhile: say('press.closedTooHotOwn'),
  }),
  close: (o, c) => ({
    title:
      wordsOfKind(c.press).shut ??
      (c.settings.pressure === 'medium'
        ? say('press.closeMedium')
        : say('press.close', { pressure: pressureWords(c.settings) })),
    done: (o.needs.pass ?? 1) > 1 ? say('press.turnedClosed') : say('common.closed'),
    caution: wordsOfKind(c.press).closeCaution,
  }),
  'reach-temperature': (o, c) => ({
    title: say('press.waitFor', { temperature: temperature(o, c) }),
    done: say('press.atTemperature'),
    meanwhile: say('press.timerStartsReachingTemperature'),
    note: say('press.noteBreaker'),
  }),
  press: (o, c) => ({
    title: pressTitle(o, c),
    done: say('press.opened'),
    meanwhile: say('press.handsOffTapeUp'),
  }),
  peel: (_, c) => ({
    title: isBarrel(c.blank) ? BARREL_PEEL[c.settings.peel] : PEEL[c.settings.peel],
    done: say('press.peeled'),
    caution: HOT[c.blank.material],
    note: peelNote(c.blank),
  }),
  'set-down': (_, c) => ({ title: setDownTitle(c), done: say('press.nextPiece'), caution: FUME }),
  cooling: only(say('press.coolingUntilSafeTouch')),
  'peel-from': only(say('press.waitToPeel')),
};

/** The words of one operation: its kind and quantities say all of it. */
export const operationWords = (o: Operation, context: OperationContext): OperationWords => ({
  done: say('press.done'),
  meanwhile: null,
  caution: null,
  note: null,
  ...WORDS[o.kind](o, context),
});

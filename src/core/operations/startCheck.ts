import { wordsOfKind } from '../press/kinds';
import type { Waste } from './prepare';
import { WASTE_NAMES } from './words';
import type { HeatSettings } from '../shop/heatSettings';
import { isHandled, type Blank } from '../shop/blank';
import type { PressOff } from '../shop/practices';
import { isFlatPress, isChamber, type Press } from '../shop/press';
import { say, type Message } from '../message/message';

/** A look round before the first piece and after the last. Ids tell what was shown; what is said may change. */
export interface CheckItem {
  readonly id: string;
  readonly text: Message;
  /** It can hurt someone. */
  readonly caution: boolean;
}

const item = (id: string, text: Message, caution = false): CheckItem => ({ id, text, caution });

/** How the right pressure feels, by the hand: the lever of a flat press, the latch of a wrap press; what holds the paper in an oven. */
const FEEL: Readonly<Record<HeatSettings['pressure'], Message>> = {
  light: say('press.lightTwoFingersClose'),
  'light-medium': say('press.lightMediumOneHand'),
  medium: say('press.mediumOneHandCloses'),
  'medium-firm': say('press.mediumFirmOneHand'),
  firm: say('press.firmTwoHandsSeldom'),
  sleeve: say('press.sleeveTightAllOver'),
  film: say('press.filmShrunkTightAll'),
  tape: say('press.tapeWoundTightFrom'),
  membrane: say('press.membraneTightAll'),
};

function pressureItem(press: Press, s: HeatSettings): CheckItem {
  if (isChamber(press)) return item('pressure', say('press.whatHoldsPaper', { feel: FEEL[s.pressure] }));
  return item(
    'pressure',
    isFlatPress(press)
      ? say('press.pressureSetColdBlank', { feel: FEEL[s.pressure] })
      : say('press.pressureSetColdBlank2', { feel: FEEL[s.pressure] }),
  );
}

/** Where hot pieces go: what is right for one material cracks or bends another. */
const HOT_PLACE: Readonly<Record<Blank['material'], Message>> = {
  steel: say('press.heatMatStandingRoom'),
  glass: say('press.dryFeltOutDraught'),
  ceramic: say('press.heatMatStandingOut'),
  aluminium: say('press.heatMatMetalPlate'),
  hardboard: say('press.flatBenchWeightLay'),
  FRP: say('press.flatBenchWeightLay'),
  acrylic: say('press.flatBenchWeightLay'),
  slate: say('press.dryFeltNeverWater'),
  polymer: say('press.formerFlatBenchUntil'),
};

export interface CheckContext {
  readonly settings: HeatSettings;
  readonly blank: Blank;
  readonly press: Press;
  readonly waste: Waste;
  /** Other presses that are on. */
  readonly others: number;
}

/** Before the first piece, by press and material. */
export function startCheck({ settings, blank, press, waste, others }: CheckContext): readonly CheckItem[] {
  const { check } = wordsOfKind(press);
  return [
    pressureItem(press, settings),
    ...(check !== null
      ? [item('rack', check)]
      : [
          item(
            'waste',
            waste.wasteSheets === 0
              ? say('press.heaterWipedCleanWaste')
              : waste.wasteKind === 'silicone'
                ? say('press.siliconeSheetHandWiped')
                : say('press.freshCutHandOne', { wasteNames: WASTE_NAMES[waste.wasteKind] }),
          ),
        ]),
    ...(isHandled(blank) && !isChamber(press) ? [item('handle', say('press.handleStandsClearOpening'))] : []),
    item('fan', say('press.fanWindowOpenFume'), true),
    item(
      'socket',
      others > 0 ? say('press.eachPressOwnRated', { others }) : say('press.ownRatedSocketThin'),
      true,
    ),
    item('gloves', say('press.glovesBothHandsPiece'), true),
    item('hot-place', say('press.whereHotPiecesGo', { hotPlace: HOT_PLACE[blank.material] }), true),
    item('burns', say('press.alcoholSprayTackWell'), true),
    item('maker', say('press.makersOwnSheetComes')),
  ];
}

/** How a press is left to cool. A mug press that is closed is closed on a spare blank. */
function leftItem(press: Press, pressOff: PressOff | null): CheckItem {
  const mug = press.kind === 'mug';
  if ((pressOff ?? (mug ? 'closed' : 'open')) === 'open') return item('open', say('press.leaveOpen'));
  return mug ? item('spare', say('press.spareBlankLeftPress')) : item('closed', say('press.leaveClosed'));
}

/** After the last piece of a run. `othersWait` where another job goes on with the same press. */
export function endCheck(press: Press, othersWait: boolean, pressOff: PressOff | null): readonly CheckItem[] {
  const off = [
    item('off', wordsOfKind(press).off, true),
    ...(isChamber(press) ? [] : [leftItem(press, pressOff)]),
  ];
  return [
    ...(othersWait ? [] : off),
    item('count', say('press.countPiecesGoodSpoiled')),
    item('cold', say('press.boxOnlyWhatCold')),
  ];
}

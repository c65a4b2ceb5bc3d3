import { chamberWords, timesItself, restingOf } from '../../press/kinds';
import { MATERIAL_WORDS } from '../../shop/kindWords';
import { type Finding } from '../../figures/figure';
import { type ChosenHeat } from '../../heat/settings/choose';
import type { HeatOutcome } from '../../heat/model/outcome';
import { lowestTargetC } from '../../heat/settings/starting';
import { isRound, type Blank } from '../../shop/blank';
import { isFlatPress, isWrapPress, type FlatPress, type Press, type PressHeater } from '../../shop/press';
import { say, type Value } from '../../message/message';
import { celsius, degrees, mm, seconds } from '../../message/quantity';
import { finding } from '../stepPlan';
import type { ToPress } from '../press/toPress';

/** A flat press: does the platen hold the piece, and does it open far enough. */
function platenFindings(press: FlatPress, { trim: box }: ToPress, blank: Blank): Finding[] {
  const found: Finding[] = [];
  if (box) {
    const [short, long] = box.width < box.height ? [box.width, box.height] : [box.height, box.width];
    const [a, b] =
      press.platenWidthMm < press.platenHeightMm
        ? [press.platenWidthMm, press.platenHeightMm]
        : [press.platenHeightMm, press.platenWidthMm];
    if (short > a || long > b)
      found.push(
        finding(
          'heat',
          'platen',
          'blocker',
          say('heat.piecePlatenEdgesWould', {
            width: mm(box.width),
            height: mm(box.height),
            a: mm(a),
            b: mm(b),
          }),
        ),
      );
  }
  if (blank.wallMm > press.openingMm)
    found.push(
      finding(
        'heat',
        'opening',
        'blocker',
        say('heat.opensMostBlankThick', {
          press: press.name,
          opening: mm(press.openingMm),
          wall: mm(blank.wallMm),
        }),
      ),
    );
  else if (press.opens === 'clamshell' && blank.wallMm > 8)
    found.push(finding('heat', 'pinch', 'warning', say('heat.clamshellPinchesThickPieces')));
  return found;
}

const heaterWords = (press: Press, heater: PressHeater): Value =>
  isWrapPress(press) && press.heaters.length > 1
    ? say('heat.heaterOfPress', { heater: heater.name, press: press.name })
    : press.name;

/** A handled blank goes in once, handle in the opening: what the heater does not reach beside it, and a pass too many. */
function besideHandle(c: ChosenHeat, heater: PressHeater, handleMm: number): Finding[] {
  const found: Finding[] = [];
  const missedMm = c.heaterReach?.missedMm ?? 0;
  if (missedMm > 1)
    found.push(
      finding(
        'heat',
        'handle',
        'warning',
        say('heat.heaterLongLastPrint', { length: mm(heater.lengthMm), missed: mm(missedMm) }),
      ),
    );
  if (c.settings.passes > 1)
    found.push(
      finding(
        'heat',
        'handle-turn',
        'blocker',
        say('heat.handleWideStandsOpening', { handle: mm(handleMm) }),
      ),
    );
  return found;
}

/** What press and heater do to this wrap: what they cannot reach, close on or heat in so many passes. */
export function reachFindings(
  c: ChosenHeat,
  press: Press,
  heater: PressHeater | null,
  wrap: ToPress,
  blank: Blank,
): Finding[] {
  if (isFlatPress(press)) return platenFindings(press, wrap, blank);
  const { tallMm: tall, across: acrossMm } = wrap;
  if (tall === null) return [];
  if (!isWrapPress(press)) {
    return tall > press.insideHeightMm
      ? [
          finding(
            'heat',
            'tall',
            'blocker',
            chamberWords(press).tooTall({
              press: press.name,
              inside: mm(press.insideHeightMm),
              tall: mm(tall),
            }),
          ),
        ]
      : [];
  }
  if (!acrossMm || !heater) return [];
  const found: Finding[] = [];
  const across = acrossMm.widest;
  const tapersMm = across - acrossMm.narrowest;
  if (across < heater.smallestDiameterMm || across > heater.largestDiameterMm) {
    found.push(
      finding(
        'heat',
        'across',
        'blocker',
        say('heat.closesAcrossChooseAnother', {
          heaterWords: heaterWords(press, heater),
          smallestDiameter: mm(heater.smallestDiameterMm),
          largestDiameter: mm(heater.largestDiameterMm),
          across: mm(across),
          which: press.heaters.length > 1 ? 'heaterPress' : 'other',
        }),
      ),
    );
  }
  if (Math.abs(tapersMm - Math.abs(heater.taperMm)) > 4)
    found.push(
      finding(
        'heat',
        'cone',
        'warning',
        say('heat.wallWiderOnePlace', {
          tapers: mm(tapersMm),
          which: heater.taperMm === 0 ? 'straightMat' : 'other',
        }),
      ),
    );
  if (tall > heater.heightMm)
    found.push(
      finding(
        'heat',
        'tall',
        'blocker',
        say('heat.heaterTallWrapWould', {
          height: mm(heater.heightMm),
          tall: mm(tall),
          tall2: mm(tall - heater.heightMm),
        }),
      ),
    );
  if (isRound(blank) && blank.shape.handle)
    found.push(...besideHandle(c, heater, blank.shape.handle.widthMm));
  else if (c.heaterReach && c.heaterReach.exposures[0] < 1)
    found.push(
      finding(
        'heat',
        'passes',
        'blocker',
        say('heat.heaterMissesWrapNeeds', {
          gap: degrees(c.heaterReach.gapDeg),
          passes: c.heaterReach.passesNeeded,
        }),
      ),
    );
  else if (c.heaterReach && c.settings.passes < c.heaterReach.passesNeeded)
    found.push(
      finding(
        'heat',
        'passes',
        'warning',
        say('heat.passesBarelyMeetEnds', { passes: c.heaterReach.passesNeeded }),
      ),
    );
  return found;
}

/** A pass by the usual ranges, from closing, s; null where that is not known yet. For ovens, at temperature. */
function fromClosingS({ settings: s, range }: ChosenHeat, o: HeatOutcome | null): number | null {
  if (range?.press === 'oven' || s.timerStart === 'from-closing') return s.dwellS;
  const [first] = o?.closings ?? [];
  return first ? first.openedS - first.closedS : null;
}

/** A cool-down target that the display never reads. */
function targetFindings(targetC: number, platenC: number, press: Press): Finding[] {
  const restingC = restingOf(press);
  const lowest = lowestTargetC(restingC);
  if (targetC < platenC && (lowest === null || targetC >= lowest)) return [];
  return [
    finding(
      'heat',
      'target',
      'warning',
      restingC !== null && targetC < platenC
        ? say('heat.hasStandbyTemperatureNever', {
            press: press.name,
            resting: celsius(restingC),
            target: celsius(targetC),
          })
        : say('heat.coolDownTargetBelow', { target: celsius(targetC), platen: celsius(platenC) }),
    ),
  ];
}

/** Settings against what the blank and the trade bear. */
/** `goodHere`: good pieces stand behind these very settings, which no table overrules. */
export function settingFindings(
  c: ChosenHeat,
  press: Press,
  blank: Blank,
  o: HeatOutcome | null,
  goodHere: boolean,
): Finding[] {
  const { settings: s, range } = c;
  const found: Finding[] = [];
  if (s.peel === 'quench' && blank.material !== 'ceramic') {
    const glass = blank.material === 'glass' || blank.material === 'slate';
    found.push(
      finding(
        'heat',
        'quench',
        glass ? 'blocker' : 'warning',
        glass
          ? say('heat.neverQuenchShattersLet', { material: MATERIAL_WORDS[blank.material] })
          : say('heat.quenchingCeramicHabitMay'),
      ),
    );
  }
  if (
    range &&
    !goodHere &&
    c.originOf.platenC === 'measured' &&
    (s.platenC < range.platenC[0] || s.platenC > range.platenC[1])
  )
    found.push(
      finding(
        'heat',
        'range-c',
        'warning',
        say('heat.outsideUsualTryReject', {
          platen: celsius(s.platenC),
          platen2: celsius(range.platenC[0]),
          platen3: celsius(range.platenC[1]),
        }),
      ),
    );
  const closedS = fromClosingS(c, o);
  if (
    range &&
    !goodHere &&
    closedS !== null &&
    c.originOf.dwellS === 'measured' &&
    (closedS < range.dwellS[0] || closedS > range.dwellS[1])
  )
    found.push(
      finding(
        'heat',
        'range-s',
        'warning',
        say('heat.outsideUsualPass', {
          closed: seconds(Math.round(closedS)),
          dwell: seconds(range.dwellS[0]),
          dwell2: seconds(range.dwellS[1]),
        }),
      ),
    );
  if (timesItself(press) && s.passes > 1 && s.coolDownC === null)
    found.push(finding('heat', 'fall', 'warning', say('heat.startsOwnTimerLet', { press: press.name })));
  if (s.passes > 1 && s.coolDownC !== null) found.push(...targetFindings(s.coolDownC, s.platenC, press));
  if (c.baseOrigin === 'estimated')
    found.push(finding('heat', 'start', 'info', say('heat.usualStartingPointMakers')));
  if (range) found.push(finding('heat', 'material', 'info', range.note));
  return found;
}

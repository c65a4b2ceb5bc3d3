import { type Finding } from '../figures/figure';
import { type ChosenHeat } from '../heat/choose';
import type { HeatOutcome } from '../heat/outcome';
import { lowestTargetC } from '../heat/starting';
import { isRound, type Blank } from '../shop/blank';
import {
  isFlatPress,
  isOven,
  isWrapPress,
  timesItself,
  type FlatPress,
  type Press,
  type PressHeater,
} from '../shop/press';
import { say } from '../units/phrase';
import { celsius, count, degrees, mm, seconds } from '../units/quantity';
import { finding } from './stepPlan';
import type { ToPress } from './toPress';

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
          say`The piece is ${mm(box.width)} × ${mm(box.height)}, the platen ${mm(a)} × ${mm(b)}: its edges would get no heat. Choose a larger press.`,
        ),
      );
  }
  if (blank.wallMm > press.openingMm)
    found.push(
      finding(
        'heat',
        'opening',
        'blocker',
        say`${press.name} opens ${mm(press.openingMm)} at most, and this blank is ${mm(blank.wallMm)} thick. Choose another press.`,
      ),
    );
  else if (press.opens === 'clamshell' && blank.wallMm > 8)
    found.push(
      finding(
        'heat',
        'pinch',
        'warning',
        say`A clamshell pinches thick pieces at its hinge. Pack the open side level, or use a press that closes flat.`,
      ),
    );
  return found;
}

const heaterWords = (press: Press, heater: PressHeater): string =>
  isWrapPress(press) && press.heaters.length > 1 ? `${heater.name} of ${press.name}` : press.name;

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
        say`The heater is ${mm(heater.lengthMm)} long: the last ${mm(missedMm)} of the print on each side of the handle gets little heat and comes out pale. Keep the art clear of it, or leave more white beside the handle.`,
      ),
    );
  if (c.settings.passes > 1)
    found.push(
      finding(
        'heat',
        'handle-turn',
        'blocker',
        say`The handle, ${mm(handleMm)} wide, stands in the opening of the heater: it goes in one way only. Press it once.`,
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
            say`The oven is ${mm(press.insideHeightMm)} inside; the wrap alone is ${mm(tall)} tall.`,
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
        say`${heaterWords(press, heater)} closes on ${mm(heater.smallestDiameterMm)} to ${mm(heater.largestDiameterMm)}; this is ${mm(across)} across. Choose another ${press.heaters.length > 1 ? 'heater or press' : 'press'}.`,
      ),
    );
  }
  if (Math.abs(tapersMm - Math.abs(heater.taperMm)) > 4)
    found.push(
      finding(
        'heat',
        'cone',
        'warning',
        say`The wall is ${mm(tapersMm)} wider in one place than in another: ${heater.taperMm === 0 ? 'a straight mat' : 'this mat'} presses one part only. Use a mat of its taper, pack the narrow part, or the oven.`,
      ),
    );
  if (tall > heater.heightMm)
    found.push(
      finding(
        'heat',
        'tall',
        'blocker',
        say`The heater is ${mm(heater.heightMm)} tall, the wrap ${mm(tall)}: ${mm(tall - heater.heightMm)} would get no heat. Choose a taller press, or increase the setback.`,
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
        say`The heater misses ${degrees(c.heaterReach.gapDeg)} of the wrap. It needs ${count(c.heaterReach.passesNeeded, 'pass', 'passes')}, turned between.`,
      ),
    );
  else if (c.heaterReach && c.settings.passes < c.heaterReach.passesNeeded)
    found.push(
      finding(
        'heat',
        'passes',
        'warning',
        say`The passes barely meet, and the ends of the mat are cooler. ${count(c.heaterReach.passesNeeded, 'pass', 'passes')} is safer.`,
      ),
    );
  return found;
}

/** A pass as the usual ranges tell it, from closing, s; null where that is not known yet. Ovens are told at temperature. */
function fromClosingS({ settings: s, range }: ChosenHeat, o: HeatOutcome | null): number | null {
  if (range?.press === 'oven' || s.timerStart === 'from-closing') return s.dwellS;
  const [first] = o?.closings ?? [];
  return first ? first.openedS - first.closedS : null;
}

/** A cool-down target that the display never reads. */
function targetFindings(targetC: number, platenC: number, press: Press): Finding[] {
  const restingC = isOven(press) ? null : press.restingC;
  const lowest = lowestTargetC(restingC);
  if (targetC < platenC && (lowest === null || targetC >= lowest)) return [];
  return [
    finding(
      'heat',
      'target',
      'warning',
      restingC !== null && targetC < platenC
        ? say`${press.name} has a standby temperature of ${celsius(restingC)} and never falls to ${celsius(targetC)}. Set a higher cool-down target.`
        : say`The cool-down target, ${celsius(targetC)}, is not below the working temperature, ${celsius(platenC)}. Set a lower one.`,
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
          ? say`Never quench ${blank.material}: it shatters. Let it cool slowly.`
          : say`Quenching is a ceramic habit; this may warp. Peel hot or cold.`,
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
        say`${celsius(s.platenC)} is outside the usual ${celsius(range.platenC[0])} to ${celsius(range.platenC[1])}. Try it on a reject first.`,
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
        say`${seconds(Math.round(closedS))} is outside the usual ${seconds(range.dwellS[0])} to ${seconds(range.dwellS[1])} a pass.`,
      ),
    );
  if (timesItself(press) && s.passes > 1 && s.coolDownC === null)
    found.push(
      finding(
        'heat',
        'fall',
        'warning',
        say`${press.name} starts its own timer. Let it cool down before closing again, or the second pass starts at once and gets too much heat.`,
      ),
    );
  if (s.passes > 1 && s.coolDownC !== null) found.push(...targetFindings(s.coolDownC, s.platenC, press));
  if (c.baseOrigin === 'estimated')
    found.push(
      finding(
        'heat',
        'start',
        'info',
        say`A usual starting point. The maker’s sheet and a test piece come first.`,
      ),
    );
  if (range) found.push(finding('heat', 'material', 'info', say`${range.note}`));
  return found;
}

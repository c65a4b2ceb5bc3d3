import type { Finding } from '../figures/figure';
import type { ChosenHeat } from '../heat/choose';
import type { HeatOutcome } from '../heat/outcome';
import { isOven, type Press } from '../shop/press';
import { say, type Phrase } from '../units/phrase';
import { celsius, count, ratio, seconds } from '../units/quantity';
import type { HeatLoad } from './heatLoad';
import type { HeatModel } from './heatModel';
import { finding } from './stepPlan';

/** Below this a setting is held up, and below that it is called what it is. */
const UNSURE = 0.75;
const POOR = 0.4;

function chanceFindings(o: HeatOutcome, proven: boolean): Finding[] {
  if (proven || o.good >= UNSURE) return [];
  const little = o.under > o.over;
  const what = little
    ? say`too little heat: pale, dye left on the paper. A longer time or a hotter press helps.`
    : say`too much heat: browned, soft lines. A shorter time or a cooler press helps.`;
  const found = (text: Phrase) => [finding('heat', 'chance', 'warning', text)];
  // Before anything was tried the model only knows the range of coatings there are.
  if (o.trials === 0)
    return found(
      say`Not tested here. Press a test piece first. For the usual range of coatings ${ratio(o.good)} are good. The others get ${what}`,
    );
  return found(
    o.good < POOR
      ? say`After ${count(o.trials, 'result')} here, this setting fails more often than not (good ${ratio(o.good)}): ${what}`
      : say`After ${count(o.trials, 'result')} here, ${ratio(1 - o.good)} would be spoiled by ${what}`,
  );
}

/** So much more at the upper face is uneven. */
const UNEVEN = 1.3;

/** Two faces at once: is the lower one heated enough through the blank. */
function faceFindings(o: HeatOutcome, model: HeatModel): Finding[] {
  if (!o.facesS) return [];
  const [first, other] = o.facesS;
  const { faces, wasteSheets } = model.subject.load;
  if (faces === 'together') {
    const short = other < o.needed.value;
    if (!short && (o.good >= UNSURE || first < other * UNEVEN)) return [];
    return [
      finding(
        'heat',
        'lower-face',
        'warning',
        say`The lower face gets ${seconds(other)} at ${celsius(200)}, the upper ${seconds(first)}; the coating needs ${seconds(o.needed.value)} and tolerates ${seconds(o.limit.value)}. They cannot both be good at once: press one face, then the other.`,
      ),
    ];
  }
  const between = wasteSheets > 0 ? 'Clean waste sheets between, and a pause' : 'A pause';
  return [
    finding(
      'heat',
      'first-face',
      'info',
      say`The first face is heated again with the second: ${seconds(first)} against ${seconds(other)} at ${celsius(200)}. ${between} so that nothing moves.`,
    ),
  ];
}

function pressFindings(o: HeatOutcome, press: Press, load: HeatLoad | null): Finding[] {
  const found: Finding[] = [];
  if (!o.reached)
    found.push(
      finding(
        'heat',
        'recovery',
        'warning',
        say`${press.name} does not return to temperature with ${count(load?.load.piecesAtOnce ?? 1, 'piece')} in it. Press fewer at once, or check its power.`,
      ),
    );
  if (!isOven(press) && press.checks.length === 0)
    found.push(
      finding(
        'heat',
        'unchecked',
        'info',
        say`The real temperature of ${press.name} has not been checked. Its display may be wrong by some degrees. Check it under Presses.`,
      ),
    );
  if (o.contradictions.length > 0)
    found.push(
      finding(
        'heat',
        'contradiction',
        'info',
        say`${count(o.contradictions.length, 'result')} in the log does not agree with the rest of this window. Was it closed late, or the blank thicker?`,
      ),
    );
  return found;
}

export function modelFindings(
  chosen: ChosenHeat,
  model: HeatModel | null,
  press: Press,
  load: HeatLoad | null,
): readonly Finding[] {
  const o = model?.outcome;
  if (!model || !o) return [];
  const lower = faceFindings(o, model);
  return [
    ...lower,
    // Where the lower face is the reason, that is the thing to say.
    ...(lower.some((f) => f.level === 'warning')
      ? []
      : chanceFindings(
          o,
          chosen.baseOrigin === 'proven' && Object.values(chosen.originOf).every((x) => x === 'proven'),
        )),
    ...pressFindings(o, press, load),
  ];
}

import type { Finding } from '../figures/figure';
import type { ChosenHeat } from '../heat/choose';
import type { HeatOutcome } from '../heat/outcome';
import { isOven, type Press } from '../shop/press';
import { say } from '../units/phrase';
import { celsius, count, ratio, seconds } from '../units/quantity';
import type { HeatLoad } from './heatLoad';
import type { HeatModel } from './heatModel';
import { finding } from './terracePlan';

/** Below this a setting is held up, and below that it is called what it is. */
const UNSURE = 0.75;
const POOR = 0.4;

/** How long the second face must lack before it is said, as a share of what is needed. */
const SHORT_SHARE = 1;

function chanceFindings(o: HeatOutcome, proven: boolean): Finding[] {
  if (proven || o.good >= UNSURE) return [];
  const little = o.under > o.over;
  const what = little
    ? say`too little heat: pale, dye left on the paper. A longer time or a hotter press helps.`
    : say`too much heat: browned, soft lines. A shorter time or a cooler press helps.`;
  return [
    finding(
      'heat',
      'chance',
      'warning',
      o.good < POOR
        ? say`By the model this setting fails more often than not (good ${ratio(o.good)}): ${what}`
        : say`By the model ${ratio(1 - o.good)} of these would be spoiled by ${what}`,
    ),
  ];
}

/** Two faces at once: is the lower one heated enough through the blank. */
function faceFindings(o: HeatOutcome, model: HeatModel): Finding[] {
  if (!o.facesS) return [];
  const [first, other] = o.facesS;
  if (model.subject.load.faces === 'together') {
    if (other >= o.needed.value * SHORT_SHARE) return [];
    return [
      finding(
        'heat',
        'lower-face',
        'warning',
        say`The lower face gets ${seconds(other)} at ${celsius(200)} of the ${seconds(o.needed.value)} it needs, the upper ${seconds(first)}: press one face, then the other.`,
      ),
    ];
  }
  return [
    finding(
      'heat',
      'first-face',
      'info',
      say`The first face is heated again with the second: ${seconds(first)} against ${seconds(other)} at ${celsius(200)}. A fresh waste sheet between, and a pause so that nothing moves.`,
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
        say`${press.name} would not come back to temperature with ${count(load?.load.piecesAtOnce ?? 1, 'piece')} in it. Press fewer at once, or check its power.`,
      ),
    );
  if (!isOven(press) && press.checks.length === 0)
    found.push(
      finding(
        'heat',
        'unchecked',
        'info',
        say`Nobody has checked what ${press.name} really reaches. Its display may be off by some degrees: check it once under Presses.`,
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

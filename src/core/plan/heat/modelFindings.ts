import type { Finding } from '../../figures/figure';
import type { ChosenHeat } from '../../heat/settings/choose';
import type { HeatOutcome } from '../../heat/model/outcome';
import { isChamber, type Press } from '../../shop/press';
import { say, type Message } from '../../message/message';
import { celsius, ratio, seconds } from '../../message/quantity';
import type { HeatLoad } from './load';
import type { HeatModel } from './model';
import { finding } from '../stepPlan';

/** Below this a setting is held up, and below that it is called what it is. */
const UNSURE = 0.75;
const POOR = 0.4;

function chanceFindings(o: HeatOutcome, proven: boolean): Finding[] {
  if (proven || o.good >= UNSURE) return [];
  const little = o.under > o.over;
  const what = little ? say('heat.tooLittleHeatPale') : say('heat.tooMuchHeatBrowned');
  const found = (text: Message) => [finding('heat', 'chance', 'warning', text)];
  // Before anything was tried the model only knows the range of coatings there are.
  if (o.trials === 0) return found(say('heat.testedHerePressTest', { good: ratio(o.good), what }));
  return found(
    o.good < POOR
      ? say('heat.after', { results: o.trials, good: ratio(o.good), what })
      : say('heat.after2', { results: o.trials, good: ratio(1 - o.good), what }),
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
        say('heat.lowerFaceGetsUpper', {
          other: seconds(other),
          value: celsius(200),
          first: seconds(first),
          needed: seconds(o.needed.value),
          limit: seconds(o.limit.value),
        }),
      ),
    ];
  }
  const between = wasteSheets > 0 ? say('heat.wasteBetween') : say('heat.aPause');
  return [
    finding(
      'heat',
      'first-face',
      'info',
      say('heat.firstFaceHeatedAgain', {
        first: seconds(first),
        other: seconds(other),
        value: celsius(200),
        between,
      }),
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
        say('heat.doesReturnTemperature', { press: press.name, pieces: load?.load.piecesAtOnce ?? 1 }),
      ),
    );
  if (!isChamber(press) && press.checks.length === 0)
    found.push(
      finding('heat', 'unchecked', 'info', say('heat.realTemperatureHasBeen', { press: press.name })),
    );
  if (o.contradictions.length > 0)
    found.push(
      finding('heat', 'contradiction', 'info', say('heat.results', { results: o.contradictions.length })),
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

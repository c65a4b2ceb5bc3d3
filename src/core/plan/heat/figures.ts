import { figure, type Figure, type Origin } from '../../figures/figure';
import type { ChosenHeat } from '../../heat/settings/choose';
import { equalDose } from '../../heat/model/dose';
import { PEEL_NOTES, PRESSURE_NOTES, PRESSURE_WORDS, TIMER_START_WORDS } from '../../heat/settings/labels';
import { say, type Message } from '../../message/message';
import { celsius, count, degrees, seconds, word } from '../../message/quantity';

export function settingFigures(c: ChosenHeat): Figure[] {
  const { settings: s, range, proven } = c;
  const baseWords = (o: Origin, what: Message | null): Message =>
    o === 'measured'
      ? say('heat.setHandJob')
      : o === 'proven'
        ? say('heat.provenHere')
        : (what ?? say('heat.noUsualRange'));
  const proof = (o: Origin) => (o === 'proven' && proven ? { provenBy: proven.goodPieces } : {});
  const inside = (v: number, r: readonly [number, number]) => v >= r[0] && v <= r[1];
  // A usual range that the model has moved out of is said in words; it is no spread of this figure.
  const spread = (o: Origin, v: number, r: readonly [number, number] | undefined) =>
    o === 'estimated' && r && inside(v, r) ? { spread: r } : {};
  const at = c.originOf;
  const moved = c.start !== null && c.start.dwellS !== s.dwellS;
  return [
    figure({
      id: 'heat.platen',
      label: say('common.temperature'),
      quantity: celsius(s.platenC),
      origin: at.platenC,
      working: baseWords(
        at.platenC,
        range
          ? say('heat.usualTo', { platen: celsius(range.platenC[0]), platen2: celsius(range.platenC[1]) })
          : null,
      ),
      ...proof(at.platenC),
      ...spread(at.platenC, s.platenC, range?.platenC),
    }),
    figure({
      id: 'heat.dwell',
      label: s.passes > 1 ? say('heat.dwellTimePerPass') : say('heat.dwellTime'),
      quantity: seconds(s.dwellS),
      origin: at.dwellS,
      working: say('heat.timerStarts', {
        baseWords: baseWords(
          at.dwellS,
          range
            ? say('heat.usualDwell', {
                from: seconds(range.dwellS[0]),
                to: seconds(range.dwellS[1]),
                by: moved ? 'model' : 'table',
              })
            : null,
        ),
        timerStartWords: TIMER_START_WORDS[s.timerStart],
      }),
      ...proof(at.dwellS),
      ...spread(at.dwellS, s.dwellS, range?.dwellS),
    }),
    figure({
      id: 'heat.pressure',
      label: say('heat.pressure2'),
      quantity: word(PRESSURE_WORDS[s.pressure]),
      origin: at.pressure,
      working: PRESSURE_NOTES[s.pressure],
      ...proof(at.pressure),
    }),
    figure({
      id: 'heat.peel',
      label: say('heat.peel'),
      quantity: word(say('heat.peelWord', { peel: s.peel })),
      origin: at.peel,
      working: PEEL_NOTES[s.peel].gain,
      ...proof(at.peel),
    }),
  ];
}

/** `closings`: two where one face is pressed after the other. */
export function reachFigures(c: ChosenHeat, closings: number): Figure[] {
  const cover = c.heaterReach;
  const passes = figure({
    id: 'heat.passes',
    label: say('heat.passes'),
    quantity: count(c.settings.passes, 'pass'),
    origin: c.originOf.passes,
    working:
      c.settings.passes > 1 && cover
        ? say('heat.turnedBetween', { rotation: degrees(cover.rotationDeg) })
        : cover
          ? say('heat.allRoundOnce')
          : closings > 1
            ? say('heat.oneClosingFace')
            : say('heat.oneClosing'),
  });
  if (!cover) return [passes];
  const [least, most] = cover.exposures;
  return [
    figure({
      id: 'heat.cover',
      label: say('heat.heaterReaches'),
      quantity: degrees(cover.coveredDeg),
      origin: 'calculated',
      working:
        cover.gapDeg > 0 ? say('heat.n360HeatOver', { gap: degrees(cover.gapDeg) }) : say('heat.allWayRound'),
      inputs: ['measure.girth'],
    }),
    {
      ...passes,
      working:
        least === most
          ? say('heat.everyPointHeated', { working: passes.working, times: least })
          : say('heat.eachPointHeated', { working: passes.working, least, times: most }),
    },
  ];
}

/** The same dose at the temperature chosen by hand, for as long as nothing has been simulated. */
export function equalFigures({ settings: s, base }: ChosenHeat): Figure[] {
  if (s.platenC === base.platenC) return [];
  const same = equalDose(base.dwellS, base.platenC, s.platenC);
  return [
    figure({
      id: 'heat.equal',
      label: say('heat.sameDoseTime'),
      quantity: seconds(same.value),
      origin: 'estimated',
      spread: [same.low, same.high],
      working: say('heat.warmingUpCounted', {
        platen: celsius(s.platenC),
        dwell: seconds(base.dwellS),
        platen2: celsius(base.platenC),
      }),
      inputs: ['heat.platen', 'heat.dwell'],
    }),
  ];
}

import { figure, type Figure, type Origin } from '../figures/figure';
import type { ChosenHeat } from '../heat/choose';
import { equalDose } from '../heat/dose';
import { PEEL_NOTES, PRESSURE_NOTES, PRESSURE_WORDS, TIMER_START_WORDS } from '../heat/labels';
import { say, type Phrase } from '../units/phrase';
import { celsius, count, degrees, seconds, word } from '../units/quantity';

export function settingFigures(c: ChosenHeat): Figure[] {
  const { settings: s, range, proven } = c;
  const baseWords = (o: Origin, what: Phrase): Phrase =>
    o === 'measured' ? say`set by hand for this job` : o === 'proven' ? say`as proven here` : what;
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
      label: 'Temperature',
      quantity: celsius(s.platenC),
      origin: at.platenC,
      working: baseWords(
        at.platenC,
        range ? say`usual ${celsius(range.platenC[0])} to ${celsius(range.platenC[1])}` : say``,
      ),
      ...proof(at.platenC),
      ...spread(at.platenC, s.platenC, range?.platenC),
    }),
    figure({
      id: 'heat.dwell',
      label: s.passes > 1 ? 'Dwell time per pass' : 'Dwell time',
      quantity: seconds(s.dwellS),
      origin: at.dwellS,
      working: say`${baseWords(at.dwellS, range ? say`${moved ? 'by the model for this load; ' : ''}usual ${seconds(range.dwellS[0])} to ${seconds(range.dwellS[1])}` : say``)}, timer starts ${TIMER_START_WORDS[s.timerStart]}`,
      ...proof(at.dwellS),
      ...spread(at.dwellS, s.dwellS, range?.dwellS),
    }),
    figure({
      id: 'heat.pressure',
      label: 'Pressure',
      quantity: word(PRESSURE_WORDS[s.pressure]),
      origin: at.pressure,
      working: say`${PRESSURE_NOTES[s.pressure]}`,
      ...proof(at.pressure),
    }),
    figure({
      id: 'heat.peel',
      label: 'Peel',
      quantity: word(s.peel),
      origin: at.peel,
      working: say`${PEEL_NOTES[s.peel].gain}`,
      ...proof(at.peel),
    }),
  ];
}

/** `closings`: two where one face is pressed after the other. */
export function reachFigures(c: ChosenHeat, closings: number): Figure[] {
  const cover = c.heaterReach;
  const passes = figure({
    id: 'heat.passes',
    label: 'Passes',
    quantity: count(c.settings.passes, 'pass', 'passes'),
    origin: c.originOf.passes,
    working:
      c.settings.passes > 1 && cover
        ? say`turned ${degrees(cover.rotationDeg)} between`
        : cover
          ? say`all round at once`
          : closings > 1
            ? say`one closing a face`
            : say`one closing`,
  });
  if (!cover) return [passes];
  const [least, most] = cover.exposures;
  return [
    figure({
      id: 'heat.cover',
      label: 'Heater reaches',
      quantity: degrees(cover.coveredDeg),
      origin: 'calculated',
      working:
        cover.gapDeg > 0 ? say`of 360°; no heat over ${degrees(cover.gapDeg)}` : say`all the way round`,
      inputs: ['measure.girth'],
    }),
    {
      ...passes,
      working:
        least === most
          ? say`${passes.working}; every point heated ${count(least, 'time')}`
          : say`${passes.working}; each point heated ${String(least)} to ${count(most, 'time')}`,
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
      label: 'Same dose, time',
      quantity: seconds(same.value),
      origin: 'estimated',
      spread: [same.low, same.high],
      working: say`at ${celsius(s.platenC)}, as ${seconds(base.dwellS)} at ${celsius(base.platenC)}; warming up not counted`,
      inputs: ['heat.platen', 'heat.dwell'],
    }),
  ];
}

import { figure, type Figure, type Origin } from '../figures/figure';
import { chooseHeat, goodPiecesOf, type ChosenHeat, type ProvenCounts } from '../heat/choose';
import { coolingThicknessMm, TOUCH_SAFE_C, touchSafe } from '../heat/cooling';
import { equalDose } from '../heat/dose';
import type { MatWork } from '../heat/heaterReach';
import type { HeatSettings } from '../shop/heatSettings';
import { TIMER_START_WORDS, PEEL_NOTES, PRESSURE_WORDS } from '../heat/labels';
import type { Job } from '../job/job';
import { pressCycle } from '../operations/cycle';
import type { Operation } from '../shop/operation';
import { preparations } from '../operations/prepare';
import { isFlat, isHandled, type Blank } from '../shop/blank';
import { type Press } from '../shop/press';
import type { Shop } from '../shop/shop';
import { say, type Phrase } from '../units/phrase';
import { celsius, count, degrees, seconds, word } from '../units/quantity';
import { finding, type TerracePlan } from './terracePlan';
import type { WrapPlan } from './wrap';
import { edgeWay } from './wrapFlat';
import { reachFindings, settingFindings } from './heatFindings';

export interface HeatPlan extends TerracePlan<'heat'> {
  readonly press: Press | null;
  readonly chosen: ChosenHeat | null;
  /** All that is done to a piece, in order: what a run keeps at its start. */
  readonly operations: readonly Operation[];
  /** What the seam method asks of the hands. */
  readonly seamStep: Phrase;
}

function settingFigures(c: ChosenHeat): Figure[] {
  const { settings: s, range, proven } = c;
  const baseWords = (o: Origin, what: Phrase): Phrase =>
    o === 'measured' ? say`set by hand for this job` : o === 'proven' ? say`as proven here` : what;
  const proof = (o: Origin) => (o === 'proven' && proven ? { provenBy: proven.goodPieces } : {});
  const spread = (o: Origin, r: readonly [number, number] | undefined) =>
    o === 'estimated' && r ? { spread: r } : {};
  const at = c.originOf;
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
      ...spread(at.platenC, range?.platenC),
    }),
    figure({
      id: 'heat.dwell',
      label: s.passes > 1 ? 'Time a pass' : 'Time',
      quantity: seconds(s.dwellS),
      origin: at.dwellS,
      working: say`${baseWords(at.dwellS, range ? say`usual ${seconds(range.dwellS[0])} to ${seconds(range.dwellS[1])}` : say``)}, timer starts ${TIMER_START_WORDS[s.timerStart]}`,
      ...proof(at.dwellS),
      ...spread(at.dwellS, range?.dwellS),
    }),
    figure({
      id: 'heat.pressure',
      label: 'Pressure',
      quantity: word(s.pressure.replace('-', ' to ')),
      origin: at.pressure,
      working: say`${PRESSURE_WORDS[s.pressure]}`,
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

function reachFigures(c: ChosenHeat): Figure[] {
  const cover = c.heaterReach;
  const passes = figure({
    id: 'heat.passes',
    label: 'Passes',
    quantity: count(c.settings.passes, 'pass', 'passes'),
    origin: c.originOf.passes,
    working:
      c.settings.passes > 1 && cover
        ? say`turned ${degrees(cover.rotationDeg)} between`
        : say`all round at once`,
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

function modelFigures(c: ChosenHeat, cool: ReturnType<typeof touchSafe>): Figure[] {
  const { settings: s, base } = c;
  const figures: Figure[] = [];
  if (s.platenC !== base.platenC) {
    const same = equalDose(base.dwellS, base.platenC, s.platenC);
    figures.push(
      figure({
        id: 'heat.equal',
        label: 'Same dose, time',
        quantity: seconds(same.value),
        origin: 'estimated',
        spread: [same.low, same.high],
        working: say`at ${celsius(s.platenC)}, as ${seconds(base.dwellS)} at ${celsius(base.platenC)}; warming up not counted`,
        inputs: ['heat.platen', 'heat.dwell'],
      }),
    );
  }
  figures.push(
    figure({
      id: 'heat.touch',
      label: 'Cool to touch, allow',
      quantity: seconds(cool.high),
      origin: 'estimated',
      spread: [cool.low, cool.high],
      working: say`to ${celsius(TOUCH_SAFE_C)} in still air at the slowest; gloves all the same`,
    }),
  );
  return figures;
}

/** What a wrap press has to heat: the widest of the wall, and how much of it is printed. */
function matWork(wrap: WrapPlan, blank: Blank): MatWork | null {
  if (!wrap.wall) return null;
  const circumferenceMm = wrap.wall.widest.value;
  const { round } = wrap;
  const longest = round
    ? Math.max(round.topArc.value, round.footArc.value) + round.lengthMm - round.closing.value
    : circumferenceMm;
  const printMm = Math.min(circumferenceMm, longest);
  return { circumferenceMm, printMm, handled: isHandled(blank) };
}

/** What the seam method asks of the hands; a lap says which end lies on top. */
const seamStep = (job: Job, wrap: WrapPlan): Phrase =>
  wrap.seamMethod === 'lap'
    ? say`The ${job.wrap.lapOver} end on top, its cut clean`
    : say`${wrap.note.bench}`;

/** All that is done to a piece: by hand before, at the press, and its cooling. */
const operationsFor = (
  job: Job,
  shop: Shop,
  { settings, blank, press }: { settings: HeatSettings; blank: Blank; press: Press },
  wrap: WrapPlan,
): readonly Operation[] => [
  ...preparations(settings, blank, press, {
    seamMethod: wrap.seamMethod,
    hold: job.wrap.hold ?? shop.settings.defaults.hold,
    bothFaces: (wrap.pattern?.faces.length ?? 1) > 1,
    wrapped: isFlat(blank) && edgeWay(job, blank) === 'wrapped',
  }),
  ...pressCycle(settings, blank, press),
];

/** `counts`: good pieces behind each recipe, where the shop given does not hold its whole log. */
export function planHeat(
  job: Job,
  shop: Shop,
  blank: Blank | null,
  wrap: WrapPlan,
  counts?: ProvenCounts,
): HeatPlan {
  const press = shop.presses.find((p) => p.id === job.pressId) ?? null;
  const nothing = {
    terrace: 'heat' as const,
    progress: 'todo' as const,
    figures: [],
    operations: [],
    seamStep: [],
    press,
    chosen: null,
  };
  if (!blank || (wrap.wall === null && blank.shape.kind === 'round'))
    return { ...nothing, summary: say`after the blank`, findings: [] };
  if (!press)
    return {
      ...nothing,
      summary: say`press not chosen`,
      findings: [finding('heat', 'none', 'blocker', say`Choose the press for this job.`)],
    };
  const chosen = chooseHeat(
    job,
    blank,
    press,
    matWork(wrap, blank),
    shop.recipes,
    goodPiecesOf(counts, shop.log),
  );
  if (!chosen)
    return {
      ...nothing,
      summary: say`no settings known`,
      findings: [
        finding(
          'heat',
          'unknown',
          'blocker',
          say`No usual settings are known for ${blank.material} in ${press.name}. Choose another press.`,
        ),
      ],
    };
  const cool = touchSafe(blank.material, coolingThicknessMm(blank), chosen.settings.platenC);
  const findings = [...reachFindings(chosen, press, wrap, blank), ...settingFindings(chosen, blank, press)];
  const { settings: s } = chosen;
  return {
    terrace: 'heat',
    progress: findings.some((f) => f.level === 'blocker') ? 'todo' : 'done',
    summary: say`${celsius(s.platenC)} · ${seconds(s.dwellS)}${s.passes > 1 ? ` × ${s.passes}` : ''}`,
    figures: [...settingFigures(chosen), ...reachFigures(chosen), ...modelFigures(chosen, cool)],
    findings,
    press,
    chosen,
    operations: operationsFor(job, shop, { blank, press, settings: s }, wrap),
    seamStep: seamStep(job, wrap),
  };
}

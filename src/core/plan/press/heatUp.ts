import { say, type Message } from '../../message/message';
import { celsius, decimal, mm, span } from '../../message/quantity';
import { pressEnergy } from '../../heat/model/energy';
import { operationWords } from '../../operations/words';
import { isRound, type Blank } from '../../shop/blank';
import { ofStage, plannedS } from '../../shop/operation';
import { isChamber, isFlatPress, isWrapPress, type Press } from '../../shop/press';
import type { Recipe } from '../../shop/records';
import type { Run } from '../../shop/run';
import type { Plan } from '../planShape';
import { contextOfPlan } from './operationWords';

/** Across a round blank at its widest, or through a flat one, mm: what the pressure is set to. */
export const throughMm = (blank: Blank): number =>
  isRound(blank) ? Math.max(...blank.shape.sections.map((s) => s.diameterMm)) : blank.wallMm;

/** Sizes this close are pressed with one setting, mm. */
const SAME_SIZE_MM = 0.3;

/** What a press was last set for. */
export interface LastSet {
  readonly blank: Blank;
  readonly heaterId: string | null;
  readonly pressureAt: number | null;
}

/** The newest run on a press says what it is still set for; null where none is known. */
export function lastSetFor(pressId: string, runs: readonly Run[]): LastSet | null {
  const newest = runs
    .filter((r) => r.press.id === pressId)
    .reduce<Run | null>((a, b) => (a && a.startedAt >= b.startedAt ? a : b), null);
  return (
    newest && {
      blank: newest.blank,
      heaterId: newest.load?.heaterId ?? null,
      pressureAt: newest.pressureAt,
    }
  );
}

/** What the press showed for this blank on it: by the newest run that noted it, or by the recipe where that was kept later. */
export function rememberedPressure(
  blankId: string,
  pressId: string,
  recipe: Recipe | null,
  runs: readonly Run[],
): number | null {
  const noted = runs
    .filter((r) => r.blank.id === blankId && r.press.id === pressId && r.pressureAt !== null)
    .map((r) => ({ at: r.startedAt, pressureAt: r.pressureAt }));
  const kept =
    recipe && recipe.pressureAt !== null ? [{ at: recipe.keptAt, pressureAt: recipe.pressureAt }] : [];
  return [...noted, ...kept].toSorted((x, y) => y.at - x.at)[0]?.pressureAt ?? null;
}

/** The size of a blank, as it is said: a diameter, or a thickness. */
const sizeOf = (blank: Blank): Message =>
  isRound(blank)
    ? say('press.across', { size: mm(throughMm(blank)) })
    : say('press.thick', { size: mm(throughMm(blank)) });

/** Said where the press stands set for something else; null where it does not, or nothing is known. */
export function otherSetting(last: LastSet | null, blank: Blank, heaterId: string | null): Message | null {
  if (!last) return null;
  if (Math.abs(throughMm(last.blank) - throughMm(blank)) > SAME_SIZE_MM)
    return say('press.lastSetSize', {
      blank: last.blank.name,
      was: sizeOf(last.blank),
      now: sizeOf(blank),
    });
  return last.heaterId !== heaterId ? say('press.lastSetHeater', { blank: last.blank.name }) : null;
}

/** As many decimals as were said: 3, 3.5, 2.25. */
const placesOf = (at: number): number => (Number.isInteger(at) ? 0 : Number.isInteger(at * 10) ? 1 : 2);

export const pressureText = (press: Press, at: number): Message | null =>
  isChamber(press) || press.pressureScale === 'none'
    ? null
    : say('press.pressureAtScale', { scale: press.pressureScale, at: decimal(at, placesOf(at)) });

/** What is done to a cold press, in its order, and when taping begins so that press and first load are ready together. */
export interface HeatUp {
  readonly steps: readonly { readonly id: string; readonly text: Message }[];
  /** From cold to its working temperature, s. */
  readonly warmS: number;
  /** To prepare the first load, s. */
  readonly prepareS: number;
  /** From switching on until taping begins, s. */
  readonly tapeAfterS: number;
}

/** Null while the plan has no press or no heat. `runs` are those from which the press's present setting is known. */
export function heatUp(plan: Plan, runs: readonly Run[]): HeatUp | null {
  const context = contextOfPlan(plan);
  const { press, heater, chosen, operations, load } = plan.heat;
  if (!context || !press || !chosen) return null;
  const { blank } = context;
  const { platenC } = chosen.settings;
  const { warmS } = pressEnergy(press, heater, platenC);
  const prepareS = plannedS(ofStage(operations, 'prepare')) * (load?.load.piecesAtOnce ?? 1);
  const tapeAfterS = Math.max(0, warmS - prepareS);
  const wrap = isWrapPress(press) ? press : null;
  const other = otherSetting(lastSetFor(press.id, runs), blank, heater?.id ?? null);
  const remembered = rememberedPressure(blank.id, press.id, chosen.proven?.recipe ?? null, runs);
  const shown = remembered === null ? null : pressureText(press, remembered);
  const setUp = ofStage(operations, 'set-up').map((o) => ({
    id: o.id,
    text: operationWords(o, context).title,
  }));
  const of = (kind: string) => setUp.filter((s) => s.id === kind);
  const note = (id: string, text: Message | null) => (text ? [{ id, text }] : []);
  return {
    warmS,
    prepareS,
    tapeAfterS,
    steps: [
      ...note(
        'fit',
        heater && wrap && wrap.heaters.length > 1 ? say('press.fitHeater', { heater: heater.name }) : null,
      ),
      ...note('last-set', other),
      ...of('set-pressure'),
      ...note(
        'screws',
        wrap || isFlatPress(press) ? say('press.screwsEvenly', { which: wrap ? 'wrap' : 'flat' }) : null,
      ),
      ...note('shown', shown),
      { id: 'on', text: say('press.switchOn', { temperature: celsius(platenC), warm: span(warmS) }) },
      {
        id: 'tape',
        text:
          tapeAfterS > 60
            ? say('press.beginTapingIn', { after: span(tapeAfterS), takes: span(prepareS) })
            : say('press.beginTapingNow', { takes: span(prepareS), warm: span(warmS) }),
      },
      ...of('warm-spare'),
    ],
  };
}

import type { Finding } from '../../figures/figure';
import { heaterOf } from '../../heat/press/heaters';
import { chooseHeat, goodPiecesOf, type ChosenHeat, type ProvenCounts } from '../../heat/settings/choose';
import type { Job } from '../../job/job';
import { say, type Message } from '../../message/message';
import { count, seconds } from '../../message/quantity';
import { refusal, suits, takes } from '../../press/kinds';
import { MATERIAL_WORDS } from '../../shop/kindWords';
import type { Blank } from '../../shop/blank';
import type { Press, PressHeater } from '../../shop/press';
import type { LogEntry, Recipe } from '../../shop/records';
import type { ToPress } from '../press/toPress';
import { reachFindings } from './findings';
import { loadFor } from './load';

/** One press for one piece: whether it can press it, and what it would do. */
export interface PressOption {
  readonly press: Press;
  readonly heater: PressHeater | null;
  /** Why it cannot press this piece; empty where it can. */
  readonly problems: readonly Message[];
  /** The reason for its rank; null where it cannot press the piece. */
  readonly reason: Message | null;
}

export interface ChoiceInput {
  readonly blank: Blank;
  readonly wrap: ToPress;
  readonly pieces: number;
  readonly presses: readonly Press[];
  readonly recipes: readonly Recipe[];
  /** Good pieces behind each recipe; counted from the log where absent. */
  readonly proven: ProvenCounts | undefined;
  readonly log: readonly LogEntry[];
}

interface Ranked extends PressOption {
  /** Smaller is better; compared from the first on. */
  readonly rank: readonly number[];
}

const NONE_SET: Pick<Job, 'heat' | 'load'> = { heat: {}, load: {} };
const cannot = (press: Press, heater: PressHeater | null, problems: readonly Message[]): Ranked => ({
  press,
  heater,
  problems,
  reason: null,
  rank: [],
});

/** Seconds in the press for one piece: every pass, shared by the pieces pressed at once. */
const pressS = ({ settings: s }: ChosenHeat, atOnce: number): number =>
  (s.dwellS + (s.passes - 1) * (s.laterDwellS ?? s.dwellS)) / atOnce;

function optionOf(press: Press, input: ChoiceInput): Ranked {
  const { blank, wrap } = input;
  const { mat, piece } = wrap;
  const need = mat && { widestDiameterMm: mat.circumferenceMm / Math.PI, tallMm: wrap.tallMm ?? 0 };
  const heater = heaterOf(press, need, null);
  const noSettings = say('heat.noSettingsFor', {
    material: MATERIAL_WORDS[blank.material],
    press: press.name,
  });
  if (!takes(press, blank)) return cannot(press, heater, [refusal(press) ?? noSettings]);
  const goodPieces = goodPiecesOf(input.proven, input.log);
  const chosen = chooseHeat(NONE_SET.heat, blank, press, heater, mat, input.recipes, goodPieces);
  if (!chosen || !piece) return cannot(press, heater, [noSettings]);
  const load = loadFor(
    { load: NONE_SET.load, pieces: input.pieces },
    blank,
    press,
    heater,
    piece,
    chosen.proven,
  );
  const found: readonly Finding[] = reachFindings(chosen, press, heater, wrap, blank);
  const problems = found.filter((f) => f.level === 'blocker').map((f) => f.text);
  if (load.most < 1) problems.push(say('heat.noPieceFits', { press: press.name }));
  if (problems.length > 0) return cannot(press, heater, problems);
  const atOnce = load.load.piecesAtOnce;
  const eachS = pressS(chosen, atOnce);
  const time = say('heat.pressTimeEach', { atOnce, each: seconds(eachS) });
  return {
    press,
    heater,
    problems,
    reason: chosen.proven
      ? say('heat.provenOnPress', { good: count(chosen.proven.goodPieces, 'goodPiece') })
      : suits(press, blank)
        ? say('heat.madeForKind', { time })
        : time,
    rank: [
      chosen.proven ? 0 : 1,
      suits(press, blank) ? 0 : 1,
      found.filter((f) => f.level === 'warning').length,
      eachS,
    ],
  };
}

const byRank = (a: Ranked, b: Ranked): number => {
  const at = a.rank.findIndex((v, i) => v !== b.rank[i]);
  return at < 0 ? 0 : (a.rank[at] ?? 0) - (b.rank[at] ?? 0);
};

/**
 * Every press of the shop for a piece: those that can press it first, best first, then the others with what keeps them from it. Best is a press
 * with a recipe of the shop; then one made for this kind of blank; then the one with fewer warnings; then the shorter time a piece.
 */
export function pressOptions(input: ChoiceInput): readonly PressOption[] {
  const all = input.presses.map((p) => optionOf(p, input));
  const fits = all.filter((o) => o.problems.length === 0).sort(byRank);
  return [...fits, ...all.filter((o) => o.problems.length > 0)].map(({ rank: _, ...option }) => option);
}

/** The press that is taken where nobody chose one, and why; null where none can press the piece. */
export function bestPress(
  options: readonly PressOption[],
): { readonly press: Press; readonly reason: Message } | null {
  const fits = options.filter((o) => o.problems.length === 0);
  const [best] = fits;
  if (!best?.reason) return null;
  return {
    press: best.press,
    reason:
      fits.length === 1
        ? say('heat.onlyPressFits', { press: best.press.name })
        : say('heat.bestPress', { press: best.press.name, reason: best.reason }),
  };
}

/** The same job on another press; what was set by hand for its own press does not hold there. */
export const jobOnPress = (job: Job, pressId: string): Job =>
  pressId === job.pressId ? job : { ...job, pressId, heat: {}, load: {} };

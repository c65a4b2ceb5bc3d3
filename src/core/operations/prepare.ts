import type { HeatSettings } from '../shop/heatSettings';
import { isBarrel, isHandled, type Blank } from '../shop/blank';
import { overWrap } from '../press/kinds';
import { isChamber, type Press } from '../shop/press';
import type { Load } from '../shop/load';
import type { Cleaning, Practices, RimTaping } from '../shop/practices';
import type { Hold, SeamMethod } from '../shop/settings';
import { operation, plannedS, suppliesOf, type Operation, type OperationKind } from '../shop/operation';

/** What decides how the paper is held to a blank. */
export interface PaperHold {
  readonly seamMethod: SeamMethod;
  readonly hold: Hold;
  readonly bothFaces: boolean;
  /** Flat blanks: paper folded over the edges and taped on the back. */
  readonly wrapped: boolean;
  readonly waste: Waste;
  readonly practices: Practices;
  /** The paper stands past rim or foot and is cut there, on the piece. */
  readonly cutAtEdge: boolean;
  /** Strips at both ends to pull by. */
  readonly tails: boolean;
}

/** Sheets between heater and paper, and of what. */
export type Waste = Pick<Load, 'wasteSheets' | 'wasteKind'>;

/** Where nobody wrote down how a piece lay: one fresh sheet of plain paper. */
export const USUAL_WASTE: Waste = { wasteSheets: 1, wasteKind: 'plain' };

/** Usual seconds for each preparation: our own estimates. */
const USUAL_S: Partial<Readonly<Record<OperationKind, number>>> = {
  'take-off': 10,
  'peel-film': 8,
  clean: 20,
  'clean-alcohol': 20,
  'clean-dry-cloth': 12,
  'clean-lint-roller': 8,
  dry: 15,
  'fold-in': 25,
  'tack-both-faces': 30,
  'tack-paper': 20,
  'lay-face-down': 15,
  'hold-edges': 20,
  'wrap-edges': 60,
  wrap: 40,
  'pull-tails': 15,
  'cut-at-edge': 45,
  'lap-ends': 40,
  'wind-tape': 60,
  'leave-tails': 5,
  'tape-ends': 25,
  'tape-seam': 20,
  'tape-rims': 30,
  'tape-rims-lifting': 12,
  'pull-over': 30,
  'waste-paper': 8,
};

interface Extras {
  readonly id?: string;
  readonly needs?: Partial<Operation['needs']>;
  readonly uses?: Operation['uses'];
}

const prepare = (kind: OperationKind, { id = kind, ...extras }: Extras = {}): Operation =>
  operation({ id, stage: 'prepare', kind, resource: 'hands', plannedS: USUAL_S[kind] ?? 0, ...extras });

const TAPE: Operation['uses'] = [{ what: 'tape', count: 1 }];
const tack: Operation['uses'] = [{ what: 'spray tack', count: 1 }];
const TACK_STEP = prepare('tack-paper', { uses: tack });

/** Usual hands for spray tack on one piece, s. */
export const tackingS = (): number => TACK_STEP.plannedS;

/** Sheets over the paper, and one under a flat piece; none where none is used. A silicone sheet is used again and again. */
function waste({ wasteSheets, wasteKind }: Waste, under: number): readonly Operation[] {
  if (wasteSheets === 0) return [];
  const uses: Operation['uses'] =
    wasteKind === 'silicone' ? [] : [{ what: 'waste paper', count: wasteSheets + under }];
  return [prepare('waste-paper', { uses })];
}

/** Half a strip is taped where paper lifts at one place or two. */
const RIM_STEPS: Readonly<Record<RimTaping, readonly Operation[]>> = {
  full: [prepare('tape-rims', { uses: TAPE })],
  'where-lifting': [prepare('tape-rims-lifting', { uses: [{ what: 'tape', count: 0.5 }] })],
  none: [],
};

/** Usual hands and tape of one way of taping the rims: s and strips a piece. */
export function rimTaping(way: RimTaping): { readonly handsS: number; readonly strips: number } {
  const steps = RIM_STEPS[way];
  return { handsS: plannedS(steps), strips: suppliesOf(steps).tape ?? 0 };
}

const CLEANING_STEPS = {
  alcohol: 'clean-alcohol',
  'dry-cloth': 'clean-dry-cloth',
  'lint-roller': 'clean-lint-roller',
} as const;

/** Usual hands of one way of cleaning, s a piece. */
export const cleaningS = (way: Cleaning): number => USUAL_S[CLEANING_STEPS[way]] ?? 0;

function holdFlat(
  blank: Blank,
  { bothFaces, wrapped, waste: sheets, practices }: PaperHold,
): readonly Operation[] {
  const dry = blank.material === 'hardboard' ? [prepare('dry')] : [];
  const tacked = practices.fixing === 'tack';
  return bothFaces
    ? [...dry, prepare('fold-in'), prepare('tack-both-faces', { uses: tack }), ...waste(sheets, 1)]
    : [
        ...dry,
        ...(tacked ? [TACK_STEP] : []),
        prepare('lay-face-down'),
        // Tacked paper lies still without tape; paper folded over the edges has to be taped on the back.
        ...(wrapped
          ? [prepare('wrap-edges', { uses: TAPE })]
          : tacked
            ? []
            : [prepare('hold-edges', { uses: TAPE })]),
        ...waste(sheets, 1),
      ];
}

function holdRound(blank: Blank, press: Press, s: HeatSettings, paper: PaperHold): readonly Operation[] {
  // A barrel is wound: nothing is taped at its rims, which are open and cut off.
  if (isBarrel(blank))
    return [
      prepare('lap-ends', { uses: TAPE }),
      prepare('wind-tape', { uses: TAPE }),
      prepare('leave-tails'),
    ];
  const handled = isHandled(blank);
  const open = paper.seamMethod === 'under' || paper.seamMethod === 'gap';
  const ends = [
    ...(paper.practices.fixing === 'tack' ? [TACK_STEP] : []),
    prepare('wrap'),
    ...(paper.tails ? [prepare('pull-tails')] : []),
    prepare(open ? 'tape-ends' : 'tape-seam', { uses: TAPE }),
    ...(paper.cutAtEdge ? [prepare('cut-at-edge')] : []),
  ];
  // A mug press closes over the whole wrap of a handled blank; elsewhere the rims are pulled down or they lift.
  const rims = handled && !isChamber(press) ? [] : RIM_STEPS[paper.practices.rims];
  const over = (part: string) =>
    prepare('pull-over', {
      needs: { part },
      uses: part === 'shrink film' ? [{ what: 'shrink film', count: 1 }] : [],
    });
  const outside = overWrap(press, s.pressure);
  if (outside === 'as the shop holds')
    return [...ends, ...rims, ...(paper.hold === 'sleeve' ? [over('sleeve')] : []), ...waste(paper.waste, 0)];
  if (outside === 'nothing') return [...ends, ...rims];
  return [...ends, ...rims, outside === 'wound tape' ? prepare('wind-tape', { uses: TAPE }) : over(outside)];
}

/** What the press or oven has to be set to before the first piece. */
function setUp(s: HeatSettings, press: Press, practices: Practices): readonly Operation[] {
  const needs = { temperatureC: s.platenC };
  const once = (kind: OperationKind, plannedS: number, given: Partial<Operation['needs']> = {}) =>
    operation({ id: kind, stage: 'set-up', kind, resource: 'hands', plannedS, needs: given });
  if (isChamber(press)) return [once('heat-oven', 900, needs)];
  // A spare blank takes the first heat of a mug press, and of no other.
  const spare = press.kind === 'mug' && practices.firstPiece === 'spare';
  return [
    once('set-pressure', 30),
    once('set-temperature', 600, needs),
    ...(spare ? [{ ...once('warm-spare', s.dwellS, needs), resource: 'press' as const, timed: true }] : []),
  ];
}

/** What to do before a piece goes in, in order: as this blank, its seam, its hold and its press ask. */
export function preparations(
  s: HeatSettings,
  blank: Blank,
  press: Press,
  paper: PaperHold,
): readonly Operation[] {
  const { practices } = paper;
  return [
    ...blank.takeOff.map((part, i) => prepare('take-off', { id: `take-off-${i + 1}`, needs: { part } })),
    ...(blank.film ? [prepare('peel-film')] : []),
    prepare(practices.cleaning === null ? 'clean' : CLEANING_STEPS[practices.cleaning]),
    ...(blank.shape.kind === 'flat' ? holdFlat(blank, paper) : holdRound(blank, press, s, paper)),
    ...setUp(s, press, practices),
  ];
}

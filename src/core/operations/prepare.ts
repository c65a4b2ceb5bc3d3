import type { HeatSettings } from '../shop/heatSettings';
import { isBarrel, isHandled, type Blank } from '../shop/blank';
import { overWrap } from '../press/kinds';
import { isChamber, type Press } from '../shop/press';
import type { Load } from '../shop/load';
import type { Hold, SeamMethod } from '../shop/settings';
import { operation, type Operation, type OperationKind } from '../shop/operation';

/** What decides how the paper is held to a blank. */
export interface PaperHold {
  readonly seamMethod: SeamMethod;
  readonly hold: Hold;
  readonly bothFaces: boolean;
  /** Flat blanks: paper folded over the edges and taped on the back. */
  readonly wrapped: boolean;
  readonly waste: Waste;
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
  dry: 15,
  'fold-in': 25,
  'tack-both-faces': 30,
  'lay-face-down': 15,
  'hold-edges': 20,
  'wrap-edges': 60,
  wrap: 40,
  'lap-ends': 40,
  'wind-tape': 60,
  'leave-tails': 5,
  'tape-ends': 25,
  'tape-seam': 20,
  'tape-rims': 30,
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
/** Sheets over the paper, and one under a flat piece; none where none is used. A silicone sheet is used again and again. */
function waste({ wasteSheets, wasteKind }: Waste, under: number): readonly Operation[] {
  if (wasteSheets === 0) return [];
  const uses: Operation['uses'] =
    wasteKind === 'silicone' ? [] : [{ what: 'waste paper', count: wasteSheets + under }];
  return [prepare('waste-paper', { uses })];
}

function holdFlat(blank: Blank, { bothFaces, wrapped, waste: sheets }: PaperHold): readonly Operation[] {
  const dry = blank.material === 'hardboard' ? [prepare('dry')] : [];
  return bothFaces
    ? [...dry, prepare('fold-in'), prepare('tack-both-faces', { uses: tack }), ...waste(sheets, 1)]
    : [
        ...dry,
        prepare('lay-face-down'),
        wrapped ? prepare('wrap-edges', { uses: TAPE }) : prepare('hold-edges', { uses: TAPE }),
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
  const ends = [prepare('wrap'), prepare(open ? 'tape-ends' : 'tape-seam', { uses: TAPE })];
  // A mug press closes over the whole wrap of a handled blank; elsewhere the rims are pulled down or they lift.
  const rims = handled && !isChamber(press) ? [] : [prepare('tape-rims', { uses: TAPE })];
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
function setUp(s: HeatSettings, press: Press): readonly Operation[] {
  const needs = { temperatureC: s.platenC };
  const once = (kind: OperationKind, plannedS: number, given: Partial<Operation['needs']> = {}) =>
    operation({ id: kind, stage: 'set-up', kind, resource: 'hands', plannedS, needs: given });
  if (isChamber(press)) return [once('heat-oven', 900, needs)];
  return [once('set-pressure', 30), once('set-temperature', 600, needs)];
}

/** What to do before a piece goes in, in order: as this blank, its seam, its hold and its press ask. */
export function preparations(
  s: HeatSettings,
  blank: Blank,
  press: Press,
  paper: PaperHold,
): readonly Operation[] {
  return [
    ...blank.takeOff.map((part, i) => prepare('take-off', { id: `take-off-${i + 1}`, needs: { part } })),
    ...(blank.film ? [prepare('peel-film')] : []),
    prepare('clean'),
    ...(blank.shape.kind === 'flat' ? holdFlat(blank, paper) : holdRound(blank, press, s, paper)),
    ...setUp(s, press),
  ];
}

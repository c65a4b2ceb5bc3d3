import { say, verbatim, type Message } from '../message/message';
import { isFlat, type Blank } from '../shop/blank';

/** What a step of finishing is about: it decides what is said of it. */
type FinishKind =
  | 'back-on'
  | 'rubber-foot'
  | 'feet'
  | 'stand'
  | 'hanger'
  | 'ring'
  | 'cord'
  | 'pin'
  | 'backing'
  | 'clockwork'
  | 'hands'
  | 'battery'
  | 'fixing'
  | 'photograph'
  | 'pack'
  | 'label'
  | 'other';

export interface FinishStep {
  /** Made from what it says, so that it stays the same when others come or go. */
  readonly id: string;
  readonly kind: FinishKind;
  readonly what: Message;
  readonly how: Message;
  /** Usual hands a piece, s: our own estimate. */
  readonly handsS: number;
  /** A part it uses up that the blank does not bring; null for none. */
  readonly part: string | null;
  readonly caution: Message | null;
}

interface Manner {
  readonly kind: FinishKind;
  readonly words: RegExp;
  readonly how: Message;
  readonly handsS: number;
  readonly caution?: Message;
}

/** The first whose words are found says how: people write them in their own language. */
const MANNERS: readonly Manner[] = [
  {
    kind: 'rubber-foot',
    words: /\b(rubber|silicone)\b.*\b(foot|base|boot|bottom)\b|\bbase\b.*\b(goma|silicona)\b/i,
    how: say('finish.whileBaseHandWarm'),
    handsS: 15,
  },
  {
    kind: 'clockwork',
    words: /clockwork|movement|maquinaria|mecanismo/i,
    how: say('finish.fromBackThroughHole'),
    handsS: 60,
    caution: say('finish.moreThanQuarterTurn'),
  },
  {
    kind: 'hands',
    words: /\bhands?\b|\bagujas?\b/i,
    how: say('finish.hourHandFirstThen'),
    handsS: 45,
  },
  {
    kind: 'battery',
    words: /batter|\bpilas?\b/i,
    how: say('finish.markedEndFirstSet'),
    handsS: 20,
  },
  {
    kind: 'feet',
    words: /\b(feet|foot|bumpers?|felt|cork|pies?|patas?|topes?|fieltro|corcho)\b/i,
    how: say('finish.wipeBackDryPut'),
    handsS: 40,
  },
  {
    kind: 'hanger',
    words: /hanger|colgador/i,
    how: say('finish.paperTemplateMiddleLine'),
    handsS: 90,
    caution: say('finish.heavyPlatesFallStrong'),
  },
  {
    kind: 'stand',
    words: /\b(stand|easel|soporte|caballete)\b/i,
    how: say('finish.pictureUprightStandUp'),
    handsS: 20,
  },
  {
    kind: 'ring',
    words: /\b(ring|clasp|clip|anillo|anilla|aro|mosquetón|pinza)(?!\p{L})/iu,
    how: say('finish.openSidewaysApartHole'),
    handsS: 25,
  },
  {
    kind: 'cord',
    words: /\b(ribbon|cord|strap|sling|cinta|cordel|correa)\b|cordón/i,
    how: say('finish.holeSideUpPicture'),
    handsS: 25,
  },
  {
    kind: 'pin',
    words: /\b(pin|magnet)s?\b|\balfiler|\bimán|\bimanes\b/i,
    how: say('finish.littleAboveMiddleSo'),
    handsS: 20,
    caution: say('finish.strongMagnetsPinchSmall'),
  },
  {
    kind: 'backing',
    words: /backing|fondo/i,
    how: say('finish.clearStockWhiteBehind'),
    handsS: 40,
  },
  {
    kind: 'fixing',
    words: /screw|\bcaps\b|tornillo|embellecedor/i,
    how: say('finish.drilledFixedMakersSheet'),
    handsS: 60,
  },
];

const BACK_ON: Pick<Manner, 'kind' | 'how' | 'handsS'> = {
  kind: 'back-on',
  how: say('finish.coldCleanDryInside'),
  handsS: 8,
};

const ID = 'finish-';

/** Letters and digits of a line, as an id. */
const slug = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 50) || 'step';

/** Steps every piece has, as another language names them. */
const ALSO: Readonly<Record<string, string>> = { caja: 'box', etiqueta: 'label' };
/** The id of a line: the same in every language for a step every piece has. */
const lineId = (line: string): string => ALSO[slug(line)] ?? slug(line);

const same = (a: string, b: string): boolean => slug(a) === slug(b);

function step(line: string, part: string | null, off: readonly string[]): FinishStep {
  const manner = MANNERS.find((m) => m.words.test(line));
  const backOn =
    off.some((t) => same(t, line)) && manner?.kind !== 'rubber-foot' && manner?.kind !== 'clockwork';
  const of = backOn
    ? BACK_ON
    : (manner ?? { kind: 'other' as const, how: say('finish.shopDoes'), handsS: 20 });
  return {
    id: `${ID}${lineId(line)}`,
    kind: of.kind,
    what: verbatim(line),
    how: of.how,
    handsS: of.handsS,
    part,
    caution: (!backOn && manner?.caution) || null,
  };
}

const LAST: readonly FinishStep[] = [
  {
    id: 'finish-photograph',
    kind: 'photograph',
    what: say('finish.photographOneLog'),
    how: say('finish.squareDaylightBesideLast'),
    handsS: 0,
    part: null,
    caution: null,
  },
  {
    id: 'finish-box',
    kind: 'pack',
    what: say('finish.boxCareCard'),
    how: say('finish.coldHandBeforeWrapped'),
    handsS: 35,
    part: null,
    caution: null,
  },
  {
    id: 'finish-label',
    kind: 'label',
    what: say('finish.labelBox'),
    how: say('finish.fromSheetLabelsName'),
    handsS: 8,
    part: null,
    caution: null,
  },
];

/** A care card is in the box already. */
const isCare = (line: string): boolean => /\bcare\b|\bcuidados\b/i.test(line);

/**
 * What is done to a piece after the press, in order: what its blank asks for, what it came with put back, then photograph, box and label. A part
 * the blank needs and no line names has a step of its own.
 */
export function finishSteps(blank: Blank): readonly FinishStep[] {
  const lines = blank.finish.filter((l) => !isCare(l));
  const partOf = (l: string): string | null => {
    const words = new Set(slug(l).split('-'));
    return (
      blank.needs.find((n) =>
        slug(n)
          .split('-')
          .some((w) => w.length > 2 && words.has(w)),
      ) ?? null
    );
  };
  const named = lines.map((l) => step(l, partOf(l), blank.takeOff));
  const parts = blank.needs
    .filter((n) => !named.some((s) => s.part === n))
    .map((n) => step(n, n, blank.takeOff));
  const back = blank.takeOff
    .filter((t) => ![...named, ...parts].some((s) => slug(t).includes(s.id.slice(ID.length))))
    .map((t) => step(t, null, blank.takeOff));
  const all = [...named, ...parts, ...back];
  const backing = isFlat(blank) && blank.coating.stock === 'clear' && !all.some((s) => s.kind === 'backing');
  const seen = new Set<string>();
  return [
    ...(backing ? [{ ...step('white backing', 'white backing', []), what: say('finish.whiteBacking') }] : []),
    ...all,
    ...LAST,
  ].filter((s) => {
    if (seen.has(s.id)) return false;
    seen.add(s.id);
    return true;
  });
}

/** Usual hands to finish and pack one piece, s. */
export const finishHandsS = (blank: Blank): number => finishSteps(blank).reduce((s, x) => s + x.handsS, 0);

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
  readonly what: string;
  readonly how: string;
  /** Usual hands a piece, s: our own estimate. */
  readonly handsS: number;
  /** A part it uses up that the blank does not bring; null for none. */
  readonly part: string | null;
  readonly caution: string | null;
}

interface Manner {
  readonly kind: FinishKind;
  readonly words: RegExp;
  readonly how: string;
  readonly handsS: number;
  readonly caution?: string;
}

/** The first whose words are found says how. */
const MANNERS: readonly Manner[] = [
  {
    kind: 'rubber-foot',
    words: /\b(rubber|silicone)\b.*\b(foot|base|boot|bottom)\b/i,
    how: 'While the base is hand-warm, from the middle outwards: it grips, and no air stays under it.',
    handsS: 15,
  },
  {
    kind: 'clockwork',
    words: /clockwork|movement/i,
    how: 'From the back through the hole, its hanger up; washer, then the nut by hand and a quarter turn more.',
    handsS: 60,
    caution: 'No more than a quarter turn: glass and stone crack at the hole.',
  },
  {
    kind: 'hands',
    words: /\bhands?\b/i,
    how: 'Hour hand first, then minute, then second, all at twelve. Turn once round by hand: none may touch another.',
    handsS: 45,
  },
  {
    kind: 'battery',
    words: /batter/i,
    how: 'The marked end first. Set the time, see that it runs.',
    handsS: 20,
  },
  {
    kind: 'feet',
    words: /\b(feet|foot|bumpers?|felt|cork)\b/i,
    how: 'Wipe the back dry. Put one at each corner at the same distance from the edges and press each for a few seconds. The piece must not rock.',
    handsS: 40,
  },
  {
    kind: 'hanger',
    words: /hanger/i,
    how: 'By the paper template: on the middle line, level, at the height it says. Press or screw it on, then hang it once.',
    handsS: 90,
    caution: 'Heavy plates fall: as strong a hanger as the maker says for this weight, and never tape alone.',
  },
  {
    kind: 'stand',
    words: /\b(stand|easel)\b/i,
    how: 'The picture upright; stand it up once and see that it does not tip.',
    handsS: 20,
  },
  {
    kind: 'ring',
    words: /\b(ring|clasp|clip)\b/i,
    how: 'Open it sideways, not apart; hole side up, picture to the front; close it flush, with no gap to slip through.',
    handsS: 25,
  },
  {
    kind: 'cord',
    words: /\b(ribbon|cord|strap|sling)\b/i,
    how: 'Hole side up, picture to the front. All cut to one length.',
    handsS: 25,
  },
  {
    kind: 'pin',
    words: /\b(pin|magnet)s?\b/i,
    how: 'A little above the middle, so that it does not tip forward. Level.',
    handsS: 20,
    caution: 'Strong magnets pinch, and are not for small children.',
  },
  {
    kind: 'backing',
    words: /backing/i,
    how: 'Clear stock: white behind the picture from one edge to the other, without a bubble.',
    handsS: 40,
  },
  {
    kind: 'fixing',
    words: /screw|caps?\b/i,
    how: 'Drilled and fixed as the maker’s sheet says.',
    handsS: 60,
  },
];

const BACK_ON: Pick<Manner, 'kind' | 'how' | 'handsS'> = {
  kind: 'back-on',
  how: 'Cold, clean and dry inside; the same part that came off it.',
  handsS: 8,
};

/** Letters and digits of a line, as an id. */
const slug = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 50) || 'step';

const same = (a: string, b: string): boolean => slug(a) === slug(b);

function step(what: string, part: string | null, off: readonly string[]): FinishStep {
  const manner = MANNERS.find((m) => m.words.test(what));
  const backOn =
    off.some((t) => same(t, what)) && manner?.kind !== 'rubber-foot' && manner?.kind !== 'clockwork';
  const of = backOn
    ? BACK_ON
    : (manner ?? { kind: 'other' as const, how: 'As the shop does it.', handsS: 20 });
  return {
    id: `finish-${slug(what)}`,
    kind: of.kind,
    what,
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
    what: 'Photograph one for the log',
    how: 'Square on, by daylight, beside the last good piece.',
    handsS: 0,
    part: null,
    caution: null,
  },
  {
    id: 'finish-box',
    kind: 'pack',
    what: 'Box with its care card',
    how: 'Cold to the hand before it is wrapped: a warm piece sweats in its box.',
    handsS: 35,
    part: null,
    caution: null,
  },
  {
    id: 'finish-label',
    kind: 'label',
    what: 'Label on the box',
    how: 'From the sheet of labels; the name on it is the name on the piece.',
    handsS: 8,
    part: null,
    caution: null,
  },
];

/** A care card is in the box already. */
const isCare = (line: string): boolean => /\bcare\b/i.test(line);

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
    .filter((t) => ![...named, ...parts].some((s) => same(s.what, t) || slug(t).includes(slug(s.what))))
    .map((t) => step(t, null, blank.takeOff));
  const all = [...named, ...parts, ...back];
  const backing = isFlat(blank) && blank.coating.stock === 'clear' && !all.some((s) => s.kind === 'backing');
  const seen = new Set<string>();
  return [...(backing ? [step('white backing', 'white backing', [])] : []), ...all, ...LAST].filter((s) => {
    if (seen.has(s.id)) return false;
    seen.add(s.id);
    return true;
  });
}

/** Usual hands to finish and pack one piece, s. */
export const finishHandsS = (blank: Blank): number => finishSteps(blank).reduce((s, x) => s + x.handsS, 0);

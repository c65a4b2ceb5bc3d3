import { say, type Message } from '../message/message';
import { seconds } from '../message/quantity';
import {
  CLEANING,
  FIRST_PIECE,
  FIXING,
  MEDIA,
  PAPER_EDGE,
  PRESS_OFF,
  RIM_TAPING,
  type Practices,
} from '../shop/practices';
import { cleaningS, rimTaping, tackingS } from './prepare';

/** A choice: its name, what it gains and what it costs. */
export interface PracticeChoice<K extends keyof Practices = keyof Practices> {
  readonly value: NonNullable<Practices[K]>;
  readonly label: Message;
  readonly cost: Message;
}

/** A working method on which shops differ, and its choices. `usual` names the default where none is chosen; null where one always is. */
export interface Practice<K extends keyof Practices = keyof Practices> {
  readonly key: K;
  readonly label: Message;
  readonly usual: Message | null;
  readonly choices: readonly PracticeChoice<K>[];
}

type Words<V extends string> = Readonly<Record<V, readonly [label: Message, cost: Message]>>;

const practice = <K extends keyof Practices>(
  key: K,
  label: Message,
  values: readonly NonNullable<Practices[K]>[],
  words: Words<NonNullable<Practices[K]>>,
  usual: Message | null = null,
): Practice<K> => ({
  key,
  label,
  usual,
  choices: values.map((value) => ({ value, label: words[value][0], cost: words[value][1] })),
});

const rimCost = (way: (typeof RIM_TAPING)[number]) => {
  const { handsS, strips } = rimTaping(way);
  return { hands: seconds(handsS), strips };
};

/** Every working method on which shops differ, each choice with its cost. */
export const PRACTICES: readonly Practice[] = [
  practice('rims', say('methods.rims'), RIM_TAPING, {
    full: [say('methods.rimsFull'), say('methods.rimsFullCost', rimCost('full'))],
    'where-lifting': [say('methods.rimsLifting'), say('methods.rimsLiftingCost', rimCost('where-lifting'))],
    none: [say('common.none'), say('methods.rimsNoneCost')],
  }),
  practice(
    'cleaning',
    say('methods.cleaning'),
    CLEANING,
    {
      alcohol: [say('methods.alcohol'), say('methods.alcoholCost', { hands: seconds(cleaningS('alcohol')) })],
      'dry-cloth': [
        say('methods.dryCloth'),
        say('methods.dryClothCost', { hands: seconds(cleaningS('dry-cloth')) }),
      ],
      'lint-roller': [
        say('methods.lintRoller'),
        say('methods.lintRollerCost', { hands: seconds(cleaningS('lint-roller')) }),
      ],
    },
    say('methods.cleaningUsual'),
  ),
  practice('fixing', say('methods.fixing'), FIXING, {
    tape: [say('methods.tapeAlone'), say('methods.tapeAloneCost')],
    tack: [say('methods.tapeAndTack'), say('methods.tapeAndTackCost', { hands: seconds(tackingS()) })],
  }),
  practice('media', say('methods.media'), MEDIA, {
    transfer: [say('kinds.transferPaper'), say('methods.transferCost')],
    copy: [say('kinds.copyPaper'), say('methods.copyCost')],
  }),
  practice('paperEdge', say('methods.paperEdge'), PAPER_EDGE, {
    inside: [say('methods.inside'), say('methods.insideCost')],
    exact: [say('methods.exact'), say('methods.exactCost')],
    past: [say('methods.past'), say('methods.pastCost')],
  }),
  practice('firstPiece', say('methods.firstPiece'), FIRST_PIECE, {
    spare: [say('methods.spare'), say('methods.spareCost')],
    job: [say('methods.jobFirst'), say('methods.jobFirstCost')],
  }),
  practice(
    'pressOff',
    say('methods.pressOff'),
    PRESS_OFF,
    {
      open: [say('methods.open'), say('methods.openCost')],
      closed: [say('methods.closed'), say('methods.closedCost')],
    },
    say('methods.pressOffUsual'),
  ),
] as readonly Practice[];

import { FLAT_FORM_WORDS } from '@/core/shop/kindWords';
import { say, type Message } from '@/core/message/message';
import { PLAIN_FORMS, type Family, type FlatOutline, type Material } from '@/core/shop/blank';
import type { Dim } from './dim';

/** A shape to start from, chosen by its picture: usual lengths in mm, which are only drawn until they are typed. */
export interface Start {
  readonly id: string;
  readonly label: Message;
  readonly kind: 'round' | 'flat';
  readonly dims: Readonly<Partial<Record<Dim, number>>>;
  /** Widths between rim and foot: share down the wall, and width over that of the rim. */
  readonly between?: readonly (readonly [number, number])[];
  readonly openEnds?: boolean;
  readonly form?: FlatOutline['form'];
  readonly family: Family;
  readonly material: Material;
}

const round = (
  id: string,
  label: Message,
  dims: Start['dims'],
  family: Family,
  material: Material,
  rest: Partial<Start> = {},
): Start => ({ id, label, kind: 'round', dims, family, material, ...rest });

const CUP = { rim: 74, foot: 74, height: 200, lip: 5, below: 6 };

const ROUND_STARTS: readonly Start[] = [
  round('cup', say('blank.straightCup'), CUP, 'tumbler', 'steel'),
  round('tapered', say('blank.taperedCup'), { ...CUP, rim: 86, foot: 70 }, 'tumbler', 'steel'),
  round(
    'mug',
    say('blank.mugHandle'),
    {
      rim: 82,
      foot: 82,
      height: 96,
      lip: 4,
      below: 5,
      handleWidth: 16,
      handleFrom: 14,
      handleHeight: 62,
      handleReach: 32,
    },
    'mug',
    'ceramic',
  ),
  round(
    'belly',
    say('blank.withABelly'),
    { rim: 72, foot: 62, height: 140, lip: 5, below: 10 },
    'glass',
    'glass',
    {
      between: [[0.55, 1.16]],
    },
  ),
  round(
    'waist',
    say('blank.withAWaist'),
    { rim: 84, foot: 80, height: 150, lip: 5, below: 6 },
    'tumbler',
    'steel',
    {
      between: [[0.55, 0.86]],
    },
  ),
  round(
    'barrel',
    say('blank.barrelOpenEnds'),
    { rim: 11, foot: 11, height: 120, lip: 0, below: 0 },
    'pen',
    'aluminium',
    {
      openEnds: true,
    },
  ),
];

const SIZES: Partial<Readonly<Record<FlatOutline['form'], readonly [number, number]>>> = {
  rectangle: [200, 150],
  tag: [50, 70],
  arch: [80, 110],
  'lugged disc': [72, 82],
};

const FLAT_STARTS: readonly Start[] = (['rectangle', ...PLAIN_FORMS, 'drawn'] as const).map((form): Start => {
  const [width, height] = SIZES[form] ?? [80, 80];
  return {
    id: form,
    label: FLAT_FORM_WORDS[form],
    kind: 'flat',
    form,
    dims: { width, height, corner: form === 'rectangle' ? 3 : 0 },
    family: form === 'rectangle' ? 'metal panel' : 'ornament',
    material: form === 'rectangle' ? 'aluminium' : 'hardboard',
  };
});

export const STARTS: readonly Start[] = [...ROUND_STARTS, ...FLAT_STARTS];

export const startById = (id: string): Start => STARTS.find((s) => s.id === id) ?? (STARTS[0] as Start);

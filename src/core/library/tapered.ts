import type { Blank } from '../shop/blank';
import { band, handleOf, roundBlank as round } from './make';

const STEEL = { wall: 'vacuum' } as const;
const CARE = 'care note';
const FROSTED = { colour: '#e9efee', finish: 'matte' } as const;
const LIDDED = { takeOff: ['lid'], finish: ['lid', CARE] };

/** Walls that taper all the way: cones. */
export const TAPERED: readonly Blank[] = [
  round(
    'tapered-steel-590',
    '590 ml tapered steel',
    'tumbler',
    {
      heightMm: 205,
      wall: [
        [8, 86],
        [197, 70],
      ],
    },
    'steel',
    0.5,
    {
      ...STEEL,
      takeOff: ['lid and straw'],
      finish: ['lid and straw', CARE],
    },
  ),
  round(
    'tapered-steel-890',
    '890 ml tapered steel',
    'tumbler',
    {
      heightMm: 208,
      wall: [
        [9, 101],
        [199, 76],
      ],
    },
    'steel',
    0.5,
    {
      ...STEEL,
      ...LIDDED,
    },
  ),
  round(
    'tapered-steel-350',
    '350 ml tapered steel',
    'tumbler',
    {
      heightMm: 128,
      wall: [
        [7, 83],
        [121, 68],
      ],
    },
    'steel',
    0.5,
    {
      ...STEEL,
      ...LIDDED,
    },
  ),
  round(
    'glass-pint',
    '470 ml frosted pint glass',
    'glass',
    {
      heightMm: 148,
      wall: [
        [8, 86],
        [138, 62],
      ],
    },
    'glass',
    3.5,
    {
      coating: FROSTED,
      finish: ['box with card between'],
    },
  ),
  round(
    'latte-mug',
    '350 ml latte mug, tapered',
    'mug',
    {
      heightMm: 120,
      wall: [
        [5, 88],
        [110, 64],
      ],
      handle: handleOf(15, 18, 72, 34),
    },
    'ceramic',
    4.5,
    {
      finish: ['box'],
    },
  ),
  round(
    'mug-cone-500',
    '500 ml conical mug',
    'mug',
    {
      heightMm: 108,
      wall: [
        [5, 102],
        [100, 70],
      ],
      handle: handleOf(17, 16, 70, 36),
    },
    'ceramic',
    5,
    {
      finish: ['box'],
    },
  ),
  round(
    'pet-bowl-steel',
    'dog bowl, flared, steel',
    'bowl',
    {
      heightMm: 64,
      wall: [
        [8, 168],
        [56, 196],
      ],
    },
    'steel',
    0.8,
    {
      takeOff: ['rubber ring'],
      finish: ['rubber ring'],
    },
  ),
  round(
    'planter-ceramic',
    'ceramic plant pot, tapered',
    'cup',
    {
      heightMm: 120,
      wall: [
        [8, 120],
        [112, 88],
      ],
    },
    'ceramic',
    6,
    {
      finish: ['saucer'],
      needs: ['saucer'],
    },
  ),
  round(
    'shot-glass',
    '45 ml frosted shot glass',
    'small cup',
    {
      heightMm: 60,
      wall: [
        [4, 48],
        [50, 40],
      ],
    },
    'glass',
    3.5,
    {
      coating: FROSTED,
    },
  ),
  round(
    'shot-cup-steel',
    '60 ml steel shot cup',
    'small cup',
    {
      heightMm: 66,
      wall: [
        [4, 50],
        [60, 43],
      ],
    },
    'steel',
    0.5,
    {
      ...STEEL,
    },
  ),
  round(
    'travel-mug-450',
    '450 ml travel mug, tapered',
    'mug',
    {
      heightMm: 178,
      wall: [
        [22, 84],
        [168, 66],
      ],
      handle: handleOf(18, 36, 96, 40),
      exclusionZones: [band('grip ring', 22, 8)],
    },
    'steel',
    0.5,
    {
      ...STEEL,
      ...LIDDED,
    },
  ),
];

import type { Blank } from '../shop/blank';
import { handleOf, roundBlank as round } from './make';

const STEEL = { wall: 'vacuum' } as const;
const CARE = 'care note';
const FROSTED = { colour: '#e9efee', finish: 'matte' } as const;
const LIDDED = { takeOff: ['lid'], finish: ['lid', CARE] };

/** Walls curved both ways: paper lies on part of them. */
export const SHAPED: readonly Blank[] = [
  round(
    'bellied-glass-400',
    '400 ml bellied glass, frosted',
    'glass',
    {
      heightMm: 122,
      wall: [
        [6, 74],
        [30, 81],
        [58, 85],
        [86, 82],
        [112, 72],
      ],
    },
    'glass',
    3,
    {
      coating: FROSTED,
      finish: ['box with card between'],
    },
  ),
  round(
    'wine-cup-steel-350',
    '350 ml steel wine cup',
    'small cup',
    {
      heightMm: 112,
      wall: [
        [6, 70],
        [28, 79],
        [52, 84],
        [76, 80],
        [100, 62],
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
    'waisted-steel-500',
    '500 ml waisted steel',
    'tumbler',
    {
      heightMm: 190,
      wall: [
        [8, 84],
        [50, 78.5],
        [95, 75.5],
        [140, 74.8],
        [182, 75.5],
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
    'tulip-glass',
    '420 ml tulip glass, frosted',
    'glass',
    {
      heightMm: 160,
      wall: [
        [8, 78],
        [40, 76],
        [78, 82],
        [110, 83],
        [140, 66],
      ],
    },
    'glass',
    3,
    {
      coating: FROSTED,
    },
  ),
  round(
    'belly-mug-400',
    '400 ml bellied mug',
    'mug',
    {
      heightMm: 98,
      wall: [
        [6, 82],
        [26, 88],
        [48, 91],
        [70, 88],
        [90, 78],
      ],
      handle: handleOf(16, 16, 62, 34),
    },
    'ceramic',
    4.5,
    {
      finish: ['box'],
    },
  ),
  round(
    'shouldered-bottle-1000',
    '1 litre steel bottle, shouldered',
    'bottle',
    {
      heightMm: 292,
      wall: [
        [60, 70],
        [78, 86],
        [96, 90],
        [200, 90],
        [282, 90],
      ],
    },
    'steel',
    0.5,
    {
      ...STEEL,
      takeOff: ['cap and sling'],
      finish: ['cap and sling'],
    },
  ),
  round(
    'ceramic-vase',
    'ceramic vase, gently bellied',
    'cup',
    {
      heightMm: 186,
      wall: [
        [16, 66],
        [56, 74],
        [96, 79],
        [136, 77],
        [176, 68],
      ],
    },
    'ceramic',
    5,
    {},
  ),
];

/** Barrels open at both ends: oven and wound tape. */
export const BARRELS: readonly Blank[] = [
  round(
    'pen-aluminium',
    'ball pen, aluminium barrel',
    'pen',
    {
      heightMm: 92,
      wall: [
        [3, 10.4],
        [89, 10.4],
      ],
      openEnds: true,
    },
    'aluminium',
    0.6,
    {
      takeOff: ['refill, tip and clip'],
      finish: ['tip, refill and clip'],
      needs: ['refill'],
    },
  ),
  round(
    'pen-polymer',
    'ball pen, polymer barrel',
    'pen',
    {
      heightMm: 84,
      wall: [
        [3, 11.6],
        [80, 11.6],
      ],
      openEnds: true,
    },
    'polymer',
    1.2,
    {
      takeOff: ['refill and tip'],
      finish: ['tip and refill'],
      cautions: ['Softens in the oven: stand it on its rod until cold.'],
    },
  ),
  round(
    'pencil-barrel',
    'pencil barrel, tapered, aluminium',
    'pen',
    {
      heightMm: 120,
      wall: [
        [4, 9],
        [116, 8],
      ],
      openEnds: true,
    },
    'aluminium',
    0.6,
    {
      takeOff: ['lead and eraser'],
      finish: ['lead and eraser'],
    },
  ),
  round(
    'lighter-sleeve',
    'lighter sleeve, aluminium',
    'pen',
    {
      heightMm: 58,
      wall: [
        [2, 26],
        [56, 26],
      ],
      openEnds: true,
    },
    'aluminium',
    0.6,
    {
      takeOff: ['lighter'],
      finish: ['lighter back in when it is cold'],
      cautions: ['Never heat a lighter: only the empty sleeve goes in the oven.'],
    },
  ),
];

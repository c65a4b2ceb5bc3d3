import type { Blank } from '../shop/blank';
import { band, handleOf, patch, roundBlank as round } from './make';

const STEEL = { wall: 'vacuum' } as const;
const CARE = 'care note';
const MATTE = { finish: 'matte' } as const;
const FROSTED = { colour: '#e9efee', finish: 'matte' } as const;
const LIDDED = { takeOff: ['lid'], finish: ['lid', CARE] };

const MUG_HANDLE = handleOf(16, 14, 68, 33);

/** Straight walls, with and without a handle. */
const STRAIGHT: readonly Blank[] = [
  round(
    'straight-steel-590',
    '590 ml straight steel',
    'tumbler',
    {
      heightMm: 204,
      wall: [
        [5, 73.5],
        [198, 73.5],
      ],
    },
    'steel',
    0.5,
    {
      ...STEEL,
      takeOff: ['lid and straw', 'rubber foot'],
      finish: ['rubber foot back on', 'lid and straw', CARE],
    },
  ),
  round(
    'straight-steel-350',
    '350 ml straight steel',
    'tumbler',
    {
      heightMm: 128,
      wall: [
        [5, 73.5],
        [122, 73.5],
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
    'straight-steel-890',
    '890 ml straight steel',
    'tumbler',
    {
      heightMm: 246,
      wall: [
        [6, 84],
        [239, 84],
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
    'steel-can-sleeve',
    'slim can sleeve, steel',
    'can sleeve',
    {
      heightMm: 146,
      wall: [
        [9, 68],
        [139, 68],
      ],
    },
    'steel',
    0.5,
    {
      ...STEEL,
      coating: MATTE,
      takeOff: ['screw ring and its gasket'],
      finish: ['gasket and ring', 'box'],
    },
  ),
  round(
    'steel-can-sleeve-short',
    'short can sleeve, steel',
    'can sleeve',
    {
      heightMm: 122,
      wall: [
        [9, 76],
        [115, 76],
      ],
    },
    'steel',
    0.5,
    {
      ...STEEL,
      coating: MATTE,
      takeOff: ['screw ring and its gasket'],
      finish: ['gasket and ring', 'box'],
    },
  ),
  round(
    'steel-bottle-sleeve',
    'bottle sleeve, steel',
    'can sleeve',
    {
      heightMm: 158,
      wall: [
        [10, 72],
        [150, 72],
      ],
    },
    'steel',
    0.5,
    {
      ...STEEL,
      takeOff: ['neck ring', 'opener in the foot'],
      finish: ['neck ring', 'opener', 'box'],
    },
  ),
  round(
    'steel-bottle-500',
    '500 ml steel bottle',
    'bottle',
    {
      heightMm: 222,
      wall: [
        [46, 66],
        [214, 66],
      ],
    },
    'steel',
    0.5,
    {
      ...STEEL,
      takeOff: ['cap'],
      finish: ['cap', CARE],
    },
  ),
  round(
    'steel-bottle-750',
    '750 ml steel bottle',
    'bottle',
    {
      heightMm: 262,
      wall: [
        [52, 73],
        [254, 73],
      ],
      keepClear: [band('stamp by the foot', 236, 12)],
    },
    'steel',
    0.5,
    {
      ...STEEL,
      coating: { colour: '#f2efe6', finish: 'matte' },
      takeOff: ['cap', 'silicone foot'],
      film: true,
      finish: ['foot and cap', CARE],
    },
  ),
  round(
    'aluminium-bottle-600',
    '600 ml aluminium bottle',
    'bottle',
    {
      heightMm: 220,
      wall: [
        [58, 73],
        [212, 73],
      ],
    },
    'aluminium',
    0.8,
    {
      takeOff: ['cap and clip'],
      finish: ['cap and clip'],
      cautions: ['A single thin wall dents: light pressure, and never empty in a tight mat.'],
    },
  ),
  round(
    'kids-bottle-350',
    '350 ml steel bottle, small hands',
    'bottle',
    {
      heightMm: 172,
      wall: [
        [38, 70],
        [165, 70],
      ],
    },
    'steel',
    0.5,
    {
      ...STEEL,
      takeOff: ['spout cap and straw', 'silicone boot'],
      finish: ['boot', 'cap and straw', CARE],
    },
  ),
  round(
    'flask-500',
    '500 ml steel flask with cup',
    'bottle',
    {
      heightMm: 248,
      wall: [
        [62, 68],
        [240, 68],
      ],
      keepClear: [band('seam under the cup', 62, 4)],
    },
    'steel',
    0.5,
    {
      ...STEEL,
      takeOff: ['cup and stopper'],
      finish: ['stopper and cup'],
    },
  ),
  round(
    'glass-can-470',
    '470 ml frosted glass can',
    'glass',
    {
      heightMm: 134,
      wall: [
        [18, 75],
        [125, 75],
      ],
    },
    'glass',
    3,
    {
      coating: FROSTED,
      takeOff: ['bamboo lid', 'straw'],
      finish: ['lid and straw', 'box with card between'],
    },
  ),
  round(
    'glass-can-clear-470',
    '470 ml clear glass can',
    'glass',
    {
      heightMm: 134,
      wall: [
        [18, 75],
        [125, 75],
      ],
    },
    'glass',
    3,
    {
      coating: { stock: 'clear', colour: '#eef4f3' },
      takeOff: ['bamboo lid', 'straw'],
      finish: ['lid and straw', 'box with card between'],
    },
  ),
  round(
    'glass-jar-500',
    '500 ml frosted jar',
    'glass',
    {
      heightMm: 138,
      wall: [
        [30, 82],
        [124, 82],
      ],
    },
    'glass',
    3.2,
    {
      coating: FROSTED,
      takeOff: ['screw lid and seal'],
      finish: ['seal and lid'],
    },
  ),
  round(
    'candle-glass',
    'candle glass',
    'glass',
    {
      heightMm: 92,
      wall: [
        [4, 80],
        [84, 80],
      ],
    },
    'glass',
    3,
    {
      coating: FROSTED,
      finish: ['wick and wax after it has cooled'],
      needs: ['wick', 'wax'],
    },
  ),
  round(
    'glass-stein-470',
    '470 ml frosted stein',
    'stein',
    {
      heightMm: 150,
      wall: [
        [6, 84],
        [126, 84],
      ],
      handle: handleOf(22, 22, 92, 44),
    },
    'glass',
    4.5,
    {
      coating: FROSTED,
      finish: ['box with card between'],
    },
  ),
  round(
    'ceramic-stein-600',
    '600 ml ceramic stein',
    'stein',
    {
      heightMm: 158,
      wall: [
        [18, 88],
        [136, 88],
      ],
      handle: handleOf(24, 24, 100, 46),
      keepClear: [band('moulded rings', 18, 8)],
    },
    'ceramic',
    6,
    {
      finish: ['box'],
    },
  ),
  round(
    'ceramic-beaker-330',
    '330 ml ceramic beaker',
    'cup',
    {
      heightMm: 96,
      wall: [
        [3, 82],
        [92, 82],
      ],
    },
    'ceramic',
    4,
    {
      finish: ['box'],
    },
  ),
  round(
    'mug-325',
    '325 ml ceramic mug',
    'mug',
    {
      heightMm: 96,
      wall: [
        [4, 82],
        [91, 82],
      ],
      handle: MUG_HANDLE,
    },
    'ceramic',
    4,
    {
      finish: ['box'],
    },
  ),
  round(
    'mug-450',
    '450 ml ceramic mug',
    'mug',
    {
      heightMm: 118,
      wall: [
        [4, 86],
        [112, 86],
      ],
      handle: handleOf(17, 18, 82, 36),
    },
    'ceramic',
    4.5,
    {
      finish: ['box'],
    },
  ),
  round(
    'mug-inner-colour',
    '325 ml mug, coloured inside',
    'mug',
    {
      heightMm: 96,
      wall: [
        [5, 82],
        [91, 82],
      ],
      handle: MUG_HANDLE,
      keepClear: [band('coloured rim', 5, 3)],
    },
    'ceramic',
    4,
    {
      finish: ['box'],
    },
  ),
  round(
    'mug-half-coat',
    '325 ml mug, lower half coated',
    'mug',
    {
      heightMm: 96,
      wall: [
        [46, 82],
        [91, 82],
      ],
      handle: MUG_HANDLE,
    },
    'ceramic',
    4,
    {
      finish: ['box'],
      cautions: ['Bare clay above the coating takes no dye: keep the wrap below the line.'],
    },
  ),
  round(
    'mug-magic',
    '325 ml colour-changing mug',
    'mug',
    {
      heightMm: 96,
      wall: [
        [5, 82],
        [90, 82],
      ],
      handle: MUG_HANDLE,
    },
    'ceramic',
    4,
    {
      coating: { colour: '#2b2b2e', finish: 'matte' },
      finish: ['box'],
      cautions: ['The heat-sensitive coat browns early: the low end of the range, and a test piece.'],
    },
  ),
  round(
    'mug-steel-350',
    '350 ml steel camp mug',
    'mug',
    {
      heightMm: 88,
      wall: [
        [6, 83],
        [82, 83],
      ],
      handle: handleOf(15, 16, 56, 34),
    },
    'steel',
    0.5,
    {
      ...STEEL,
      ...LIDDED,
    },
  ),
  round(
    'mug-enamel-360',
    '360 ml enamelled mug',
    'mug',
    {
      heightMm: 80,
      wall: [
        [6, 88],
        [74, 88],
      ],
      handle: handleOf(15, 14, 50, 34),
    },
    'steel',
    1.2,
    {
      finish: ['box'],
      cautions: ['A thin single wall heats at once: shorter than a ceramic mug.'],
    },
  ),
  round(
    'mug-polymer-325',
    '325 ml polymer mug',
    'mug',
    {
      heightMm: 95,
      wall: [
        [4, 81],
        [90, 81],
      ],
      handle: handleOf(16, 16, 62, 33),
    },
    'polymer',
    4,
    {
      cautions: ['Softens in the heat: hold its shape until cold.'],
    },
  ),
  round(
    'glass-mug-325',
    '325 ml frosted glass mug',
    'mug',
    {
      heightMm: 96,
      wall: [
        [6, 80],
        [88, 80],
      ],
      handle: MUG_HANDLE,
    },
    'glass',
    4,
    {
      coating: FROSTED,
    },
  ),
  round(
    'espresso-cup',
    '90 ml espresso cup',
    'small cup',
    {
      heightMm: 60,
      wall: [
        [3, 58],
        [55, 58],
      ],
      handle: handleOf(11, 12, 36, 22),
    },
    'ceramic',
    3.5,
    {
      finish: ['saucer', 'box'],
      needs: ['saucer'],
    },
  ),
  round(
    'pet-bowl-ceramic',
    'dog bowl, straight, ceramic',
    'bowl',
    {
      heightMm: 62,
      wall: [
        [6, 152],
        [54, 152],
      ],
    },
    'ceramic',
    6,
    {
      finish: ['rubber ring under it'],
      needs: ['rubber ring'],
    },
  ),
  round(
    'utensil-jar',
    'ceramic utensil jar',
    'cup',
    {
      heightMm: 150,
      wall: [
        [5, 110],
        [144, 110],
      ],
    },
    'ceramic',
    5,
    {},
  ),
  round(
    'money-box',
    'ceramic money box',
    'cup',
    {
      heightMm: 92,
      wall: [
        [10, 82],
        [86, 82],
      ],
      keepClear: [patch('coin slot', 10, 12, 40, 180)],
    },
    'ceramic',
    4,
    {
      takeOff: ['rubber plug'],
      finish: ['plug'],
    },
  ),
];

/** Walls that taper all the way: cones. */
const TAPERED: readonly Blank[] = [
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
      keepClear: [band('grip ring', 22, 8)],
    },
    'steel',
    0.5,
    {
      ...STEEL,
      ...LIDDED,
    },
  ),
];

/** Walls curved both ways: paper lies on part of them. */
const SHAPED: readonly Blank[] = [
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
const BARRELS: readonly Blank[] = [
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

export const ROUND_LIBRARY: readonly Blank[] = [...STRAIGHT, ...TAPERED, ...SHAPED, ...BARRELS];

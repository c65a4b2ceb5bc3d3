import type { Blank } from '../shop/blank';
import { band, patch, roundBlank as round } from './make';

const STEEL = { wall: 'vacuum' } as const;
const CARE = 'care note';
const MATTE = { finish: 'matte' } as const;
const FROSTED = { colour: '#e9efee', finish: 'matte' } as const;
const LIDDED = { takeOff: ['lid'], finish: ['lid', CARE] };

/** Straight walls with nothing in the way. */
export const STRAIGHT: readonly Blank[] = [
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
      exclusionZones: [band('stamp by the foot', 236, 12)],
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
      exclusionZones: [band('seam under the cup', 62, 4)],
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
      exclusionZones: [patch('coin slot', 10, 12, 40, 180)],
    },
    'ceramic',
    4,
    {
      takeOff: ['rubber plug'],
      finish: ['plug'],
    },
  ),
];

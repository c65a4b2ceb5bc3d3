import type { Blank } from '../shop/blank';
import { band, handleOf, roundBlank as round } from './make';

const STEEL = { wall: 'vacuum' } as const;
const CARE = 'care note';
const FROSTED = { colour: '#e9efee', finish: 'matte' } as const;
const LIDDED = { takeOff: ['lid'], finish: ['lid', CARE] };
const MUG_HANDLE = handleOf(16, 14, 68, 33);

/** Straight walls with a handle. */
export const HANDLED: readonly Blank[] = [
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
      exclusionZones: [band('moulded rings', 18, 8)],
    },
    'ceramic',
    6,
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
      exclusionZones: [band('coloured rim', 5, 3)],
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
];

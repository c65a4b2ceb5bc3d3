import type { PictureRef } from '../job/art';
import { seeded } from '../random/random';

/** Shapes a scene is made of, in the unit of its frame. Painted in order. */
export type Shape =
  | { readonly kind: 'fill'; readonly stops: readonly (readonly [number, string])[] }
  | {
      readonly kind: 'dot';
      readonly x: number;
      readonly y: number;
      readonly r: number;
      readonly colour: string;
    }
  | {
      readonly kind: 'moon';
      readonly x: number;
      readonly y: number;
      readonly r: number;
      readonly phase: number;
    }
  | {
      readonly kind: 'line';
      readonly points: readonly (readonly [number, number])[];
      readonly width: number;
      readonly colour: string;
    }
  | {
      readonly kind: 'ring';
      readonly x: number;
      readonly y: number;
      readonly r: number;
      readonly width: number;
      readonly colour: string;
    };

export interface Scene {
  readonly width: number;
  readonly height: number;
  readonly shapes: readonly Shape[];
}

const NIGHT = [
  [0, '#0d1230'],
  [0.55, '#141a47'],
  [1, '#33265c'],
] as const;
const STAR_COLOURS = ['#ffffff', '#fdf6e3', '#dfe6ff', '#ffe9c9'] as const;

/** Stars at random, repeated across the left and right ends so the seam continues. Sizes are fractions of the height. */
function starField(random: () => number, w: number, h: number, n: number): Shape[] {
  const shapes: Shape[] = [];
  for (let i = 0; i < n; i += 1) {
    const x = random() * w;
    const y = random() * h;
    const r = h * (0.0008 + 0.0042 * random() ** 6);
    const colour = STAR_COLOURS[Math.floor(random() * STAR_COLOURS.length)] ?? '#ffffff';
    shapes.push({ kind: 'dot', x, y, r, colour });
    if (x < r) shapes.push({ kind: 'dot', x: x + w, y, r, colour });
    if (x > w - r) shapes.push({ kind: 'dot', x: x - w, y, r, colour });
  }
  return shapes;
}

function figureOfStars(random: () => number, cx: number, cy: number, size: number): Shape[] {
  const points = Array.from({ length: 5 }, (_, i): readonly [number, number] => [
    cx + size * (i / 2 - 1) * (0.7 + 0.3 * random()),
    cy + size * (random() - 0.5),
  ]);
  return [
    { kind: 'line', points, width: size * 0.012, colour: '#8fa3d8' },
    ...points.map(([x, y]): Shape => ({
      kind: 'dot',
      x,
      y,
      r: size * (0.03 + 0.03 * random()),
      colour: '#ffffff',
    })),
  ];
}

const moonBand = (w: number, y: number, r: number, n: number): Shape[] =>
  Array.from({ length: n }, (_, i): Shape => ({
    kind: 'moon',
    x: (w * (i + 0.5)) / n,
    y,
    r,
    phase: (i + 0.5) / n,
  }));

function starChart(w: number, h: number, seed: number): Shape[] {
  const random = seeded(seed);
  const figures = Array.from({ length: 4 }, (_, i) =>
    figureOfStars(random, (w * (i + 0.5)) / 4, h * (0.18 + 0.12 * random()), h * 0.16),
  ).flat();
  return [
    { kind: 'fill', stops: NIGHT },
    ...starField(random, w, h, 620),
    ...figures,
    ...moonBand(w, h * 0.6, Math.min(h * 0.055, w * 0.0456), 9),
  ];
}

function comet(w: number, h: number, seed: number): Shape[] {
  const random = seeded(seed);
  const head = { x: w * 0.4, y: h * 0.58 };
  const tail = Array.from({ length: 90 }, (_, i): Shape => {
    const along = (i / 90) ** 0.8;
    const spread = (random() - 0.5) * h * 0.34 * along;
    return {
      kind: 'line',
      points: [
        [head.x, head.y],
        [head.x + w * 0.45 * along, head.y - h * 0.42 * along + spread],
      ],
      width: h * 0.0022,
      colour: '#5f86b8',
    };
  });
  return [
    {
      kind: 'fill',
      stops: [
        [0, '#dfe9ef'],
        [1, '#f4efe0'],
      ],
    },
    ...tail,
    { kind: 'dot', x: head.x, y: head.y, r: h * 0.06, colour: '#2c4d7c' },
    { kind: 'ring', x: head.x, y: head.y, r: h * 0.085, width: h * 0.006, colour: '#2c4d7c' },
  ];
}

function moonStrip(w: number, h: number, seed: number): Shape[] {
  const random = seeded(seed);
  return [
    {
      kind: 'fill',
      stops: [
        [0, '#10233a'],
        [1, '#1b3a4b'],
      ],
    },
    ...starField(random, w, h, 260),
    {
      kind: 'line',
      points: [
        [0, h * 0.3],
        [w, h * 0.3],
      ],
      width: h * 0.006,
      colour: '#c9b37a',
    },
    {
      kind: 'line',
      points: [
        [0, h * 0.7],
        [w, h * 0.7],
      ],
      width: h * 0.006,
      colour: '#c9b37a',
    },
    ...moonBand(w, h * 0.5, h * 0.1, 8),
  ];
}

const SCENES = { 'star chart': starChart, comet, 'moon band': moonStrip } as const;
export type SceneName = NonNullable<PictureRef['drawn']>['scene'];

/** A demo picture as shapes, in pixels of its reference size. Same seed, same picture. */
export function drawScene(name: SceneName, width: number, height: number, seed: number): Scene {
  return { width, height, shapes: SCENES[name](width, height, seed) };
}

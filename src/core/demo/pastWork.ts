import { seeded } from '../random/random';
import type { HeatSettings } from '../shop/heatSettings';
import type { Mark } from '../shop/mark';
import { BARE_ENTRY, type Lay, type LogEntry, type Recipe, type SeenFace } from '../shop/records';
import type { Run } from '../shop/run';

const DAY_MS = 86_400_000;

const PROVEN_590: HeatSettings = {
  platenC: 188,
  dwellS: 65,
  laterDwellS: null,
  passes: 2,
  timerStart: 'from-closing',
  pressure: 'medium',
  peel: 'hot',
  coolDownC: 170,
};
const TRIED_590: HeatSettings = { ...PROVEN_590, dwellS: 55 };

const entry = (
  id: string,
  at: number,
  settings: HeatSettings,
  verdict: LogEntry['verdict'],
  good: number,
  spoiled: number,
  rest: Partial<LogEntry> = {},
): LogEntry => ({
  id,
  at,
  jobId: 'autumn-market',
  jobName: 'Autumn market tumblers',
  blankId: 'straight-steel-590',
  blankName: '590 ml straight steel',
  pressId: 'tumbler-press-a',
  pressName: 'Tumbler press A',
  settings,
  load: null,
  verdict,
  paperState: 'even',
  good,
  spoiled,
  ...BARE_ENTRY,
  ...rest,
});

const mark = (
  id: string,
  fault: Mark['fault'],
  place: Mark['place'],
  severity: Mark['severity'] = 2,
): Mark => ({
  id,
  fault,
  severity,
  side: 'front',
  piece: 1,
  place,
});

/** Printed at the desk. */
const DESK = { paperName: 'A4', printerName: 'Desk printer' };

function tumblers(now: number): readonly LogEntry[] {
  return [
    entry('log-1', now - 41 * DAY_MS, TRIED_590, 'under', 0, 1, {
      ...DESK,
      supplier: 'Basin Supply',
      paperState: 'left-all',
      marks: [mark('m1', 'faded-all', { kind: 'point', xMm: 110, yMm: 90 })],
      note: 'Blues washed out. Plenty of dye still on the paper.',
    }),
    entry('log-2', now - 41 * DAY_MS + 3_600_000, PROVEN_590, 'good', 11, 0, {
      ...DESK,
      supplier: 'Basin Supply',
      note: 'Ten seconds more did it.',
    }),
    entry('log-3', now - 26 * DAY_MS, PROVEN_590, 'good', 18, 1, {
      ...DESK,
      supplier: 'Fork Traders',
      note: 'One lint speck.',
    }),
    entry('log-4', now - 12 * DAY_MS, PROVEN_590, 'good', 9, 0, { ...DESK, supplier: 'Basin Supply' }),
  ];
}

const PANEL: SeenFace = {
  form: 'flat',
  widthMm: 400,
  heightMm: 600,
  rings: [
    [
      [0, 0],
      [400, 0],
      [400, 600],
      [0, 600],
    ],
  ],
};
const PANEL_SETTINGS: HeatSettings = {
  platenC: 200,
  dwellS: 60,
  laterDwellS: null,
  passes: 1,
  timerStart: 'from-closing',
  pressure: 'medium',
  peel: 'hot',
  coolDownC: null,
};

/** A panel in the middle of the large platen, as it came or turned half round. */
const panelLay = (turned: boolean): Lay => ({
  on: 'platen',
  widthMm: 500,
  heightMm: 700,
  pieces: [{ piece: 1, to: turned ? [-1, 0, 0, -1, 450, 650] : [1, 0, 0, 1, 50, 50] }],
});

/** Ten in the morning of a day so long ago. */
const morning = (now: number, daysAgo: number): number =>
  Math.floor(now / DAY_MS) * DAY_MS - daysAgo * DAY_MS + 10 * 3_600_000;

/** Large panels over nine weeks: whichever way one lay, its corner at the back left of the platen came out pale. */
function panels(now: number): readonly LogEntry[] {
  const random = seeded(41);
  return Array.from({ length: 9 }, (_, i): LogEntry => {
    const turned = i % 3 === 1;
    const [x, y] = [12 + 40 * random(), 12 + 40 * random()];
    const at = turned ? { xMm: 400 - x, yMm: 600 - y } : { xMm: x, yMm: y };
    return entry(`log-panel-${i + 1}`, morning(now, 63 - 6 * i), PANEL_SETTINGS, 'other', 2 + (i % 2), 1, {
      jobId: 'stair-panels',
      jobName: 'Panels for the stair',
      blankId: 'panel-400-600',
      blankName: 'aluminium panel 400 × 600',
      pressId: 'flat-press-b',
      pressName: 'Wide flat press B',
      by: i % 2 === 0 ? 'Ines' : 'Tariq',
      keptDwellS: 60 + Math.round(8 * random() - 2),
      paperState: 'left-in-places',
      spoiledCostCents: 1480,
      marks: [mark(`p${i}`, 'faded-edge', { kind: 'point', ...at })],
      face: PANEL,
      lay: panelLay(turned),
      cause: i === 4 || i === 8 ? 'uneven-pressure' : null,
      note: i === 8 ? 'The same corner again.' : '',
    });
  });
}

const MUG_FACE: SeenFace = {
  form: 'wrap',
  widthMm: 200,
  heightMm: 92,
  rings: [
    [
      [0, 0],
      [200, 0],
      [200, 92],
      [0, 92],
    ],
  ],
};

/** Mugs of the same weeks: a speck here and there, a ghost now and then. */
function mugs(now: number): readonly LogEntry[] {
  const random = seeded(77);
  return Array.from({ length: 14 }, (_, i): LogEntry => {
    const ghost = i % 5 === 0;
    const spoiled = ghost ? 2 : 1;
    return entry(
      `log-mug-${i + 1}`,
      morning(now, 62 - 4 * i) + 4 * 3_600_000,
      { ...PANEL_SETTINGS, platenC: 195, dwellS: 180 },
      'other',
      14 + Math.floor(8 * random()),
      spoiled,
      {
        jobId: 'harvest-mugs',
        jobName: 'Harvest mugs',
        blankId: 'mug-325',
        blankName: '325 ml mug',
        pressId: 'mug-press',
        pressName: 'Mug press',
        by: i % 3 === 0 ? 'Tariq' : 'Ines',
        keptDwellS: 180 + Math.round(20 * random() - 5),
        spoiledCostCents: 210 * spoiled,
        marks: [
          mark(
            `g${i}`,
            ghost ? 'ghost' : 'colour-speck',
            { kind: 'point', xMm: 20 + 160 * random(), yMm: 10 + 70 * random() },
            1,
          ),
        ],
        face: MUG_FACE,
        cause: ghost ? 'moved-hot' : i % 2 === 0 ? 'lint' : null,
      },
    );
  });
}

/** What the shop pressed before today, and what it kept of it. */
export function pastWork(now: number): { log: LogEntry[]; recipes: Recipe[]; runs: Run[] } {
  const recipes = [
    {
      id: 'recipe-590-a',
      blankId: 'straight-steel-590',
      pressId: 'tumbler-press-a',
      settings: PROVEN_590,
      load: null,
      pressureAt: 3.5,
      keptAt: now - 41 * DAY_MS + 3_700_000,
    },
  ];
  return { log: [...tumblers(now), ...panels(now), ...mugs(now)], recipes, runs: [] };
}

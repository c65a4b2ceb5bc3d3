import { DRAWN_PICTURES } from '../art/drawn';
import { NO_ART, pictureLayer, textLayer, type Art, type PictureRef } from '../job/art';
import { newJob, type Job, type Reading } from '../job/job';
import { STARTER_PRINTER, type Printer } from '../shop/printer';
import { DEFAULT_SETTINGS } from '../shop/settings';
import { NO_BOOKS, type StockAndQuotes } from '../shop/books';
import { DEFAULT_DAY } from '../shop/day';
import type { Shop } from '../shop/shop';
import { LIBRARY } from '../library/library';
import { demoStockAndQuotes } from './books';
import { GUIDES } from './guides';
import { pastWork } from './pastWork';
import { ROLL_PAPER, STARTER_PAPERS, STARTER_PRESSES, demoPresses } from './things';

export interface DemoShop {
  readonly shop: Shop;
  readonly jobs: readonly Job[];
  /** Its shelf and its quotes. */
  readonly books: StockAndQuotes;
}

const DAY_MS = 86_400_000;

const byId = (id: string): PictureRef => {
  const found = DRAWN_PICTURES.find((p) => p.id === id);
  if (!found) throw new Error(`No drawn picture ${id}`);
  return found;
};

const onlyPicture = (id: string): Art => ({ ...NO_ART, layers: [pictureLayer('picture', byId(id))] });

const tape = (id: string, text: string, bareUnit: Reading['bareUnit'] = 'mm'): Reading => ({
  id,
  text,
  bareUnit,
  method: 'soft tape',
});
const day = (today: Date, days: number): string =>
  new Date(today.getTime() + days * DAY_MS).toISOString().slice(0, 10);

function crewTumblers(today: Date): Job {
  const job = newJob('star-party-tumblers', 'Star party crew tumblers');
  return {
    ...job,
    pieces: 24,
    dueOn: day(today, 10),
    note: 'For the hill observatory’s star party. Moon band level all round.',
    blankId: 'straight-steel-590',
    prepared: ['take-off: lid and straw', 'take-off: rubber foot'],
    readings: {
      ...job.readings,
      circumferenceTop: [tape('g1', '9 1/8', 'in'), tape('g2', '23.2 cm')],
      circumferenceFoot: [tape('g3', '9 1/8', 'in'), tape('g4', '232')],
      wall: [{ id: 'h1', text: '193', bareUnit: 'mm', method: 'steel rule' }],
    },
    art: {
      ...NO_ART,
      layers: [
        pictureLayer('chart', byId('star-chart')),
        textLayer('party', 'Dry Fork star party', { dxMm: -2, dyMm: 62 }),
      ],
    },
    pressId: 'tumbler-press-a',
  };
}

function cometCans(today: Date): Job {
  const job = newJob('comet-cans', 'Comet glass cans');
  return {
    ...job,
    pieces: 12,
    dueOn: day(today, 4),
    blankId: 'glass-can-470',
    prepared: ['take-off: bamboo lid', 'take-off: straw'],
    readings: {
      ...job.readings,
      circumferenceTop: [tape('g1', '237')],
      circumferenceFoot: [tape('g2', '237')],
      wall: [tape('h1', '107')],
    },
    wrap: { ...job.wrap, seamMethod: 'gap', amountMm: 24 },
    art: onlyPicture('comet'),
  };
}

function guideBottles(today: Date): Job {
  const job = newJob('trail-guide-bottles', 'Trail guide bottles');
  return {
    ...job,
    pieces: 6,
    dueOn: day(today, 17),
    blankId: 'steel-bottle-750',
    art: onlyPicture('moon-band'),
  };
}

function deskBeakers(today: Date): Job {
  const job = newJob('dome-beakers', 'Dome keeper’s beakers');
  return {
    ...job,
    pieces: 2,
    dueOn: day(today, 1),
    blankId: 'ceramic-beaker-330',
    readings: {
      ...job.readings,
      circumferenceTop: [tape('g1', '10 3/16', 'in')],
      circumferenceFoot: [tape('g2', '10 3/16', 'in')],
      wall: [tape('h1', '3 1/2', 'in')],
    },
    wrap: { ...job.wrap, seamMethod: 'lap' },
    art: onlyPicture('moon-band'),
    pressId: 'mug-press',
  };
}

const rule = (id: string, text: string, bareUnit: Reading['bareUnit'] = 'mm'): Reading => ({
  id,
  text,
  bareUnit,
  method: 'steel rule',
});

/** A tapered cup: both circumferences and the wall along its slope. */
function nightTumblers(today: Date): Job {
  const job = newJob('night-walk-tumblers', 'Night walk tumblers');
  return {
    ...job,
    pieces: 24,
    dueOn: day(today, 12),
    note: 'One for each of the night walk’s guides. The chart stays level when the cup stands.',
    blankId: 'tapered-steel-590',
    prepared: ['take-off: lid and straw'],
    readings: {
      ...job.readings,
      circumferenceTop: [tape('g1', '10 11/16', 'in'), tape('g2', '10 11/16', 'in')],
      circumferenceFoot: [tape('g3', '8 11/16', 'in')],
      wall: [rule('h1', '189')],
    },
    art: {
      templates: [],
      warp: 'level',
      layers: [
        pictureLayer('chart', byId('star-chart')),
        textLayer('guide', 'Guide', {
          font: 'hand',
          capHeightMm: 14,
          dyMm: 52,
          mostMm: 110,
          field: 'Name',
        }),
      ],
      names: { columns: ['Name', 'Team'], rows: GUIDES, countColumn: null, pictures: [] },
    },
    pressId: 'bench-oven',
  };
}

/** Two pictures' worth of mug: from handle side to handle side. */
function constellationMugs(today: Date): Job {
  const job = newJob('constellation-mugs', 'Constellation mugs');
  return {
    ...job,
    pieces: 18,
    dueOn: day(today, 6),
    blankId: 'mug-325',
    readings: {
      ...job.readings,
      circumferenceTop: [tape('g1', '242'), tape('g2', '242')],
      circumferenceFoot: [tape('g3', '242')],
      wall: [rule('h1', '87')],
      handle: [{ id: 'w1', text: '16.2', bareUnit: 'mm', method: 'caliper' }],
    },
    wrap: { ...job.wrap, seamMethod: 'under' },
    art: {
      ...NO_ART,
      layers: [
        pictureLayer('left', byId('moon-band'), {
          placement: { base: 'fit', scale: 0.6, dxMm: -58, dyMm: 0, rotationDeg: 0 },
        }),
        pictureLayer('right', byId('comet'), {
          placement: { base: 'fit', scale: 0.6, dxMm: 58, dyMm: 0, rotationDeg: 0 },
        }),
      ],
    },
    pressId: 'mug-press',
  };
}

/** A glass with a belly: circumferences down the wall decide how tall the paper may be. */
function bellyGlasses(today: Date): Job {
  const job = newJob('comet-glasses', 'Comet bellied glasses');
  return {
    ...job,
    pieces: 8,
    dueOn: day(today, 20),
    blankId: 'bellied-glass-400',
    readings: {
      ...job.readings,
      circumferenceTop: [tape('g1', '234')],
      circumferenceFoot: [tape('g2', '228')],
      wall: [rule('h1', '106')],
    },
    stations: [
      { id: 'belly-30', fromRimMm: 30, readings: [tape('g3', '256')] },
      { id: 'belly-58', fromRimMm: 58, readings: [tape('g4', '268'), tape('g5', '268')] },
      { id: 'belly-86', fromRimMm: 86, readings: [tape('g6', '259')] },
    ],
    wrap: { ...job.wrap, hold: 'sleeve', seamMethod: 'gap' },
    art: onlyPicture('comet'),
  };
}

/** Both faces about a fold. */
function starOrnaments(today: Date): Job {
  const job = newJob('moon-and-star-ornaments', 'Moon-and-star ornaments');
  return {
    ...job,
    pieces: 40,
    dueOn: day(today, 14),
    blankId: 'ornament-star',
    readings: { ...job.readings, width: [rule('w1', '84')], height: [rule('h1', '80')] },
    wrap: { ...job.wrap, faces: 'one then the other' },
    art: {
      ...NO_ART,
      layers: [
        pictureLayer('moon', byId('moon-band'), { on: 'front' }),
        pictureLayer('star', byId('star-chart'), { on: 'back' }),
      ],
    },
    pressId: 'flat-press-a',
  };
}

/** Stone with rough edges, wrapped over its edges. */
function trailMarkers(today: Date): Job {
  const job = newJob('slate-trail-markers', 'Slate trail markers');
  return {
    ...job,
    pieces: 10,
    dueOn: day(today, 24),
    blankId: 'slate-trail-marker',
    readings: { ...job.readings, width: [rule('w1', '150'), rule('w2', '151')], height: [rule('h1', '90')] },
    art: onlyPicture('star-chart'),
    pressId: 'flat-press-a',
  };
}

/** Larger than the desk printer takes: in panels, or off the roll. */
function starMapPanel(today: Date): Job {
  const job = newJob('star-map-panel', 'Star map for the dome');
  return {
    ...job,
    dueOn: day(today, 30),
    note: 'One panel for the dome’s stair. Printed in parts on the desk printer.',
    blankId: 'panel-400-600',
    readings: { ...job.readings, width: [rule('w1', '400')], height: [rule('h1', '600')] },
    art: {
      ...NO_ART,
      layers: [
        pictureLayer('map', MAP),
        textLayer('title', 'The sky over Dry Fork', {
          font: 'book',
          capHeightMm: 16,
          dyMm: 250,
          along: 'line',
        }),
      ],
    },
    sheet: { ...job.sheet, printerId: STARTER_PRINTER.id },
    pressId: 'flat-press-b',
  };
}

const MAP: PictureRef = {
  ...byId('star-chart'),
  id: 'star-map',
  name: 'Star map',
  widthPx: 3400,
  heightPx: 5000,
};

const WIDE_PRINTER: Printer = {
  ...STARTER_PRINTER,
  id: 'wide-printer',
  name: 'Wide printer',
  widestMm: 609.6,
  rolls: true,
  marginsMm: { top: 5, right: 5, bottom: 15, left: 5 },
  colourBy: 'print server',
  mediaType: 'Coated paper, heavy',
  quality: 'Graphics, 8 passes, one way',
  driver: [],
};

/** What the shop pays for the blanks it uses most, in hundredths. */
const PRICES: Readonly<Record<string, number>> = {
  'straight-steel-590': 640,
  'panel-400-600': 1480,
  'mug-325': 210,
  'slate-trail-marker': 390,
};
const pricedBlanks = () => LIBRARY.map((b) => ({ ...b, costCents: PRICES[b.id] ?? b.costCents }));

/** Two people, twelve places to cool, and two circuits in an old house: the flat presses share one with the oven. */
const DEMO_DAY: typeof DEFAULT_DAY = {
  ...DEFAULT_DAY,
  hands: 2,
  coolingPlaces: 12,
  circuits: [
    {
      id: 'circuit-1',
      name: 'Circuit 1',
      ratingA: 20,
      volts: 230,
      continuousPct: 80,
      otherA: 0.5,
      pressIds: ['flat-press-a', 'flat-press-b', 'bench-oven'],
    },
    {
      id: 'circuit-2',
      name: 'Circuit 2',
      ratingA: 10,
      volts: 230,
      continuousPct: 80,
      otherA: 1.5,
      pressIds: ['mug-press', 'tumbler-press-a'],
    },
  ],
};

/** The demo shop on a given day: a two-person bench in a canyon town working for a hill observatory's star party. */
export function demoShop(today: Date): DemoShop {
  return {
    shop: {
      settings: {
        ...DEFAULT_SETTINGS,
        shopName: 'Dry Fork Bench',
        printers: [STARTER_PRINTER, WIDE_PRINTER],
        day: DEMO_DAY,
      },
      blanks: pricedBlanks(),
      presses: [...demoPresses()],
      papers: [...STARTER_PAPERS, ROLL_PAPER],
      ...pastWork(today.getTime()),
    },
    jobs: [
      deskBeakers(today),
      cometCans(today),
      constellationMugs(today),
      crewTumblers(today),
      nightTumblers(today),
      starOrnaments(today),
      guideBottles(today),
      bellyGlasses(today),
      trailMarkers(today),
      starMapPanel(today),
    ],
    books: demoStockAndQuotes(today.getTime()),
  };
}

/** What a shop starts with when it is not the demo: the generic things, no jobs. */
export const starterShop = (): DemoShop => ({
  shop: {
    settings: DEFAULT_SETTINGS,
    blanks: [...LIBRARY],
    presses: [...STARTER_PRESSES],
    papers: [...STARTER_PAPERS],
    recipes: [],
    log: [],
    runs: [],
  },
  jobs: [],
  books: NO_BOOKS,
});

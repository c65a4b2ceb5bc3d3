/**
 * The rooms of the core, lowest first. A room may use the rooms above it in this list and no other, so none lean on each other; the linter
 * holds it, and `npm run rooms` draws what is really used.
 */
export const CORE_ROOMS = [
  { room: 'message', holds: 'amounts with their kind; messages: an id of the catalogue with its values' },
  { room: 'basics', holds: 'results that carry a problem in words; comparing plain values' },
  { room: 'memo', holds: 'remembering the last answer, or the newest few' },
  { room: 'random', holds: 'seeded chance, the same on every machine' },
  { room: 'geometry', holds: 'points, rectangles, rings, contours with arcs, affine maps, offsets' },
  { room: 'money', holds: 'amounts in hundredths: shared out, rounded, added up' },
  { room: 'units', holds: 'amounts read from what people type, and shown in their units' },
  { room: 'figures', holds: 'a figure that explains itself; uncertainty kept apart by source' },
  { room: 'glossary', holds: 'what the terms on screen mean, a line each' },
  {
    room: 'shop',
    holds: 'schemas of what a shop keeps: blanks, presses, papers, settings, operations, runs, log',
  },
  {
    room: 'press',
    holds:
      'the kinds of press, each one object: what it takes, how it heats and keeps time, its usual ranges, its words',
  },
  { room: 'job', holds: 'schemas of what is decided about one job' },
  { room: 'library', holds: 'the generic blanks every shop starts with' },
  { room: 'shapes', holds: 'walls, cones, profiles, bands, flat outlines' },
  { room: 'readings', holds: 'what a tape says, and where it is taken' },
  { room: 'calibration', holds: 'what printer and paper do to lengths' },
  { room: 'wrap', holds: 'the paper round or over a blank, and its seam' },
  { room: 'art', holds: 'layers placed on the paper, warped for tapers; images analysed; seams searched' },
  { room: 'preflight', holds: 'what is found in the art before it is printed, where, and the fix' },
  { room: 'sheet', holds: 'nesting, layout, panels, pages, the printer simulator' },
  { room: 'heat', holds: 'settings chosen, heater reach, dose, cooling' },
  { room: 'flatness', holds: 'gaps under a platen: a surface through readings, packing, the level place' },
  { room: 'operations', holds: 'what is done to a piece: lists of operations and their words' },
  { room: 'run', holds: 'a run folded from its events' },
  {
    room: 'inspect',
    holds: 'faults, their causes as probabilities, what to ask next, many pieces over each other',
  },
  { room: 'schedule', holds: 'work over presses, hands and circuits: courses, their bound, their chances' },
  { room: 'stock', holds: 'the stock ledger: on hand, on order, wanted, to order by when' },
  { room: 'finish', holds: 'what is done after the press: steps, hangers, labels' },
  { room: 'log', holds: 'entries filtered, counted, charted and merged' },
  { room: 'formats', holds: 'files in and out, and the steps old ones climb by' },
  { room: 'plan', holds: 'one function: a job and a shop, to a plan' },
  { room: 'day', holds: 'the jobs of a shop as one schedule: its lines, its promises, what if' },
  { room: 'cost', holds: 'what a good piece costs, its price, quotes' },
  { room: 'demo', holds: 'the invented shop' },
];

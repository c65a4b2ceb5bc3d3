import type { LogEntry } from '../shop/records';
import type { Mark } from '../shop/mark';

/** The columns of a log table, units in the headings. */
export const HEADINGS = [
  'id',
  'when',
  'corrects',
  'job id',
  'job',
  'blank id',
  'blank',
  'press id',
  'press',
  'by',
  'verdict',
  'good',
  'seconds',
  'spoiled',
  'spoiled cost',
  'temperature °C',
  'time a pass s',
  'later passes s',
  'passes',
  'timer starts',
  'pressure',
  'peel',
  'fall to °C',
  'time kept s',
  'used paper',
  'faults',
  'cause',
  'tried',
  'transfer paper',
  'printer',
  'ink',
  'supplier',
  'lot',
  'note',
] as const;
export type Heading = (typeof HEADINGS)[number];

const num = (v: number | null): string | number => v ?? '';
const point = (p: { readonly xMm: number; readonly yMm: number }): string =>
  `${Math.round(p.xMm * 10) / 10},${Math.round(p.yMm * 10) / 10}`;

/** A mark in a cell: fault, how bad, side, piece, place: `faded-edge 2 front 4 point 12,30`. */
function markText({ fault, severity, side, piece, place }: Mark): string {
  const where =
    place.kind === 'point'
      ? point(place)
      : place.kind === 'edge'
        ? place.edge
        : place.kind === 'all'
          ? ''
          : place.points.map(point).join(' ');
  return `${fault} ${severity} ${side} ${piece ?? '-'} ${place.kind} ${where}`.trim();
}

/** An entry as the cells of its row. Photographs, replies and the plan as it stood are not in a table. */
export const csvCellsOf = (e: LogEntry): Readonly<Record<Heading, string | number>> => ({
  id: e.id,
  when: new Date(e.at).toISOString(),
  corrects: e.corrects ?? '',
  'job id': e.jobId,
  job: e.jobName,
  'blank id': e.blankId,
  blank: e.blankName,
  'press id': e.pressId,
  press: e.pressName,
  by: e.by ?? '',
  verdict: e.verdict,
  good: e.good,
  seconds: e.seconds,
  spoiled: e.spoiled,
  'spoiled cost': e.spoiledCostCents === null ? '' : (e.spoiledCostCents / 100).toFixed(2),
  'temperature °C': e.settings.platenC,
  'time a pass s': e.settings.dwellS,
  'later passes s': num(e.settings.laterDwellS),
  passes: e.settings.passes,
  'timer starts': e.settings.timerStart,
  pressure: e.settings.pressure,
  peel: e.settings.peel,
  'fall to °C': num(e.settings.coolDownC),
  'time kept s': num(e.keptDwellS),
  'used paper': e.paperState,
  faults: e.marks.map(markText).join('\n'),
  cause: e.cause ?? '',
  tried: e.tried ?? '',
  'transfer paper': e.paperName,
  printer: e.printerName,
  ink: e.inkName,
  supplier: e.supplier,
  lot: e.lot,
  note: e.note,
});

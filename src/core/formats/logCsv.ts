import type { LogEntry } from '../shop/records';
import { csvTable } from './csv';

const HEADINGS = [
  'when',
  'job',
  'blank',
  'press',
  'verdict',
  'good',
  'spoiled',
  'temperature °C',
  'time a pass s',
  'passes',
  'timer starts',
  'pressure',
  'peel',
  'used paper',
  'faults',
  'note',
] as const;

/** The log as CSV, units in the headings. Cells that a spreadsheet would run as formulas are defused. */
export function logCsv(log: readonly LogEntry[]): string {
  return csvTable(
    HEADINGS,
    log.map((e) => ({
      when: new Date(e.at).toISOString(),
      job: e.jobName,
      blank: e.blankName,
      press: e.pressName,
      verdict: e.verdict,
      good: e.good,
      spoiled: e.spoiled,
      'temperature °C': e.settings.platenC,
      'time a pass s': e.settings.dwellS,
      passes: e.settings.passes,
      'timer starts': e.settings.timerStart,
      pressure: e.settings.pressure,
      peel: e.settings.peel,
      'used paper': e.paperState,
      faults: e.marks.map((m) => m.fault).join(' '),
      note: e.note,
    })),
  );
}

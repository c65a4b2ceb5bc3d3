import Papa from 'papaparse';
import type { LogEntry } from '../shop/records';

/** The log as CSV, units in the headings. Cells that a spreadsheet would run as formulas are defused. */
export function logCsv(log: readonly LogEntry[]): string {
  return Papa.unparse(
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
      clock: e.settings.clock,
      pressure: e.settings.pressure,
      peel: e.settings.peel,
      'used paper': e.paperState,
      faults: e.marks.map((m) => m.fault).join(' '),
      note: e.note,
    })),
    { escapeFormulae: true },
  );
}

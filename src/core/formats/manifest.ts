import type { Job } from '../job/job';
import type { Plan } from '../plan/plan';
import { mirrorLine } from '../sheet/pages';

export interface ManifestFile {
  readonly name: string;
  readonly what: string;
  readonly bytes: number;
}

/** What is in a print package and how to print it, as JSON: for a helper, a print house, or oneself in a year. */
export function manifestText(job: Job, plan: Plan, files: readonly ManifestFile[], madeOn: string): string {
  const { layout, printer, paper, mirrorBy, panels } = plan.sheet;
  const { pattern } = plan.wrap;
  return `${JSON.stringify(
    {
      format: 'mesa-drift.print-package',
      version: 2,
      madeOn,
      job: job.name,
      pieces: plan.art.pieceCount,
      wrapMm: pattern && { width: pattern.trim.width, height: pattern.trim.height },
      paper: paper && {
        name: paper.name,
        widthMm: paper.widthMm,
        heightMm: paper.heightMm,
        kind: paper.kind,
      },
      printer: printer.name,
      ppi: printer.ppi,
      scale: '100 %',
      mirror: mirrorLine(mirrorBy === 'app'),
      colourManagedBy: printer.colourBy,
      sheets:
        layout?.sheets.map((s, i) => ({ sheet: i + 1, print: s.copies, pieces: s.placements.length })) ?? [],
      panels: panels?.panels.length ?? 0,
      files,
    },
    null,
    2,
  )}\n`;
}

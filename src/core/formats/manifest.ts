import { WRITTEN_BY } from '../basics/version';
import { type Write } from '../message/message';
import type { Paper } from '../shop/paper';
import type { MirrorBy, Printer } from '../shop/printer';
import type { SheetLayout } from '../sheet/layout';
import { mirrorLine } from '../sheet/pages';

export interface ManifestFile {
  readonly name: string;
  readonly what: string;
  readonly bytes: number;
}

/** What a print package is about: the parts of a job and its plan that are needed to print it. */
export interface PrintPackage {
  readonly jobName: string;
  readonly pieces: number;
  /** Trimmed size of the wrap, mm. */
  readonly trim: { readonly width: number; readonly height: number } | null;
  readonly sheet: {
    readonly layout: SheetLayout | null;
    readonly printer: Printer;
    readonly paper: Paper | null;
    readonly mirrorBy: MirrorBy;
    readonly panels: { readonly panels: readonly unknown[] } | null;
  };
}

/** What is in a print package and how to print it, as JSON: for a helper, a print house, or oneself in a year. */
export function manifestText(
  { jobName, pieces, trim, sheet }: PrintPackage,
  files: readonly ManifestFile[],
  madeOn: string,
  write: Write,
): string {
  const { layout, printer, paper, mirrorBy, panels } = sheet;
  return `${JSON.stringify(
    {
      format: 'mesa-drift.print-package',
      version: 3,
      writtenBy: WRITTEN_BY,
      madeOn,
      job: jobName,
      pieces,
      wrapMm: trim && { width: trim.width, height: trim.height },
      paper: paper && {
        name: paper.name,
        widthMm: paper.widthMm,
        heightMm: paper.heightMm,
        kind: paper.kind,
      },
      printer: printer.name,
      ppi: printer.ppi,
      scale: '100 %',
      mirror: write(mirrorLine(mirrorBy === 'app')),
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

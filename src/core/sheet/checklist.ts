import { COLOUR_WORDS, type MirrorBy, type Printer } from '../shop/printer';
import type { Paper } from '../shop/paper';
import { say, type Phrase } from '../units/phrase';
import { mm } from '../units/quantity';

/** Printer settings and at the tray before this sheet is printed, in the order one meets it. */
export function driverChecklist(printer: Printer, paper: Paper, mirrorBy: MirrorBy): readonly Phrase[] {
  const size = say`${mm(paper.widthMm)}${paper.kind === 'roll' ? ' roll' : say` × ${mm(paper.heightMm)}`}`;
  return [
    say`Paper: ${paper.name}, ${size}${paper.tray === '' ? '' : `; ${paper.tray}`}`,
    paper.printSide === ''
      ? say`Print side of the paper towards the ink`
      : say`Print side: ${paper.printSide}`,
    ...printer.driver.map((line) => say`${line}`),
    say`Mirror in the driver: ${mirrorBy === 'app' ? 'OFF (this file is mirrored)' : 'ON (this file is not mirrored)'}`,
    say`${COLOUR_WORDS[printer.colourBy].set}`,
    say`Let it dry. A dull print is right: the colour comes in the heat`,
  ];
}

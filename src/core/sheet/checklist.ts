import { COLOUR_WORDS, type MirrorBy, type Printer } from '../shop/printer';
import type { Paper } from '../shop/paper';
import { say, type Message, verbatim } from '../message/message';
import { mm } from '../message/quantity';

/** Printer settings and at the tray before this sheet is printed, in the order one meets it. */
export function driverChecklist(printer: Printer, paper: Paper, mirrorBy: MirrorBy): readonly Message[] {
  const size = say('sheet.widthHeight', {
    width: mm(paper.widthMm),
    height: mm(paper.heightMm),
    which: paper.kind === 'roll' ? 'roll' : 'other',
  });
  return [
    say('sheet.paper', {
      paper: paper.name,
      size,
      tray: paper.tray,
      which: paper.tray === '' ? 'none' : 'other',
    }),
    paper.printSide === ''
      ? say('sheet.printSidePaperTowards')
      : say('sheet.printSide', { printSide: paper.printSide }),
    ...printer.driver.map((line) => verbatim(line)),
    say('sheet.mirrorDriver', { which: mirrorBy === 'app' ? 'offFileMirrore' : 'other' }),
    COLOUR_WORDS[printer.colourBy].set,
    say('sheet.letDryDullPrint'),
  ];
}

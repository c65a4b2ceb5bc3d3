import { COLOUR_WORDS, type MirrorBy, type Printer } from '../shop/printer';
import type { Paper } from '../shop/paper';
import { say, verbatim, type Message } from '../message/message';
import { decimal, MM_PER_INCH } from '../message/quantity';
import type { SheetPlacements } from './layout';

/** One line of the printer's dialog: what it is called there, and what to choose or type. */
export interface PrintSetting {
  readonly label: Message;
  readonly value: Message;
}

const row = (label: Message, value: Message): PrintSetting => ({ label, value });

const typedMm = (mm: number) => decimal(mm, Number.isInteger(mm) ? 0 : 1);

/** The page size to type, in both units: a dialog accepts only its own. */
const sizeText = (widthMm: number, heightMm: number): Message =>
  say('sheet.typedSize', {
    width: typedMm(widthMm),
    height: typedMm(heightMm),
    widthIn: decimal(widthMm / MM_PER_INCH, 2),
    heightIn: decimal(heightMm / MM_PER_INCH, 2),
  });

const pageRows = (paper: Paper, heightMm: number): readonly PrintSetting[] => [
  row(
    say('sheet.pageSize'),
    say('sheet.pageOf', {
      paper: paper.name,
      size: sizeText(paper.widthMm, heightMm),
      which: paper.kind === 'roll' ? 'roll' : 'sheet',
    }),
  ),
  row(
    say('common.orientation'),
    // The file has the orientation of the paper in the printer: a dialog that rotates it would put the length of a roll across the roll.
    say('sheet.orientationOf', { which: paper.widthMm > heightMm ? 'landscape' : 'portrait' }),
  ),
  row(say('sheet.source'), paper.tray === '' ? verbatim(paper.name) : verbatim(paper.tray)),
  row(
    say('sheet.side'),
    paper.printSide === '' ? say('sheet.printSidePaperTowards') : verbatim(paper.printSide),
  ),
];

/** What to set in the printer's dialog for one sheet, in the order of most dialogs: the page, the paper, how it prints, then the rest. */
export function printSettings({
  printer,
  paper,
  mirrorBy,
  sheet,
}: {
  readonly printer: Printer;
  readonly paper: Paper;
  readonly mirrorBy: MirrorBy;
  readonly sheet: Pick<SheetPlacements, 'heightMm' | 'copies'>;
}): readonly PrintSetting[] {
  const { mediaType, quality } = printer;
  return [
    ...pageRows(paper, sheet.heightMm),
    row(say('sheet.mediaType'), mediaType === '' ? say('sheet.mediaOfInkMaker') : verbatim(mediaType)),
    row(say('sheet.quality'), quality === '' ? say('sheet.qualityBest') : verbatim(quality)),
    row(say('sheet.scale'), say('sheet.scaleWhole', { which: paper.kind === 'roll' ? 'roll' : 'sheet' })),
    row(
      say('sheet.mirror'),
      say('sheet.mirrorDriver', { which: mirrorBy === 'app' ? 'offFileMirrore' : 'other' }),
    ),
    row(say('sheet.colourManagement'), COLOUR_WORDS[printer.colourBy].set),
    row(say('sheet.copies'), say('sheet.copiesCount', { copies: sheet.copies })),
    ...printer.driver.map((line) => row(say('sheet.alsoSet'), verbatim(line))),
  ];
}

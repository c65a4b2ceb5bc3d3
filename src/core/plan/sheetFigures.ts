import { figure, type Figure } from '../figures/figure';
import type { SheetLayout } from '../sheet/layout';
import type { MirrorBy } from '../shop/printer';
import { say, type Phrase } from '../units/phrase';
import { count, mm, ratio, word } from '../units/quantity';
import type { PanelPlan } from './panels';

export interface SheetFacts {
  readonly layout: SheetLayout;
  readonly asked: boolean;
  readonly mirrorBy: MirrorBy;
  readonly flat: boolean;
  readonly panels: PanelPlan | null;
}

function boundText({ bound, paper, offcut }: SheetLayout): Phrase {
  const waste =
    offcut.widthMm > 20 && offcut.heightMm > 20
      ? say`; ${mm(offcut.widthMm)} × ${mm(offcut.heightMm)} left whole on the last`
      : say``;
  return paper.kind === 'roll'
    ? say`of the paper becomes wrap. By area alone ${bound.least.toFixed(2)} m would do, this takes ${bound.taken.toFixed(2)} m${waste}`
    : say`of the paper becomes wrap. By area alone ${count(bound.least, 'sheet')} would do, this takes ${String(bound.taken)}${waste}`;
}

export function sheetFigures({ layout, asked, mirrorBy, flat, panels }: SheetFacts): Figure[] {
  const size =
    layout.paper.kind === 'roll'
      ? say`${mm(layout.paper.widthMm)} wide, off a roll`
      : say`${mm(layout.paper.widthMm)} × ${mm(layout.paper.heightMm)}`;
  return [
    figure({
      id: 'sheet.paper',
      label: 'Paper',
      quantity: word(layout.paper.name),
      origin: asked ? 'measured' : 'calculated',
      working: asked
        ? say`${size}, chosen`
        : say`${size}, ${panels ? 'takes the fewest panels' : 'costs least of those that hold it'}`,
    }),
    figure({
      id: 'sheet.per',
      label: 'On a sheet',
      quantity: panels ? count(layout.perSheet, 'panel') : count(layout.perSheet, 'piece'),
      origin: 'calculated',
      working: layout.turned ? say`turned on its side` : say`upright`,
      inputs: flat ? ['wrap.size'] : ['wrap.length', 'wrap.height'],
    }),
    figure({
      id: 'sheet.count',
      label: 'Print',
      quantity: count(layout.sheetCount, 'sheet'),
      origin: 'calculated',
      working:
        layout.onLast === layout.perSheet
          ? say`all full`
          : say`${count(layout.onLast, panels ? 'panel' : 'piece')} on the last`,
      inputs: ['sheet.per'],
    }),
    figure({
      id: 'sheet.used',
      label: 'Paper used',
      quantity: ratio(layout.used),
      origin: 'calculated',
      working: boundText(layout),
    }),
    figure({
      id: 'sheet.mirror',
      label: 'Mirrored by',
      quantity: word(mirrorBy === 'app' ? 'this file' : 'the driver'),
      origin: 'measured',
      working:
        mirrorBy === 'app'
          ? say`turn mirror OFF in the printer driver`
          : say`turn mirror ON in the printer driver`,
    }),
  ];
}

import { figure, type Figure } from '../../figures/figure';
import type { SheetLayout } from '../../sheet/layout';
import type { MirrorBy } from '../../shop/printer';
import { say, type Message } from '../../message/message';
import { count, mm, ratio, word, decimal } from '../../message/quantity';
import type { PanelPlan } from './panels';

export interface SheetFacts {
  readonly layout: SheetLayout;
  readonly asked: boolean;
  readonly mirrorBy: MirrorBy;
  readonly flat: boolean;
  readonly panels: PanelPlan | null;
}

function boundText({ bound, paper, offcut }: SheetLayout): Message {
  const waste =
    offcut.widthMm > 20 && offcut.heightMm > 20
      ? say('sheet.leftWholeLast', { width: mm(offcut.widthMm), height: mm(offcut.heightMm) })
      : say('common.n');
  return paper.kind === 'roll'
    ? say('sheet.paperBecomesWrapArea', {
        least: decimal(bound.least, 2),
        taken: decimal(bound.taken, 2),
        waste,
      })
    : say('sheet.paperBecomesWrapArea2', { sheets: bound.least, taken: bound.taken, waste });
}

export function sheetFigures({ layout, asked, mirrorBy, flat, panels }: SheetFacts): Figure[] {
  const size =
    layout.paper.kind === 'roll'
      ? say('sheet.wideOffRoll', { width: mm(layout.paper.widthMm) })
      : say('common.size', { width: mm(layout.paper.widthMm), height: mm(layout.paper.heightMm) });
  return [
    figure({
      id: 'sheet.paper',
      label: say('common.paper'),
      quantity: word(layout.paper.name),
      origin: asked ? 'measured' : 'calculated',
      working: asked
        ? say('sheet.chosen', { size })
        : say('sheet.sizeTakesCosts', { size, which: panels ? 'takesFewestPan' : 'other' }),
    }),
    figure({
      id: 'sheet.per',
      label: say('sheet.onASheet'),
      quantity: panels ? count(layout.perSheet, 'panel') : count(layout.perSheet, 'piece'),
      origin: 'calculated',
      working: layout.turned ? say('sheet.turnedSide') : say('sheet.upright'),
      inputs: flat ? ['wrap.size'] : ['wrap.length', 'wrap.height'],
    }),
    figure({
      id: 'sheet.count',
      label: say('sheet.print'),
      quantity: count(layout.sheetCount, 'sheet'),
      origin: 'calculated',
      working:
        layout.onLast === layout.perSheet
          ? say('sheet.allFull')
          : say('sheet.onTheLast', { count: count(layout.onLast, panels ? 'panel' : 'piece') }),
      inputs: ['sheet.per'],
    }),
    figure({
      id: 'sheet.used',
      label: say('sheet.paperUsed'),
      quantity: ratio(layout.used),
      origin: 'calculated',
      working: boundText(layout),
    }),
    figure({
      id: 'sheet.mirror',
      label: say('common.mirroredBy'),
      quantity: word(mirrorBy === 'app' ? say('sheet.thisFile') : say('common.theDriver')),
      origin: 'measured',
      working: mirrorBy === 'app' ? say('sheet.turnMirrorOffPrinter') : say('sheet.turnMirrorPrinterDriver'),
    }),
  ];
}

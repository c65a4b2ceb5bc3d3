import { say, type Message } from '@/core/message/message';
import type { Supply } from '@/core/log/rows';

/** What each supply is called, and how its filter reads where nothing is chosen. */
export const SUPPLY_LABELS: Readonly<Record<Supply, { readonly label: Message; readonly all: Message }>> = {
  paper: { label: say('common.transferPaper'), all: say('logbook.anyPaper') },
  printer: { label: say('common.printer'), all: say('logbook.anyPrinter') },
  ink: { label: say('common.ink'), all: say('logbook.anyInk') },
  supplier: { label: say('common.supplier'), all: say('logbook.anySupplier') },
};

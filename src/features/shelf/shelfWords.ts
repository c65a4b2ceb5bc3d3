import { say, type Message } from '@/core/message/message';
import type { MovementKind, StockKind, StockUnit } from '@/core/shop/stock';

export const KIND_WORDS: Readonly<Record<StockKind, Message>> = {
  blank: say('common.blanks'),
  paper: say('common.papers'),
  ink: say('stock.inks'),
  tape: say('stock.tape'),
  part: say('common.parts'),
};
export const UNIT_WORDS: Readonly<Record<StockUnit, string>> = {
  pieces: 'pieces',
  sheets: 'sheets',
  metres: 'm',
  millilitres: 'ml',
};
export const MOVEMENT_WORDS: Readonly<Record<MovementKind, Message>> = {
  counted: say('stock.counted'),
  received: say('stock.cameIn'),
  pressed: say('common.pressed'),
  spoiled: say('common.spoiled2'),
  printed: say('stock.printed'),
  used: say('stock.used'),
  'put-back': say('stock.takenBack'),
  ordered: say('stock.ordered'),
  cancelled: say('stock.orderCancelled'),
};

export const amountText = (v: number): string =>
  (Number.isInteger(v) ? String(v) : v.toFixed(1)).replace('-', '−');

const DAY = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
export const isoDayText = (iso: string): string => DAY.format(new Date(`${iso}T12:00:00`)).replace(',', '');

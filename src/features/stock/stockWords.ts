import { decimal } from '@/core/message/quantity';
import { type Quantity, say, type Message } from '@/core/message/message';
import type { MovementKind, StockKind, StockUnit } from '@/core/shop/stock';

export const STOCK_KIND_WORDS: Readonly<Record<StockKind, Message>> = {
  blank: say('common.blanks'),
  paper: say('common.papers'),
  ink: say('stock.inks'),
  tape: say('stock.tape'),
  part: say('common.parts'),
};
/** Units by their whole names, for the choice of one. */
export const UNIT_NAMES: Readonly<Record<StockUnit, Message>> = {
  pieces: say('stock.pieces'),
  sheets: say('stock.sheets'),
  metres: say('stock.metres'),
  millilitres: say('stock.millilitres'),
};
export const UNIT_WORDS: Readonly<Record<StockUnit, Message>> = {
  pieces: say('stock.pieces'),
  sheets: say('stock.sheets'),
  metres: say('stock.m'),
  millilitres: say('stock.ml'),
};
export const MOVEMENT_WORDS: Readonly<Record<MovementKind, Message>> = {
  counted: say('stock.counted'),
  received: say('stock.cameIn'),
  pressed: say('common.pressed'),
  second: say('stock.second'),
  spoiled: say('common.spoiled2'),
  printed: say('stock.printed'),
  used: say('stock.used'),
  'put-back': say('stock.takenBack'),
  ordered: say('stock.ordered'),
  cancelled: say('stock.orderCancelled'),
};

/** An amount of stock: whole, or to one decimal. Its unit stands beside it. */
export const amountOf = (v: number): Quantity => decimal(v, Number.isInteger(v) ? 0 : 1);

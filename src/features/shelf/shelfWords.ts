import type { MovementKind, StockKind, StockUnit } from '@/core/shop/stock';

export const KIND_WORDS: Readonly<Record<StockKind, string>> = {
  blank: 'Blanks',
  paper: 'Papers',
  ink: 'Inks',
  tape: 'Tape',
  part: 'Parts',
};
export const UNIT_WORDS: Readonly<Record<StockUnit, string>> = {
  pieces: 'pieces',
  sheets: 'sheets',
  metres: 'm',
  millilitres: 'ml',
};
export const MOVEMENT_WORDS: Readonly<Record<MovementKind, string>> = {
  counted: 'counted',
  received: 'came in',
  pressed: 'pressed',
  spoiled: 'spoiled',
  printed: 'printed',
  used: 'used',
  'put-back': 'taken back',
  ordered: 'ordered',
  cancelled: 'order cancelled',
};

export const amountText = (v: number): string =>
  (Number.isInteger(v) ? String(v) : v.toFixed(1)).replace('-', '−');

const DAY = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
export const isoDayText = (iso: string): string => DAY.format(new Date(`${iso}T12:00:00`)).replace(',', '');

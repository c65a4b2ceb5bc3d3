import type { Labels } from '../job/finish';

/** Eight cards of 105 × 74 mm on A4, cut in halves and quarters: no margins, nothing taken from the sheet. */
const CARD_SHEET: Omit<Labels, 'text'> = {
  columns: 2,
  rows: 4,
  widthMm: 105,
  heightMm: 74.25,
  leftMm: 0,
  topMm: 0,
  gapXMm: 0,
  gapYMm: 0,
  taken: 0,
  makerSays: false,
};

/** Care cards are printed like labels, and refuse the same claims that only the maker of a blank can make. */
export const careCards = (text: string): Labels => ({ ...CARD_SHEET, text });

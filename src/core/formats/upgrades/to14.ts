import { isRaw, type VersionStep } from './raw';

/*
 * Version 13 to version 14: working methods, templates saved, supplier of a blank, kind of paper, what a press shows of its pressure, and pieces that are good
 * with a flaw. Stands alone.
 */

const plus = (more: object) => (v: unknown) => (isRaw(v) ? { ...more, ...v } : v);

const blank = plus({ supplier: '' });
const press = (v: unknown): unknown =>
  isRaw(v) && (v.kind === 'tumbler' || v.kind === 'mug' || v.kind === 'flat')
    ? { pressureScale: 'none', ...v }
    : v;

const PRACTICES = {
  rims: 'full',
  cleaning: null,
  media: 'transfer',
  pressOff: null,
  firstPiece: 'spare',
  paperEdge: 'inside',
};

export const TO_14: VersionStep = {
  to: 14,
  blank,
  press,
  paper: plus({ media: 'transfer' }),
  recipe: plus({ pressureAt: null }),
  logEntry: plus({ seconds: 0, supplier: '' }),
  run: (v) => (isRaw(v) ? { pressureAt: null, ...v, blank: blank(v.blank), press: press(v.press) } : v),
  settings: (v) =>
    isRaw(v)
      ? {
          practices: PRACTICES,
          ...v,
          defaults: plus({ pastMm: 3 })(v.defaults),
          money: plus({ secondPct: 60 })(v.money),
        }
      : v,
  job: (v) =>
    isRaw(v)
      ? {
          practices: {},
          ...v,
          art: plus({ templates: [] })(v.art),
          wrap: plus({ tailMm: null, standsOut: false })(v.wrap),
          inspection: plus({ seconds: null })(v.inspection),
          sell: plus({ secondCents: null })(v.sell),
        }
      : v,
};

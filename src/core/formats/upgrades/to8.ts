import { isRaw, list, number, type Raw, type VersionStep } from './raw';

/*
 * Version 7 to version 8: a mark has a place of any kind, may be of the used paper, and may name its piece; entries keep what was asked, the
 * cause, where pieces lay, photographs and the plan as it stood; flat presses keep how flat they were; blanks may have a price; jobs may have a
 * test ladder. Stands alone.
 */

/** Marks of before were points on the front of a piece nobody named. */
function mark(v: unknown): unknown {
  if (!isRaw(v) || v.place !== undefined) return v;
  const { xMm, yMm, ...rest } = v;
  return {
    ...rest,
    side: 'front',
    piece: null,
    place: { kind: 'point', xMm: number(xMm), yMm: number(yMm) },
  };
}

const marksOf = (v: Raw): Raw => ({ ...v, marks: list(v.marks).map(mark) });

const logEntry = (v: unknown): unknown =>
  isRaw(v)
    ? {
        corrects: null,
        by: null,
        keptDwellS: null,
        spoiledCostCents: null,
        replies: [],
        cause: null,
        tried: null,
        paperName: '',
        printerName: '',
        lot: '',
        face: null,
        lay: null,
        photos: [],
        stood: [],
        ...marksOf(v),
      }
    : v;

const blank = (v: unknown): unknown => (isRaw(v) ? { costCents: null, ...v } : v);

const press = (v: unknown): unknown => (isRaw(v) && v.kind === 'flat' ? { flatness: [], ...v } : v);

const run = (v: unknown): unknown => (isRaw(v) ? { ...v, blank: blank(v.blank), press: press(v.press) } : v);

const job = (v: unknown): unknown =>
  isRaw(v) && isRaw(v.look)
    ? {
        ladder: null,
        ...v,
        look: {
          replies: [],
          cause: null,
          tried: null,
          next: null,
          pressed: null,
          lot: '',
          photos: [],
          ...marksOf(v.look),
        },
      }
    : v;

export const TO_8: VersionStep = { to: 8, blank, press, run, job, logEntry };

import { mm } from '../message/quantity';
import { say } from '../message/message';
import { fail, ok, type Result } from '../basics/result';
import { A4_MM, wrapWords, type DrawnPage } from '../geometry/drawing';
import { outlineShape } from '../geometry/tiles';
import type { Labels } from '../job/finish';

const WHERE = say('finish.labels');

/** What a label may say only where the maker of the blank says it: of dishwashers, microwaves, food. */
const CLAIMS =
  /dish\s*-?\s*washer|micro\s*-?\s*wave|food\s*-?\s*(safe|grade|contact)|safe\s+for\s+(food|drink)|lava\s*-?\s*vajillas|micro\s*-?\s*ondas|(apt[oa]s?|segur[oa]s?)\s+para\s+(alimentos|bebidas|comida|uso alimentario)/i;

/** What is claimed, in its own words; null where nothing is. */
export const claimIn = (text: string): string | null => CLAIMS.exec(text)?.[0] ?? null;

/** What stands on the label of one piece. */
export interface LabelPiece {
  readonly name: string;
  readonly number: number;
}

const PAD_MM = 2;
const LARGEST_MM = 4.2;
const SMALLEST_MM = 1.6;
/** A letter is about so wide as its size, on the mean, and a line so high. */
const LETTER = 0.52;
const LINE = 1.3;

/** The text of a label: `{name}` and `{number}` are those of its piece. All at once: a name that looks like a placeholder stays a name. */
export const textFor = (text: string, piece: LabelPiece): string =>
  text.replace(/\{(name|number)\}/g, (_, of) => (of === 'name' ? piece.name : String(piece.number))).trim();

interface Set {
  readonly sizeMm: number;
  readonly lines: readonly string[];
}

/** The largest size at which a text fits its label; null where none is readable. */
function setText(text: string, widthMm: number, heightMm: number): Set | null {
  for (let sizeMm = LARGEST_MM; sizeMm >= SMALLEST_MM - 1e-9; sizeMm -= 0.1) {
    const letters = Math.floor((widthMm - 2 * PAD_MM) / (sizeMm * LETTER));
    const rows = wrapWords(text, letters);
    if (rows.every((r) => r.length <= letters) && rows.length * sizeMm * LINE <= heightMm - 2 * PAD_MM)
      return { sizeMm, lines: rows };
  }
  return null;
}

const wide = (l: Labels): number => l.leftMm + l.columns * l.widthMm + (l.columns - 1) * l.gapXMm;
const high = (l: Labels): number => l.topMm + l.rows * l.heightMm + (l.rows - 1) * l.gapYMm;

/** Sheets of labels, one a piece, beginning after those already taken. Lines of the labels are drawn faintly, to be seen against the light. */
export function labelPages(l: Labels, pieces: readonly LabelPiece[]): Result<readonly DrawnPage[]> {
  if (wide(l) > A4_MM.widthMm + 0.05 || high(l) > A4_MM.heightMm + 0.05)
    return fail(
      say('finish.labelsDoFit', {
        width: mm(wide(l)),
        height: mm(high(l)),
        sheetWidth: mm(A4_MM.widthMm),
        sheetHeight: mm(A4_MM.heightMm),
      }),
      WHERE,
      say('finish.fewerSmallerLessBetween'),
    );
  if (l.taken >= l.columns * l.rows)
    return fail(say('finish.labelLeftFirstSheet'), WHERE, say('finish.takeFreshSheetWrite'));
  if (l.text.trim() === '') return fail(say('finish.labelSaysNothing'), WHERE, say('finish.writeWhatStands'));
  if (pieces.length === 0) return fail(say('finish.pieceLabel'), WHERE, say('finish.sayHowManyPieces'));
  const claim = claimIn(l.text);
  if (claim !== null && !l.makerSays)
    return fail(say('finish.makerBlankSay', { claim }), WHERE, say('finish.takeOutSayMakers'));
  const set = pieces.map((p) => setText(textFor(l.text, p), l.widthMm, l.heightMm));
  const small = set.findIndex((s) => s === null);
  if (small >= 0)
    return fail(
      say('finish.textLabelDoesFit', { small: small + 1 }),
      WHERE,
      say('finish.fewerWordsLargerLabel'),
    );
  const each = l.columns * l.rows;
  const sheets = Math.ceil((l.taken + pieces.length) / each);
  return ok(
    Array.from({ length: sheets }, (_, sheet): DrawnPage => {
      const places = set.flatMap((s, i) => {
        const at = l.taken + i - sheet * each;
        if (!s || at < 0 || at >= each) return [];
        const x = l.leftMm + (at % l.columns) * (l.widthMm + l.gapXMm);
        const y = l.topMm + Math.floor(at / l.columns) * (l.heightMm + l.gapYMm);
        return [{ x, y, set: s }];
      });
      return {
        ...A4_MM,
        words: places.flatMap(({ x, y, set: s }) => {
          const top = y + (l.heightMm - s.lines.length * s.sizeMm * LINE) / 2;
          return s.lines.map((text, i) => ({
            x: x + PAD_MM,
            y: top + (i + 0.8) * s.sizeMm * LINE,
            sizeMm: s.sizeMm,
            text,
          }));
        }),
        shapes: places.map(({ x, y }) =>
          outlineShape(
            [
              { x, y },
              { x: x + l.widthMm, y },
              { x: x + l.widthMm, y: y + l.heightMm },
              { x, y: y + l.heightMm },
            ],
            true,
            0.9,
            0.1,
          ),
        ),
      };
    }),
  );
}

import { A4_MM, wrapWords, type DrawnPage } from '../geometry/drawing';

/** A person and the lines of their list, each with its time. */
export interface PersonList {
  readonly title: string;
  readonly lines: readonly { readonly time: string; readonly text: string }[];
}

const MARGIN_MM = 18;
const TITLE_MM = 7;
const TEXT_MM = 4.6;
const ROW_MM = 7.5;
const TIME_MM = 44;
/** Letters to a line: a letter is about half as wide as its size. */
const LETTERS = Math.floor((A4_MM.widthMm - 2 * MARGIN_MM - TIME_MM - ROW_MM) / (0.52 * TEXT_MM));
const BOX_MM = 4.5;

/** Pages to print: each person begins a page, each task has a box to tick. */
export function workListPages(lists: readonly PersonList[]): readonly DrawnPage[] {
  return lists.flatMap(({ title, lines }) => {
    const rows = lines.flatMap(({ time, text }) =>
      wrapWords(text, LETTERS).map((part, i) => ({ time: i === 0 ? time : '', part, first: i === 0 })),
    );
    const perPage = Math.floor((A4_MM.heightMm - 2 * MARGIN_MM - 2 * TITLE_MM) / ROW_MM);
    const pages = Math.max(1, Math.ceil(rows.length / perPage));
    return Array.from({ length: pages }, (_, page): DrawnPage => {
      const own = rows.slice(page * perPage, (page + 1) * perPage);
      const yOf = (i: number) => MARGIN_MM + 2 * TITLE_MM + i * ROW_MM;
      return {
        ...A4_MM,
        words: [
          { x: MARGIN_MM, y: MARGIN_MM + TITLE_MM, sizeMm: TITLE_MM, text: title },
          ...own.flatMap(({ time, part }, i) => [
            { x: MARGIN_MM + ROW_MM, y: yOf(i), sizeMm: TEXT_MM, text: time },
            { x: MARGIN_MM + ROW_MM + TIME_MM, y: yOf(i), sizeMm: TEXT_MM, text: part },
          ]),
        ].filter((w) => w.text !== ''),
        shapes: own.flatMap(({ first }, i) => {
          const [x, y] = [MARGIN_MM, yOf(i) - BOX_MM + 0.7];
          const corners = [
            { x, y },
            { x: x + BOX_MM, y },
            { x: x + BOX_MM, y: y + BOX_MM },
            { x, y: y + BOX_MM },
          ];
          return first ? [{ points: corners, closed: true, line: 0, ground: null, widthMm: 0.3 }] : [];
        }),
      };
    });
  });
}

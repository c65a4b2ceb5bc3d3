import type { Point } from './plane';

/** A plain page for a printer: words and shapes in mm from its top left. */
export interface DrawnPage {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly words: readonly {
    readonly x: number;
    readonly y: number;
    readonly sizeMm: number;
    readonly text: string;
    /** Whether x is where it ends, not where it begins. */
    readonly right?: boolean;
  }[];
  readonly shapes: readonly {
    readonly points: readonly Point[];
    readonly closed: boolean;
    /** Grey of the line and of the ground, 0 black to 1 white; null for none. */
    readonly line: number | null;
    readonly ground: number | null;
    readonly widthMm: number;
  }[];
}

export const A4_MM = { widthMm: 210, heightMm: 297 } as const;

/** Words broken into lines of so many letters at most; a longer word stands alone. Line breaks stay. */
export const wrapWords = (text: string, letters: number): readonly string[] =>
  text.split('\n').flatMap((row) => {
    const out: string[] = [];
    let now = '';
    for (const word of row.split(/\s+/)) {
      if (now !== '' && now.length + 1 + word.length > letters) {
        out.push(now);
        now = word;
      } else now = now === '' ? word : `${now} ${word}`;
    }
    return [...out, now];
  });

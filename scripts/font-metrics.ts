// Writes the advance widths of the fonts words can be set in, so that the core can measure words without a browser.
import { readFileSync, writeFileSync } from 'node:fs';
import fontkit from '@pdf-lib/fontkit';
import { FONTS } from '../src/core/job/fonts';

const table = Object.fromEntries(
  FONTS.map((f) => {
    const font = fontkit.create(readFileSync(`public/fonts/${f.file}.woff`));
    const per = 1 / font.unitsPerEm;
    const advances: Record<string, number> = {};
    for (const code of font.characterSet) {
      if (code < 32) continue;
      advances[String.fromCodePoint(code)] =
        Math.round(font.glyphForCodePoint(code).advanceWidth * per * 1e4) / 1e4;
    }
    const round = (v: number) => Math.round(v * per * 1e4) / 1e4;
    return [
      f.id,
      {
        capHeight: round(font.capHeight),
        ascent: round(font.ascent),
        descent: round(font.descent),
        advances,
      },
    ];
  }),
);
const about = '// Written by scripts/font-metrics.ts from the fonts that ship. Fractions of the em.\n';
writeFileSync(
  'src/core/art/fontMetrics.ts',
  `${about}export const FONT_METRICS = ${JSON.stringify(table)};\n`,
);

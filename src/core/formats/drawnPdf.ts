import { WRITTEN_BY } from '../basics/version';
import fontkit from '@pdf-lib/fontkit';
import { grayscale, PDFDocument } from 'pdf-lib';
import type { DrawnPage } from '../geometry/drawing';

const PT_PER_MM = 72 / 25.4;

/** Plain pages as a PDF at true size, the font embedded. */
export async function drawnPdf(
  title: string,
  pages: readonly DrawnPage[],
  fontBytes: Uint8Array,
): Promise<Uint8Array> {
  const doc = await PDFDocument.create();
  doc.registerFontkit(fontkit);
  doc.setTitle(title);
  doc.setProducer(WRITTEN_BY);
  doc.setCreator(WRITTEN_BY);
  const font = await doc.embedFont(fontBytes, { subset: true });
  for (const p of pages) {
    const page = doc.addPage([p.widthMm * PT_PER_MM, p.heightMm * PT_PER_MM]);
    const up = (y: number): number => (p.heightMm - y) * PT_PER_MM;
    for (const s of p.shapes) {
      if (s.points.length < 2) continue;
      // Paths are written in page units with y down, as SVG has them; pdf-lib turns them about their origin.
      const d = s.points
        .map(
          (q, i) => `${i === 0 ? 'M' : 'L'}${(q.x * PT_PER_MM).toFixed(3)} ${(q.y * PT_PER_MM).toFixed(3)}`,
        )
        .join('');
      page.drawSvgPath(`${d}${s.closed ? 'Z' : ''}`, {
        x: 0,
        y: up(0),
        ...(s.line === null ? {} : { borderColor: grayscale(s.line), borderWidth: s.widthMm * PT_PER_MM }),
        ...(s.ground === null ? {} : { color: grayscale(s.ground) }),
      });
    }
    for (const w of p.words) {
      const size = w.sizeMm * PT_PER_MM;
      const x = w.x * PT_PER_MM - (w.right ? font.widthOfTextAtSize(w.text, size) : 0);
      page.drawText(w.text, { x, y: up(w.y), size, font });
    }
  }
  return doc.save();
}

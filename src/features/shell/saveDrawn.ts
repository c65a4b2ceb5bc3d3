import { part } from '@/core/basics/part';
import type { Result } from '@/core/basics/result';
import type { DrawnPage } from '@/core/geometry/drawing';
import { notifyProblem } from '@/ui/notify';
import { labelFont } from '../logbook/labelFont';
import { saveBytesAs } from './download';

/** Saves drawn pages (labels, cards, lists) as a PDF; reports the problem if they cannot be laid out. */
export async function saveDrawn(
  fileName: string,
  title: string,
  pages: Result<readonly DrawnPage[]>,
): Promise<void> {
  if (!pages.ok) return notifyProblem(pages.problem);
  const font = await labelFont();
  if (!font.ok) return notifyProblem(font.problem);
  const { drawnPdf } = await part(() => import('@/core/formats/drawnPdf'));
  saveBytesAs(fileName, await drawnPdf(title, pages.value, font.value), 'application/pdf');
}

import { useWords } from '@/ui/words';
import { piecesText } from '@/core/plan/press/runWords';
import { Button } from '@/ui/Button';
import { useJob } from '../job/jobContext';

/** Only the pieces of the reprint list are on the sheets: said, with the way back. */
export function ReprintBar() {
  const t = useWords();
  const { job, edit } = useJob();
  if (!job.reprint) return null;
  return (
    <div
      role="status"
      className="flex flex-wrap items-center gap-3 border-b-2 border-ink bg-warning/25 px-4 py-2"
    >
      <p className="flex-1 font-label font-semibold">
        {t('sheet.reprintSheetOnly', { reprint: piecesText(job.reprint) })}
        {job.reprint.some((p) => p.name !== '') && t('sheet.namesKept')}.
      </p>
      <Button onClick={() => edit((j) => ({ ...j, reprint: null }))}>{t('sheet.printAllPieces')}</Button>
    </div>
  );
}

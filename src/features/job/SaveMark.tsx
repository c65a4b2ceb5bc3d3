'use client';

import { useWords } from '@/ui/words';
import { useRouter } from 'next/navigation';
import { keepAsCopy } from '@/data/jobs';
import { Button } from '@/ui/Button';
import { notifyProblem } from '@/ui/notify';
import { useJob } from './jobContext';
import { saveJobFile } from './saveJobFile';

/** Whether the job is saved, and the way out when it is not. */
export function SaveMark() {
  const t = useWords();
  const { job, saver } = useJob();
  const save = saver.state((s) => s.save);
  const router = useRouter();

  if (save.kind === 'saved' || save.kind === 'saving') {
    return (
      <p role="status" className="font-label text-fine font-medium text-soft">
        {save.kind === 'saved' ? t('job.saved') : t('job.saving')}
      </p>
    );
  }
  if (save.kind === 'failed') {
    return (
      <div
        role="alert"
        className="flex flex-wrap items-center gap-2 border-l-8 border-act pl-2 font-label text-fine font-semibold"
      >
        <span>{t('job.notSaved', { what: save.problem.what, wayOut: save.problem.wayOut })}</span>
        <Button onClick={() => void saveJobFile(job)}>{t('common.saveFile')}</Button>
        <Button onClick={saver.retry}>{t('common.tryAgain')}</Button>
      </div>
    );
  }
  if (save.kind === 'removed') {
    return (
      <div
        role="alert"
        className="flex flex-wrap items-center gap-2 border-l-8 border-warning pl-2 font-label text-fine font-semibold"
      >
        <span>{t('job.anotherTabDeletedJob')}</span>
        <Button onClick={() => void saver.putBack()}>{t('job.restoreIt')}</Button>
        <Button onClick={() => router.push('/')}>{t('job.leaveDeleted')}</Button>
      </div>
    );
  }
  const keepBoth = async () => {
    const copy = await keepAsCopy(job, t('job.myEdits', { job: job.name.slice(0, 62) }));
    if (!copy.ok) {
      notifyProblem(copy.problem);
      return;
    }
    saver.takeTheirs();
    router.push(`/job/${copy.value.id}/blank`);
  };
  return (
    <div
      role="alert"
      className="flex flex-wrap items-center gap-2 border-l-8 border-warning pl-2 font-label text-fine font-semibold"
    >
      <span>{t('job.anotherTabChangedJob')}</span>
      <Button onClick={() => void keepBoth()}>{t('job.keepMineCopy')}</Button>
      <Button onClick={saver.takeTheirs}>{t('job.takeOtherTabs')}</Button>
    </div>
  );
}

'use client';

import { useWords } from '@/ui/words';
import { Button } from '@/ui/Button';

/** What is shown in place of a page that failed: what is stored is untouched. */
export default function PageError({ reset }: { error: Error; reset: () => void }) {
  const t = useWords();
  return (
    <main className="grid h-dvh place-content-center gap-3 p-6">
      <h1 className="font-name text-big font-semibold">{t('common.pageCouldShown')}</h1>
      <p className="max-w-prose text-lead">{t('common.yourSavedWorkKept')}</p>
      <div className="flex flex-wrap gap-2">
        <Button kind="act" onClick={reset}>
          {t('common.tryAgain')}
        </Button>
        <Button onClick={() => location.reload()}>{t('common.reloadPage')}</Button>
        <Button onClick={() => location.assign('/')}>{t('common.goJobs')}</Button>
      </div>
    </main>
  );
}

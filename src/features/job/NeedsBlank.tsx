'use client';

import { useWords } from '@/ui/words';
import { Button } from '@/ui/Button';
import { useJob } from './jobContext';

/** What a later step shows before there is a blank. */
export function NeedsBlank() {
  const t = useWords();
  const { job } = useJob();
  return (
    <div className="absolute inset-0 grid place-content-center justify-items-center gap-3 p-8 text-center">
      <p className="max-w-80 font-name text-head leading-tight font-medium">{t('job.chooseBlankFirst')}</p>
      <p className="max-w-80 text-soft">{t('job.allSizesHereDepend')}</p>
      <Button onClick={() => window.history.pushState(null, '', `/job/${job.id}/blank`)}>
        {t('job.chooseBlank')}
      </Button>
    </div>
  );
}

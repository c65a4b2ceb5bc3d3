'use client';

import { useState } from 'react';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { useWords } from '@/ui/words';
import { useJob } from '../job/jobContext';
import { WorkingMethods } from '../shop/WorkingMethods';

/** Ways of working for this job alone, where they differ from the shop’s. */
export function JobMethods() {
  const t = useWords();
  const { job, shop, edit } = useJob();
  const [open, setOpen] = useState(false);
  const own = Object.keys(job.practices).length;
  return (
    <>
      <Button onClick={() => setOpen(true)}>{t('methods.ofJob', { own })}</Button>
      <Dialog
        open={open}
        onClose={() => setOpen(false)}
        wide
        title={t('methods.ofJobTitle')}
        about={t('methods.ofJobAbout')}
      >
        <WorkingMethods
          values={job.practices}
          fallback={shop.settings.practices}
          onChange={(practices) => edit((j) => ({ ...j, practices }), 'practices')}
        />
      </Dialog>
    </>
  );
}

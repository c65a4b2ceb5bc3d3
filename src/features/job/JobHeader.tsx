'use client';

import { saveJobFile } from './saveJobFile';
import { usePageTitle } from '@/ui/usePageTitle';
import { count, date } from '@/core/message/quantity';
import { useWords, Q } from '@/ui/words';
import { memo } from 'react';
import { FileDown, Redo2, Undo2 } from 'lucide-react';
import { parseISO } from 'date-fns';
import { Button } from '@/ui/Button';
import { UnitToggles } from '../shell/UnitToggles';
import { JobDetails } from './JobDetails';
import { useHistory, useJob } from './jobContext';
import { SaveMark } from './SaveMark';

export const JobHeader = memo(function JobHeader() {
  const t = useWords();
  const { job, plan, store } = useJob();
  usePageTitle(job.name);
  const { undo, redo, canUndo, canRedo } = useHistory(store);
  const due = job.dueOn ? t('job.due2', { dueOn: date(parseISO(job.dueOn).getTime(), 'day') }) : '';
  return (
    <header className="flex min-h-13 flex-wrap items-center gap-x-4 gap-y-1 border-b-2 border-ink bg-sheet px-5 py-1">
      <div className="flex min-w-0 flex-1 items-center gap-4">
        <h1 className="min-w-0 font-name text-head leading-tight font-semibold">
          <JobDetails />
        </h1>
        <p className="hidden truncate text-soft xl:block">
          <Q of={count(job.pieces, 'piece')} />
          {due}
          {plan.blank.blank && ` · ${plan.blank.blank.name}`}
        </p>
      </div>
      <SaveMark />
      <div className="flex items-center gap-1">
        <Button
          kind="quiet"
          aria-label={t('common.undo')}
          title={t('job.undoCtrlZ')}
          disabled={!canUndo}
          onClick={undo}
          className="px-2 disabled:opacity-40"
        >
          <Undo2 size={18} aria-hidden />
        </Button>
        <Button
          kind="quiet"
          aria-label={t('job.redo')}
          title={t('job.redoCtrlShiftZ')}
          disabled={!canRedo}
          onClick={redo}
          className="px-2 disabled:opacity-40"
        >
          <Redo2 size={18} aria-hidden />
        </Button>
        <Button
          kind="quiet"
          aria-label={t('job.saveJobFile')}
          title={t('job.saveJobFile')}
          onClick={() => void saveJobFile(job)}
          className="px-2"
        >
          <FileDown size={18} aria-hidden />
        </Button>
      </div>
      <UnitToggles />
    </header>
  );
});

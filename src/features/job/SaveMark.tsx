'use client';

import { useRouter } from 'next/navigation';
import { keepAsCopy } from '@/data/jobs';
import { Button } from '@/ui/Button';
import { notifyProblem } from '@/ui/notify';
import { useJob } from './jobContext';
import { saveJobFile } from './JobHeader';

/** Whether the job is saved, and the way out when it is not. */
export function SaveMark() {
  const { job, saver } = useJob();
  const save = saver.state((s) => s.save);
  const router = useRouter();

  if (save.kind === 'saved' || save.kind === 'saving') {
    return (
      <p role="status" className="font-label text-fine font-medium text-soft">
        {save.kind === 'saved' ? 'Saved' : 'Saving…'}
      </p>
    );
  }
  if (save.kind === 'failed') {
    return (
      <div
        role="alert"
        className="flex flex-wrap items-center gap-2 border-l-8 border-act pl-2 font-label text-fine font-semibold"
      >
        <span>
          Not saved. {save.problem.what} {save.problem.wayOut}
        </span>
        <Button onClick={() => void saveJobFile(job)}>Save to a file</Button>
        <Button onClick={saver.retry}>Try again</Button>
      </div>
    );
  }
  if (save.kind === 'removed') {
    return (
      <div
        role="alert"
        className="flex flex-wrap items-center gap-2 border-l-8 border-warning pl-2 font-label text-fine font-semibold"
      >
        <span>Another tab deleted this job. It is still open here.</span>
        <Button onClick={() => void saver.putBack()}>Restore it</Button>
        <Button onClick={() => router.push('/')}>Leave it deleted</Button>
      </div>
    );
  }
  const keepBoth = async () => {
    const copy = await keepAsCopy(job, `${job.name.slice(0, 62)} (my edits)`);
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
      <span>Another tab changed this job. Nothing is lost: choose.</span>
      <Button onClick={() => void keepBoth()}>Keep mine as a copy</Button>
      <Button onClick={saver.takeTheirs}>Take the other tab’s</Button>
    </div>
  );
}

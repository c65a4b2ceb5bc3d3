'use client';

import { Button } from '@/ui/Button';
import { useJob } from './jobContext';

/** What a later step shows before there is a blank. */
export function NeedsBlank() {
  const { job } = useJob();
  return (
    <div className="absolute inset-0 grid place-content-center justify-items-center gap-3 p-8 text-center">
      <p className="max-w-80 font-name text-head leading-tight font-medium">Choose a blank first</p>
      <p className="max-w-80 text-soft">All sizes here depend on the blank.</p>
      <Button onClick={() => window.history.pushState(null, '', `/job/${job.id}/blank`)}>Choose blank</Button>
    </div>
  );
}

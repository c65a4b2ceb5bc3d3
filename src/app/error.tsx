'use client';

import { Button } from '@/ui/Button';

/** What is shown in place of a page that failed: what is stored is untouched. */
export default function PageError({ reset }: { error: Error; reset: () => void }) {
  return (
    <main className="grid h-dvh place-content-center gap-3 p-6">
      <h1 className="font-name text-big font-semibold">This page could not be shown</h1>
      <p className="max-w-prose text-lead">
        Your saved work is kept. Try again. If it happens twice, reload the page or go back to the list of
        jobs.
      </p>
      <div className="flex flex-wrap gap-2">
        <Button kind="act" onClick={reset}>
          Try again
        </Button>
        <Button onClick={() => location.reload()}>Reload the page</Button>
        <Button onClick={() => location.assign('/')}>Go to jobs</Button>
      </div>
    </main>
  );
}

import { Suspense } from 'react';
import { JobsPage } from '@/features/jobs/JobsPage';

export default function Page() {
  return (
    <Suspense>
      <JobsPage />
    </Suspense>
  );
}

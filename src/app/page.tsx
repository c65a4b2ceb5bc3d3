import { Suspense } from 'react';
import { BenchPage } from '@/features/bench/BenchPage';

export default function Page() {
  return (
    <Suspense>
      <BenchPage />
    </Suspense>
  );
}

import type { Metadata } from 'next';
import { LogbookPage } from '@/features/logbook/LogbookPage';

export const metadata: Metadata = { title: 'Logbook · Mesa Drift' };

export default function Page() {
  return <LogbookPage />;
}

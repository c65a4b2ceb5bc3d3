import type { Metadata } from 'next';
import { DayPage } from '@/features/day/DayPage';

export const metadata: Metadata = { title: 'Schedule · Mesa Drift' };

export default function Page() {
  return <DayPage />;
}

import type { Metadata } from 'next';
import { ShelfPage } from '@/features/shelf/ShelfPage';

export const metadata: Metadata = { title: 'Stock · Mesa Drift' };

export default function Page() {
  return <ShelfPage />;
}

import type { Metadata } from 'next';
import { ShelfPage } from '@/features/shelf/ShelfPage';

export const metadata: Metadata = { title: 'Shelf · Mesa Drift' };

export default function Page() {
  return <ShelfPage />;
}

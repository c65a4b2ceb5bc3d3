import type { Metadata } from 'next';
import { PapersPage } from '@/features/shop/PapersPage';

export const metadata: Metadata = { title: 'Papers · Mesa Drift' };

export default function Page() {
  return <PapersPage />;
}

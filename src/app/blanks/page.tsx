import type { Metadata } from 'next';
import { BlanksPage } from '@/features/shop/BlanksPage';

export const metadata: Metadata = { title: 'Blanks · Mesa Drift' };

export default function Page() {
  return <BlanksPage />;
}

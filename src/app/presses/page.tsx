import type { Metadata } from 'next';
import { PressesPage } from '@/features/shop/PressesPage';

export const metadata: Metadata = { title: 'Presses · Mesa Drift' };

export default function Page() {
  return <PressesPage />;
}

import type { Metadata } from 'next';
import { SettingsPage } from '@/features/shop/SettingsPage';

export const metadata: Metadata = { title: 'Settings · Mesa Drift' };

export default function Page() {
  return <SettingsPage />;
}

import { SettingsPage } from '@/features/shop/SettingsPage';

export default function Page() {
  return <SettingsPage />;
}

import { PressesPage } from '@/features/shop/PressesPage';

export default function Page() {
  return <PressesPage />;
}

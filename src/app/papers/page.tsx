import { PapersPage } from '@/features/shop/PapersPage';

export default function Page() {
  return <PapersPage />;
}

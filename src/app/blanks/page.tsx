import { BlanksPage } from '@/features/shop/BlanksPage';

export default function Page() {
  return <BlanksPage />;
}

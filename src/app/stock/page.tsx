import { ShelfPage } from '@/features/stock/StockPage';

export default function Page() {
  return <ShelfPage />;
}

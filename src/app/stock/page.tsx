import { StockPage } from '@/features/stock/StockPage';

export default function Page() {
  return <StockPage />;
}

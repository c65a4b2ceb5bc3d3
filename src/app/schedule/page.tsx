import { DayPage } from '@/features/day/DayPage';

export default function Page() {
  return <DayPage />;
}

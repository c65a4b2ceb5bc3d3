import { DayPage } from '@/features/schedule/SchedulePage';

export default function Page() {
  return <DayPage />;
}

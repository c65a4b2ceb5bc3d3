import { SchedulePage } from '@/features/schedule/SchedulePage';

export default function Page() {
  return <SchedulePage />;
}

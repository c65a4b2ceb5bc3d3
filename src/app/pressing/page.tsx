import { PressBoard } from '@/features/press/Board';

export default function Page() {
  return <PressBoard />;
}

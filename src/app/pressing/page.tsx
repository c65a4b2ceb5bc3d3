import { Board } from '@/features/press/Board';

export default function Page() {
  return <Board />;
}

import type { Metadata } from 'next';
import { FinishPage } from '@/features/finish/FinishPage';

export const metadata: Metadata = { title: 'Finishing · Mesa Drift' };

interface Props {
  readonly params: Promise<{ id: string }>;
}

export default async function Page({ params }: Props) {
  const { id } = await params;
  return <FinishPage jobId={id} />;
}

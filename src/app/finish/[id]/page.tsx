import { FinishPage } from '@/features/finish/FinishPage';

interface Props {
  readonly params: Promise<{ id: string }>;
}

export default async function Page({ params }: Props) {
  const { id } = await params;
  return <FinishPage jobId={id} />;
}

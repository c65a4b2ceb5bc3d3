import { Runner } from '@/features/press/Runner';

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <Runner jobId={id} />;
}

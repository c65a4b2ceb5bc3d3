import { JobScreen } from '@/features/job/JobScreen';

export default async function Page({ params }: { params: Promise<{ id: string; step: string }> }) {
  const { id } = await params;
  return <JobScreen key={id} id={id} />;
}

import { FlatnessPage } from '@/features/flatness/FlatnessPage';

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<{ job?: string | string[] }>;
}

export default async function Page({ params, searchParams }: Props) {
  const [{ id }, { job }] = await Promise.all([params, searchParams]);
  return <FlatnessPage pressId={id} jobId={typeof job === 'string' ? job : null} />;
}

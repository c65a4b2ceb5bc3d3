import { Runner } from '@/features/press/Runner';

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<{ on?: string | string[]; another?: string | string[] }>;
}

export default async function Page({ params, searchParams }: Props) {
  const { id } = await params;
  const { on, another } = await searchParams;
  return <Runner jobId={id} pressId={typeof on === 'string' ? on : null} another={another !== undefined} />;
}

import type { Metadata } from 'next';
import { CostsPage } from '@/features/costs/CostsPage';

export const metadata: Metadata = { title: 'Pricing · Mesa Drift' };

interface Props {
  readonly searchParams: Promise<{ job?: string | string[] }>;
}

export default async function Page({ searchParams }: Props) {
  const { job } = await searchParams;
  return <CostsPage jobId={typeof job === 'string' ? job : null} />;
}

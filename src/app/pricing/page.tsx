import { PricingPage } from '@/features/pricing/PricingPage';

interface Props {
  readonly searchParams: Promise<{ job?: string | string[] }>;
}

export default async function Page({ searchParams }: Props) {
  const { job } = await searchParams;
  return <PricingPage jobId={typeof job === 'string' ? job : null} />;
}

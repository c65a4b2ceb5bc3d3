import type { Metadata } from 'next';
import { EntryPage } from '@/features/logbook/EntryPage';

export const metadata: Metadata = { title: 'Log entry · Mesa Drift' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <EntryPage id={id} />;
}

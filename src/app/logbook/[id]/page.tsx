import { EntryPage } from '@/features/logbook/EntryPage';

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <EntryPage id={id} />;
}

import { LogbookPage } from '@/features/logbook/LogbookPage';

type Param = string | string[] | undefined;
interface Props {
  readonly searchParams: Promise<{ job?: Param; blank?: Param; press?: Param; view?: Param }>;
}

const one = (value: Param): string | null => (typeof value === 'string' ? value : null);

export default async function Page({ searchParams }: Props) {
  const { job, blank, press, view } = await searchParams;
  return (
    <LogbookPage
      start={{ jobId: one(job), blankId: one(blank), pressId: one(press) }}
      startView={one(view)}
    />
  );
}

import { useWords } from '@/ui/words';
import { Link } from '@/ui/Link';

/** The mark: a small mesa of three strata. */
export const Brand = () => {
  const t = useWords();
  return (
    <Link
      href="/"
      className="flex h-13 shrink-0 items-center gap-2.5 px-2.5 text-pale md:px-4"
      aria-label={t('shell.mesaDriftGoJobs')}
    >
      <svg width="30" height="22" viewBox="0 0 30 22" aria-hidden>
        <rect x="9" y="1" width="12" height="4" fill="#D08A3E" />
        <rect x="6" y="6" width="18" height="4" fill="#E8CDA0" />
        <rect x="3" y="11" width="24" height="4" fill="#C9B37A" />
        <rect x="0" y="16" width="30" height="4" fill="#E8CDA0" />
      </svg>
      <span className="hidden font-name text-name font-semibold md:inline">Mesa Drift</span>
    </Link>
  );
};

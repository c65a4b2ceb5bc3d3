'use client';

import { isListed } from '@/core/preflight/check';
import { fixed } from '@/core/preflight/fix';
import { Button } from '@/ui/Button';
import { Say, useWords } from '@/ui/words';
import { useJob } from '../job/jobContext';
import { useArtHand } from './artContext';
import { LEVEL_BAR, LEVEL_WORDS } from '@/ui/levels';

/** Everything found before ink is spent, worst first: where it is, and one touch to put it right. */
export function ArtChecks() {
  const t = useWords();
  const { plan, edit } = useJob();
  const { shown, show } = useArtHand();
  // What can only be read stands in the foot; here is what can be seen on the drawing or put right.
  const checks = plan.art.checks.filter(isListed);
  if (checks.length === 0) return null;
  return (
    <section aria-label={t('art.checksBeforePrinting')} className="border-t border-rule bg-sheet/80">
      <ul className="grid max-h-[6rem] overflow-y-auto px-4 py-1.5">
        {checks.map((c) => (
          <li key={c.id} className="flex items-center gap-2.5 py-0.5">
            <span aria-hidden className={`h-6 w-1.5 shrink-0 ${LEVEL_BAR[c.level]}`} />
            <span className="min-w-0 flex-1 leading-snug">
              <span className="sr-only">{t(LEVEL_WORDS[c.level])}: </span>
              <Say message={c.text} />
            </span>
            {c.at.length > 0 && (
              <Button
                kind="quiet"
                className="min-h-9 shrink-0 px-2 text-fine"
                aria-pressed={shown === c.id}
                onClick={() => show(shown === c.id ? null : c.id)}
              >
                {shown === c.id ? t('art.hide') : t('art.showWhere')}
              </Button>
            )}
            {c.fix && (
              <Button
                className="min-h-9 shrink-0 px-2 text-fine"
                onClick={() => {
                  if (c.fix) edit(fixed(c.fix));
                }}
              >
                {t(c.fix.label)}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

'use client';

import { useRouter } from 'next/navigation';
import type { OneChange } from '@/core/plan/inspect/change';
import { Button } from '@/ui/Button';
import { notify } from '@/ui/notify';
import { Say, useWords } from '@/ui/words';
import { useHeatEdit, useJob } from '../job/jobContext';
import { isFlatPress } from '@/core/shop/press';

/** The one thing to change, what it does, and a touch to set it. */
export function OneChangeBar({ change }: { change: OneChange }) {
  const t = useWords();
  const { job, plan } = useJob();
  const edit = useHeatEdit();
  const router = useRouter();
  const { press } = plan.heat;
  const setIt = () => {
    edit((j) => ({
      ...j,
      heat: { ...j.heat, ...change.heat },
      inspection: {
        ...j.inspection,
        next: change.cause,
        pressed: j.inspection.pressed ?? plan.inspect.pressed,
      },
    }));
    notify(t('inspect.appliedNextPressPress'));
  };
  const now = plan.heat.chosen?.settings;
  const isSet =
    now !== undefined &&
    Object.entries(change.heat ?? {}).every(([key, value]) => now[key as keyof typeof now] === value);
  const done = change.cause !== null && job.inspection.next === change.cause;
  return (
    <section
      aria-label={t('inspect.oneChange')}
      className="flex flex-wrap items-center gap-x-4 gap-y-2 border-t-2 border-ink bg-sheet px-4 py-2"
    >
      <div className="min-w-0 flex-1 basis-80">
        <p className="text-lead">
          <strong>{t('inspect.oneChange2')}</strong> <Say message={change.text} />
        </p>
        {change.does.map((line, i) => (
          <p key={i} className="text-soft">
            <Say message={line} />
          </p>
        ))}
      </div>
      {change.goTo === 'flatness' && press && isFlatPress(press) && (
        <Button onClick={() => router.push(`/flatness/${press.id}?job=${job.id}`)}>
          {t('common.platenFlatness')}
        </Button>
      )}
      {change.heat ? (
        <Button disabled={isSet} onClick={setIt}>
          {isSet ? t('inspect.appliedNextPress') : t('inspect.applyNextPress')}
        </Button>
      ) : (
        change.cause && (
          <Button
            aria-pressed={done}
            onClick={() =>
              edit((j) => ({ ...j, inspection: { ...j.inspection, next: done ? null : change.cause } }))
            }
          >
            {done ? t('inspect.appliedNextPiece') : t('inspect.applyChange')}
          </Button>
        )
      )}
    </section>
  );
}

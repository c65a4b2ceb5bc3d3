'use client';

import { useRouter } from 'next/navigation';
import type { OneChange } from '@/core/plan/lookChange';
import { Button } from '@/ui/Button';
import { notify } from '@/ui/notify';
import { Say } from '@/ui/units';
import { useJob } from '../job/jobContext';
import { isFlatPress } from '@/core/shop/press';

/** The one thing to change, what it does, and a touch to set it. */
export function OneChangeBar({ change }: { change: OneChange }) {
  const { job, plan, edit } = useJob();
  const router = useRouter();
  const { press } = plan.heat;
  const setIt = () => {
    edit((j) => ({
      ...j,
      heat: { ...j.heat, ...change.heat },
      look: { ...j.look, next: change.cause, pressed: j.look.pressed ?? plan.look.pressed },
    }));
    notify('Applied to the next press. Press one piece and inspect it.');
  };
  const now = plan.heat.chosen?.settings;
  const isSet =
    now !== undefined &&
    Object.entries(change.heat ?? {}).every(([key, value]) => now[key as keyof typeof now] === value);
  const done = change.cause !== null && job.look.next === change.cause;
  return (
    <section
      aria-label="One change"
      className="flex flex-wrap items-center gap-x-4 gap-y-2 border-t-2 border-ink bg-sheet px-4 py-2"
    >
      <div className="min-w-0 flex-1 basis-80">
        <p className="text-lead">
          <strong>One change:</strong> <Say phrase={change.text} />
        </p>
        {change.does.map((line, i) => (
          <p key={i} className="text-soft">
            <Say phrase={line} />
          </p>
        ))}
      </div>
      {change.goTo === 'flatness' && press && isFlatPress(press) && (
        <Button onClick={() => router.push(`/flatness/${press.id}?job=${job.id}`)}>Platen flatness</Button>
      )}
      {change.heat ? (
        <Button disabled={isSet} onClick={setIt}>
          {isSet ? 'Applied to the next press' : 'Apply to the next press'}
        </Button>
      ) : (
        change.cause && (
          <Button
            aria-pressed={done}
            onClick={() => edit((j) => ({ ...j, look: { ...j.look, next: done ? null : change.cause } }))}
          >
            {done ? 'Applied to the next piece' : 'Apply this change'}
          </Button>
        )
      )}
    </section>
  );
}

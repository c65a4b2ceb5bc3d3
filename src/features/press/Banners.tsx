'use client';

import type { Lead } from './useLead';
import { PressButton } from './PressButton';
import { useJump } from './shopTime';

const minutes = (ms: number): string => {
  const m = Math.round(Math.abs(ms) / 60_000);
  return m < 120 ? `${Math.max(1, m)} min` : `${Math.round(m / 60)} h`;
};

/** Another tab leads: this one follows, and says so. */
export function FollowBanner({ lead, takeOver }: { lead: Lead; takeOver: () => void }) {
  if (lead !== 'following') return null;
  return (
    <div role="status" className="flex flex-wrap items-center gap-4 bg-warning px-6 py-2 text-lead text-ink">
      <p className="flex-1 font-semibold">Another tab controls the presses. This tab follows it.</p>
      <PressButton look="call" onClick={takeOver}>
        Control from this tab
      </PressButton>
    </div>
  );
}

/** The wall clock jumped: how it was taken, and a way to say otherwise. */
export function JumpBanner() {
  const { jump, otherwise, read } = useJump();
  if (!jump) return null;
  const set = jump.taken === 'clock set';
  return (
    <div role="status" className="flex flex-wrap items-center gap-4 bg-strata-5 px-6 py-2 text-lead text-ink">
      <p className="flex-1 font-semibold">
        The clock of this machine moved {jump.byMs < 0 ? 'back' : 'on'} {minutes(jump.byMs)}.{' '}
        {set
          ? 'Treated as a clock correction: no press time changed.'
          : 'Treated as time that passed, for example while the device slept.'}
      </p>
      {jump.byMs > 0 && (
        <PressButton look="call" onClick={otherwise}>
          {set ? 'Count it as passed' : 'Treat as clock correction'}
        </PressButton>
      )}
      <PressButton look="call" onClick={read}>
        Read
      </PressButton>
    </div>
  );
}

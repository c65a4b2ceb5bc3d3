'use client';

import { span } from '@/core/message/quantity';
import { useWords } from '@/ui/words';
import type { Lead } from './useLead';
import { PressButton } from './PressButton';
import { useJump } from './shopTime';

/** Another tab leads: this one follows, and says so. */
export function FollowBanner({ lead, takeOver }: { lead: Lead; takeOver: () => void }) {
  const t = useWords();
  if (lead !== 'following') return null;
  return (
    <div role="status" className="flex flex-wrap items-center gap-4 bg-warning px-6 py-2 text-lead text-ink">
      <p className="flex-1 font-semibold">{t('press.anotherTabControlsPresses')}</p>
      <PressButton look="call" onClick={takeOver}>
        {t('press.controlFromTab')}
      </PressButton>
    </div>
  );
}

/** The wall clock jumped: how it was taken, and a way to say otherwise. */
export function JumpBanner() {
  const t = useWords();
  const { jump, otherwise, read } = useJump();
  if (!jump) return null;
  const set = jump.taken === 'clock set';
  return (
    <div role="status" className="flex flex-wrap items-center gap-4 bg-strata-5 px-6 py-2 text-lead text-ink">
      <p className="flex-1 font-semibold">
        {t('press.clockMachineMoved', {
          which: jump.byMs < 0 ? 'back' : 'other',
          byMs: span(Math.max(60, Math.abs(jump.byMs) / 1000)),
          which2: set ? 'treatedClockCo' : 'other',
        })}
      </p>
      {jump.byMs > 0 && (
        <PressButton look="call" onClick={otherwise}>
          {set ? t('press.countPassed') : t('press.treatClockCorrection')}
        </PressButton>
      )}
      <PressButton look="call" onClick={read}>
        {t('press.read')}
      </PressButton>
    </div>
  );
}

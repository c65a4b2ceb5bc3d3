'use client';

import { useWords } from '@/ui/words';
import { useState } from 'react';
import { PressButton } from './PressButton';
import { requestNotifications, mayNotify } from './useAttention';

/** Asks once whether it may call from another window; where that is settled there is nothing to ask. */
export function NotifyButton() {
  const t = useWords();
  const [may, setMay] = useState(mayNotify);
  if (may !== 'default') return null;
  return (
    <PressButton onClick={() => void requestNotifications().then(setMay)}>
      {t('press.turnNotifications')}
    </PressButton>
  );
}

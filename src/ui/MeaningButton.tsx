'use client';

import { CircleHelp } from 'lucide-react';
import { Popover } from 'radix-ui';
import type { Message } from '@/core/message/message';
import { PopoverBox } from './PopoverBox';
import { useWords } from './words';

/** Opens what a term means. The term describes the button and does not name it: so that only the field has the label as its name. */
export function MeaningButton({ label, meaning }: { label: string; meaning: Message }) {
  const t = useWords();
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={t('shell.showMeaning')}
        aria-description={label}
        className="-my-1.5 ms-0.5 inline-grid size-6 place-items-center align-middle text-soft hover:text-ink"
      >
        <CircleHelp size={14} aria-hidden />
      </Popover.Trigger>
      <PopoverBox label={t('shell.glossary')} side="bottom" width="w-72">
        <p className="font-label text-fine font-semibold">{label}</p>
        <p className="mt-1 leading-snug">{t(meaning)}</p>
      </PopoverBox>
    </Popover.Root>
  );
}
